import type { ChordText } from '../chord/chord';
import type { ListedCommand, ReadRow } from './readTable';

/** What a person said of a row: that it is no command, or that it is one, with what they wrote instead of what was read. */
export type Correction = {
  readonly none?: true;
  readonly name?: string;
  readonly path?: readonly string[];
  readonly keys?: readonly ChordText[];
};
/** Corrections by the keys of their rows. */
export type Corrections = Readonly<Record<string, Correction>>;

/** Rows as they are once corrected; a row that was corrected has no remark any more. */
export function correctRows(rows: readonly ReadRow[], corrections: Corrections): readonly ReadRow[] {
  if (Object.keys(corrections).length === 0) return rows;
  return rows.map((row) => {
    const said = Object.hasOwn(corrections, row.key) ? corrections[row.key] : undefined;
    if (!said) return row;
    const { would: _, ...rest } = row;
    if (said.none) {
      const was = row.command ?? row.would;
      return {
        ...rest,
        result: 'unused',
        why: 'You said that it is no command.',
        command: null,
        ...(was && { would: was }),
        corrected: true,
      };
    }
    const command = corrected(row, said);
    return command ? { ...rest, result: 'used', why: null, command, corrected: true } : row;
  });
}

function corrected(row: ReadRow, said: Correction): ListedCommand | null {
  const read = row.command ?? row.would;
  const name = said.name ?? read?.name;
  if (name === undefined) return null;
  return {
    name,
    path: said.path ?? read?.path ?? [],
    kind: read?.kind ?? null,
    keys: said.keys ?? read?.keys ?? [],
  };
}

/** The rows of which the same was said as of this one; for commands without a remark, those in the same place. */
export function rowsAlike(rows: readonly ReadRow[], row: ReadRow): readonly ReadRow[] {
  if (row.why !== null) {
    const said = withoutNames(row.why);
    return rows.filter((one) => one.result === row.result && one.why !== null && withoutNames(one.why) === said);
  }
  const path = row.command?.path ?? [];
  return rows.filter(
    ({ result, why, command }) =>
      why === null &&
      result === row.result &&
      (command?.path.length ?? 0) === path.length &&
      path.every((step, i) => step === command?.path[i]),
  );
}

/** What was said of a row, names, keys and numbers aside. */
const withoutNames = (why: string): string => why.replace(/“[^“”]{0,200}”|\d{1,9}/gu, '#').replace(/Perhaps .*/u, '');
