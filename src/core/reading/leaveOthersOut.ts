import { EMPTY, headOf, MEDIA_KEY, readsAsKeys, roleOfHeader } from './columnRoles';
import { readKeysCell } from './readKeysCell';
import type { RawRow, RawTable } from './tables';

/**
 * The tables of a file that holds other things, too: those in which nothing reads as keys are left out, row by row, with
 * the reason.
 * @param least which part of a column has to read as keys, at least.
 * @param together whether tables of one shape belong together, as on a page, so that short ones are kept with long ones.
 */
export function leaveOthersOut(tables: readonly RawTable[], least: number, together: boolean): readonly RawTable[] {
  const kept = tables.map((table) => !namesOthers(table) && holdsKeys(table, least));
  if (kept.every((one) => one)) return tables;
  const known = new Set(together ? tables.flatMap((table, i) => (kept[i] ? shapesOf(table) : [])) : []);
  return tables.map((table, i) =>
    kept[i] || (together && !namesOthers(table) && shapesOf(table).some((one) => known.has(one)))
      ? table
      : leftOut(table),
  );
}

const SHORT = 4;
const bodyOf = ({ rows }: RawTable) => rows.filter((row) => row.left === undefined && !row.heading);
/** Whether a table is too short to tell by itself what it holds. */
const isShort = (table: RawTable): boolean => bodyOf(table).length < SHORT;

/** How wide a table is, with each of its columns in which nearly all reads as keys; in a short one all. */
function shapesOf(table: RawTable): readonly string[] {
  const body = bodyOf(table).slice(0, 50);
  const width = Math.max(0, ...body.map((row) => row.cells.length));
  return Array.from({ length: width }, (_, i) => i)
    .filter((i) => {
      const keys = body.filter((row) => readsAsKeys(row.cells[i] ?? '')).length;
      return keys > 0 && keys >= (isShort(table) ? 1 : 0.8) * body.length;
    })
    .map((i) => `${width} ${i}`);
}

/** Whether a part of a file gives other names to commands, which look like keys where they are short. */
const namesOthers = ({ headings }: RawTable): boolean => headings.some((one) => /^alias(?:es)?$/iu.test(one));

/** A table whose rows are left out since it holds other things. */
export const leftOut = (table: RawTable): RawTable => ({
  ...table,
  rows: table.rows.map((row) =>
    row.left === undefined ? { ...row, left: 'Nothing in this part of the file reads as keys.' } : row,
  ),
});

/** Whether some column of a table holds keys, or is said to, beside names. @param least which part of it, at least. */
export function holdsKeys(table: RawTable, least: number): boolean {
  const body = bodyOf(table);
  // A few rows tell of most tables.
  if (body.length === 0) return true;
  const sure = body.length > FEW && holds(table, body.slice(0, FEW), Math.max(0.7, least));
  return sure || holds(table, body.slice(0, 200), least);
}
const FEW = 8;
const OF_KEYS = /^(?:hot[-_ ]?keys?|short[-_ ]?cuts?|key[-_ ]?bind(?:ing)?s?|key[-_ ]?maps?|accelerators?)$/iu;

function holds(table: RawTable, body: readonly RawRow[], least: number): boolean {
  const { header } = table;
  const ofKeys = headOf(table).row?.cells.some((cell) => /keys$/iu.test(roleOfHeader(cell) ?? ''));
  if (ofKeys) return true;
  const width = Math.max(0, ...body.map((row) => row.cells.length));
  const columns = Array.from({ length: width }, (_, i) => {
    const written = body.map((row) => row.cells[i] ?? '').filter((cell) => cell !== '');
    // What says that there are no keys speaks neither for nor against them, where some are said.
    const told = written.filter((cell) => !EMPTY.test(cell));
    const filled = told.length >= Math.max(3, 0.2 * written.length) ? told : written;
    const keys = filled.filter(
      (cell) => MEDIA_KEY.test(cell) || (readsAsKeys(cell) && readKeysCell(cell, 'windows').problems.length === 0),
    );
    // Numbers alone are no sign of keys.
    const sure = keys.filter((cell) => !/^\d+$/u.test(cell)).length;
    const said = /key|short ?cut|bind|accel|chord/iu.test(header?.[i] ?? '');
    const holds = sure > 0 && (sure >= least * filled.length || (said && sure >= 0.1 * filled.length));
    const words = filled.filter((cell) => cell.length > 2 && /\p{L}{2}/u.test(cell)).length;
    const worded = words >= 0.5 * filled.length && filled.length >= 0.5 * body.length;
    // Words such as “left” are keys and names alike.
    const plain = keys.filter((cell) => /^\p{L}{2,}$/u.test(cell)).length;
    return { holds, worded, share: (keys.length - 0.5 * plain) / Math.max(1, filled.length) };
  });
  // Under a heading that says so, names may be numbers, or words that keys have as well.
  if (table.headings.some((one) => OF_KEYS.test(one)) && width > 1 && columns.some((one) => one.holds)) return true;
  return columns.some(
    (one, i) =>
      one.holds && columns.some((other, k) => k !== i && other.worded && other.share < Math.max(0.5, one.share)),
  );
}
