import type { CostTable } from '../assignment/costTable';
import type { ChordText } from '../chord/chord';
import type { ClashIndex, Holder } from '../clash/clashIndex';
import { findingsFor, weightOf } from '../clash/verdict';
import { type Binding, bindingsOf, type Keymap } from '../keymap/keymap';
import type { Command, CommandId } from '../program/program';
import { type Advisor, costOfChord, type Wants, wantsOf } from './advisor';
import { type Candidate, candidatesOn } from './candidates';
import { columnCosts } from './columnCosts';
import { freeColumns, heldTwin } from './freeColumns';
import { usualForms } from './usualForms';
import type { WishList } from './wishList';

/** Costs are whole numbers: thousandths of the measure of reach, times uses a day. */
const SCALE = 1000;
/** Added to the cost of every chord so that none is negative; each row has exactly one, so it changes nothing. */
const BASE = 1;
/** What having no key costs, in the measure of reach. */
const NO_KEY = 1.6;
/** What learning other keys costs, in the measure of reach. */
const RELEARN = 0.04;
/** What it costs besides if somebody who asked for nothing has to move, or loses the keys, in uses a day. */
const PUSHED = 2;

/** Keys of which this is so are as good as none. */
const TROUBLES: ReadonlySet<string> = new Set(['stops', 'asks', 'warns']);

/** A row of the table: one command that is to get a chord, or somebody's chord that may be spent. */
export type PlanRow = {
  readonly command: Command;
  readonly wish: boolean;
  readonly uses: number;
  readonly wants: Wants;
  /** The chord that the plan may change; null where the command has none or only such as stay. */
  readonly own: ChordText | null;
  /** Its column, -1 where nobody else could take it. */
  readonly ownColumn: number;
  /** What staying costs. */
  readonly stay: number;
  /** Whether its own chord can't be relied on: it is wrong or may not be heard. */
  readonly troubled: boolean;
  /** Whether it stays as it is: a keeper, or what a plan on the tape has settled. */
  readonly stays: boolean;
};

/** Wishes and chords as a table of costs, with what its rows and columns stand for. */
export type PlanTable = CostTable & {
  readonly list: readonly PlanRow[];
  readonly chords: readonly Candidate[];
  readonly lostPins: WishList['pins'];
};

/** The chord a row gets in a column: held where its command acts while held. */
export function chordIn(row: PlanRow, candidate: Candidate): ChordText {
  const held = row.command.kind === 'held action' ? `hold:${candidate.chord}` : candidate.chord;
  // Its own keys stay as they were written.
  return row.own !== null && row.own === held ? row.own : held;
}

/** Builds the table of a wish list for a keymap. */
export function buildPlanTable(
  advisor: Advisor,
  index: ClashIndex,
  list: WishList,
  usesOf: (command: Command) => number,
): PlanTable {
  const { facts, where } = advisor;
  const { keymap } = index;
  const wanted = new Set(list.wishes);
  const chords = candidatesOn(where, list.layers, list.functionKeys).slice();
  const columnOf = new Map(chords.map((one, i) => [one.place, i]));
  addPinned(advisor, list, chords, columnOf);
  const stays = new Set(list.stays);
  // The partner of a wish stays where the wish is to come beside it.
  for (const id of list.wishes) {
    const wish = facts.commands.get(id);
    const partner = wish && advisor.partnerOf(wish);
    if (partner && !wanted.has(partner.id)) stays.add(partner.id);
  }
  const spent = (id: CommandId, binding: { readonly keeper?: boolean }): boolean =>
    list.spendSpares && keymap.spares.has(id) && !wanted.has(id) && !stays.has(id) && !binding.keeper;
  const movable = (binding: Binding): boolean =>
    !binding.keeper &&
    !facts.fixed.has(binding.chord) &&
    !facts.fixed.has(where.place(binding.chord)) &&
    plain(binding.chord);
  const alone = (chord: ChordText, id: CommandId): boolean =>
    (index.holders.get(where.place(chord)) ?? []).every(
      (holder) => holder.command.id === id || spent(holder.command.id, holder),
    ) && !index.holders.has(heldTwin(where.place(chord)));

  const troubled = (command: Command, chord: ChordText): boolean =>
    findingsFor(index, where, command, chord).some((one) => TROUBLES.has(weightOf(one)));
  const settled = new Map(list.settled);
  const rows: Omit<PlanRow, 'stay'>[] = [];
  for (const id of list.wishes) {
    const command = facts.commands.get(id);
    if (!command) continue;
    const wants = wantsOf(advisor, keymap, command);
    const bindings = bindingsOf(keymap, id);
    const may = bindings.filter(movable).map(({ chord }) => chord);
    const said = settled.get(id);
    const done = said !== undefined && (said === null ? bindings.length === 0 : bindings.some((b) => b.chord === said));
    const own =
      done && said !== null
        ? may.find((chord) => chord === said)
        : may.map((chord) => ({ chord, cost: costOfChord(advisor, wants, chord) })).sort((a, b) => a.cost - b.cost)[0]
            ?.chord;
    const at = own === undefined ? undefined : columnOf.get(base(where.place(own)));
    const bad = own !== undefined && troubled(command, own);
    // A keeper is not to be lost, nor given keys beside it that nobody asked for.
    const stays = bad ? false : done || (may.length === 0 && bindings.some((one) => one.keeper));
    const column = own !== undefined && at !== undefined && !stays && alone(own, id) ? at : -1;
    rows.push({
      command,
      wish: true,
      uses: usesOf(command),
      wants,
      own: own ?? null,
      ownColumn: column,
      troubled: bad,
      stays,
    });
  }
  if (list.spendBelow !== null) {
    for (const command of facts.program.commands) {
      if (wanted.has(command.id) || stays.has(command.id) || keymap.spares.has(command.id)) continue;
      const uses = usesOf(command);
      if (uses > list.spendBelow || settled.has(command.id)) continue;
      // Of several chords the dearest stays.
      const wants = wantsOf(advisor, keymap, command);
      const [own] = bindingsOf(keymap, command.id)
        .filter((one) => movable(one) && columnOf.has(base(where.place(one.chord))) && alone(one.chord, command.id))
        .map(({ chord }) => ({ chord, cost: costOfChord(advisor, wants, chord) }))
        .sort((a, b) => b.cost - a.cost);
      if (!own) continue;
      const ownColumn = columnOf.get(base(where.place(own.chord))) ?? -1;
      rows.push({ command, wish: false, uses, wants, own: own.chord, ownColumn, troubled: false, stays: false });
    }
  }
  // Two who would both stay on one column stay there by themselves.
  const onColumn = new Map<number, number>();
  for (const { ownColumn } of rows) onColumn.set(ownColumn, (onColumn.get(ownColumn) ?? 0) + 1);
  const inTable = rows.filter((row) => row.wish || onColumn.get(row.ownColumn) === 1);
  const own = inTable.map((row) => (row.ownColumn >= 0 && (onColumn.get(row.ownColumn) ?? 0) > 1 ? -1 : row.ownColumn));
  const moving = inTable.map((row, i) => ({ ...row, ownColumn: own[i] ?? -1 }));

  const movingChords = new Map(moving.filter((row) => row.ownColumn >= 0).map((row) => [row.command.id, row.own]));
  // Of spares only the very keys may be taken; whoever may move leaves all there is to do with theirs.
  const goes = (holder: Holder): boolean => movingChords.get(holder.command.id) === holder.chord;
  const free = freeColumns(
    advisor,
    index,
    chords,
    goes,
    (holder) => spent(holder.command.id, holder),
    usualForms(facts, keymap),
  );
  return fill(advisor, keymap, list, moving, movingChords, chords, free, columnOf);
}

function fill(
  advisor: Advisor,
  keymap: Keymap,
  list: WishList,
  moving: readonly Omit<PlanRow, 'stay'>[],
  movingChords: ReadonlyMap<CommandId, ChordText | null>,
  chords: readonly Candidate[],
  free: (command: Command) => Uint8Array,
  columnOf: ReadonlyMap<ChordText, number>,
): PlanTable {
  const { where } = advisor;
  const columns = chords.length;
  const costs = new Float64Array(moving.length * columns).fill(Infinity);
  const leave = new Float64Array(moving.length);
  const forbidden = new Map<CommandId, Set<ChordText>>();
  for (const [id, chord] of list.forbids)
    forbidden.set(id, (forbidden.get(id) ?? new Set<ChordText>()).add(where.place(chord)));
  const pins = new Map(list.pins.map(([id, chord]) => [id, where.place(chord)]));
  const lostPins: (readonly [CommandId, ChordText])[] = [];
  const inPlan = new Set(moving.map((row) => row.command.id));
  const costsFor = columnCosts(advisor, chords);
  const rows = moving.map((given, r): PlanRow => {
    const { command, uses, own, ownColumn, wish } = given;
    // Where the partner may move as well, the two are weighed together, not here.
    const partner = given.wants.partner;
    const wants =
      partner && inPlan.has(partner.id) ? wantsOf(advisor, keymap, command, movingChords.get(partner.id)) : given.wants;
    const cost = (chord: ChordText): number => costOfChord(advisor, wants, chord);
    const priced = (figure: number, pushed = 0): number => Math.round(SCALE * (uses * (figure + BASE) + pushed));
    const others = bindingsOf(keymap, command.id)
      .filter((one) => one.chord !== own)
      .map((one) => cost(one.chord));
    const lost = Math.min(NO_KEY, ...others);
    const kept = own === null || given.troubled ? lost : Math.min(cost(own), lost);
    const ruledOut = forbidden.get(command.id);
    const forbids = (chord: ChordText): boolean => ruledOut?.has(where.place(chord)) ?? false;
    const pinnedTo = wish ? pins.get(command.id) : undefined;
    const pinnedColumn = pinnedTo === undefined ? -1 : (columnOf.get(base(pinnedTo)) ?? -1);
    const cells = free(command);
    const row: PlanRow = { ...given, wants, stay: priced(kept) };
    const offset = r * columns;
    const weighed = costsFor(wants);
    // The same as priced, with what is so of the whole row worked out once.
    const scaled = SCALE * uses;
    const added = priced(0) + (wish ? (own === null ? 0 : scaled * RELEARN) : scaled * RELEARN + SCALE * PUSHED);
    for (let j = 0; j < columns; j++) {
      if (j === ownColumn) {
        if (own !== null && !forbids(own)) costs[offset + j] = row.stay;
        continue;
      }
      if (!cells[j] || (given.stays && j !== pinnedColumn)) continue;
      if (ruledOut && forbids(chordIn(row, chords[j] as Candidate))) continue;
      // Whoever asked for nothing is never moved for its own good.
      const here = weighed[j] as number;
      costs[offset + j] = Math.round(added + scaled * (wish || here > kept ? here : kept));
    }
    // Left out: where its own keys can't be taken it stays on them, else it loses them.
    const staysAlone = own === null || ownColumn < 0;
    leave[r] = given.stays
      ? row.stay
      : staysAlone && !(own !== null && forbids(own))
        ? row.stay
        : priced(lost, wish ? 0 : 2 * PUSHED);
    if (pinnedTo !== undefined) {
      const here = own !== null && where.place(own) === pinnedTo;
      const reachable = pinnedColumn >= 0 && Number.isFinite(costs[offset + pinnedColumn]);
      if (here && staysAlone) {
        costs.fill(Infinity, offset, offset + columns);
        leave[r] = row.stay;
      } else if (reachable) {
        const only = costs[offset + pinnedColumn] as number;
        costs.fill(Infinity, offset, offset + columns);
        costs[offset + pinnedColumn] = only;
        leave[r] = Infinity;
      } else lostPins.push([command.id, pinnedTo]);
    }
    return row;
  });
  return { rows: rows.length, columns, costs, without: leave, list: rows, chords, lostPins };
}

/** Pinned chords that no chosen layer has are columns as well. */
function addPinned({ where }: Advisor, list: WishList, chords: Candidate[], columnOf: Map<ChordText, number>): void {
  const pinned = new Set(list.pins.map(([, chord]) => base(where.place(chord))));
  const missing = [...pinned].filter((place) => !columnOf.has(place));
  if (missing.length === 0) return;
  const all = candidatesOn(where, allLayers(missing), true);
  for (const one of all) {
    if (!missing.includes(one.place)) continue;
    columnOf.set(one.place, chords.length);
    chords.push(one);
  }
}

const allLayers = (places: readonly ChordText[]): Candidate['modifiers'][] =>
  places.map((place) => place.split('+').slice(0, -1) as unknown as Candidate['modifiers']);

/** The place a chord has in the table, whether pressed or held. */
export function base(place: ChordText): ChordText {
  return place.startsWith('hold:') ? place.slice(5) : place;
}

/** One stroke on keys that stand once on the keyboard. */
function plain(chord: ChordText): boolean {
  return !chord.includes(' ') && !chord.includes('Numpad');
}
