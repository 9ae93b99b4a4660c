'use client';

import { useCallback, useEffect, useRef } from 'react';
import { buildSearchIndex, type SearchIndex } from '@/core/finder/searchIndex';
import type { Command } from '@/core/program/program';

/** The search index of commands, built while the page has nothing else to do, or when it is first asked for. */
export function useSearchIndex(commands: readonly Command[]): () => SearchIndex {
  const built = useRef<{ of: readonly Command[]; index: SearchIndex } | null>(null);
  const index = useCallback((): SearchIndex => {
    if (built.current?.of !== commands) built.current = { of: commands, index: buildSearchIndex(commands) };
    return built.current.index;
  }, [commands]);
  useEffect(() => {
    const idle = window.requestIdleCallback(() => void index(), { timeout: 3000 });
    return () => window.cancelIdleCallback(idle);
  }, [index]);
  return index;
}
