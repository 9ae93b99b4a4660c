'use client';

import type { ChordText } from '@/core/chord/chord';
import type { Row as KeyRow } from '@/core/keymap/keymap';
import type { CommandId } from '@/core/program/program';

export function keysOf(rows: readonly KeyRow[]): ReadonlyMap<CommandId, readonly ChordText[]> {
  const keys = new Map<CommandId, ChordText[]>();
  for (const [id, chord] of rows) keys.set(id, [...(keys.get(id) ?? []), chord]);
  return keys;
}
