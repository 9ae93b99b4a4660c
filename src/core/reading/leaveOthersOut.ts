import { headOf, readsAsKeys, roleOfHeader } from './columnRoles';
import { readKeysCell } from './readKeysCell';
import type { RawTable } from './tables';

/**
 * The tables of a file that holds other things, too: those in which nothing reads as keys are left out, row by row, with
 * the reason.
 * @param least which part of a column has to read as keys, at least.
 */
export function leaveOthersOut(tables: readonly RawTable[], least: number): readonly RawTable[] {
  return tables.map((table) => (namesOthers(table) || !holdsKeys(table, least) ? leftOut(table) : table));
}

/** Whether a part of a file gives other names to commands, which look like keys where they are short. */
const namesOthers = ({ headings }: RawTable): boolean => /^alias(?:es)?$/iu.test(headings.at(-1) ?? '');

const leftOut = (table: RawTable): RawTable => ({
  ...table,
  rows: table.rows.map((row) =>
    row.left === undefined ? { ...row, left: 'Nothing in this part of the file reads as keys.' } : row,
  ),
});

/** Whether some column of a table holds keys, or is said to, beside names. @param least which part of it, at least. */
function holdsKeys(table: RawTable, least: number): boolean {
  const { rows, header } = table;
  const body = rows.filter((row) => row.left === undefined && !row.heading).slice(0, 200);
  const ofKeys = headOf(table).row?.cells.some((cell) => /keys$/iu.test(roleOfHeader(cell) ?? ''));
  if (ofKeys || body.length === 0) return true;
  const width = Math.max(0, ...body.map((row) => row.cells.length));
  const columns = Array.from({ length: width }, (_, i) => {
    const filled = body.map((row) => row.cells[i] ?? '').filter((cell) => cell !== '');
    const keys = filled.filter((cell) => readsAsKeys(cell) && readKeysCell(cell, 'windows').problems.length === 0);
    // Numbers alone are no sign of keys.
    const sure = keys.filter((cell) => !/^\d+$/u.test(cell)).length;
    const said = /key|short ?cut|bind|accel|chord/iu.test(header?.[i] ?? '');
    const holds = sure > 0 && (sure >= least * filled.length || (said && sure >= 0.1 * filled.length));
    const words = filled.filter((cell) => cell.length > 2 && /\p{L}{2}/u.test(cell)).length;
    const worded = words >= 0.5 * filled.length && filled.length >= 0.5 * body.length;
    return { holds, worded, share: keys.length / Math.max(1, filled.length) };
  });
  return columns.some(
    (one, i) =>
      one.holds && columns.some((other, k) => k !== i && other.worded && other.share < Math.max(0.5, one.share)),
  );
}
