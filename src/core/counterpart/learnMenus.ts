import type { Command } from '../program/program';
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
 * Learns from the plain pairs which menus have to do with each other, and raises the figures of the pairs in such menus,
 * or lowers them where both menus have their counterparts elsewhere. A pair is no witness for itself.
 */
export function learnMenus(pairs: readonly Pair[], left: readonly Command[], right: readonly Command[]): void {
  const menusOf = (list: readonly Command[]): readonly string[] => list.map((one) => one.path.join('\n'));
  const [lefts, rights] = [menusOf(left), menusOf(right)];
  const shared = new Map<string, number>();
  const ofLeft = new Map<string, number>();
  const ofRight = new Map<string, number>();
  const add = (map: Map<string, number>, key: string, more: number): void => {
    map.set(key, (map.get(key) ?? 0) + more);
  };
  const witnesses = new Map<Pair, number>();
  for (const pair of plainPairs(pairs, left.length, right.length)) {
    const [a, b] = [lefts[pair.row] as string, rights[pair.column] as string];
    add(shared, `${a}\t${b}`, pair.figure);
    add(ofLeft, a, pair.figure);
    add(ofRight, b, pair.figure);
    witnesses.set(pair, pair.figure);
  }
  for (const pair of pairs) {
    const [a, b] = [lefts[pair.row] as string, rights[pair.column] as string];
    const own = witnesses.get(pair) ?? 0;
    const both = (shared.get(`${a}\t${b}`) ?? 0) - own;
    const [all, others] = [(ofLeft.get(a) ?? 0) - own, (ofRight.get(b) ?? 0) - own];
    if (both > 0.01) pair.figure += (1 - pair.figure) * MENU * pair.figure * (both / (Math.min(all, others) + 0.7));
    else {
      pair.strange = all > SETTLED && others > SETTLED ? 2 : all > SETTLED || others > SETTLED ? 1 : 0;
      if (pair.strange === 2) pair.figure *= ELSEWHERE;
    }
  }
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
