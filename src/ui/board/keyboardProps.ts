'use client';

import type { ChordText, Modifier } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Keymap } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';

export type KeyboardProps = {
  readonly index: ClashIndex;
  readonly factory: Keymap;
  /** The command on the bench, for whom keys are free or not. */
  readonly command: Command | null;
  readonly reach: ReachOf;
  readonly modifiers: readonly Modifier[];
  readonly proposed: ChordText | null;
  readonly proposedHeld: boolean;
  readonly onToggle: (modifier: Modifier) => void;
  readonly onLayer: (modifiers: readonly Modifier[]) => void;
  readonly onPick: (chord: ChordText) => void;
  readonly onCard: (code: string) => void;
  readonly onChooseKeyboard: () => void;
};
