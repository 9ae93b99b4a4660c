import { areSurelyKeys, guessRoles, type headOf, readsAsKeys, roleOfHeader } from './columnRoles';
import type { Role } from './roles';
import type { RawRow, RawTable } from './tables';

/** Tables with the same columns, whose roles are chosen together. */
export type ColumnGroup = {
  readonly header: readonly string[] | null;
  readonly roles: readonly Role[];
  readonly tables: number;
  readonly sample: readonly (readonly string[])[];
  /** Which of its columns hold keys, too, though they are left out. */
  readonly otherKeys: readonly number[];
};

type Group = {
  readonly header: readonly string[] | null;
  readonly rows: RawRow[];
  tables: number;
  readonly roles: readonly Role[] | undefined;
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
  const bySignature = new Map<string, Group>();
  const bodies = tables.map((table, t) =>
    table.rows.filter((row) => row.left === undefined && !row.heading && row !== heads[t]?.row),
  );
  const sides = bodies.map((body, t) => (heads[t]?.cells ? null : keysSide(body)));
  const first = sides.filter((one) => one === 0).length;
  const usual = first > sides.filter((one) => one === 1).length ? 0 : 1;
  const signatures = tables.map((table, t) => {
    const header = heads[t]?.cells ?? null;
    const body = bodies[t] ?? [];
    if (body.length === 0) return null;
    const width = Math.max(...body.map((row) => row.cells.length));
    const side = sides[t] ?? null;
    // Where some tables have their keys first and some behind, each is taken as it is.
    const other = side !== null && side !== usual ? ' the other way around' : '';
    const signature = header ? header.join('\u0001').toLowerCase() : `no header ${width}${other}`;
    const group = bySignature.get(signature) ?? { header, rows: [], tables: 0, roles: table.roles };
    for (const row of body) group.rows.push(row);
    group.tables++;
    bySignature.set(signature, group);
    return signature;
  });
  const order = [...bySignature.keys()];
  const all: ColumnGroup[] = [...bySignature.values()].map(({ header, rows, tables: count, roles: known }, g) => {
    const guessed = known ?? guessRoles(header, rows);
    const wanted = chosen[g];
    const roles = guessed.map((role, i) => wanted?.[i] ?? role);
    return {
      header,
      roles,
      tables: count,
      sample: rows.slice(0, 3).map((row) => row.cells),
      otherKeys: known ? [] : otherKeysIn(roles, header, rows),
    };
  });
  const none: ColumnGroup = { header: null, roles: [], tables: 0, sample: [], otherKeys: [] };
  return {
    all,
    of: signatures.map((signature) => (signature === null ? none : (all[order.indexOf(signature)] ?? none))),
  };
}

const LOOKED_AT = 200;
/** Which of two columns surely has the keys, in all rows that have both; null where neither or both may. */
function keysSide(body: readonly RawRow[]): 0 | 1 | null {
  const looked = body.slice(0, LOOKED_AT);
  if (looked.some((row) => row.cells.length > 2)) return null;
  const both = looked.filter((row) => (row.cells[0] ?? '') !== '' && (row.cells[1] ?? '') !== '');
  if (both.length === 0 || both.length < 0.5 * looked.length) return null;
  const of = ([0, 1] as const).filter((i) =>
    both.every(({ cells }) => areSurelyKeys(cells[i] ?? '') && (both.length > 1 || !readsAsKeys(cells[1 - i] ?? ''))),
  );
  return of.length === 1 ? (of[0] ?? null) : null;
}

/** Columns that are left out though most of what stands there reads as keys, and more than bare letters and numbers. */
function otherKeysIn(roles: readonly Role[], header: readonly string[] | null, rows: readonly RawRow[]): number[] {
  return roles.flatMap((role, i) => {
    if (role !== 'ignore') return [];
    const filled = rows.slice(0, LOOKED_AT).flatMap((row) => row.cells[i] || []);
    const keys = filled.filter(readsAsKeys).length;
    const sure = filled.filter(areSurelyKeys).length;
    const said = roleOfHeader(header?.[i] ?? '') ?? 'keys';
    return keys >= 0.6 * filled.length && sure > 0 && /keys/u.test(said) ? [i] : [];
  });
}
