import { cutText } from '../text/cutText';
import { withoutOdd } from '../text/oddCharacter';
import type { Role } from './roles';

/** Where something stands in the text of a file: from the first character to the one after the last, in UTF-16 units. */
export type Span = readonly [from: number, to: number];

/** A table as it stands in a file, before anything is understood of it. */
export type RawRow = {
  /** Number of the row in the file, counted over all its tables from 1; of the line in a text of lines. */
  readonly line: number;
  readonly cells: readonly string[];
  /** Where each cell stands in the file; what is not written anywhere stands at an empty place. */
  readonly spans: readonly Span[];
  /** Every cell is marked as a heading, or one cell spans the table. */
  readonly heading: boolean;
  /** Why it is no row of a list, if it is none: a comment, a setting of something else. */
  readonly left?: string;
  /** Whether it is written as a comment that is one no more once its sign is taken away. */
  readonly commentedOut?: boolean;
  /** Where all of a record stands. */
  readonly whole?: Span;
  /** Whether its keys stand in several places of the file, as a modifier in each, so that no one of them tells all. */
  readonly apart?: true;
  /** Keys that stand in a line of their own above the rows they are for, and where. */
  readonly keysAbove?: readonly [string, Span];
};
export type RawTable = {
  /** What it stands under. */
  readonly headings: readonly string[];
  readonly rows: readonly RawRow[];
  /** What its columns are called, where that is no row of it. */
  readonly header?: readonly string[];
  /** What its columns hold, where that is known. */
  readonly roles?: readonly Role[];
  /** The part of a packed file that the places of its cells are in. */
  readonly part?: string;
};

/** What a file was read as. */
export const FORMS_READ = [
  'web page',
  'table',
  'Markdown',
  'settings',
  'bindings',
  'text in columns',
  'lines',
  'manual source',
  'program text',
  'accelerator map',
  'JSON',
  'XML',
  'YAML',
  'TOML',
  'property list',
  'workbook',
  'shown',
] as const;
export type FormRead = (typeof FORMS_READ)[number];

export type RawTables = {
  readonly title: string | null;
  readonly tables: readonly RawTable[];
  readonly format: FormRead;
};

/** What is said of a row that gives the place of those below it. */
export const HEADS = 'A heading: the rows below it live there.';

export const MOST_ROWS = 20_000;
export const MOST_COLUMNS = 60;
export const LONGEST_CELL = 1000;

/** Thrown for a file that is understood but can't be taken in; the message is for people. */
export class UnreadableList extends Error {
  override name = 'UnreadableList';
}

/** One cell's text: spaces folded, line breaks kept, what can't be seen left out, over-long text cut. */
export function tidyCell(text: string): string {
  // Most cells are tidy.
  if (text.length <= LONGEST_CELL && /^[!-~]+(?: [!-~]+)*$/u.test(text)) return text;
  return withoutOdd(cutText(text, LONGEST_CELL))
    .replace(/[^\S\n]+/gu, ' ')
    .replace(/ ?\n[ \n]*/g, '\n')
    .trim();
}
