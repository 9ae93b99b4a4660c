'use client';

import { useRouter } from 'next/navigation';
import type { ProgramFacts } from '@/core/clash/clashIndex';
import type { Draft } from '@/core/keymap/draft';
import { Tape } from './Tape';
import type { DraftActions } from './useDraft';
import { usePull } from './usePull';

type Props = {
  readonly draft: Draft;
  readonly actions: DraftActions;
  readonly facts: ProgramFacts;
  /** The address of the Board, to which a ticket's command leads. */
  readonly board: string;
};

/** The tape of a draft on a screen other than the Board: to go along, to open tickets, to pull one from the middle. */
export function DraftTape({ draft, actions, facts, board }: Props) {
  const { pull, dialog } = usePull(actions);
  const router = useRouter();
  return (
    <>
      <Tape
        draft={draft}
        facts={facts}
        onOpen={(one) => router.push(`${board}/${encodeURIComponent(one)}`)}
        onHistory={() => router.push(`${board}?show=history`)}
        onGoTo={(cursor) => void actions.goTo(() => cursor)}
        onPull={pull}
      />
      {dialog}
    </>
  );
}
