import type { Command } from '../program/program';
import { splitName } from '../words/splitName';
import type { Candidate, Counterpart } from './counterpart';
import { kindsFit, type Likeness } from './likeness';
import { isCandidate, type Pair } from './pair';

/** From this likeness on, and this far ahead of every other, a counterpart is sure. */
const SURE = 0.8;
const AHEAD = 0.08;
/** Where the menus say otherwise, much more is asked. */
const SURE_STRANGE = 0.88;
/** A rival that has a better pair of its own is so much less of one. */
const TAKEN = 0.25;
const MOST_CANDIDATES = 5;

/**
 * Says of every row what is to be thought of its counterpart: sure where nothing speaks against it, neither kinds nor
 * menus nor a rival that comes near.
 * @param columnOf the column that the assignment gave each row; -1 for none.
 * @param likenessOf what a pair's likeness rests on; asked only of the few that are shown.
 */
export function judgePairs(
  left: readonly Command[],
  right: readonly Command[],
  pairs: readonly Pair[],
  columnOf: Int32Array,
  likenessOf: (row: number, column: number) => Likeness,
): Counterpart[] {
  const byRow: Pair[][] = left.map(() => []);
  const byColumn: Pair[][] = right.map(() => []);
  for (const pair of pairs) {
    if (!isCandidate(pair)) continue;
    byRow[pair.row]?.push(pair);
    byColumn[pair.column]?.push(pair);
  }
  const chosen = (pair: Pair): boolean => columnOf[pair.row] === pair.column;
  const figureOfRow = Float64Array.from(left, (_, r) => byRow[r]?.find(chosen)?.figure ?? 0);
  const figureOfColumn = Float64Array.from(right, (_, c) => byColumn[c]?.find(chosen)?.figure ?? 0);
  const rivalry = (list: readonly Pair[], own: Pair): number => {
    let most = 0;
    for (const other of list) {
      // Of one name there are only others of that name to be mistaken for.
      if (other === own || (own.same && !other.same)) continue;
      const taken = (other.row === own.row ? figureOfColumn[other.column] : figureOfRow[other.row]) as number;
      most = Math.max(most, taken > other.figure + AHEAD ? other.figure - TAKEN : other.figure);
    }
    return most;
  };
  return left.map((command, r): Counterpart => {
    const list = (byRow[r] as Pair[]).sort((a, b) => Number(chosen(b)) - Number(chosen(a)) || b.figure - a.figure);
    const candidates = list.slice(0, MOST_CANDIDATES).map((one): Candidate => {
      const { figure, keys, row, column } = one;
      return { command: (right[column] as Command).id, figure, likeness: likenessOf(row, column), keys };
    });
    const own = list[0];
    if (!own || !chosen(own))
      return { command: command.id, confidence: 'none', counterpart: null, candidates, known: null };
    const other = right[own.column] as Command;
    const rival = Math.max(rivalry(list, own), rivalry(byColumn[own.column] as Pair[], own));
    const confidence = isSure(own, rival, command, other) ? 'sure' : 'check';
    return { command: command.id, confidence, counterpart: other.id, candidates, known: null };
  });
}

function isSure({ figure, strange, same, opposed, keys }: Pair, rival: number, a: Command, b: Command): boolean {
  if (opposed || kindsFit(a.kind, b.kind) < 0.95) return false;
  if (keys === 'convention' && figure - rival >= AHEAD) return true;
  const words = Math.min(splitName(a.name).length, splitName(b.name).length);
  if (same) return figure - rival >= AHEAD / 2 && (strange === 0 || words > 1);
  // A word alone says too little where the menus say otherwise.
  if (strange > 0) return words > 1 && figure >= SURE_STRANGE && figure - rival >= 2 * AHEAD;
  return figure >= SURE && figure - rival >= AHEAD;
}
