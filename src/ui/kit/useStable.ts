'use client';

import { useCallback, useRef } from 'react';

/** The same function at every rendering, which does what the newest one does: for handlers of parts that are memoized. */
export function useStable<Given extends readonly unknown[], Result>(
  run: (...given: Given) => Result,
): (...given: Given) => Result {
  const newest = useRef(run);
  newest.current = run;
  return useCallback((...given: Given) => newest.current(...given), []);
}
