import type { Follows } from '../succession/newVersionView';
import type { Choices } from './choices';
import type { Reading } from './readCommandList';

/** What a file turned out to be, before it is brought in; the rows of a list follow in pages. */
export type Preview =
  | {
      readonly kind: 'list';
      readonly reading: Omit<Reading, 'rows'>;
      /** How many rows follow. */
      readonly count: number;
      readonly encoding: string;
      readonly name: string;
      /** What it was read by: what was said of it, or what was said of an earlier list of a program. */
      readonly choices: Choices;
      /** The program whose choices these are, where they were remembered. */
      readonly asFor: string | null;
      /** The program on the Shelf that it seems to be another version of. */
      readonly follows: Follows | null;
    }
  | {
      readonly kind: 'program file';
      readonly name: string;
      readonly version: string;
      readonly commands: number;
      readonly keymaps: readonly { readonly name: string; readonly owner: string }[];
      readonly follows: Follows | null;
    };

/** What was said of a list that was brought in before, and what its commands are called. */
export type Remembered = { readonly program: string; readonly choices: Choices; readonly names: readonly string[] };

/** So many rows come with the first page, and so many with each after it. */
export const FIRST_PAGE = 200;
export const PAGE = 400;
