import type { Numbered, Vocabulary } from './likeness';
import { BY_MENU, IN_GENERAL } from './sharedPart';

/** The columns in which a meaning or one like it stands: which of them, and whether in the name or only in the menu. */
type Postings = { readonly columns: Int32Array; readonly meanings: Int32Array; readonly credits: Float64Array };

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
    const touch = (column: number): void => {
      if (here[column] === 0 && there[column] === 0) touched.push(column);
    };
    for (const meaning of row.meanings) {
      round++;
      const worth = weight[meaning] as number;
      const postings = byRoot.get(root[meaning] as number);
      for (let i = 0; postings && i < postings.columns.length; i++) {
        const column = postings.columns[i] as number;
        const given = postings.credits[i] as number;
        const other = postings.meanings[i] as number;
        const like = other === meaning ? 1 : IN_GENERAL;
        const before = creditFor[column] === round ? (credits[column] as number) : 0;
        touch(column);
        if (given * like > before) {
          creditFor[column] = round;
          credits[column] = given * like;
          here[column] = (here[column] as number) + (given * like - before) * worth;
        }
        if (given === 1) there[column] = (there[column] as number) + like * (weight[other] as number);
      }
    }
    for (const meaning of row.around) {
      const postings = byRoot.get(root[meaning] as number);
      for (let i = 0; postings && i < postings.columns.length; i++) {
        if (postings.credits[i] !== 1) continue;
        const column = postings.columns[i] as number;
        touch(column);
        there[column] = (there[column] as number) + BY_MENU * (weight[postings.meanings[i] as number] as number);
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
  const lists = new Map<number, [column: number, meaning: number, credit: number][]>();
  const add = (column: number, meaning: number, credit: number): void => {
    const at = root[meaning] as number;
    const list = lists.get(at);
    if (list) list.push([column, meaning, credit]);
    else lists.set(at, [[column, meaning, credit]]);
  };
  columns.forEach((one, column) => {
    for (const meaning of one.meanings) add(column, meaning, 1);
    for (const meaning of one.around) add(column, meaning, BY_MENU);
  });
  return new Map(
    [...lists].map(([at, list]) => [
      at,
      {
        columns: Int32Array.from(list, (one) => one[0]),
        meanings: Int32Array.from(list, (one) => one[1]),
        credits: Float64Array.from(list, (one) => one[2]),
      },
    ]),
  );
}
