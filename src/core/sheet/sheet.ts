import type { Ink } from '../workspace/dressing';
import type { Face } from './measure';

/** What a sheet says, before it is set: groups of lines, each a name and the caps of its keys. */
export type SheetLine = {
  readonly name: string;
  /** Alternatives, each the caps of one chord in reading order; a held chord's last cap is the word "hold". */
  readonly keys: readonly (readonly string[])[];
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
  readonly footer: string;
};

/** Paper sizes in points (1/72 inch): ISO 216 A4 and ANSI/ASME Y14.1 Letter, upright. */
export const PAPERS = {
  A4: { width: 595.28, height: 841.89 },
  Letter: { width: 612, height: 792 },
} as const;
export type Paper = keyof typeof PAPERS;
export const WAYS = ['across', 'upright'] as const;
export type Way = (typeof WAYS)[number];

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
  | { readonly kind: 'cap'; readonly x: number; readonly y: number; readonly width: number; readonly height: number }
  /** The shape of a mark in a square of this side, from its top left corner. */
  | { readonly kind: 'mark'; readonly x: number; readonly y: number; readonly side: number; readonly ink: Ink }
  | { readonly kind: 'dot'; readonly x: number; readonly y: number; readonly radius: number };

/** Items that are read together, in reading order: what a screen reader or a text copy gets as one line. */
export type Block = {
  readonly role: 'title' | 'note' | 'heading' | 'line' | 'footer';
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
  readonly pages: readonly Page[];
  readonly warnings: readonly string[];
};
