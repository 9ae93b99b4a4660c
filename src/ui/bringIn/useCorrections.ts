import { startTransition, useState } from 'react';
import type { Correction, Corrections } from '@/core/reading/correctRows';

const NONE: Corrections = {};

/** What was said of the rows of a list, step by step, so that each step can be taken back. */
export function useCorrections() {
  const [steps, setSteps] = useState<readonly Corrections[]>([NONE]);
  const now = steps.at(-1) ?? NONE;
  return {
    now,
    /** Says the same of some rows; null: that they are as they were read. */
    say: (rows: readonly string[], said: Correction | null): void =>
      startTransition(() =>
        setSteps((before) => {
          const next = { ...(before.at(-1) ?? NONE) };
          for (const row of rows) {
            if (said) next[row] = said;
            else delete next[row];
          }
          return [...before, next];
        }),
      ),
    undo: steps.length > 1 ? (): void => setSteps((before) => before.slice(0, -1)) : null,
    forget: (): void => setSteps([NONE]),
  };
}
