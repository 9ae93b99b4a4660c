import type { ChordText } from '../chord/chord';
import type { Choices } from '../reading/choices';
import { type Corrections, correctRows } from '../reading/correctRows';
import { type Reading, readCommandList } from '../reading/readCommandList';
import type { TextEdit } from './edits';
import { learnSpelling } from './learnSpelling';
import { placesOf, type SourcePlaces } from './placesOf';
import type { Spelling } from './spelling';

/** A file with what was said of how it is read, understood as far as writing into it needs. */
export type SourceText = {
  readonly text: string;
  readonly reading: Reading;
  readonly places: SourcePlaces;
  readonly choices: Choices;
  readonly corrections: Corrections;
  /** Of a workbook: its bytes with edits of the text put into its cells; null where these can't be. */
  readonly pack?: (edits: readonly TextEdit[]) => Uint8Array | null;
};
/** A command of the program, as it is called there, with the keys it is to have. */
export type Wanted = {
  readonly id: string;
  readonly name: string;
  readonly path: readonly string[];
  readonly keys: readonly ChordText[];
  /** Whether these are its factory keys, which hold where a file says nothing of it. */
  readonly usual?: boolean;
};
/**
 * Understands a file so that keys can be written into it.
 * @param as the file it is another state of, which is read in the same way.
 * @throws UnreadableList where it is no list.
 */
export function readSource(text: string, choices: Choices, corrections: Corrections = {}, as?: SourceText): SourceText {
  const reading = correctedReading(text, choices, corrections, as);
  return { text, reading, places: placesOf(text, reading), choices, corrections };
}

/** What is read of a file as it was said. @throws UnreadableList where it is no list. */
export function correctedReading(
  text: string,
  choices: Choices,
  corrections: Corrections,
  as?: SourceText,
  places: boolean = true,
): Reading {
  const read = readCommandList(text, choices, as?.reading, places);
  return { ...read, rows: correctRows(read.rows, corrections) };
}

/** How a source file writes keys. */
export const spellingOf = ({ reading, places }: SourceText): Spelling => learnSpelling(reading, places);
