'use client';

import dynamic from 'next/dynamic';
import { type ReactNode, useState } from 'react';
import type { Question } from '../parts/ConfirmDialog';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { askToPull } from './askToPull';
import type { DraftActions } from './useDraft';

const ConfirmDialog = dynamic(() => import('../parts/ConfirmDialog').then((one) => one.ConfirmDialog));

/** Pulls tickets out of the middle of a tape; the dialog asks first where later ones rest on one. */
export function usePull(actions: DraftActions): {
  readonly pull: (position: number) => void;
  readonly dialog: ReactNode;
} {
  const { where } = useSettings();
  const tell = useNotice();
  const [question, setQuestion] = useState<Question | null>(null);
  return {
    pull: (position) =>
      void askToPull(position, {
        whole: actions.whole,
        place: where.place,
        edit: (one) => void actions.edit(one),
        ask: setQuestion,
        tell,
      }),
    dialog: question && <ConfirmDialog question={question} onClose={() => setQuestion(null)} />,
  };
}
