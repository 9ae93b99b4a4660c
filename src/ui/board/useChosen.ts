import { useMemo } from 'react';
import type { AdviceView } from '@/core/advice/adviceView';
import { wordsTyped } from '@/core/finder/chosen';
import type { Command, CommandId } from '@/core/program/program';
import { useStable } from '../kit/useStable';
import { useKept } from '../sync/useKept';
import { chosenWay } from '../sync/ways';

/** What was chosen for which words before, and how one more is remembered. */
export function useChosen(stored: AdviceView['chosen'], programSlug: string, keymap: number) {
  const way = useMemo(() => chosenWay(keymap), [keymap]);
  const [chosen, edit] = useKept(`chosen ${programSlug}`, stored, way);
  const chosenFor = useStable((typed: string): CommandId | undefined => {
    const words = wordsTyped(typed);
    return Object.hasOwn(chosen, words) ? chosen[words] : undefined;
  });
  /** Remembers what was chosen where it was not the first anyway. */
  const remember = useStable((typed: string, command: Command, first: Command | undefined): void => {
    const words = wordsTyped(typed);
    if (words === '' || command === first || chosen[words] === command.id) return;
    void edit({ words, command: command.id });
  });
  return { chosenFor, remember };
}
