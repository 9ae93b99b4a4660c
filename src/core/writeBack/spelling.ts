import type { Modifier } from '../chord/chord';

/** Where keys stand: alone and as themselves, alone by name, or behind modifiers. */
export type StrokeClass = 'plain' | 'named' | 'held';
/** What stands before and behind. */
export type Around = readonly [before: string, behind: string];
/** How many of a sort are written: what stands around the sign or number itself, and whether letters are capitals. */
export type Sort = { readonly around: Around; readonly upper: boolean };
/** The sorts of keys that are written alike, whichever of them it is. */
export type SortName =
  | 'letter'
  | 'letter, held'
  | 'letter, with Alt'
  | 'letter, with Shift'
  | 'digit'
  | 'function key'
  | 'digit of the number pad';

/** A line that is only out of use is set in no further than this by its sign; what is, is an explanation. */
export const LONGEST_SIGN = 3;

/** How a file says that a command has no keys. */
export type None =
  | { readonly kind: 'text'; readonly raw: string }
  /** Its record has no place for keys. */
  | { readonly kind: 'absent' }
  | { readonly kind: 'commented out'; readonly sign: string }
  /** It has no line. */
  | { readonly kind: 'no line' };

/** How a source file writes keys, as learned from all of them. */
export type Spelling = {
  readonly modifiers: ReadonlyMap<Modifier, string>;
  /** The same by the sort of key they are held with, since some write `<C-r>` and `<a-1>`. */
  readonly modifiersWith: ReadonlyMap<string, string>;
  /** How often of two modifiers the first stands before the second. */
  readonly before: ReadonlyMap<string, number>;
  /** What stands between modifiers, and before the key; by the modifier it stands behind where that has its own. */
  readonly joint: string;
  readonly jointAfter: ReadonlyMap<Modifier, string>;
  /** Words that a file has in several ways, by where they stand. */
  readonly varied: ReadonlyMap<string, readonly (readonly [line: number, word: string])[]>;
  readonly keyFirst: boolean;
  readonly around: ReadonlyMap<StrokeClass, Around>;
  /** Named keys and signs, by their canonical names. */
  readonly keys: ReadonlyMap<string, string>;
  readonly sorts: ReadonlyMap<SortName, Sort>;
  /** Whether Shift with a letter is written as a capital: where nothing else is held, and where it is. */
  readonly capitals: { readonly alone: boolean; readonly held: boolean };
  /** What stands between the strokes of a sequence, between several keys, around keys that are held; null: none has any. */
  readonly strokes: string | null;
  readonly several: string | null;
  readonly hold: Around | null;
  /** The blanks that lead to keys. */
  readonly lead: string;
  /** What stands around all keys of a command. */
  readonly cell: Around;
  readonly none: None;
  /** Whether the file has a command without keys, or this is only how such files mostly say it. */
  readonly noneGuessed: boolean;
  /** From how many keys all this was learned. */
  readonly learnedFrom: number;
};

/** A word that was written for a modifier or key, and whether it stands nowhere in the file. */
export type SpelledWord = { readonly what: string; readonly word: string; readonly guessed: boolean };
/** What is said of the spelling besides words: what separates several keys, what says that there are none. */
export const SEVERAL = 'several keys';
export const NO_KEY = 'no key';
/** What a person said a modifier, key, or what separates keys, is written as; by what it is. */
export type Said = Readonly<Record<string, string>>;
