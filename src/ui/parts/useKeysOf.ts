'use client';

import { useMemo } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { Keymap } from '@/core/keymap/keymap';
import type { CommandId } from '@/core/program/program';

export type KeysOf = (command: CommandId) => readonly ChordText[];
const NONE: readonly ChordText[] = [];

/** The keys of commands in a keymap. */
export function useKeysOf(keymap: Keymap): KeysOf {
  return useMemo(() => {
    const keys = new Map([...keymap.bindings].map(([id, list]) => [id, list.map((one) => one.chord)]));
    return (command) => keys.get(command) ?? NONE;
  }, [keymap]);
}
