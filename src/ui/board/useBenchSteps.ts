import { type RefObject, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { Choice } from '@/core/clash/choices';
import { dropKeys, markKeys } from '@/core/keymap/changeKeys';
import type { Draft } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import { cutText } from '@/core/text/cutText';
import { listed } from '@/core/text/sentence';
import type { DraftActions } from '../draft/useDraft';
import { useStable } from '../kit/useStable';
import type { Question } from '../parts/ConfirmDialog';
import { spoken } from '../parts/spoken';
import type { Chain } from './useSelection';

type Given = {
  readonly selected: Command | null;
  readonly draft: RefObject<Draft>;
  readonly actions: DraftActions;
  readonly chain: Chain | null;
  readonly capture: RefObject<HTMLInputElement | null>;
  readonly goOn: (from: Chain | null) => void;
  readonly ask: (question: Question) => void;
};

/** What is done on the bench: a choice taken, keys removed, marked as a keeper, noted. What is dear is asked for first. */
export function useBenchSteps({ selected, draft, actions, chain, capture, goOn, ask }: Given) {
  const [said, setSaid] = useState('');
  // What is done shows at once, and the bench is ready for the next; a dialog that closes first puts the focus back.
  const take = async (choice: Choice, asked: boolean): Promise<void> => {
    if (!selected) return;
    const stored = actions.edit(choice.ticket);
    if (asked && !(await stored)) return;
    setSaid(`${selected.name} has its keys.`);
    goOn(choice.next.length > 0 ? { queue: choice.next, back: chain?.back ?? selected } : chain);
  };
  const choose = (choice: Choice): void => {
    if (choice.keepers.length === 0) {
      void take(choice, false);
      return;
    }
    const [first] = choice.keepers;
    ask({
      title: choice.keepers.length === 1 ? 'These keys are a keeper' : 'These keys are keepers',
      sentences: [
        [
          ...listed(choice.keepers.map((holder) => [{ strong: holder.command.name }])),
          { text: choice.keepers.length === 1 ? ' is marked so as not to lose ' : ' are marked so as not to lose ' },
          { keys: first?.chord ?? '' },
          { text: '. Everybody who knows these keys will miss them.' },
        ],
      ],
      action: `Take them for ${selected?.name ?? 'it'} all the same`,
      run: () => void take(choice, true),
    });
  };
  const remove = useStable(async (chord: ChordText): Promise<void> => {
    if (!selected) return;
    const binding = bindingsOf(draft.current.keymap, selected.id).find((one) => one.chord === chord);
    const run = async (asked: boolean): Promise<void> => {
      const changes = [dropKeys(draft.current.keymap, selected.id, [chord])];
      const stored = actions.edit({ title: selected.name, changes });
      setSaid(`${spoken(chord)} removed from ${selected.name}.`);
      if (asked) await stored;
      capture.current?.focus();
    };
    if (!binding?.keeper) return run(false);
    ask({
      title: 'These keys are a keeper',
      sentences: [
        [{ strong: selected.name }, { text: ' is marked so as not to lose ' }, { keys: chord }, { text: '.' }],
      ],
      action: 'Remove them all the same',
      run: () => void run(true),
    });
  });
  const mark = useStable(async (chord: ChordText, marks: { keeper?: boolean; hook?: string }): Promise<void> => {
    if (!selected) return;
    const what = marks.hook === undefined ? (marks.keeper ? 'keeper' : 'no keeper') : 'hook';
    await actions.edit({
      title: cutText(`${selected.name}: ${what}`, 200),
      changes: [markKeys(draft.current.keymap, selected.id, chord, marks)],
    });
  });
  return { said, choose, remove, mark };
}
