import type { Numbered, Vocabulary } from './likeness';
import { BY_MENU, IN_GENERAL } from './sharedPart';

/** The columns in which a meaning or one like it stands: so many in the name, those behind them only in the menu. */
type Postings = { readonly columns: Int32Array; readonly meanings: Int32Array; readonly byName: number };

/** So many columns are compared with a row: those that may be most alike by their names, besides the plainly alike. */
const MOST = 40;
/** Names of which at most so much means the same are not worth comparing. */
const WORTH = 0.37;

/**
 * For a row, the columns that are worth comparing: those of the same name, those whose names may mean enough of the same,
 * and those that speak of a concept that it speaks of. Found from lists of the columns, not by passing all of them.
 */
export function meetings(columns: readonly Numbered[], vocabulary: Vocabulary): (row: Numbered) => readonly number[] {
  const { root, weight } = vocabulary;
  const byRoot = postingsByRoot(columns, root);
  const byConcept = new Map<number, number[]>();
  // Endings that mean something of their own can give the same name other meanings.
  const byName = new Map<string, number[]>();
  columns.forEach(({ concepts, reading: { plain } }, column) => {
    for (const { concept, part } of concepts) if (part >= WORTH) put(byConcept, concept, column);
    if (plain !== '') put(byName, plain, column);
  });
  const here = new Float64Array(columns.length);
  const there = new Float64Array(columns.length);
  const credits = new Float64Array(columns.length);
  const bounds = new Float64Array(columns.length);
  const creditFor = new Int32Array(columns.length);
  const foundFor = new Int32Array(columns.length);
  let asked = 0;
  let round = 0;
  return (row) => {
    const touched: number[] = [];
    for (const meaning of row.meanings) {
      round++;
      const worth = weight[meaning] as number;
      const postings = byRoot.get(root[meaning] as number);
      if (!postings) continue;
      const { columns: met, meanings, byName } = postings;
      for (let i = 0; i < met.length; i++) {
        const column = met[i] as number;
        const other = meanings[i] as number;
        const like = other === meaning ? 1 : IN_GENERAL;
        const credit = i < byName ? like : BY_MENU * like;
        const before = creditFor[column] === round ? (credits[column] as number) : 0;
        if (here[column] === 0 && there[column] === 0) touched.push(column);
        if (credit > before) {
          creditFor[column] = round;
          credits[column] = credit;
          here[column] = (here[column] as number) + (credit - before) * worth;
        }
        if (i < byName) there[column] = (there[column] as number) + like * (weight[other] as number);
      }
    }
    for (const meaning of row.around) {
      const postings = byRoot.get(root[meaning] as number);
      if (!postings) continue;
      const { columns: named, meanings, byName } = postings;
      for (let i = 0; i < byName; i++) {
        const column = named[i] as number;
        if (here[column] === 0 && there[column] === 0) touched.push(column);
        there[column] = (there[column] as number) + BY_MENU * (weight[meanings[i] as number] as number);
      }
    }
    const worthy: number[] = [];
    asked++;
    for (const column of touched) {
      const all = row.weight + (columns[column] as Numbered).weight;
      const most = ((here[column] as number) + (there[column] as number)) / all;
      if (most >= WORTH) {
        worthy.push(column);
        bounds[column] = most;
      }
      here[column] = 0;
      there[column] = 0;
    }
    const found = mostPromising(worthy, bounds);
    for (const column of found) foundFor[column] = asked;
    const meet = (column: number): void => {
      if (foundFor[column] === asked) return;
      foundFor[column] = asked;
      found.push(column);
    };
    for (const column of byName.get(row.reading.plain) ?? NONE) meet(column);
    for (const { concept, part } of row.concepts)
      if (part >= WORTH) for (const column of byConcept.get(concept) ?? NONE) meet(column);
    return found;
  };
}

const NONE: readonly number[] = [];

/** Of more columns than are worth it, those that may be most alike. */
function mostPromising(columns: number[], bounds: Float64Array): number[] {
  if (columns.length <= MOST) return columns;
  const least = Float64Array.from(columns, (column) => bounds[column] as number).sort()[
    columns.length - MOST
  ] as number;
  return columns.filter((column) => (bounds[column] as number) >= least);
}

function put<K>(lists: Map<K, number[]>, key: K, column: number): void {
  const list = lists.get(key);
  if (list) list.push(column);
  else lists.set(key, [column]);
}

function postingsByRoot(columns: readonly Numbered[], root: Int32Array): ReadonlyMap<number, Postings> {
  type Lists = Readonly<Record<'name' | 'menu', (readonly [column: number, meaning: number])[]>>;
  const lists = new Map<number, Lists>();
  const add = (column: number, meaning: number, where: keyof Lists): void => {
    const at = root[meaning] as number;
    const known = lists.get(at) ?? { name: [], menu: [] };
    known[where].push([column, meaning]);
    lists.set(at, known);
  };
  columns.forEach((one, column) => {
    for (const meaning of one.meanings) add(column, meaning, 'name');
    for (const meaning of one.around) add(column, meaning, 'menu');
  });
  return new Map(
    [...lists].map(([at, { name, menu }]) => {
      const all = [...name, ...menu];
      return [
        at,
        {
          columns: Int32Array.from(all, ([column]) => column),
          meanings: Int32Array.from(all, ([, meaning]) => meaning),
          byName: name.length,
        },
      ];
    }),
  );
}
