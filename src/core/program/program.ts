import type { ChordText } from '../chord/chord';

/** What a command is; decides what keys suit it and how it is shown. */
export const KINDS = ['menu item', 'tool', 'panel', 'value', 'script', 'held action'] as const;
export type Kind = (typeof KINDS)[number];

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

/** What a program allows: areas (beginnings of paths) whose commands take turns on a key, and chords it keeps for itself. */
export type Rules = {
  readonly turns: readonly (readonly string[])[];
  readonly fixed: readonly { readonly chord: ChordText; readonly why: string }[];
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
