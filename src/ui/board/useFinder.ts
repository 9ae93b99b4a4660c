'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Find } from '@/core/finder/buildFinder';
import type { Command } from '@/core/program/program';

type Build = (commands: readonly Command[]) => Find;

/** All that is known of words is loaded once, when a page that looks for commands has nothing else to do. */
let build: Build | null = null;
let loading: Promise<Build> | null = null;
const load = (): Promise<Build> => {
  loading ??= import('@/core/finder/buildFinder').then((one) => {
    build = one.buildFinder;
    return build;
  });
  return loading;
};

/**
 * What finds commands by words: asked for, it is built; null until what is known of words has come, when the page is
 * drawn again.
 */
export function useFinder(commands: readonly Command[]): () => Find | null {
  const built = useRef<{ of: readonly Command[]; find: Find } | null>(null);
  const [there, setThere] = useState(build !== null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked again once it is there.
  const finder = useCallback((): Find | null => {
    if (!build) {
      void load().then(() => setThere(true));
      return null;
    }
    if (built.current?.of !== commands) built.current = { of: commands, find: build(commands) };
    return built.current.find;
  }, [commands, there]);
  useEffect(() => {
    const idle = window.requestIdleCallback(() => void finder(), { timeout: 3000 });
    return () => window.cancelIdleCallback(idle);
  }, [finder]);
  return finder;
}
