import type { ChordText } from '../chord/chord';
import { buildClashIndex, type Holder, type ProgramFacts, relation } from '../clash/clashIndex';
import type { Place } from '../keyboard/placeOf';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Binding, binding, bindingsOf, type Keymap, sameBindings, sameKeys } from '../keymap/keymap';
import type { Ticket } from '../keymap/ticket';
import type { Command, CommandId } from '../program/program';
import type { VersionSide } from './findLinks';
import { type Link, type Links, linksBySide } from './link';

/** What is to happen at a line: what I have, what the maker has now, both, or keys that were chosen for it. */
export type MergeChoice =
  | { readonly take: 'mine' | 'theirs' | 'both' }
  | { readonly take: 'keys'; readonly chord: ChordText };

/** Why a person is asked. */
export type Meeting =
  /** Both of us moved it. */
  | { readonly kind: 'both moved' }
  /** What the maker gave it is mine already: whose, and whether that is a keeper. */
  | { readonly kind: 'is mine'; readonly chord: ChordText; readonly whose: CommandId; readonly keeper: boolean }
  /** It was split, and only one can have my keys. */
  | { readonly kind: 'split'; readonly others: readonly CommandId[] }
  /** Several of mine became this one. */
  | { readonly kind: 'joined'; readonly from: readonly CommandId[] }
  /** Two of mine meet on keys that did not before. */
  | { readonly kind: 'now clash'; readonly chord: ChordText; readonly whose: CommandId; readonly keeper: boolean }
  /** It is only likely that mine became this. */
  | { readonly kind: 'unsure'; readonly figure: number };

/** What becomes of one command's keys. */
export type MergeLine = {
  readonly command: CommandId;
  /** What it was before; several that were joined; none where it is new. */
  readonly was: readonly CommandId[];
  /** The factory's keys then and now, mine, and what they will be. */
  readonly factoryThen: readonly Binding[];
  readonly factoryNow: readonly Binding[];
  readonly mine: readonly Binding[];
  readonly after: readonly Binding[];
  /** Whether I, and whether the maker, changed its keys. */
  readonly changed: { readonly mine: boolean; readonly theirs: boolean };
  /** Why a person is asked, and what they can choose; the first is what happens unless they say otherwise. */
  readonly meets: readonly Meeting[];
  readonly choices: readonly MergeChoice['take'][];
  readonly chosen: MergeChoice;
};

/** What becomes of a keymap in the next version. */
export type Merge = {
  readonly keymap: Keymap;
  readonly lines: readonly MergeLine[];
  /** Commands of which I changed the keys, and that are gone. */
  readonly gone: readonly { readonly command: CommandId; readonly mine: readonly Binding[] }[];
};

export type MergeInput = {
  readonly before: VersionSide;
  readonly after: VersionSide;
  /** What is known of the program as it is now. */
  readonly facts: ProgramFacts;
  readonly place: Place;
  readonly links: readonly Link[];
  readonly mine: Keymap;
};

/** A line while it is worked on. */
type Draft = {
  -readonly [Key in keyof Omit<MergeLine, 'meets' | 'after'>]: MergeLine[Key];
} & { meets: Meeting[]; after: readonly Binding[] };

/**
 * A three-way merge of a keymap: the factory's keys then, the factory's keys now, mine. What is mine stays mine; what the
 * maker changed comes in where it meets nothing of mine; where both meet a person is asked, and mine stays unless they say
 * otherwise. Nothing clashes or is shadowed afterwards that was not so in my keymap or in the new factory's, and no
 * keeper moves.
 * @param answers what was chosen, by the commands of the new version.
 */
export function mergeKeymap(input: MergeInput, answers: ReadonlyMap<CommandId, MergeChoice> = new Map()): Merge {
  const { before, after, links, mine } = input;
  const sides = linksBySide(links);
  const drafts = new Map(
    after.program.commands.map(({ id }) => [id, lineOf(input, sides, id, answers.get(id))] as const),
  );
  settleMeetings(input, sides, drafts, answers);
  const bindings = new Map<CommandId, readonly Binding[]>();
  for (const [id, line] of drafts) if (line.after.length > 0) bindings.set(id, line.after);
  const spares = new Set(
    [...drafts.values()].filter((one) => one.was.some((id) => mine.spares.has(id))).map((one) => one.command),
  );
  const gone = before.program.commands
    .filter(({ id }) => !sides.from.has(id) && isMine(bindingsOf(before.factory, id), bindingsOf(mine, id)))
    .map(({ id }) => ({ command: id, mine: bindingsOf(mine, id) }));
  return { keymap: { bindings, spares }, lines: [...drafts.values()], gone };
}

/** The one ticket that makes a merged keymap of the new factory keys; null where it is the same. */
export function mergeTicket({ program }: VersionSide, factory: Keymap, { keymap }: Merge): Ticket | null {
  const changes = compareKeymaps(factory, keymap);
  return changes.length === 0 ? null : { title: `What was yours in ${program.name} ${program.version}`, changes };
}

const chordsOf = (list: readonly Binding[]): ReadonlySet<ChordText> => new Set(list.map((one) => one.chord));
const sameChords = (one: readonly Binding[], other: readonly Binding[]): boolean => {
  const chords = chordsOf(one);
  return chords.size === chordsOf(other).size && other.every(({ chord }) => chords.has(chord));
};
/** Whether I changed keys, or noted something on them that the factory's do not have. */
const isMine = (then: readonly Binding[], mine: readonly Binding[]): boolean =>
  !sameChords(then, mine) || mine.some((one) => marked(one, then));
/** Whether I noted something on a key. */
const marked = ({ chord, keeper, hook }: Binding, then: readonly Binding[]): boolean => {
  const had = then.find((one) => one.chord === chord);
  return keeper !== had?.keeper || hook !== had?.hook;
};

/** Keys with what I noted on them, else with what the factory's have now. */
function withMarks(
  keys: readonly Binding[],
  then: readonly Binding[],
  now: readonly Binding[],
  mine: readonly Binding[],
): readonly Binding[] {
  return keys.map(({ chord }) => {
    const [had, has, own] = [then, now, mine].map((list) => list.find((one) => one.chord === chord));
    const mark = own && (marked(own, then) || !has) ? own : (has ?? own ?? had);
    return binding(chord, mark?.keeper, mark?.hook);
  });
}
const both = (one: readonly Binding[], other: readonly Binding[]): readonly Binding[] => [
  ...one,
  ...other.filter(({ chord }) => !one.some((own) => own.chord === chord)),
];

/** What becomes of one command, whatever the others have. */
function lineOf(
  { before, after, mine }: MergeInput,
  { from, to }: Links,
  command: CommandId,
  answer: MergeChoice | undefined,
): Draft {
  const own = to.get(command) ?? [];
  const was = own.map((one) => one.before);
  const movers = was.filter((id) => isMine(bindingsOf(before.factory, id), bindingsOf(mine, id)));
  // Of several that became one, what I changed goes on.
  const origin = movers[0] ?? was[0] ?? null;
  const parts = origin === null ? [] : (from.get(origin) ?? []).map((one) => one.after);
  const now = bindingsOf(after.factory, command);
  const made = (line: Pick<Draft, 'factoryThen' | 'mine' | 'changed' | 'after'> & Partial<Draft>): Draft => ({
    ...{ command, was, factoryNow: now, meets: [], choices: [], chosen: { take: 'mine' } },
    ...line,
  });
  // It is new, or a part of what was split that my keys did not go to.
  if (origin === null || (parts.length > 1 && parts[0] !== command))
    return made({ factoryThen: [], mine: [], changed: { mine: false, theirs: now.length > 0 }, after: now });

  const [then, held] = [bindingsOf(before.factory, origin), bindingsOf(mine, origin)];
  const changed = { mine: isMine(then, held), theirs: !sameChords(then, now) };
  const [had, has, hold] = [chordsOf(then), chordsOf(now), chordsOf(held)];
  const tookAway = then.some(({ chord }) => !hold.has(chord));
  // A key on which I noted something is mine, though it is the factory's.
  const losesNoted = held.some((one) => had.has(one.chord) && !has.has(one.chord) && marked(one, then));
  const bothMoved = changed.theirs && !sameChords(held, now) && (tookAway || losesNoted);
  const unsure = own.find((one) => one.before === origin && one.confidence === 'check');
  const others = movers.slice(1).filter((id) => !sameChords(bindingsOf(mine, id), held));
  const meets: Meeting[] = [
    ...(bothMoved ? [{ kind: 'both moved' } as const] : []),
    ...(changed.mine && parts.length > 1
      ? [{ kind: 'split', others: parts.filter((one) => one !== command) } as const]
      : []),
    ...(others.length > 0 ? [{ kind: 'joined', from: [origin, ...others] } as const] : []),
    ...(changed.mine && unsure ? [{ kind: 'unsure', figure: unsure.figure } as const] : []),
  ];
  // What I only added stays beside what the maker has now.
  const added = held.filter(({ chord }) => !had.has(chord));
  const goesOn = sameKeys(then, held) ? now : bothMoved || tookAway || sameKeys(then, now) ? held : both(now, added);
  const keys = { mine: meets.length > 0 && sameKeys(then, held) ? held : goesOn, theirs: now, both: both(held, now) };
  const chosen = meets.length > 0 && answer ? answer : ({ take: 'mine' } as const);
  const taken = chosen.take === 'keys' ? [{ chord: chosen.chord }] : keys[chosen.take];
  return made({
    ...{ factoryThen: then, mine: held, changed, meets, chosen },
    choices: meets.length === 0 ? [] : bothMoved ? ['mine', 'theirs', 'both'] : ['mine', 'theirs'],
    after: withMarks(taken, then, now, held),
  });
}

/** Settles what meets: until nothing clashes but what clashed before, or in the new factory's keys. */
function settleMeetings(
  { facts, place, mine, after }: MergeInput,
  { to }: Links,
  drafts: Map<CommandId, Draft>,
  answers: ReadonlyMap<CommandId, MergeChoice>,
): void {
  const had = (command: CommandId, at: ChordText): boolean =>
    (to.get(command) ?? []).some((link) => bindingsOf(mine, link.before).some((one) => place(one.chord) === at));
  const makers = (command: CommandId, at: ChordText): boolean =>
    bindingsOf(after.factory, command).some((one) => place(one.chord) === at);
  const drop = (command: CommandId, at: ChordText): void => {
    const line = drafts.get(command);
    if (line) line.after = line.after.filter((one) => place(one.chord) !== at);
  };
  const keymap = (): Keymap => ({
    bindings: new Map([...drafts].map(([id, line]) => [id, line.after])),
    spares: new Set(),
  });
  const given = new Set<CommandId>();
  /** What two commands on one chord are to each other, by whose it is. */
  const meet = (at: ChordText, one: Holder, other: Holder): void => {
    const [a, b] = [one.command.id, other.command.id];
    if ((had(a, at) && had(b, at) && clashedBefore.has(`${at}\n${a}\n${b}`)) || (makers(a, at) && makers(b, at)))
      return;
    // Mine stays; of two of mine a keeper, else the one that comes first in the program.
    const [stays, goes] = had(b, at) && (!had(a, at) || (other.keeper && !one.keeper)) ? [other, one] : [one, other];
    const loser = drafts.get(goes.command.id) as Draft;
    const kind = had(goes.command.id, at) ? 'now clash' : 'is mine';
    loser.meets.push({ kind, chord: goes.chord, whose: stays.command.id, keeper: stays.keeper });
    const answer = answers.get(goes.command.id);
    const more: readonly MergeChoice['take'][] = stays.keeper ? ['mine', 'keys'] : ['mine', 'keys', 'theirs'];
    loser.choices = [...loser.choices, ...more.filter((one) => !loser.choices.includes(one))];
    if (answer && loser.choices.includes(answer.take)) loser.chosen = answer;
    // Whoever takes what is theirs takes it from no keeper.
    if (loser.chosen.take === 'theirs' && !stays.keeper) drop(stays.command.id, at);
    // Two keepers are left as they are: none moves without being asked.
    else if (!goes.keeper || kind === 'is mine') drop(goes.command.id, at);
    if (loser.chosen.take === 'keys' && !given.has(goes.command.id)) {
      given.add(goes.command.id);
      loser.after = both(loser.after, [{ chord: loser.chosen.chord }]);
    }
  };
  // In my keymap two commands may clash that are none of the new version's business.
  const clashedBefore = new Set<string>();
  const mineThere = new Map(
    [...drafts].map(([id]) => [id, (to.get(id) ?? []).flatMap((link) => bindingsOf(mine, link.before))] as const),
  );
  for (const [at, holders] of buildClashIndex(facts, { bindings: mineThere, spares: new Set() }, place).holders)
    for (const [a, b] of clashing(facts, holders)) clashedBefore.add(`${at}\n${a.command.id}\n${b.command.id}`);
  const emptied = new Set<CommandId>();
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const index = buildClashIndex(facts, keymap(), place);
    const before = [...drafts.values()].map((one) => one.after);
    for (const [at, holders] of index.holders)
      for (const [one, other] of clashing(facts, holders)) {
        const still = [one, other].every(({ command, chord }) =>
          drafts.get(command.id)?.after.some((own) => own.chord === chord),
        );
        if (still) meet(at, one, other);
      }
    // Who loses all that came in stays on what it had, where that is free.
    const losers = [...drafts.values()].filter(
      (line) =>
        line.after.length === 0 && line.meets.some((one) => one.kind === 'is mine') && !emptied.has(line.command),
    );
    const { holders: free } = losers.length > 0 ? buildClashIndex(facts, keymap(), place) : index;
    for (const line of losers) {
      emptied.add(line.command);
      const command = facts.commands.get(line.command) as Command;
      line.after = line.mine.filter(({ chord }) =>
        (free.get(place(chord)) ?? []).every((one) => !collide(facts, command, one.command)),
      );
    }
    if ([...drafts.values()].every((one, i) => sameBindings(one.after, before[i] ?? []))) return;
  }
}
/** Each round takes keys from somebody, so that there are few. */
const MOST_ROUNDS = 12;

/** Whether one of two commands on one chord is no longer heard, or not everywhere: a clash, or the one shadows the other. */
const collide = (facts: ProgramFacts, one: Command, other: Command): boolean => {
  const to = relation(facts, one, other);
  return to === 'clash' || to === 'shadow';
};

/** The pairs of holders of one chord that collide. */
function clashing(facts: ProgramFacts, holders: readonly Holder[]): (readonly [Holder, Holder])[] {
  return holders.flatMap((one, i) =>
    holders
      .slice(i + 1)
      .filter((other) => one.command.id !== other.command.id && collide(facts, one.command, other.command))
      .map((other) => [one, other] as const),
  );
}
