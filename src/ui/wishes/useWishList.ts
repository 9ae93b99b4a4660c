import { useCallback, useMemo, useRef, useState } from 'react';
import type { WishesView } from '@/core/advice/adviceView';
import { emptyList } from '@/core/advice/emptyList';
import type { WishList } from '@/core/advice/wishList';
import type { DraftState } from '@/core/keymap/keymapView';
import type { CommandId } from '@/core/program/program';
import { counted as inWords } from '@/core/text/sentence';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { useKept } from '../sync/useKept';
import { useOfKeymap } from '../sync/useOfKeymap';
import { usesWay, wishesWay } from '../sync/ways';

/** The wish list of a keymap and how often its owner uses what; what changes much of them at once can be taken back. */
export function useWishList({ view, list: stored, uses: counted }: WishesView, state: DraftState) {
  const { where } = useSettings();
  const tell = useNotice();
  const [start] = useState(() => emptyList(where));
  // An edit of the factory keymap begins a keymap of its own; the list goes with it.
  const keymapId = state.id;
  const [given, editList] = useOfKeymap('wishes', keymapId, stored, (id) => wishesWay(id, start));
  const list = given ?? start;
  const usesHow = useMemo(() => usesWay(keymapId), [keymapId]);
  const [uses, editUses] = useKept(`uses ${view.programSlug} ${state.owner}`, counted, usesHow);
  const change = useCallback((values: Partial<WishList>): void => void editList(values), [editList]);
  const wished = useRef(list.wishes);
  wished.current = list.wishes;
  const wish = useCallback(
    (commands: readonly CommandId[], on: boolean): void => {
      const before = new Set(wished.current);
      const touched = commands.filter((one) => before.has(one) !== on);
      if (touched.length === 0) return;
      void editList({ commands: touched, on });
      if (touched.length > 1)
        tell(`${commandsIn(touched.length)} ${on ? 'on' : 'off'} the wish list.`, {
          words: 'Take it back',
          run: () => void editList({ commands: touched, on: !on }),
        });
    },
    [editList, tell],
  );
  const tellUses = useCallback(
    (command: CommandId, perDay: number | null): void => void editUses({ uses: { [command]: perDay }, all: false }),
    [editUses],
  );
  /** Tells all counts anew; the others are guesses again. */
  const tellAll = (counts: Readonly<Record<CommandId, number>>): void => {
    const before = uses;
    void editUses({ uses: counts, all: true });
    const number = Object.keys(counts).length;
    tell(number === 0 ? 'All counts are guesses by kind again.' : `Counts of ${commandsIn(number)} are stored.`, {
      words: 'Take it back',
      run: () => void editUses({ uses: before, all: true }),
    });
  };
  return { list, uses, change, wish, tellUses, tellAll };
}

const commandsIn = (number: number): string => inWords(number, 'command');
