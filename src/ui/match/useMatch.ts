'use client';

import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { Side } from '@/core/counterpart/counterpartsOf';
import type { Lesson } from '@/core/counterpart/lessons';
import type { Draft } from '@/core/keymap/draft';
import { rowsOf } from '@/core/keymap/keymap';
import type { KeymapView } from '@/core/keymap/keymapView';
import type { MatchAnswer, Matcher, MatchGround, MatchTask } from '@/workers/matcher';
import { useWorkerTask, type Working } from '../parts/useWorkerTask';
import { useSettings } from '../shell/SettingsContext';

export type Matching = Working<MatchTask, MatchAnswer>;

const start = (): Worker => new Worker(new URL('../../workers/matcher.ts', import.meta.url), { type: 'module' });
const send = (remote: Remote<Matcher>, task: MatchTask, onProgress: (part: number) => void): Promise<MatchAnswer> =>
  remote.match(task, onProgress);

/** A keymap's program as one side of a match. */
export function sideOf({ programSlug, program }: KeymapView, { factory }: Pick<Draft, 'factory'>): Side {
  return { slug: programSlug, program, factory: rowsOf(factory) };
}

/** Has two keymaps matched in a worker, again whenever something is settled or changed. */
export function useMatch(
  mine: Side,
  theirs: Side,
  programNames: Readonly<Record<string, string>>,
  lessons: readonly Lesson[],
  task: MatchTask,
): Matching {
  const { where, settings } = useSettings();
  const { keyboard, desktop } = where;
  const ground = useMemo(
    (): MatchGround => ({ mine, theirs, programNames, lessons, choice: keyboard.choice, desktop, hand: settings.hand }),
    [mine, theirs, programNames, lessons, keyboard, desktop, settings.hand],
  );
  return useWorkerTask<Matcher, MatchGround, MatchTask, MatchAnswer>(start, ground, task, send);
}
