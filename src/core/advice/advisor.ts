import type { ChordText, Modifier } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { ProgramFacts } from '../clash/clashIndex';
import { conceptsOf } from '../glossary/glossary';
import type { Where } from '../keyboard/where';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import type { Hand } from '../reach/hand';
import { type Reach, type ReachOf, reachOf } from '../reach/reachOf';
import { wordsOf } from '../text/wordsOf';
import { type Beside, besideOf } from './beside';
import { partnersOf } from './partnersOf';

/** A command with keys in another of a person's programs, and what it is about. */
export type Elsewhere = {
  readonly about: string;
  readonly program: string;
  readonly command: string;
  readonly chord: ChordText;
};

/** Why a chord suits a command, besides its reach. */
export type Reason =
  | { readonly kind: 'hook'; readonly letter: string; readonly hook: string }
  | { readonly kind: 'letter'; readonly letter: string; readonly word: string; readonly first: boolean }
  | { readonly kind: 'family'; readonly modifiers: readonly Modifier[]; readonly menu: string; readonly share: number }
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
  readonly partners: ReadonlyMap<CommandId, Command>;
  /** The commands of each menu, by its whole path. */
  readonly menus: ReadonlyMap<string, readonly Command[]>;
  readonly elsewhere: ReadonlyMap<string, readonly Elsewhere[]>;
};

/** Works out what advice on a program needs. */
export function buildAdvisor(facts: ProgramFacts, where: Where, hand: Hand, elsewhere: readonly Elsewhere[]): Advisor {
  const menus = new Map<string, Command[]>();
  for (const command of facts.program.commands) {
    const menu = menus.get(menuKey(command));
    if (menu) menu.push(command);
    else menus.set(menuKey(command), [command]);
  }
  return {
    facts,
    where,
    hand,
    reach: reachOf(where, hand),
    partners: partnersOf(facts.program.commands),
    menus,
    elsewhere: byAbout(elsewhere),
  };
}

function byAbout(all: readonly Elsewhere[]): ReadonlyMap<string, readonly Elsewhere[]> {
  const groups = new Map<string, Elsewhere[]>();
  for (const one of all) groups.set(one.about, [...(groups.get(one.about) ?? []), one]);
  return groups;
}

const menuKey = (command: Command): string => command.path.join('\n');

/**
 * What a command is about, to be found again in another program: its kind, the concepts of the glossary that its name
 * speaks of, and the figures in it. Empty for a name of which the glossary knows nothing.
 */
export function aboutOf({ name, kind }: Pick<Command, 'name' | 'kind'>): string {
  const words = wordsOf(name);
  const concepts = conceptsOf(words).sort((a, b) => a - b);
  return concepts.length === 0 ? '' : [kind, ...concepts, ...words.filter((word) => /\d/.test(word))].join(' ');
}

/** What is so of a command in one state of a keymap, whatever chord is weighed for it. */
export type Wants = {
  readonly command: Command;
  readonly letters: ReadonlyMap<string, Reason>;
  /** How large a part of its menu's keys each layer has, by the modifiers as text. */
  readonly family: ReadonlyMap<string, Reason>;
  readonly partner: Command | null;
  readonly partnerChords: readonly ChordText[];
  readonly asIn: ReadonlyMap<ChordText, Reason>;
};

/** Words that no letter stands for. */
const SMALL = new Set(['a', 'an', 'and', 'as', 'at', 'by', 'for', 'from', 'in', 'of', 'on', 'or', 'the', 'to', 'with']);

/** Works out what a command would like of its keys. */
export function wantsOf(advisor: Advisor, keymap: Keymap, command: Command): Wants {
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
  const partner = advisor.partners.get(command.id) ?? null;
  return {
    command,
    letters,
    family: familyOf(advisor, keymap, command),
    partner,
    partnerChords: partner ? bindingsOf(keymap, partner.id).map((one) => one.chord) : [],
    asIn: new Map(
      (advisor.elsewhere.get(aboutOf(command)) ?? [])
        .filter((one) => one.about !== '')
        .map((one) => [advisor.where.place(one.chord), { kind: 'as in', program: one.program, command: one.command }]),
    ),
  };
}

function familyOf(advisor: Advisor, keymap: Keymap, command: Command): ReadonlyMap<string, Reason> {
  const counts = new Map<string, { modifiers: readonly Modifier[]; n: number }>();
  let all = 0;
  for (const other of advisor.menus.get(menuKey(command)) ?? []) {
    if (other === command) continue;
    for (const { chord } of bindingsOf(keymap, other.id)) {
      const modifiers = parseCanonical(chord)?.strokes[0]?.modifiers;
      if (!modifiers) continue;
      all++;
      const count = counts.get(modifiers.join('+'));
      if (count) count.n++;
      else counts.set(modifiers.join('+'), { modifiers, n: 1 });
    }
  }
  const menu = command.path.at(-1) ?? '';
  return new Map(
    [...counts]
      // One neighbor is no family.
      .filter(([, { n }]) => n > 1)
      .map(([text, { modifiers, n }]) => [text, { kind: 'family', modifiers, menu, share: n / all }]),
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
  const reach = advisor.reach(chord);
  const stroke = parseCanonical(chord)?.strokes[0];
  const reasons: Reason[] = [];
  const letter = stroke?.key === undefined || stroke.key === null ? undefined : wants.letters.get(stroke.key);
  if (letter) reasons.push(letter);
  for (const other of wants.partnerChords) {
    const how = wants.partner && besideOf(advisor.where, chord, other);
    if (how && wants.partner) {
      reasons.push({ kind: 'partner', partner: wants.partner, chord: other, how });
      break;
    }
  }
  const asIn = wants.asIn.get(advisor.where.place(chord));
  if (asIn) reasons.push(asIn);
  const family = stroke && wants.family.get(stroke.modifiers.join('+'));
  if (family) reasons.push(family);
  return { chord, reach, reasons, cost: reach.figure - reasons.reduce((sum, one) => sum + worthOf(one), 0) };
}

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
