import { NOTATIONS } from '../chord/writeChord';
import type { CommandId, ContextId, Kind } from '../program/program';

/** The forms of paper people keep: beside the desk, in a pocket, stuck to the screen, the keys themselves, what changed, the steps by hand, all there is. */
export const FORMS = ['desk', 'card', 'note', 'poster', 'difference', 'steps', 'programs', 'reference'] as const;
export type Form = (typeof FORMS)[number];

/** Paper in points (1/72 inch), upright: ISO 216 A sizes and ANSI/ASME Y14.1 Letter. */
export const PAPERS = {
  A4: { width: 595.28, height: 841.89 },
  Letter: { width: 612, height: 792 },
  A3: { width: 841.89, height: 1190.55 },
} as const;
export type Paper = keyof typeof PAPERS;
export const WAYS = ['across', 'upright'] as const;
export type Way = (typeof WAYS)[number];

const MM = 72 / 25.4;
/** Cards and notes in points, across: ISO 216 A6, ISO/IEC 7810 ID-1, and the two common sizes of sticky notes. */
export const CARDS = {
  A6: { width: 148 * MM, height: 105 * MM },
  'business card': { width: 85.6 * MM, height: 53.98 * MM },
} as const;
export type CardSize = keyof typeof CARDS;
export const NOTES = {
  '76 x 76 mm': { width: 76 * MM, height: 76 * MM },
  '127 x 76 mm': { width: 127 * MM, height: 76 * MM },
} as const;
export type NoteSize = keyof typeof NOTES;

/** What goes on a sheet. */
export const CONTENTS = ['yours', 'all', 'picked', 'used', 'places'] as const;
export type Contents = (typeof CONTENTS)[number];
export const GROUPINGS = ['menu', 'task', 'modifier'] as const;
export type Grouping = (typeof GROUPINGS)[number];
export const ORDERS = ['menu', 'name', 'key'] as const;
export type Order = (typeof ORDERS)[number];
/** How keys are written on a sheet; both stands for Windows words and Mac symbols side by side. */
export const SHEET_NOTATIONS = [...NOTATIONS, 'both'] as const;
export type SheetNotation = (typeof SHEET_NOTATIONS)[number];
/** What stands with each line besides its name and keys. */
export const EXTRAS = ['changed', 'marks', 'hooks', 'path', 'was'] as const;
export type Extra = (typeof EXTRAS)[number];

export const POSTER_LAYERS = ['each', 'together'] as const;

/** Everything that is chosen of a sheet. Plain data: stored with a keymap under a name, and told by an address. */
export type SheetSpec = {
  readonly form: Form;
  readonly contents: Contents;
  /** The commands picked by hand, and how many of the most used. */
  readonly picked: readonly CommandId[];
  readonly most: number;
  /** Of which menus, kinds and places; none of a sort means all of it. */
  readonly menus: readonly string[];
  readonly kinds: readonly Kind[];
  readonly contexts: readonly ContextId[];
  /** Whether commands without keys stand there, too. */
  readonly keyless: boolean;
  readonly group: Grouping;
  readonly order: Order;
  /** Names of one's own for groups. */
  readonly groupNames: readonly (readonly [group: string, name: string])[];
  readonly notation: SheetNotation;
  readonly extras: readonly Extra[];
  readonly paper: Paper;
  readonly way: Way;
  readonly card: CardSize;
  readonly note: NoteSize;
  /** Whether a key poster has a picture for each layer, or all layers on the keys of one. */
  readonly layers: (typeof POSTER_LAYERS)[number];
  /** Whether a card is folded in the middle. */
  readonly fold: boolean;
  /** How many pages it is to take at most; 0 for as many as it takes to be read well. */
  readonly pages: number;
  /** The address of the keymap that a difference sheet compares with, and steps lead from; empty for the factory's. */
  readonly base: string;
  /** The other keymaps of a sheet of several programs, each as `program/keymap`; and whether only keys that differ count. */
  readonly programs: readonly string[];
  readonly differ: boolean;
};
export const MOST_PROGRAMS = 4;
export const MOST_PAGES = 60;

export const DEFAULT_SHEET: SheetSpec = {
  form: 'desk',
  contents: 'all',
  picked: [],
  most: 15,
  menus: [],
  kinds: [],
  contexts: [],
  keyless: false,
  group: 'menu',
  order: 'menu',
  groupNames: [],
  notation: 'windows',
  extras: ['changed', 'marks'],
  paper: 'A4',
  way: 'across',
  card: 'A6',
  note: '76 x 76 mm',
  layers: 'each',
  fold: false,
  pages: 0,
  base: '',
  programs: [],
  differ: false,
};

/** Whether a form shows two keymaps of the program, one against the other. */
export const compares = ({ form }: Pick<SheetSpec, 'form'>): boolean => form === 'difference' || form === 'steps';

/** What the whole reference has unless it is told otherwise. */
const WHOLE = { contents: 'all', keyless: true } as const;

/** What is usual for a form until something else is said. */
export function usualSheet(form: Form): SheetSpec {
  return { ...DEFAULT_SHEET, form, ...(form === 'reference' ? WHOLE : {}) };
}

/** The choices after another form is taken. */
export function withForm(spec: SheetSpec, form: Form): SheetSpec {
  if (form === 'reference') return { ...spec, form, ...WHOLE };
  return { ...spec, form, keyless: spec.form === 'reference' ? DEFAULT_SHEET.keyless : spec.keyless };
}
