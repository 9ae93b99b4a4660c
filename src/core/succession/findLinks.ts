import { assignListed } from '../assignment/assignSorted';
import type { Known } from '../counterpart/counterpart';
import { findCounterparts } from '../counterpart/findCounterparts';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId, Program } from '../program/program';
import { fold } from '../text/fold';
import { groupBy } from '../text/groupBy';
import type { Link, SaidLink } from './link';
import { nameKey } from './sameProgram';
import { type Slots, slotsOf } from './slots';

/** One version of a program, and its factory keys. */
export type VersionSide = {
  readonly program: Program;
  readonly factory: Keymap;
  /** Whether its list says nothing of kinds and contexts. */
  readonly namesOnly?: boolean;
};

/** How much of the doubt that words leave is taken by standing in the same place, by the same keys, by the same menu. */
const BY_SLOT = 0.45;
const BY_KEYS = 0.35;
const BY_MENU = 0.1;
/** What other keys, and another kind, leave of a figure. */
const OTHER_KEYS = 0.94;
const OTHER_KIND = 0.6;
/** What is less likely is no link. */
const LEAST = 0.45;
/** From this on, and this far ahead of every rival, a link is sure; of names that have little to do with each other none. */
const SURE = 0.86;
const AHEAD = 0.15;
const SURE_WORDS = 0.72;
/** So alike are the names of one command and those it was split into, or was joined from. */
const PART = 0.62;

type Pair = { readonly before: number; readonly after: number; readonly figure: number; readonly words: number };

/**
 * What became of the commands of a version in the next: by names, places, kinds, factory keys and neighbors. What a person
 * said stands.
 */
export function findLinks(before: VersionSide, after: VersionSide, said: readonly SaidLink[] = []): readonly Link[] {
  const told = said.filter(
    (one): one is { before: string; after: string } => one.before !== null && one.after !== null,
  );
  const settled = {
    before: new Set(said.flatMap((one) => (one.before === null ? [] : [one.before]))),
    after: new Set(said.flatMap((one) => (one.after === null ? [] : [one.after]))),
  };
  const lists = [
    before.program.commands.filter((one) => !settled.before.has(one.id)),
    after.program.commands.filter((one) => !settled.after.has(one.id)),
  ] as const;
  const named = sameNames(...lists, after.namesOnly ?? false);
  const known = new Map<CommandId, Known>(
    [...named, ...told.map((one) => [one.before, one.after] as const)].map(([one, counterpart]) => [
      one,
      { counterpart, through: null },
    ]),
  );
  const taken = new Set([...known.values()].map((one) => one.counterpart));
  const [rows, columns] = [lists[0].filter((one) => !known.has(one.id)), lists[1].filter((one) => !taken.has(one.id))];
  const slots = slotsOf(before.program.commands, after.program.commands, known, rows, columns);
  const pairs = likelyPairs(before, after, rows, columns, known, slots);
  const chosen = best(pairs, rows.length, columns.length);
  const [ofRow, ofColumn] = [groupBy(pairs, (one) => one.before), groupBy(pairs, (one) => one.after)];
  const figureOf = {
    row: new Map(chosen.map((one) => [one.before, one.figure])),
    column: new Map(chosen.map((one) => [one.after, one.figure])),
  };
  const found = chosen.map((pair): Link => {
    const rivals = [...(ofRow.get(pair.before) ?? []), ...(ofColumn.get(pair.after) ?? [])].filter((one) => {
      if (one === pair) return false;
      // What is given to somebody with whom it is likelier is no rival.
      const taken = one.before === pair.before ? figureOf.column.get(one.after) : figureOf.row.get(one.before);
      return (taken ?? 0) <= one.figure;
    });
    const rival = Math.max(0, ...rivals.map((one) => one.figure));
    const sure = pair.figure >= SURE && pair.words >= SURE_WORDS && pair.figure - rival >= AHEAD;
    return {
      before: (rows[pair.before] as Command).id,
      after: (columns[pair.after] as Command).id,
      confidence: sure ? 'sure' : 'check',
      figure: pair.figure,
    };
  });
  const links: Link[] = [
    ...told.map((one): Link => ({ ...one, confidence: 'said', figure: 1 })),
    ...[...named].map(([one, other]): Link => ({ before: one, after: other, confidence: 'sure', figure: 1 })),
    ...found,
  ];
  const order = new Map(before.program.commands.map((one, i) => [one.id, i]));
  return [...links, ...parts(before, after, rows, columns, links, pairs)].sort(
    (a, b) => (order.get(a.before) ?? 0) - (order.get(b.before) ?? 0),
  );
}

/** Commands that are called the same: in the same place, else where only one is called so on either side. */
function sameNames(
  left: readonly Command[],
  right: readonly Command[],
  namesOnly: boolean,
): ReadonlyMap<CommandId, CommandId> {
  const pairs = new Map<CommandId, CommandId>();
  const taken = new Set<CommandId>();
  const inPlace = (one: Command): string => [nameKey(one.name), ...one.path.map(fold)].join('\n');
  for (const keyOf of [inPlace, (one: Command) => nameKey(one.name)]) {
    const [one, other] = [
      groupBy(
        left.filter((command) => !pairs.has(command.id)),
        keyOf,
      ),
      groupBy(
        right.filter((command) => !taken.has(command.id)),
        keyOf,
      ),
    ];
    for (const [key, [a, ...more]] of one) {
      const [b, ...others] = other.get(key) ?? [];
      if (!a || !b || more.length + others.length > 0 || (a.kind !== b.kind && !namesOnly)) continue;
      pairs.set(a.id, b.id);
      taken.add(b.id);
    }
  }
  return pairs;
}

/** What may have become of what, all evidence together. */
function likelyPairs(
  before: VersionSide,
  after: VersionSide,
  rows: readonly Command[],
  columns: readonly Command[],
  known: ReadonlyMap<CommandId, Known>,
  slots: Slots,
): readonly Pair[] {
  const keysOf =
    ({ factory }: VersionSide) =>
    (id: CommandId) =>
      bindingsOf(factory, id).map((one) => one.chord);
  const [keysBefore, keysAfter] = [keysOf(before), keysOf(after)];
  const numberOf = new Map(columns.map((one, a) => [one.id, a]));
  const words = new Map<CommandId, Map<number, number>>();
  const counterparts =
    findCounterparts(before.program.commands, after.program.commands, {
      leftKeys: () => [],
      rightKeys: () => [],
      known,
      alone: new Set(),
      lessons: [],
    }) ?? [];
  for (const { command, candidates } of counterparts) {
    const own = new Map<number, number>();
    for (const { command: other, figure, likeness } of candidates) {
      const column = numberOf.get(other);
      if (column !== undefined) own.set(column, likeness.opposed ? figure / 2 : likeness.figure);
    }
    words.set(command, own);
  }
  return rows.flatMap((one, b) => {
    const keys = new Set(keysBefore(one.id));
    const alikeTo = words.get(one.id);
    return [...new Set([...(alikeTo?.keys() ?? []), ...slots.near(b)])].flatMap((a): Pair[] => {
      const other = columns[a] as Command;
      const alike = alikeTo?.get(a) ?? 0;
      const there = keysAfter(other.id);
      const kept = there.some((chord) => keys.has(chord));
      let doubt = (1 - alike) * (1 - BY_SLOT * slots.of(b, a)) * (1 - (kept ? BY_KEYS : 0));
      if (one.path.join('\n') === other.path.join('\n')) doubt *= 1 - BY_MENU;
      let figure = 1 - doubt;
      if (!kept && keys.size > 0 && there.length > 0) figure *= OTHER_KEYS;
      if (!after.namesOnly && (one.kind !== other.kind || one.context !== other.context)) figure *= OTHER_KIND;
      return figure >= LEAST ? [{ before: b, after: a, figure, words: alike }] : [];
    });
  });
}

/** The best one-to-one choice among the pairs. */
function best(pairs: readonly Pair[], rows: number, columns: number): readonly Pair[] {
  const price = (figure: number): number => Math.round(1_000_000 * (1 - figure ** 3));
  const byRow = [...pairs].sort((a, b) => a.before - b.before || b.figure - a.figure);
  const starts = new Int32Array(rows + 1);
  for (const one of byRow) starts[one.before + 1] = (starts[one.before + 1] as number) + 1;
  for (let row = 0; row < rows; row++) starts[row + 1] = (starts[row + 1] as number) + (starts[row] as number);
  const columnOf = assignListed(
    {
      ...{ rows, columns, starts },
      columnAt: Int32Array.from(byRow, (one) => one.after),
      costs: Float64Array.from(byRow, (one) => price(one.figure)),
      without: new Float64Array(rows).fill(price(0)),
    },
    () => true,
  );
  return pairs.filter((one) => columnOf?.[one.before] === one.after);
}

/** What else a renamed command became, or came from: what is called much like it, stands beside it and has no link. */
function parts(
  before: VersionSide,
  after: VersionSide,
  rows: readonly Command[],
  columns: readonly Command[],
  links: readonly Link[],
  pairs: readonly Pair[],
): readonly Link[] {
  const placeIn = (side: VersionSide) => new Map(side.program.commands.map((one, i) => [one.id, i]));
  const [placeBefore, placeAfter] = [placeIn(before), placeIn(after)];
  const nameIn = (side: VersionSide) => new Map(side.program.commands.map((one) => [one.id, one.name]));
  const [nameBefore, nameAfter] = [nameIn(before), nameIn(after)];
  const isBeside = (places: ReadonlyMap<CommandId, number>, a: CommandId, b: CommandId): boolean =>
    Math.abs((places.get(a) ?? 0) - (places.get(b) ?? 0)) <= 2;
  const fromLink = new Map(links.map((one) => [one.before, one]));
  const toLink = new Map(links.map((one) => [one.after, one]));
  return pairs
    .filter((one) => one.words >= PART)
    .flatMap(({ before: b, after: a, figure }): Link[] => {
      const [one, other] = [(rows[b] as Command).id, (columns[a] as Command).id];
      const [heir, origin] = [fromLink.get(one), toLink.get(other)];
      const split = heir && !origin && isBeside(placeAfter, heir.after, other);
      const joined = origin && !heir && isBeside(placeBefore, origin.before, one);
      const renamed = heir
        ? nameBefore.get(one) !== nameAfter.get(heir.after)
        : nameBefore.get(origin?.before ?? '') !== nameAfter.get(other);
      return (split || joined) && renamed ? [{ before: one, after: other, confidence: 'check', figure }] : [];
    });
}
