import type { Command } from '../program/program';
import { menuKey } from './menuKey';
import type { Pair } from './pair';

/** The most that a menu whose commands mostly have their counterparts in the other's menu brings. */
const MENU = 0.3;
/** What is left of a likeness where both menus have their counterparts in other menus. */
const ELSEWHERE = 0.93;
/** From so many plain counterparts on, it is known where a menu has them. */
const SETTLED = 2;
/** A pair this alike that neither side has a better one for is plain. */
const PLAIN = 0.7;

/**
 * Learns from the plain pairs, and from those that were said, which menus have to do with each other, and raises the figures of the pairs in such menus,
 * or lowers them where both menus have their counterparts elsewhere. A pair is no witness for itself.
 */
export function learnMenus(
  pairs: readonly Pair[],
  left: readonly Command[],
  right: readonly Command[],
  told: readonly (readonly [Command, Command])[] = [],
): void {
  const numbers = new Map<string, number>();
  const said = told.map((pair) => menuNumbers(numbers, pair));
  const lefts = menuNumbers(numbers, left);
  const rights = menuNumbers(numbers, right);
  const ofLeft = new Float64Array(numbers.size);
  const ofRight = new Float64Array(numbers.size);
  const shared = new Map<number, number>();
  const together = (a: number, b: number): number => a * numbers.size + b;
  const witnesses = new Set<Pair>();
  const witness = (a: number, b: number, figure: number): void => {
    shared.set(together(a, b), (shared.get(together(a, b)) ?? 0) + figure);
    ofLeft[a] = (ofLeft[a] as number) + figure;
    ofRight[b] = (ofRight[b] as number) + figure;
  };
  for (const pair of plainPairs(pairs, left.length, right.length)) {
    witness(lefts[pair.row] as number, rights[pair.column] as number, pair.figure);
    witnesses.add(pair);
  }
  for (const [a, b] of said) witness(a as number, b as number, 1);
  for (const pair of pairs) {
    const a = lefts[pair.row] as number;
    const b = rights[pair.column] as number;
    const own = witnesses.has(pair) ? pair.figure : 0;
    const both = (shared.get(together(a, b)) ?? 0) - own;
    const all = (ofLeft[a] as number) - own;
    const others = (ofRight[b] as number) - own;
    if (both > 0.01) {
      pair.tie = both / (Math.min(all, others) + 0.7);
      pair.figure += (1 - pair.figure) * MENU * pair.figure * pair.tie;
    } else {
      pair.strange = all > SETTLED && others > SETTLED ? 2 : all > SETTLED || others > SETTLED ? 1 : 0;
      if (pair.strange === 2) pair.figure *= ELSEWHERE;
    }
  }
}

/** The menu of each command, by a number. */
function menuNumbers(numbers: Map<string, number>, commands: readonly Command[]): Int32Array {
  return Int32Array.from(commands, (command) => {
    const menu = menuKey(command);
    const number = numbers.get(menu) ?? numbers.size;
    numbers.set(menu, number);
    return number;
  });
}

/** The pairs that are the best of both their row and their column. */
function plainPairs(pairs: readonly Pair[], rows: number, columns: number): readonly Pair[] {
  const bestOfRow = new Float64Array(rows);
  const bestOfColumn = new Float64Array(columns);
  for (const { row, column, figure } of pairs) {
    bestOfRow[row] = Math.max(bestOfRow[row] as number, figure);
    bestOfColumn[column] = Math.max(bestOfColumn[column] as number, figure);
  }
  return pairs.filter(
    (one) => one.figure >= PLAIN && one.figure === bestOfRow[one.row] && one.figure === bestOfColumn[one.column],
  );
}
