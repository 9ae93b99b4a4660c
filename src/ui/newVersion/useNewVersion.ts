'use client';

import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import { draftOf } from '@/core/keymap/draft';
import { rowsOf } from '@/core/keymap/keymap';
import type { NewVersionView } from '@/core/succession/newVersionView';
import type { Succeeder, SuccessionAnswer, SuccessionGround, SuccessionTask } from '@/workers/succeeder';
import { useWorkerTask, type Working } from '../parts/useWorkerTask';
import { useSettings } from '../shell/SettingsContext';
import { useKept } from '../sync/useKept';
import { answersWay, linksWay } from '../sync/ways';

const start = (): Worker => new Worker(new URL('../../workers/succeeder.ts', import.meta.url), { type: 'module' });
const send = (remote: Remote<Succeeder>, task: SuccessionTask): Promise<SuccessionAnswer> => remote.succeed(task);

/** What of it is shown: what needs a word, what stays, what comes in, what is gone, the commands, what is to be checked. */
export type Shown = 'asked' | 'stays' | 'comes' | 'gone' | 'commands' | 'check';

/** What becomes of a keymap in the next version, worked out anew whenever something is said or chosen. */
export function useNewVersion({ before, after, ...given }: NewVersionView) {
  const { where, settings } = useSettings();
  const [shown, setShown] = useState<Shown | null>(null);
  const to = after.programSlug;
  const sayWay = useMemo(() => linksWay(to), [to]);
  const chooseWay = useMemo(() => answersWay(before.draft.id, to), [before.draft.id, to]);
  const [said, say, keptSaid] = useKept(`succession ${to}`, given.said, sayWay);
  const [answers, choose, keptAnswers] = useKept(`move ${before.draft.id} ${to}`, given.answers, chooseWay);
  const old = useMemo(() => draftOf(before), [before]);
  const { keyboard, desktop } = where;
  const ground = useMemo((): SuccessionGround => {
    const factoryNow = rowsOf(draftOf(after).factory);
    return {
      before: { program: before.program, factory: rowsOf(old.factory) },
      after: { program: after.program, factory: factoryNow },
      choice: keyboard.choice,
      desktop,
      hand: settings.hand,
    };
  }, [before.program, old, after, keyboard, desktop, settings.hand]);
  const task = useMemo(
    (): SuccessionTask => ({ said, answers, mine: { rows: rowsOf(old.keymap), spares: [...old.keymap.spares] } }),
    [said, answers, old],
  );
  const working: Working<SuccessionTask, SuccessionAnswer> = useWorkerTask<
    Succeeder,
    SuccessionGround,
    SuccessionTask,
    SuccessionAnswer
  >(start, ground, task, send);
  const settled = async (): Promise<void> => {
    await Promise.all([keptSaid.settled(), keptAnswers.settled()]);
  };
  // What was chosen last is to be in what is shown, and in what moves.
  const current = working.made?.task === task;
  return { said, say, choose, working, current, settled, shown, setShown };
}
