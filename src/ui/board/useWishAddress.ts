import { useCallback } from 'react';
import type { Command } from '@/core/program/program';

/** The address that puts commands on the wish list of a keymap. */
export function useWishAddress(program: string, keymap: string): (commands: readonly Command[]) => string {
  return useCallback(
    (commands) => `/wishes/${program}/${keymap}?${new URLSearchParams(commands.map(({ id }) => ['wish', id]))}`,
    [program, keymap],
  );
}
