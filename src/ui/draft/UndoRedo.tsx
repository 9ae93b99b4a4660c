'use client';

import Button from '@mui/material/Button';
import { type Draft, tapeLengthOf } from '@/core/keymap/draft';
import { useStable } from '../kit/useStable';
import type { DraftActions } from './useDraft';
import { useUndoKeys } from './useUndoKeys';

/** Undo and redo along the tape, by button and by the keys everybody knows. */
export function UndoRedo({ draft, actions }: { draft: Draft; actions: DraftActions }) {
  const { state } = draft;
  const length = tapeLengthOf(draft);
  const undo = useStable(() => void (state.cursor > 0 && actions.goTo((now) => now.cursor - 1)));
  const redo = useStable(() => void (state.cursor < length && actions.goTo((now) => now.cursor + 1)));
  useUndoKeys(undo, redo);
  return (
    <>
      <Button variant="text" aria-disabled={state.cursor === 0} onClick={undo}>
        Undo
      </Button>
      <Button variant="text" aria-disabled={state.cursor >= length} onClick={redo}>
        Redo
      </Button>
    </>
  );
}
