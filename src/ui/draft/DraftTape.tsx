'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ProgramFacts } from '@/core/clash/clashIndex';
import type { Draft } from '@/core/keymap/draft';
import type { Question } from '../parts/ConfirmDialog';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { askToPull } from './askToPull';
import { Tape } from './Tape';
import type { DraftActions } from './useDraft';

const ConfirmDialog = dynamic(() => import('../parts/ConfirmDialog').then((one) => one.ConfirmDialog));

type Props = {
  readonly draft: Draft;
  readonly actions: DraftActions;
  readonly facts: ProgramFacts;
  /** The address of the Board, to which a ticket's command leads. */
  readonly board: string;
};

/** The tape of a draft on a screen other than the Board: to go along, to open tickets, to pull one from the middle. */
export function DraftTape({ draft, actions, facts, board }: Props) {
  const { where } = useSettings();
  const [question, setQuestion] = useState<Question | null>(null);
  const tell = useNotice();
  const router = useRouter();
  return (
    <>
      <Tape
        draft={draft}
        facts={facts}
        onOpen={(one) => router.push(`${board}/${encodeURIComponent(one)}`)}
        onHistory={() => router.push(`${board}?show=history`)}
        onGoTo={(cursor) => void actions.goTo(() => cursor)}
        onPull={(position) =>
          void askToPull(position, {
            whole: actions.whole,
            place: where.place,
            edit: (one) => void actions.edit(one),
            ask: setQuestion,
            tell,
          })
        }
      />
      {question && <ConfirmDialog question={question} onClose={() => setQuestion(null)} />}
    </>
  );
}
