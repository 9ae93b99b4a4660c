'use client';

import dynamic from 'next/dynamic';
import { Suspense, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import type { AdviceView } from '@/core/advice/adviceView';
import type { ChordText } from '@/core/chord/chord';
import { buildClashIndex, programFacts } from '@/core/clash/clashIndex';
import type { KeymapView } from '@/core/keymap/keymapView';
import { trimTicket } from '@/core/keymap/ticket';
import type { CommandId } from '@/core/program/program';
import type { KeymapLink } from '@/core/view/shelf';
import { Tape } from '../draft/Tape';
import { useDraft } from '../draft/useDraft';
import type { Question } from '../parts/ConfirmDialog';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { Bench } from './Bench';
import { BoardBar } from './BoardBar';
import { BoardDialogs, type Shown } from './BoardDialogs';
import styles from './board.module.css';
import { Finder } from './Finder';
import { KeyboardView } from './KeyboardView';
import { turnsOf } from './turnsOf';
import { useBench } from './useBench';
import { useBoardAddress } from './useBoardAddress';
import { useChosen } from './useChosen';
import { useCommandActions } from './useCommandActions';
import { useLayer } from './useLayer';
import { useTapeSteps } from './useTapeSteps';
import { useWishAddress } from './useWishAddress';

const ConfirmDialog = dynamic(() => import('../parts/ConfirmDialog').then((one) => one.ConfirmDialog));

type Props = {
  readonly view: KeymapView;
  readonly advice: AdviceView;
  readonly links: readonly KeymapLink[];
  readonly initialCommand: string | null;
  readonly initialShown: Shown | null;
};

/** Find a command, press keys, read who holds them, settle it. */
export function Board({ view, advice, links, initialCommand, initialShown }: Props) {
  const { program, programSlug } = view;
  const { place } = useSettings().where;
  const { draft: now, actions } = useDraft(view);
  const draft = useRef(now);
  draft.current = now;
  const facts = useMemo(() => programFacts(program), [program]);
  const index = useMemo(() => buildClashIndex(facts, now.keymap, place), [facts, now.keymap, place]);
  const [question, ask] = useState<Question | null>(null);
  const [shown, setShown] = useState<Shown | null>(initialShown);
  const search = useRef<HTMLInputElement>(null);
  const { layer, showLayer, toggle } = useLayer();
  const bench = useBench({ index, draft, actions, advice, initial: initialCommand, showLayer, ask, search });
  const { selected, select, propose, answered, reach } = bench;
  const { onUndo, onRedo, onGoTo, onPull } = useTapeSteps(draft, actions, bench.capture, ask);
  const wishAddress = useWishAddress(programSlug, now.state.slug);
  const chosen = useChosen(advice.chosen, programSlug, now.state.id);
  const { actionsFor, restoreAll } = useCommandActions({
    ...{ program, facts, selected, draft, actions, ask, wishAddress },
    onHistory: () => setShown('command history'),
  });
  useBoardAddress(programSlug, now.state.slug, selected?.id ?? null, shown);
  useEffect(() => search.current?.focus(), []);

  // The drawn keyboard follows in the next picture, when another command or layer is chosen.
  const drawn = useDeferredValue(useMemo(() => ({ selected, layer }), [selected, layer]));
  const pick = useCallback(
    (chord: ChordText): void => {
      if (selected !== null) {
        propose(chord);
        return;
      }
      const at = place(chord);
      const holder = index.holders.get(at)?.[0] ?? index.holders.get(`hold:${at}`)?.[0];
      if (holder) select(holder.command);
    },
    [selected, propose, index, place, select],
  );
  const turns = useMemo(() => turnsOf(index, place), [index, place]);
  const openById = useCallback(
    (id: CommandId): void => {
      const command = facts.commands.get(id);
      if (command) select(command);
    },
    [facts, select],
  );
  const chooseKeyboard = useCallback(() => setShown('keyboard'), []);
  const onHistory = useCallback(() => setShown('history'), []);
  const showCard = useCallback((code: string) => setShown(`key ${code}`), []);
  /** Closes what is shown over the Board before something is done on it. */
  const after =
    <Given,>(run: (given: Given) => void) =>
    (given: Given): void => {
      setShown(null);
      run(given);
    };

  return (
    // Finder and bench answer first; bar, keyboard and tape follow, or at once where they are touched.
    <div className="screen">
      <Suspense>
        <BoardBar
          {...{ programSlug, draft: now, index, links, actions, onUndo, onRedo }}
          programName={program.name}
          onShow={setShown}
          onRestoreAll={restoreAll}
        />
      </Suspense>
      <main className={`panes ${styles.board}`}>
        <Finder
          {...{ index, draft: now, selected, turns, wishAddress, chosen }}
          commands={program.commands}
          reach={bench.ready ? reach : null}
          inputRef={search}
          onSelect={select}
          onOpen={bench.openBench}
        />
        <div className={`panes first ${styles.middle}`}>
          <Bench {...bench.props} rulesAddress={`/shelf/allows/${programSlug}`} actions={actionsFor} />
          <Suspense>
            <KeyboardView
              {...{ index, reach }}
              factory={now.factory}
              command={drawn.selected}
              modifiers={drawn.layer}
              proposed={answered?.chord ?? null}
              proposedHeld={answered?.weight === 'asks' || answered?.weight === 'stops'}
              onToggle={toggle}
              onLayer={showLayer}
              onPick={pick}
              onCard={showCard}
              onChooseKeyboard={chooseKeyboard}
            />
          </Suspense>
        </div>
        <Suspense>
          <Tape {...{ draft: now, facts, onGoTo, onPull, onHistory }} onOpen={openById} />
        </Suspense>
        <p className="hidden" role="status">
          {bench.said}
        </p>
      </main>
      {shown !== null && (
        <BoardDialogs
          {...{ shown, index, draft: now, selected, actions }}
          advisor={bench.advisor}
          uses={bench.uses}
          onClose={() => setShown(null)}
          onOpen={after(select)}
          onPropose={after(propose)}
          onTicket={async (ticket) => {
            const trimmed = trimTicket(draft.current.keymap, ticket);
            return trimmed !== null && actions.edit(trimmed);
          }}
        />
      )}
      {question && <ConfirmDialog question={question} onClose={() => ask(null)} />}
    </div>
  );
}

export const PackedBoard = unpacked(Board);
