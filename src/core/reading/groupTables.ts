import { guessRoles, type headOf, type Role } from './columnRoles';
import type { RawRow, RawTable } from './tables';

/** Tables with the same columns, whose roles are chosen together. */
export type ColumnGroup = {
  readonly header: readonly string[] | null;
  readonly roles: readonly Role[];
  readonly tables: number;
  readonly sample: readonly (readonly string[])[];
};

/**
 * Tables whose columns are called alike as groups, with the roles of their columns, and which group each table is of.
 * @param chosen roles the person gave instead of the guessed ones, by group number.
 */
export function groupTables(
  tables: readonly RawTable[],
  heads: readonly ReturnType<typeof headOf>[],
  chosen: readonly (readonly Role[] | null)[],
) {
  const bySignature = new Map<string, { header: readonly string[] | null; rows: RawRow[]; tables: number }>();
  const signatures = tables.map((table, t) => {
    const { row: headRow = null, cells: header = null } = heads[t] ?? {};
    const body = table.rows.filter((row) => row.left === undefined && !row.heading && row !== headRow);
    if (body.length === 0) return null;
    const width = Math.max(...body.map((row) => row.cells.length));
    const signature = header ? header.join('\u0001').toLowerCase() : `no header ${width}`;
    const group = bySignature.get(signature) ?? { header, rows: [], tables: 0 };
    for (const row of body) group.rows.push(row);
    group.tables++;
    bySignature.set(signature, group);
    return signature;
  });
  const order = [...bySignature.keys()];
  const all: ColumnGroup[] = [...bySignature.values()].map(({ header, rows, tables: count }, g) => {
    const guessed = guessRoles(header, rows);
    const wanted = chosen[g];
    return {
      header,
      roles: guessed.map((role, i) => wanted?.[i] ?? role),
      tables: count,
      sample: rows.slice(0, 3).map((row) => row.cells),
    };
  });
  const none: ColumnGroup = { header: null, roles: [], tables: 0, sample: [] };
  return {
    all,
    of: signatures.map((signature) => (signature === null ? none : (all[order.indexOf(signature)] ?? none))),
  };
}
