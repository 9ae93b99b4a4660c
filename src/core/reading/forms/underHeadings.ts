import { MOST_ROWS, type RawRow, type RawTable, UnreadableList } from '../tables';
import { tooMany } from './tooMany';

/** Gathers rows as tables, each under the headings that stand before it. */
export type UnderHeadings = {
  /** @throws UnreadableList past 20,000 rows. */
  readonly add: (row: RawRow) => void;
  /** What was added last with what goes on with it in its place; null where that is another table's. */
  readonly last: () => RawRow | null;
  readonly goOn: (row: RawRow) => void;
  /** The rows that follow stand under these. */
  readonly under: (headings: readonly string[]) => void;
  readonly tables: () => readonly RawTable[];
};

export function underHeadings(): UnderHeadings {
  const tables: { readonly headings: readonly string[]; readonly rows: RawRow[] }[] = [];
  let open: (typeof tables)[number] = { headings: [], rows: [] };
  let all = 0;
  return {
    add: (row) => {
      if (++all > MOST_ROWS) throw new UnreadableList(tooMany);
      if (open.rows.length === 0) tables.push(open);
      open.rows.push(row);
    },
    last: () => open.rows.at(-1) ?? null,
    goOn: (row) => {
      open.rows[open.rows.length - 1] = row;
    },
    under: (headings) => {
      open = { headings, rows: [] };
    },
    tables: () => tables,
  };
}
