import { CARDS, NOTES, PAPERS, type SheetSpec } from './sheetSpec';

/** The page a sheet is set on, in points, and how large its type may be. */
export type PageBox = {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  /** The size of the title, and of the notes below it; no notes for 0. */
  readonly title: number;
  readonly notes: number;
  readonly footer: boolean;
  readonly columns: { readonly least: number; readonly most: number };
  /** Room between columns in multiples of the type size; in points where a fold runs between them. */
  readonly gutter: number;
  readonly fold: boolean;
  readonly largest: number;
  /** Below this it rather takes more pages, which are then set at `comfortable`. */
  readonly smallest: number;
  readonly comfortable: number;
};
export type PageSpec = Pick<SheetSpec, 'form' | 'paper' | 'way' | 'card' | 'note' | 'fold' | 'pages'>;

/** Smaller type than this is hard to read on paper. */
export const HARD_TO_READ = 6.5;

/** The page of a sheet: the paper itself, or a card or note of which several are printed on one. */
export function pageBox({ form, paper, way, card, note, fold }: PageSpec): PageBox {
  if (form === 'card' || form === 'note') {
    const { width, height } = form === 'card' ? CARDS[card] : NOTES[note];
    const folded = form === 'card' && fold;
    return {
      width,
      height,
      margin: 11,
      title: form === 'card' && card === 'A6' ? 11 : 9,
      notes: 0,
      footer: false,
      columns: folded ? { least: 2, most: 2 } : { least: 1, most: width > 300 ? 3 : width > 220 ? 2 : 1 },
      gutter: 2,
      fold: folded,
      largest: 10,
      smallest: 6.5,
      comfortable: 7,
    };
  }
  const { width, height } = paperSize({ paper, way });
  return {
    width,
    height,
    margin: 34,
    title: 18,
    notes: 9,
    footer: true,
    columns: { least: 1, most: form === 'programs' ? 1 : Math.max(1, Math.round(width / 205)) },
    gutter: 2.6,
    fold: false,
    largest: paper === 'A3' ? 13 : 11,
    smallest: form === 'reference' ? 9 : 7.5,
    comfortable: 9,
  };
}

/** The paper as it is laid, in points. */
export function paperSize({ paper, way }: Pick<SheetSpec, 'paper' | 'way'>): { width: number; height: number } {
  const { width, height } = PAPERS[paper];
  return way === 'across' ? { width: height, height: width } : { width, height };
}

/** What stands at the right of a page's foot: the date, where one is given, and which page it is. */
export function pageNumber(date: string, page: number, count: number): string {
  return `${date === '' ? '' : `${date} · `}${page + 1} of ${count}`;
}
