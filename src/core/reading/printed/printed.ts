import { readsAsKeys } from '../columnRoles';
import { withoutAnyWord } from '../readKeysCell';

/** A run of text as it stands on a page: in points from the left and from the top to its baseline. */
export type PrintedItem = {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** How high its type is, in points. */
  readonly size: number;
  readonly font: string;
};
export type PrintedPage = readonly PrintedItem[];

/** A stretch of a page from left to right, in points. */
export type Stretch = { readonly from: number; readonly to: number };

/** What stands together in a line: words with a blank or less between them. */
export type Piece = {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly end: number;
  readonly size: number;
  readonly font: string;
};
export type PrintedLine = { readonly y: number; readonly pieces: readonly Piece[] };

/** No keys are written longer than this, in signs. */
const LONGEST_KEYS = 90;
/** Whether what is printed reads as keys, or as keys with a word for any one. */
export function printsKeys(text: string): boolean {
  if (text.length > LONGEST_KEYS) return false;
  const rest = withoutAnyWord(text);
  return rest === null ? readsAsKeys(text) : rest === '' || readsAsKeys(rest);
}

/** Whether bytes are a PDF: its head may stand behind something else, in the first kilobyte (ISO 32000-1, annex H.3). */
export function isPdf(bytes: Uint8Array): boolean {
  const textOf = (part: Uint8Array): string => String.fromCharCode(...part);
  const head = textOf(bytes.subarray(0, 1024));
  return head.startsWith('%PDF-') || (head.includes('%PDF-') && textOf(bytes.subarray(-1024)).includes('%%EOF'));
}
