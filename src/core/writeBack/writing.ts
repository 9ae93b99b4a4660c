import type { FormRead } from '../reading/tables';
import type { Place } from './placesOf';
import type { Said, Spelling } from './spelling';

/** What is so of the whole file while it is written. */
export type Writing = {
  readonly text: string;
  readonly format: FormRead;
  readonly spelling: Spelling;
  readonly said: Said;
  /** Where keys begin that several commands share. */
  readonly shared: ReadonlySet<number>;
  /** Whether cells are put in quotes that have none, where they are not read as they are meant without. */
  readonly quoted: boolean;
  /** A place whose record has its keys right behind its name, as a pattern for records that have none. */
  readonly pattern: Place | null;
};

/** Whether a command can have several lines: each binds one. */
export const takesLines = ({ format, spelling }: Writing): boolean =>
  format === 'bindings' || spelling.none.kind === 'no line';
