import type { Versioned } from '../sync/versioned';
import type { Said } from './spelling';
import type { FileWritten } from './writeFile';

/** A file of a program as a screen lists it. */
export type FileLink = {
  readonly id: number;
  readonly name: string;
  readonly madeAt: string;
  readonly size: number;
  /** Whether it was given after the program was there. */
  readonly given: boolean;
};
/** The files that a keymap can be written into, the newest first, and what was said of how they write keys. */
export type FilesView = {
  readonly files: readonly FileLink[];
  /** With which file that is kept; null where there is none. */
  readonly spelling: { readonly file: number; readonly said: Versioned<Said> } | null;
  /** Whether all that is kept is a PDF, which tells keys that no program reads from it. */
  readonly printed: boolean;
};
/** A keymap written into a file, as a screen shows it. */
export type WriteBackView = Omit<FileWritten, 'bytes'>;
