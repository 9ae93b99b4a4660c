import type { Assignment } from '../assignment/assign';
import type { ChordText } from '../chord/chord';
import { type ClashIndex, relation } from '../clash/clashIndex';
import { type Binding, bindingsOf, type Keymap, sameBindings } from '../keymap/keymap';
import { applyTicket, type Change, type Ticket } from '../keymap/ticket';
import type { Command, CommandId } from '../program/program';
import { counted } from '../text/sentence';
import { type Advisor, type ChordFacts, type Weighed, WORTH, wantsOf, weigh } from './advisor';
import { areNext } from './beside';
import { buildPlanTable, chordIn, type PlanRow, type PlanTable } from './planTable';
import { type Near, type Pair, searchPairs } from './searchPairs';
import type { Plan, PlanLine, WishList } from './wishList';

/** How much work the search for pairs may do: cells looked at, all plain assignments together. */
const WORK = 6_000_000;
const FEWEST_NODES = 8;
const MOST_NODES = 600;

/**
 * The best whole plan for a wish list: chords for all wishes at once, at the least cost over all of them, where a cost is
 * how hard the keys are to reach less what speaks for them, times uses a day. Keepers, what the program fixes, and what was
 * said to stay are never touched; no chord is given that anything stands in the way of.
 * @param usesOf how often a day a command is used.
 * @returns null when progress says to stop.
 */
export function planWishes(
  advisor: Advisor,
  index: ClashIndex,
  list: WishList,
  usesOf: (command: Command) => number,
  progress?: (done: number, of: number) => boolean,
): Plan | null {
  const table = buildPlanTable(advisor, index, list, usesOf);
  const pairs = pairsOf(advisor, table);
  const nodes = Math.round(WORK / Math.max(1, table.rows * table.columns));
  const near = nearIn(advisor, table);
  const found = searchPairs(table, pairs, near, Math.min(MOST_NODES, Math.max(FEWEST_NODES, nodes)), progress);
  if (!found) return null;
  const before = new Int32Array(table.rows);
  table.list.forEach((row, r) => {
    before[r] = row.ownColumn;
  });
  const rowCosts = rowCostsOf(table, pairs, near);
  const cost = (columnOf: Int32Array): number => rowCosts(columnOf).reduce((sum, one) => sum + one, 0);
  const polished = found.cost <= found.bound ? found.columnOf : undoWhatDoesNotPay(table, found, before, cost);
  const firstCosts = rowCosts(before, true);
  const atFirst = firstCosts.reduce((sum, one) => sum + one, 0);
  const now = cost(polished);
  const most = atFirst - found.bound;
  const chosen = { columnOf: polished, cost: now };
  const ticket = ticketOf(index.keymap, advisor, list, table, chosen);
  return {
    lines: linesOf(advisor, index, list, table, chosen, ticket, pairs, [firstCosts, rowCosts(polished)]),
    proven: now <= found.bound,
    share: most <= 0 ? 1 : Math.min(1, (atFirst - now) / most),
    lostPins: table.lostPins,
    ticket,
  };
}

/** The rows whose commands are partners of each other. */
function pairsOf({ partnerOf }: Advisor, { list }: PlanTable): Pair[] {
  const rowOf = new Map(list.map((row, r) => [row.command.id, r]));
  return list.flatMap((row, a) => {
    const b = rowOf.get(partnerOf(row.command)?.id ?? '');
    return b !== undefined && a < b && row.wish && list[b]?.wish ? [{ a, b }] : [];
  });
}

/** For every row and column, where its partner would have to be. */
function nearIn({ where }: Advisor, { list, chords }: PlanTable): Near {
  const columnOf = new Map(chords.map((one, j) => [one.place, j]));
  const layer = new Map<string, number[]>();
  chords.forEach((one, j) => {
    const text = one.modifiers.join('+');
    layer.set(text, [...(layer.get(text) ?? []), j]);
  });
  const known = new Map<number, readonly (readonly [number, number])[]>();
  const around = (column: number): readonly (readonly [number, number])[] => {
    let found = known.get(column);
    if (found) return found;
    const chord = chords[column];
    const key = chord && where.keyboard.byCode.get(chord.code);
    if (!chord || !key) return [];
    const besides = (layer.get(chord.modifiers.join('+')) ?? []).filter((j) => {
      const other = where.keyboard.byCode.get(chords[j]?.code ?? '');
      return j !== column && other !== undefined && areNext(key, other);
    });
    const withShift = chords.findIndex(
      (other, j) =>
        j !== column &&
        other.code === chord.code &&
        other.modifiers.filter((one) => one !== 'Shift').join() ===
          chord.modifiers.filter((one) => one !== 'Shift').join(),
    );
    found = [
      ...besides.map((j) => [j, WORTH.partner] as const),
      ...(withShift >= 0 ? [[withShift, WORTH.partnerWithShift] as const] : []),
    ];
    known.set(column, found);
    return found;
  };
  const none: readonly (readonly [number, number])[] = [];
  const scaled = new Map<string, readonly (readonly [number, number])[]>();
  return (r, column) => {
    const row = list[r] as PlanRow;
    // Its own keys outside the table lie beside others only if they are in the table all the same.
    const at = column >= 0 ? column : row.own === null ? -1 : (columnOf.get(where.place(row.own)) ?? -1);
    if (at < 0) return none;
    const id = `${row.uses} ${at}`;
    let gains = scaled.get(id);
    if (!gains) {
      gains = around(at).map(([j, worth]) => [j, Math.round(1000 * row.uses * worth)] as const);
      scaled.set(id, gains);
    }
    return gains;
  };
}

/**
 * What each row costs under a choice of columns, its own part of a pair's gain taken off. As things were at first, its own
 * keys cost what they cost even where they have been ruled out since.
 */
function rowCostsOf(
  table: PlanTable,
  pairs: readonly Pair[],
  near: Near,
): (columnOf: Int32Array, atFirst?: boolean) => Float64Array {
  const partners = new Map(pairs.flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]));
  return (columnOf, atFirst = false) =>
    Float64Array.from(columnOf, (column, r) => {
      const cost = column < 0 ? table.without[r] : table.costs[r * table.columns + column];
      const partner = partners.get(r);
      const gain = partner === undefined ? undefined : near(r, column).find(([one]) => one === columnOf[partner])?.[1];
      return ((atFirst ? table.list[r]?.stay : cost) as number) - (gain ?? 0);
    });
}

/**
 * Where the search ended before a proof, a row may have been moved for nothing: each chain of rows that took the keys of
 * one another is taken back from some row on if that costs no more. In a proven plan there is no such chain.
 */
function undoWhatDoesNotPay(
  table: PlanTable,
  found: { readonly columnOf: Int32Array },
  before: Int32Array,
  cost: (columnOf: Int32Array) => number,
): Int32Array {
  let now = found.columnOf;
  for (let again = true; again; ) {
    again = false;
    for (const chain of chainsOf(table, now, before).flatMap(({ rows, ring }) =>
      ring ? [rows] : rows.map((_, i) => rows.slice(i)),
    )) {
      const back = now.slice();
      for (const r of chain) back[r] = before[r] as number;
      const [was, would] = [cost(now), cost(back)];
      if (Number.isFinite(would) && would <= was) {
        now = back;
        again = true;
        break;
      }
    }
  }
  return now;
}

type Chain = { readonly rows: readonly number[]; readonly ring: boolean };

/** Rows that changed, in chains: each has given its column to the next, in a ring the last to the first. */
function chainsOf({ list }: PlanTable, now: Int32Array, before: Int32Array): Chain[] {
  const takerOf = new Map<number, number>();
  now.forEach((column, r) => {
    if (column >= 0) takerOf.set(column, r);
  });
  const changed = list.map((_, r) => r).filter((r) => now[r] !== before[r]);
  const takes = new Set(changed.map((r) => next(r)).filter((r) => r >= 0));
  function next(r: number): number {
    const own = before[r] as number;
    const taker = own >= 0 ? (takerOf.get(own) ?? -1) : -1;
    return taker === r ? -1 : taker;
  }
  const seen = new Set<number>();
  // Those whose own keys nobody else waits for begin a chain; what is left goes around in a ring.
  return [...changed.filter((r) => !takes.has(r)), ...changed].flatMap((start) => {
    const chain: number[] = [];
    for (let r = start; r >= 0 && !seen.has(r); r = next(r)) {
      seen.add(r);
      chain.push(r);
    }
    return chain.length > 0 ? [{ rows: chain, ring: takes.has(start) }] : [];
  });
}

/** The chord of a row under a choice of columns; null where it has none that the plan knows of. */
function chordOf(table: PlanTable, { columnOf }: Assignment, r: number): ChordText | null {
  const row = table.list[r] as PlanRow;
  const column = columnOf[r] as number;
  if (column === row.ownColumn) return row.own;
  return column < 0 ? null : chordIn(row, table.chords[column] as PlanTable['chords'][number]);
}

/** The plan as one ticket; null where it changes nothing. */
function ticketOf(
  keymap: Keymap,
  advisor: Advisor,
  list: WishList,
  table: PlanTable,
  chosen: Assignment,
): Ticket | null {
  const after = new Map<CommandId, readonly Binding[]>();
  const now = (id: CommandId): readonly Binding[] => after.get(id) ?? bindingsOf(keymap, id);
  const { facts, where } = advisor;
  const takers = new Map<ChordText, Command[]>();
  table.list.forEach((row, r) => {
    const chord = chordOf(table, chosen, r);
    if (chord === row.own) return;
    const bindings = now(row.command.id);
    const had = bindings.find((one) => one.chord === row.own);
    const added = chord === null ? [] : [withHook(advisor.chord(chord), had)];
    if (chord !== null) takers.set(where.place(chord), [...(takers.get(where.place(chord)) ?? []), row.command]);
    after.set(row.command.id, had ? bindings.flatMap((one) => (one === had ? added : [one])) : [...bindings, ...added]);
  });
  for (const id of keymap.spares) {
    if (list.wishes.includes(id)) continue;
    const spare = facts.commands.get(id);
    // One that is heard elsewhere, or in turns, keeps what another gets besides.
    const taken = ({ chord }: Binding): boolean =>
      spare !== undefined &&
      (takers.get(where.place(chord)) ?? []).some((one) => relation(facts, one, spare) === 'clash');
    const left = now(id).filter((one) => one.keeper || !taken(one));
    if (left.length < now(id).length) after.set(id, left);
  }
  const changes = [...after]
    .map(([command, bindings]): Change => ({ command, before: bindingsOf(keymap, command), after: bindings }))
    .filter((change) => !sameBindings(change.before, change.after));
  if (changes.length === 0) return null;
  const wishes = new Set(list.wishes);
  const got = changes.filter((change) => wishes.has(change.command)).length;
  // Those that were wished for stand first, so that the ticket opens with them.
  changes.sort((a, b) => Number(wishes.has(b.command)) - Number(wishes.has(a.command)));
  return { title: `Wish list: keys for ${counted(got, 'command')}`, changes };
}

/** A hook goes along where its letter still fits. */
function withHook({ chord, key }: ChordFacts, had: Binding | undefined): Binding {
  const letter = had?.hook?.match(/\p{L}/u)?.[0]?.toUpperCase();
  return letter !== undefined && had?.hook !== undefined && key === letter ? { chord, hook: had.hook } : { chord };
}

function linesOf(
  advisor: Advisor,
  index: ClashIndex,
  list: WishList,
  table: PlanTable,
  chosen: Assignment,
  ticket: Ticket | null,
  pairs: readonly Pair[],
  costs: readonly [atFirst: Float64Array, now: Float64Array],
): PlanLine[] {
  const { where } = advisor;
  const { keymap } = index;
  const done = ticket ? applyTicket(keymap, ticket) : keymap;
  const before = Int32Array.from(table.list, (row) => row.ownColumn);
  const [atFirst, now] = costs;
  const weighed = (row: PlanRow, chord: ChordText | null): Weighed | null =>
    chord === null ? null : weigh(advisor, wantsOf(advisor, done, row.command), chord);
  const takers = new Map<ChordText, CommandId>();
  table.list.forEach((row, r) => {
    const chord = chordOf(table, chosen, r);
    if (chord !== null && chord !== row.own) takers.set(where.place(chord), row.command.id);
  });
  const payers = payersOf(table, pairs, chosen.columnOf, before);
  const pinned = new Set(list.pins.map(([id, chord]) => `${id} ${where.place(chord)}`));
  const lost = new Set(table.lostPins.map(([id]) => id));
  const told = new Set([...list.pins, ...list.forbids].map(([id]) => id));
  const idOf = (r: number): CommandId => (table.list[r] as PlanRow).command.id;
  const gainOf = (r: number): number => (atFirst[r] as number) - (now[r] as number);
  /** Those that gain, the one that gains most first, and those of whom a person said what they get. */
  const paying = (rows: readonly number[]): CommandId[] => {
    const pay = rows.filter((one) => gainOf(one) > 0 || told.has(idOf(one)));
    return (pay.length > 0 ? pay : [...rows]).sort((a, b) => gainOf(b) - gainOf(a)).map(idOf);
  };
  const lines = table.list.flatMap((row, r): PlanLine[] => {
    const id = row.command.id;
    const chord = chordOf(table, chosen, r);
    if (!row.wish && chord === row.own) return [];
    const after = weighed(row, chord);
    const gain = gainOf(r);
    const holders = chord === null || chord === row.own ? [] : (index.holders.get(where.place(chord)) ?? []);
    const to = row.own === null || chord === row.own ? null : (takers.get(where.place(row.own)) ?? null);
    return [
      {
        command: id,
        role: row.wish ? 'wish' : 'giver',
        uses: row.uses,
        before: row.own === null ? null : weigh(advisor, row.wants, row.own),
        after,
        reasons: after?.reasons ?? [],
        from: holders.map((one) => one.command.id).filter((one) => one !== id),
        to,
        pinned: chord !== null && !lost.has(id) && pinned.has(`${id} ${where.place(chord)}`),
        troubled: row.troubled,
        paidBy: gain < 0 ? paying(payers.get(r) ?? []) : [],
        gain: gain / 1000,
      },
    ];
  });
  const spares = (ticket?.changes ?? [])
    .filter((change) => keymap.spares.has(change.command) && !list.wishes.includes(change.command))
    .flatMap((change): PlanLine[] =>
      change.before
        .filter((one) => !change.after.includes(one))
        .map((one) => ({
          command: change.command,
          role: 'spare',
          uses: 0,
          before: weigh(
            advisor,
            wantsOf(advisor, keymap, advisor.facts.commands.get(change.command) as Command),
            one.chord,
          ),
          after: null,
          reasons: [],
          from: [],
          to: takers.get(where.place(one.chord)) ?? null,
          pinned: false,
          troubled: false,
          paidBy: [],
          gain: 0,
        })),
    );
  return [...lines, ...spares];
}

/**
 * For every row that changed, the rows whose gain may pay for it: those that took its keys and theirs, their partners,
 * and those that pay for these in turn.
 */
function payersOf(
  table: PlanTable,
  pairs: readonly Pair[],
  now: Int32Array,
  before: Int32Array,
): ReadonlyMap<number, readonly number[]> {
  const partners = new Map(pairs.flatMap(({ a, b }) => [[a, b] as const, [b, a] as const]));
  const takers = new Map(
    chainsOf(table, now, before).flatMap(({ rows, ring }) =>
      rows.map((row, i) => [row, ring ? [...rows.slice(i + 1), ...rows.slice(0, i)] : rows.slice(i + 1)] as const),
    ),
  );
  return new Map(
    [...takers.keys()].map((row) => {
      const found = new Set([row]);
      // What is added is gone through in turn.
      for (const one of found)
        for (const next of [...(takers.get(one) ?? []), partners.get(one) ?? row]) found.add(next);
      return [row, [...found].slice(1)];
    }),
  );
}
