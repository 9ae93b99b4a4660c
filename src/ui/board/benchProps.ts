'use client';
import type { RefObject } from 'react';
import type { Suggestion } from '@/core/advice/suggest';
import type { ChordText } from '@/core/chord/chord';
import type { Choice } from '@/core/clash/choices';
import type { Judged } from '@/core/clash/judge';
import type { Binding } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import type { Reach, ReachOf } from '@/core/reach/reachOf';
import type { Action } from '../parts/ActionsMenu';

export type BenchProps = {
  readonly command: Command | null;
  readonly contextName: string;
  readonly bindings: readonly Binding[];
  readonly factory: readonly Binding[];
  readonly spare: boolean;
  /** Whether it acts only while keys are held, so that every press is taken so. */
  readonly onlyHeld: boolean;
  /** Where what the program allows is said. */
  readonly rulesAddress: string;
  readonly isFixed: (chord: ChordText) => boolean;
  readonly judged: Judged | null;
  readonly offered: readonly Choice[];
  /** The best keys that could be had, whatever is pressed. */
  readonly best: readonly Suggestion[];
  readonly reach: ReachOf;
  /** The keys to be compared with those it has; null before some are pressed. */
  readonly compared: ChordText | null;
  /** The easiest keys it has. */
  readonly ownKeys: { readonly chord: ChordText; readonly reach: Reach } | null;
  readonly keepOwn: boolean;
  /** Said when the bench has moved here because this command lost its keys. */
  readonly loss: { readonly to: string; readonly back: string } | null;
  readonly neighbors: { readonly before: Command | null; readonly after: Command | null };
  readonly actions: () => readonly Action[];
  readonly captureRef: RefObject<HTMLInputElement | null>;
  readonly onPropose: (chord: ChordText | null) => void;
  readonly onKeepOwn: (keep: boolean) => void;
  readonly onChoose: (choice: Choice) => void;
  /** Enter: the first choice. */
  readonly onFirst: () => void;
  readonly onRemove: (chord: ChordText) => void;
  readonly onMark: (chord: ChordText, marks: { keeper?: boolean; hook?: string }) => void;
  readonly onGoTo: (command: Command) => void;
  readonly onSkip: () => void;
  readonly onLeave: () => void;
};
