import type { ChordText } from '../chord/chord';

/** What a command is; decides what keys suit it and how it is shown. */
export const KINDS = ['menu item', 'tool', 'panel', 'value', 'script', 'held action'] as const;
export type Kind = (typeof KINDS)[number];

/** The kinds as people speak of several. */
export const KIND_PLURALS: Readonly<Record<Kind, string>> = {
  'menu item': 'Menu items',
  tool: 'Tools',
  panel: 'Panels',
  value: 'Values',
  script: 'Scripts',
  'held action': 'Held actions',
};

export type CommandId = string;
export type ContextId = string;

/** Where keys are listened for; contexts form a tree under the one without a parent. */
export type Context = { readonly id: ContextId; readonly name: string; readonly parent: ContextId | null };

/** One thing a program can do, and where it lives. */
export type Command = {
  readonly id: CommandId;
  readonly name: string;
  readonly kind: Kind;
  readonly path: readonly string[];
  readonly context: ContextId;
};

/**
 * The forms keys come in: a character alone or with Shift; a named key such as F5 alone or with Shift; anything with
 * Ctrl, Alt, Command or the Windows key; keys that act only while held.
 */
export const FORMS = ['bare', 'named', 'modified', 'held'] as const;
export type Form = (typeof FORMS)[number];

/** What a program allows. */
export type Rules = {
  /** Areas (beginnings of paths) whose commands take turns on a key. */
  readonly turns: readonly (readonly string[])[];
  /** Chords it keeps for itself. */
  readonly fixed: readonly { readonly chord: ChordText; readonly why: string }[];
  /** Whether a command of a narrower context may shadow one of a wider on the same chord. */
  readonly shadow: boolean;
  /** Whether it takes two strokes one after the other. */
  readonly sequences: boolean;
  /** The forms of keys that each kind of command takes. */
  readonly forms: Readonly<Record<Kind, readonly Form[]>>;
  /** The letter that opens each menu together with Alt on Windows and Linux, by the first step of the path. */
  readonly menuLetters: Readonly<Record<string, string>>;
};

export const DEFAULT_FORMS: Rules['forms'] = {
  'menu item': ['named', 'modified'],
  tool: ['bare', 'named', 'modified'],
  panel: ['named', 'modified'],
  value: ['bare', 'named', 'modified'],
  script: ['named', 'modified'],
  'held action': ['held'],
};
export const DEFAULT_RULES: Rules = {
  turns: [],
  fixed: [],
  shadow: false,
  sequences: false,
  forms: DEFAULT_FORMS,
  menuLetters: {},
};

/** An application whose keys are kept here: one version of its command list, in the program's own order. */
export type Program = {
  readonly name: string;
  readonly version: string;
  readonly contexts: readonly Context[];
  readonly rules: Rules;
  readonly commands: readonly Command[];
};

export const EVERYWHERE: Context = { id: 'everywhere', name: 'everywhere', parent: null };

/** A path as people read it: `Repair › Surface`. */
export function pathText(path: readonly string[]): string {
  return path.join(' › ');
}
