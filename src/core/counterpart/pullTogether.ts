import type { Command } from '../program/program';
import { axisOf } from '../words/meanings';
import { menuKey } from './menuKey';
import type { Pair } from './pair';
import { meaningsOfCommand } from './readCommand';

/** What a chosen neighbor, and a chosen opposite, bring a pair. */
const NEIGHBOR = 0.06;
const OPPOSITE = 0.12;
/** Chosen pairs this likely speak for those beside them. */
const WITNESS = 0.6;

/** What stands beside a command: those before and after it in its menu, and its opposite there; -1 for none. */
type Beside = readonly [before: number, after: number, opposite: number];

/**
 * Raises the figures of pairs whose neighbors in their menus are pairs too, and of those whose opposites are: where "step
 * in" is "zoom in", what stands beside it as "step out" is likelier to be "zoom out".
 * @param figures what the pairs had before anything beside them was looked at, in their order.
 * @param columnOf the columns that were chosen for the rows.
 */
export function pullTogether(
  pairs: readonly Pair[],
  figures: Float64Array,
  columnOf: Int32Array,
  [left, right]: readonly [readonly Beside[], readonly Beside[]],
): void {
  const chosen = new Float64Array(left.length);
  pairs.forEach((pair) => {
    if (columnOf[pair.row] === pair.column) chosen[pair.row] = pair.figure;
  });
  const goes = (row: number, column: number): boolean =>
    row >= 0 && column >= 0 && columnOf[row] === column && (chosen[row] as number) >= WITNESS;
  pairs.forEach((pair, i) => {
    const [one, other] = [left[pair.row] as Beside, right[pair.column] as Beside];
    const worth =
      (goes(one[0], other[0]) ? NEIGHBOR : 0) +
      (goes(one[1], other[1]) ? NEIGHBOR : 0) +
      (goes(one[2], other[2]) ? OPPOSITE : 0);
    const figure = figures[i] as number;
    pair.figure = figure + (1 - figure) * worth * figure;
  });
}

/** What stands beside each command of a list. */
export function besideIn(commands: readonly Command[]): Beside[] {
  const last = new Map<string, number>();
  const opposite = new Map<string, number[]>();
  const beside = commands.map((): [number, number, number] => [-1, -1, -1]);
  commands.forEach((command, i) => {
    const menu = menuKey(command);
    const before = last.get(menu) ?? -1;
    (beside[i] as [number, number, number])[0] = before;
    if (before >= 0) (beside[before] as [number, number, number])[1] = i;
    last.set(menu, i);
    const meanings = meaningsOfCommand(command);
    const poles = meanings.filter((one) => axisOf(one) !== null && !one.startsWith('#'));
    if (poles.length === 0) return;
    const rest = meanings.filter((one) => axisOf(one) === null).sort();
    const key = `${menu}\n${rest.join(' ')}\n${poles.map(axisOf).sort().join(' ')}`;
    opposite.set(key, [...(opposite.get(key) ?? []), i]);
  });
  for (const some of opposite.values()) {
    const [a, b] = some;
    if (some.length !== 2 || a === undefined || b === undefined) continue;
    (beside[a] as [number, number, number])[2] = b;
    (beside[b] as [number, number, number])[2] = a;
  }
  return beside;
}
