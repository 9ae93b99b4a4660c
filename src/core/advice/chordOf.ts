import type { Assignment } from '../assignment/costTable';
import type { ChordText } from '../chord/chord';
import { chordIn, type PlanRow, type PlanTable } from './planTable';

/** The chord of a row under a choice of columns; null where it has none that the plan knows of. */
export function chordOf(table: PlanTable, { columnOf }: Assignment, r: number): ChordText | null {
  const row = table.list[r] as PlanRow;
  const column = columnOf[r] as number;
  if (column === row.ownColumn) return row.own;
  return column < 0 ? null : chordIn(row, table.chords[column] as PlanTable['chords'][number]);
}
