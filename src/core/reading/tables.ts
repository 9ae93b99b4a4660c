import { cutText } from '../text/cutText';
import { withoutOdd } from '../text/oddCharacter';

/** A table as it stands in a file, before anything is understood of it. */
export type RawRow = {
  /** Number of the row in the file, counted over all its tables from 1. */
  readonly line: number;
  readonly cells: readonly string[];
  /** Every cell is marked as a heading, or one cell spans the table. */
  readonly heading: boolean;
};
export type RawTable = { readonly headings: readonly string[]; readonly rows: readonly RawRow[] };
export type RawTables = {
  readonly title: string | null;
  readonly tables: readonly RawTable[];
  readonly format: 'web page' | 'table';
};

export const MOST_ROWS = 20_000;
export const MOST_COLUMNS = 60;
export const LONGEST_CELL = 1000;

/** Thrown for a file that is understood but can't be taken in; the message is for people. */
export class UnreadableList extends Error {
  override name = 'UnreadableList';
}

/** One cell's text: spaces folded, line breaks kept, what can't be seen left out, over-long text cut. */
export function tidyCell(text: string): string {
  return withoutOdd(cutText(text, LONGEST_CELL))
    .replace(/[^\S\n]+/gu, ' ')
    .replace(/ ?\n[ \n]*/g, '\n')
    .trim();
}
