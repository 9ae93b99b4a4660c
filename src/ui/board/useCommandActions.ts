import { type RefObject, useCallback } from 'react';
import { MOST_WISHED } from '@/core/advice/wishList';
import { backToFactory } from '@/core/clash/backToFactory';
import { buildClashIndex, type ProgramFacts } from '@/core/clash/clashIndex';
import { giveBack, owedBy } from '@/core/clash/owedBy';
import { markSpare } from '@/core/keymap/changeKeys';
import type { Draft } from '@/core/keymap/draft';
import { holds } from '@/core/keymap/keymap';
import type { Command, Program } from '@/core/program/program';
import { cutText } from '@/core/text/cutText';
import { counted } from '@/core/text/sentence';
import type { DraftActions } from '../draft/useDraft';
import { useStable } from '../kit/useStable';
import type { Action } from '../parts/ActionsMenu';
import type { Question } from '../parts/ConfirmDialog';
import { spoken } from '../parts/spoken';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';

type Given = {
  readonly program: Program;
  readonly facts: ProgramFacts;
  readonly selected: Command | null;
  readonly draft: RefObject<Draft>;
  readonly actions: DraftActions;
  readonly ask: (question: Question) => void;
  /** Where the command is wished better keys for. */
  readonly wishAddress: (commands: readonly Command[]) => string;
  readonly onHistory: () => void;
};

/** The less common things to do with the command on the bench, or with all of its menu. */
export function useCommandActions({ program, facts, selected, draft, actions, ask, wishAddress, onHistory }: Given): {
  readonly actionsFor: () => Action[];
  readonly restoreAll: () => void;
} {
  const tell = useNotice();
  const { where } = useSettings();
  const spare = async (commands: readonly Command[], on: boolean, title: string): Promise<void> => {
    const ids = commands.map((one) => one.id);
    const changes = markSpare(draft.current.keymap, ids, on);
    if (changes.length > 0 && (await actions.edit({ title: cutText(title, 200), changes })))
      tell(`${counted(changes.length, 'command')} ${on ? 'marked as spare' : 'no longer spare'}.`);
  };
  const restore = useCallback(
    (commands: readonly Command[], title: string): void => {
      const { keymap, factory } = draft.current;
      const ids = commands.map((one) => one.id);
      const index = buildClashIndex(facts, keymap, where.place);
      const back = backToFactory(index, where, factory, ids, title);
      if (!back) {
        tell('These commands are on their factory keys already.');
        return;
      }
      const owed = owedBy(index, where.place, factory, commands);
      const run = () => {
        void actions.edit(back.ticket);
        const free = owed.filter(({ command, chord }) => !holds(draft.current.keymap, command.id, chord));
        const [first] = free;
        if (!first) return;
        const whom = new Set(free.map((one) => one.command)).size;
        const name = whom === 1 ? first.command.name : counted(whom, 'command');
        tell(
          `${title}. ${free.length === 1 ? `${spoken(first.chord)} is` : counted(free.length, 'chord is', 'chords are')} free again.`,
          {
            words: `Give ${free.length === 1 ? 'it' : 'them'} back to ${name}`,
            // On whatever the draft is by then.
            run: () =>
              void actions.edit({
                title: cutText(`Back to ${name}`, 200),
                changes: giveBack(draft.current.keymap, free),
              }),
          },
        );
      };
      if (back.losers.length === 0) {
        run();
        return;
      }
      ask({
        title,
        sentences: back.losers
          .slice(0, 12)
          .map((holder) => [
            { strong: holder.command.name },
            { text: ' loses ' },
            { keys: holder.chord },
            { text: holder.keeper ? ', a keeper.' : '.' },
          ]),
        action: 'Set back to factory',
        run,
      });
    },
    [draft, facts, where, actions, tell, ask],
  );
  const restoreAll = useCallback(() => restore(program.commands, 'Everything back to factory'), [restore, program]);
  const actionsFor = useStable((): Action[] => {
    if (!selected) return [];
    const isSpare = draft.current.keymap.spares.has(selected.id);
    const menu = selected.path[0];
    const inMenu = menu === undefined ? [] : program.commands.filter((one) => one.path[0] === menu);
    const ofMenu = (some: readonly Action[]): readonly Action[] => (menu === undefined ? [] : some);
    return [
      [
        isSpare ? 'No longer spare' : 'Mark as spare: its keys may be spent',
        () => void spare([selected], !isSpare, `${selected.name}: ${isSpare ? 'not spare' : 'spare'}`),
      ],
      ...ofMenu([
        [`Mark all of ${menu} as spare (${inMenu.length})`, () => void spare(inMenu, true, `All of ${menu}: spare`)],
        [`Nothing of ${menu} is spare`, () => void spare(inMenu, false, `All of ${menu}: not spare`)],
      ]),
      ['Back to its factory keys', () => restore([selected], `${selected.name} back to factory`)],
      ...ofMenu([[`All of ${menu} back to factory keys`, () => restore(inMenu, `${menu} back to factory`)]]),
      ['Wish for better keys', wishAddress([selected])],
      ...ofMenu(
        inMenu.length > 1 && inMenu.length <= MOST_WISHED
          ? [[`Wish for better keys for all of ${menu}`, wishAddress(inMenu)]]
          : [],
      ),
      ['What happened to it…', onHistory],
    ];
  });
  return { actionsFor, restoreAll };
}
