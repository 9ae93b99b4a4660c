import type { Numbered } from './likeness';

/** For a row, the columns that share a meaning or a concept with it: all that are worth comparing. */
export function meetings(columns: readonly Numbered[], root: Int32Array): (row: Numbered) => readonly number[] {
  const byRoot = new Map<number, number[]>();
  const byConcept = new Map<number, number[]>();
  const put = (map: Map<number, number[]>, key: number, column: number): void => {
    const list = map.get(key);
    if (!list) map.set(key, [column]);
    else if (list.at(-1) !== column) list.push(column);
  };
  columns.forEach((column, c) => {
    for (const meaning of column.meanings) put(byRoot, root[meaning] as number, c);
    for (const meaning of column.around) put(byRoot, root[meaning] as number, c);
    for (const { concept } of column.concepts) put(byConcept, concept, c);
  });
  const seen = new Int32Array(columns.length).fill(-1);
  let round = 0;
  return (row) => {
    round++;
    const found: number[] = [];
    const take = (list: readonly number[] | undefined): void => {
      for (const c of list ?? []) {
        if (seen[c] === round) continue;
        seen[c] = round;
        found.push(c);
      }
    };
    for (const meaning of row.meanings) take(byRoot.get(root[meaning] as number));
    for (const { concept } of row.concepts) take(byConcept.get(concept));
    return found;
  };
}
