import type { Ink } from '../workspace/dressing';
import type { Face } from './measure';
import type { Sign } from './signs';

/** What a sheet says, before it is set: groups of lines, each a name and the caps of its keys. */
export type SheetLine = {
  readonly name: string;
  /** Alternatives, each the caps of one chord in reading order; a held chord's last cap is the word "hold". */
  readonly keys: readonly (readonly string[])[];
  /** The same keys in a second notation, set below. */
  readonly again?: readonly (readonly string[])[];
  /** Keys in several programs, one list each, instead of `keys`. */
  readonly columns?: readonly (readonly (readonly string[])[])[];
  /** Soft words below the name: a memory hook, where it lives, what it had. */
  readonly notes?: readonly string[];
  /** Whether a box to tick stands before it. */
  readonly box?: true;
  /** Whether it differs from the factory keys. */
  readonly changed: boolean;
  /** The ink its menu line is marked with, if any. */
  readonly mark?: Ink;
};
export type SheetGroup = { readonly title: string; readonly lines: readonly SheetLine[] };
export type SheetContents = {
  readonly title: string;
  readonly notes: readonly string[];
  readonly groups: readonly SheetGroup[];
  /** The heads of the columns, where lines have keys in several programs. */
  readonly heads?: readonly string[];
  readonly footer: string;
};

/** One thing on a page; lengths in points from the top left corner, text by its baseline. */
export type Item =
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly face: Face;
      readonly text: string;
      readonly width: number;
      readonly soft?: true;
    }
  | {
      readonly kind: 'rule';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly weight: number;
      readonly soft?: true;
    }
  | {
      readonly kind: 'stroke';
      readonly x: number;
      readonly y: number;
      readonly toX: number;
      readonly toY: number;
      readonly dashed?: true;
    }
  /** A key; `strong` where it stands out among others. */
  | {
      readonly kind: 'cap';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly strong?: true;
    }
  /** The shape of a mark in a square of this side, from its top left corner. */
  | { readonly kind: 'mark'; readonly x: number; readonly y: number; readonly side: number; readonly ink: Ink }
  /** The shape of a modifier in a square of this side, from its top left corner. */
  | { readonly kind: 'sign'; readonly x: number; readonly y: number; readonly side: number; readonly sign: Sign }
  | { readonly kind: 'dot'; readonly x: number; readonly y: number; readonly radius: number };

/** Items that are read together, in reading order: what a screen reader or a text copy gets as one line. */
export type Block = {
  readonly role: 'title' | 'note' | 'heading' | 'line' | 'footer' | 'cut';
  readonly items: readonly Item[];
};
export type Page = { readonly blocks: readonly Block[] };
export type SheetLayout = {
  readonly width: number;
  readonly height: number;
  readonly columns: number;
  /** Size of the type in points. */
  readonly size: number;
  readonly lines: number;
  /** How many cards or notes there are, where several are printed on a page. */
  readonly cards?: number;
  readonly pages: readonly Page[];
  readonly warnings: readonly string[];
};
