import type { ChordText } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { ProgramFacts } from '../clash/clashIndex';
import type { Where } from '../keyboard/where';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import type { Hand } from '../reach/hand';
import { type Reach, type ReachOf, reachOf } from '../reach/reachOf';
import { type Beside, besidesOf } from './beside';
import { type PartnerOf, partnersOf } from './partnersOf';

/** The keys that the sure counterpart of a command has in another of a person's programs. */
export type Elsewhere = {
  readonly of: CommandId;
  readonly program: string;
  readonly command: string;
  readonly chord: ChordText;
};

/** Why a chord suits a command, besides its reach. */
export type Reason =
  | { readonly kind: 'hook'; readonly letter: string; readonly hook: string }
  | { readonly kind: 'letter'; readonly letter: string; readonly word: string; readonly first: boolean }
  | { readonly kind: 'family'; readonly menu: string; readonly share: number }
  | { readonly kind: 'partner'; readonly partner: Command; readonly chord: ChordText; readonly how: Beside }
  | { readonly kind: 'as in'; readonly program: string; readonly command: string };

/** What each reason is worth, in the measure of reach: so much harder may a chord be to reach for it. */
export const WORTH = {
  hook: 0.16,
  letter: 0.1,
  firstLetter: 0.14,
  /** If all of its menu use these modifiers; less for a part of them. */
  family: 0.08,
  partner: 0.12,
  partnerWithShift: 0.08,
  asIn: 0.12,
} as const;

/** What advice on a program's commands needs to know: worked out once for a program, a keyboard and a free hand. */
export type Advisor = {
  readonly facts: ProgramFacts;
  readonly where: Where;
  readonly hand: Hand;
  readonly reach: ReachOf;
  readonly partnerOf: PartnerOf;
  /** What is so of a chord, whoever gets it; worked out once. */
  readonly chord: (chord: ChordText) => ChordFacts;
  /** The commands of each menu, by its whole path. */
  readonly menus: ReadonlyMap<string, readonly Command[]>;
  /** The keys that a command's likes have in other programs. */
  readonly likes: (command: Command) => readonly Elsewhere[];
};

/** A chord as it is weighed: where it is pressed, its key and modifiers, its reach. */
export type ChordFacts = {
  readonly chord: ChordText;
  readonly place: ChordText;
  readonly key: string | null;
  readonly layer: string;
  readonly reach: Reach;
};

/** Works out what advice on a program needs. */
export function buildAdvisor(facts: ProgramFacts, where: Where, hand: Hand, elsewhere: readonly Elsewhere[]): Advisor {
  const menus = new Map<string, Command[]>();
  for (const command of facts.program.commands) {
    const menu = menus.get(menuKey(command));
    if (menu) menu.push(command);
    else menus.set(menuKey(command), [command]);
  }
  const reach = reachOf(where, hand);
  const chords = new Map<ChordText, ChordFacts>();
  const chord = (text: ChordText): ChordFacts => {
    let known = chords.get(text);
    if (!known) {
      const stroke = parseCanonical(text)?.strokes[0];
      const layer = stroke?.modifiers.join('+') ?? '';
      known = { chord: text, place: where.place(text), key: stroke?.key ?? null, layer, reach: reach(text) };
      chords.set(text, known);
    }
    return known;
  };
  return {
    facts,
    where,
    hand,
    reach,
    chord,
    partnerOf: partnersOf(facts.program.commands),
    menus,
    likes: likesIn(elsewhere),
  };
}

function likesIn(all: readonly Elsewhere[]): Advisor['likes'] {
  const groups = new Map<CommandId, Elsewhere[]>();
  for (const one of all) {
    const group = groups.get(one.of);
    if (group) group.push(one);
    else groups.set(one.of, [one]);
  }
  return ({ id }) => groups.get(id) ?? NOTHING;
}

const NOTHING: readonly Elsewhere[] = [];

const menuKey = (command: Command): string => command.path.join('\n');

/** What is so of a command in one state of a keymap, whatever chord is weighed for it. */
export type Wants = {
  readonly command: Command;
  readonly letters: ReadonlyMap<string, Reason>;
  /** How large a part of its menu's keys each layer has, by the modifiers as text. */
  readonly family: ReadonlyMap<string, Reason>;
  readonly partner: Command | null;
  /** Where it would lie beside a chord of its partner, and beside which. */
  readonly beside: ReadonlyMap<ChordText, Reason>;
  readonly asIn: ReadonlyMap<ChordText, Reason>;
};

/** Words that no letter stands for. */
const SMALL = new Set(['a', 'an', 'and', 'as', 'at', 'by', 'for', 'from', 'in', 'of', 'on', 'or', 'the', 'to', 'with']);

/**
 * Works out what a command would like of its keys.
 * @param besides a chord of its partner that does not count, since it may go elsewhere.
 */
export function wantsOf(advisor: Advisor, keymap: Keymap, command: Command, besides?: ChordText | null): Wants {
  const letters = new Map<string, Reason>();
  for (const { hook } of bindingsOf(keymap, command.id)) {
    const letter = hook?.match(/\p{L}/u)?.[0]?.toUpperCase();
    if (letter !== undefined && hook !== undefined && !letters.has(letter))
      letters.set(letter, { kind: 'hook', letter, hook });
  }
  const words = command.name.match(/[\p{L}\p{N}]+/gu) ?? [];
  words.forEach((word, i) => {
    const letter = word[0]?.toUpperCase() ?? '';
    if (!letters.has(letter) && (i === 0 || !SMALL.has(word.toLowerCase())))
      letters.set(letter, { kind: 'letter', letter, word, first: i === 0 });
  });
  const partner = advisor.partnerOf(command);
  const beside = new Map<ChordText, Reason>();
  for (const { chord } of partner ? bindingsOf(keymap, partner.id) : []) {
    if (!partner || chord === besides) continue;
    for (const [place, how] of besidesOf(advisor.where, chord))
      if (!beside.has(place)) beside.set(place, { kind: 'partner', partner, chord, how });
  }
  return {
    command,
    letters,
    family: familyOf(advisor, keymap, command),
    partner,
    beside,
    asIn: new Map(
      advisor
        .likes(command)
        .map((one) => [advisor.where.place(one.chord), { kind: 'as in', program: one.program, command: one.command }]),
    ),
  };
}

function familyOf(advisor: Advisor, keymap: Keymap, command: Command): ReadonlyMap<string, Reason> {
  const counts = new Map<string, number>();
  let all = 0;
  for (const other of advisor.menus.get(menuKey(command)) ?? []) {
    if (other === command) continue;
    for (const { chord } of bindingsOf(keymap, other.id)) {
      const { layer } = advisor.chord(chord);
      all++;
      counts.set(layer, (counts.get(layer) ?? 0) + 1);
    }
  }
  const menu = command.path.at(-1) ?? '';
  return new Map(
    [...counts]
      // One neighbor is no family.
      .filter(([, n]) => n > 1)
      .map(([layer, n]) => [layer, { kind: 'family', menu, share: n / all }]),
  );
}

/** A chord weighed for a command: its reach, what speaks for it, and the two in one figure; the lower the better. */
export type Weighed = {
  readonly chord: ChordText;
  readonly reach: Reach;
  readonly reasons: readonly Reason[];
  readonly cost: number;
};

/** Weighs a chord for a command. */
export function weigh(advisor: Advisor, wants: Wants, chord: ChordText): Weighed {
  const { reach } = advisor.chord(chord);
  const reasons = reasonsFor(wants, advisor.chord(chord));
  return { chord, reach, reasons, cost: reach.figure - worthOfAll(reasons) };
}

function reasonsFor(wants: Wants, { key, place, layer }: ChordFacts): readonly Reason[] {
  const letter = key === null ? undefined : wants.letters.get(key);
  const beside = wants.beside.size === 0 ? undefined : wants.beside.get(place);
  const asIn = wants.asIn.size === 0 ? undefined : wants.asIn.get(place);
  const family = wants.family.get(layer);
  return [letter, beside, asIn, family].filter((one) => one !== undefined);
}

/** What a chord costs a command: its figure alone, for where there are many to weigh. */
export function costOfChord(advisor: Advisor, wants: Wants, chord: ChordText): number {
  const facts = advisor.chord(chord);
  const letter = facts.key === null ? undefined : wants.letters.get(facts.key);
  const family = wants.family.get(facts.layer);
  let cost = facts.reach.figure;
  if (letter) cost -= worthOf(letter);
  if (family) cost -= worthOf(family);
  if (wants.beside.size > 0 || wants.asIn.size > 0) {
    const beside = wants.beside.get(facts.place);
    const asIn = wants.asIn.get(facts.place);
    if (beside) cost -= worthOf(beside);
    if (asIn) cost -= worthOf(asIn);
  }
  return cost;
}

const worthOfAll = (reasons: readonly Reason[]): number => reasons.reduce((sum, one) => sum + worthOf(one), 0);

/** What a reason is worth. */
export function worthOf(reason: Reason): number {
  switch (reason.kind) {
    case 'hook':
      return WORTH.hook;
    case 'letter':
      return reason.first ? WORTH.firstLetter : WORTH.letter;
    case 'family':
      return WORTH.family * reason.share;
    case 'partner':
      return reason.how === 'beside' ? WORTH.partner : WORTH.partnerWithShift;
    case 'as in':
      return WORTH.asIn;
  }
}
