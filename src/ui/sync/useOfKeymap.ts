'use client';

import { useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { Versioned } from '@/core/sync/versioned';
import type { Way } from './createKept';
import { useKept } from './useKept';

/**
 * Something kept with a keymap, of which there may be none yet. Where an edit of the factory keymap begins a keymap of its
 * own, what was kept goes with it.
 */
export function useOfKeymap<Value extends object, Edit>(
  name: string,
  keymap: number,
  initial: Versioned<Value | null>,
  wayOf: (keymap: number) => Way<Value | null, Edit | Partial<Value>>,
): readonly [value: Value | null, edit: (edit: Edit | Partial<Value>) => Promise<boolean>] {
  const [first] = useState(keymap);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the way depends on the keymap alone.
  const way = useMemo(() => wayOf(keymap), [keymap]);
  const given = useMemo(() => (keymap === first ? initial : { revision: 0, value: null }), [keymap, first, initial]);
  const [value, edit] = useKept(`${name} ${keymap}`, given, way);
  const before = useRef({ keymap, value });
  useLayoutEffect(() => {
    const was = before.current;
    if (was.keymap !== keymap && was.value !== null && value === null) void edit(was.value);
    else before.current = { keymap, value };
  }, [keymap, value, edit]);
  return [value, edit];
}
