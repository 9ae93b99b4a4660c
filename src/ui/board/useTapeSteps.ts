import { type RefObject, useCallback } from 'react';
import { type Draft, tapeLengthOf } from '@/core/keymap/draft';
import { askToPull } from '../draft/askToPull';
import type { DraftActions } from '../draft/useDraft';
import { useUndoKeys } from '../draft/useUndoKeys';
import { useStable } from '../kit/useStable';
import type { Question } from '../parts/ConfirmDialog';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';

/** Ways along the tape: undo, redo, to any of its places, and one ticket pulled out of it. */
export function useTapeSteps(
  draft: RefObject<Draft>,
  actions: DraftActions,
  except: RefObject<HTMLElement | null>,
  ask: (question: Question) => void,
) {
  const tell = useNotice();
  const { place } = useSettings().where;
  const onUndo = useCallback(
    () => void (draft.current.state.cursor > 0 && actions.goTo((state) => state.cursor - 1)),
    [draft, actions],
  );
  const onRedo = useCallback(
    () => void (draft.current.state.cursor < tapeLengthOf(draft.current) && actions.goTo((state) => state.cursor + 1)),
    [draft, actions],
  );
  useUndoKeys(onUndo, onRedo, except);
  const onGoTo = useCallback((cursor: number) => void actions.goTo(() => cursor), [actions]);
  const onPull = useStable((position: number) =>
    askToPull(position, {
      whole: actions.whole,
      place,
      edit: (ticket) => void actions.edit(ticket),
      ask,
      tell,
    }),
  );
  return { onUndo, onRedo, onGoTo, onPull };
}
