import type { RefObject } from 'react';
import type { AdviceView } from '@/core/advice/adviceView';
import type { ChordText, Modifier } from '@/core/chord/chord';
import type { Choice } from '@/core/clash/choices';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { Draft } from '@/core/keymap/draft';
import type { CommandId } from '@/core/program/program';
import { takenAs } from '@/core/program/takenAs';
import type { DraftActions } from '../draft/useDraft';
import { useStable } from '../kit/useStable';
import type { Question } from '../parts/ConfirmDialog';
import { useAdvice } from './useAdvice';
import { useBenchFacts } from './useBenchFacts';
import { useBenchSteps } from './useBenchSteps';
import { type Chain, useSelection } from './useSelection';
import { useVerdict } from './useVerdict';

type Given = {
  readonly index: ClashIndex;
  readonly draft: RefObject<Draft>;
  readonly actions: DraftActions;
  readonly advice: AdviceView;
  readonly initial: CommandId | null;
  readonly showLayer: (modifiers: readonly Modifier[]) => void;
  readonly ask: (question: Question) => void;
  /** Where the focus goes when the bench is left. */
  readonly search: RefObject<HTMLInputElement | null>;
};

/** The bench: which command is on it, what is proposed for it, what is said of that, and what is done. */
export function useBench({ index, draft, actions, advice, initial, showLayer, ask, search }: Given) {
  const { facts } = index;
  const selection = useSelection(draft, initial, showLayer);
  const { selectedId, proposed, chain, capture, select, openBench, setProposed } = selection;
  const selected = (selectedId === null ? undefined : facts.commands.get(selectedId)) ?? null;
  const propose = useStable((chord: ChordText | null): void =>
    selection.propose(chord && selected ? takenAs(chord, selected, facts.program.rules) : chord),
  );
  const about = useBenchFacts(facts, draft.current, selected);
  const { reach, ready, advisor, best, uses, ownKeys } = useAdvice(facts, index, advice, selected);
  const { judged, answered, offered, first, standing, keepOwn, setKeepOwn } = useVerdict(index, selected, proposed);
  const goOn = (from: Chain | null): void => {
    setKeepOwn(false);
    selection.goOn(from);
  };
  const { said, choose, remove, mark } = useBenchSteps({ selected, draft, actions, chain, capture, goOn, ask });
  const take = (choice: Choice | undefined): void => {
    if (choice) choose(choice);
  };
  return {
    selected,
    select,
    propose,
    openBench,
    capture,
    answered,
    /** What was done last, for whoever hears the page. */
    said,
    reach,
    ready,
    advisor,
    uses,
    props: {
      ...about,
      judged,
      offered,
      best,
      reach,
      ownKeys,
      keepOwn,
      compared: judged && (answered?.chord ?? null),
      loss: chain ? { to: chain.back.name, back: chain.back.name } : null,
      captureRef: capture,
      onPropose: propose,
      onKeepOwn: setKeepOwn,
      onChoose: (choice: Choice) => take(standing(choice)),
      onFirst: () => take(first()),
      onRemove: remove,
      onMark: mark,
      onGoTo: select,
      onSkip: () => goOn(chain),
      onLeave: () => {
        if (proposed === null) search.current?.focus();
        setProposed(null);
      },
    },
  };
}
