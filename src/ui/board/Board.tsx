'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import { type Choice, choices } from '@/core/clash/choices';
import { buildClashIndex, programFacts } from '@/core/clash/clashIndex';
import { describeVerdict } from '@/core/clash/describeVerdict';
import { type Verdict, verdict } from '@/core/clash/verdict';
import { placeOf } from '@/core/keyboard/placeOf';
import { usKeyboard } from '@/core/keyboard/usKeyboard';
import { dropKeys } from '@/core/keymap/changeKeys';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command, CommandId } from '@/core/program/program';
import type { KeymapLink, KeymapView } from '@/core/view/views';
import { Bench, type Judged } from './Bench';
import { BoardBar } from './BoardBar';
import styles from './board.module.css';
import { Finder } from './Finder';
import { KeyboardView } from './KeyboardView';
import type { MarkState } from './Mark';
import { Tape } from './Tape';
import { TroubleDialog } from './TroubleDialog';
import { useDraft } from './useDraft';
import { useLayer } from './useLayer';

type Props = {
  readonly view: KeymapView;
  readonly links: readonly KeymapLink[];
  readonly initialCommand: string | null;
};

const MARKS: Readonly<Record<Verdict['kind'], MarkState>> = {
  free: 'free',
  'already yours': 'own',
  'takes turns with': 'turns',
  'held by': 'held',
  'fixed by the program': 'fixed',
};
/** Commands that lost their keys and are to be given others, one after the other; then back to where it began. */
type Chain = { readonly queue: readonly Command[]; readonly back: Command };

/** Find a command, press keys, read who holds them, settle it. */
export function Board({ view, links, initialCommand }: Props) {
  const { program, programSlug } = view;
  const { draft, trouble, dismiss, actions } = useDraft(view);
  const facts = useMemo(() => programFacts(program), [program]);
  const [place] = useState(() => placeOf(usKeyboard));
  const index = useMemo(() => buildClashIndex(facts, draft.keymap, place), [facts, draft.keymap, place]);
  const [selectedId, setSelectedId] = useState<CommandId | null>(initialCommand);
  const [proposed, setProposed] = useState<ChordText | null>(null);
  const [keepOwn, setKeepOwn] = useState(false);
  const [chain, setChain] = useState<Chain | null>(null);
  const [said, setSaid] = useState('');
  const capture = useRef<HTMLInputElement>(null);
  const search = useRef<HTMLInputElement>(null);
  const { layer, showLayer, toggle } = useLayer();
  const selected = (selectedId === null ? undefined : facts.commands.get(selectedId)) ?? null;

  const draftRef = useRef(draft);
  draftRef.current = draft;
  // The bench is a new one for each command, so the focus goes to its field once that stands there.
  const wantsFocus = useRef(false);

  const select = useCallback(
    (command: Command): void => {
      wantsFocus.current = false;
      setSelectedId(command.id);
      setProposed(null);
      setChain(null);
      const first = parseCanonical(bindingsOf(draftRef.current.keymap, command.id)[0]?.chord ?? '');
      if (first?.strokes[0]) showLayer(first.strokes[0].modifiers);
    },
    [showLayer],
  );
  const openBench = useCallback(() => {
    wantsFocus.current = true;
    capture.current?.focus();
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: runs when another command comes onto the bench.
  useEffect(() => {
    if (wantsFocus.current) capture.current?.focus();
    wantsFocus.current = false;
  }, [selectedId, chain]);

  // The address follows the keymap (an edit of the factory's makes a new one) and the command on the bench.
  useEffect(() => {
    const address = `/board/${programSlug}/${draft.state.slug}${selectedId === null ? '' : `/${selectedId}`}`;
    if (window.location.pathname !== encodeURI(address)) window.history.replaceState(null, '', address);
  }, [programSlug, draft.state.slug, selectedId]);

  useEffect(() => {
    search.current?.focus();
  }, []);

  const propose = useCallback(
    (chord: ChordText | null): void => {
      setProposed(chord);
      const stroke = chord === null ? null : parseCanonical(chord)?.strokes[0];
      if (stroke) showLayer(stroke.modifiers);
    },
    [showLayer],
  );
  const pick = useCallback(
    (chord: ChordText): void => {
      if (selectedId !== null) {
        propose(chord);
        return;
      }
      const holder = index.holders.get(place(chord))?.[0] ?? index.holders.get(place(`hold:${chord}`))?.[0];
      if (holder) select(holder.command);
    },
    [selectedId, propose, index, place, select],
  );

  const judged = useMemo((): Judged | null => {
    if (!selected || proposed === null) return null;
    const said = verdict(index, selected, proposed, place);
    const holder =
      said.kind === 'held by'
        ? said.holders[0]?.command
        : said.kind === 'takes turns with'
          ? said.turns[0]?.command
          : undefined;
    return {
      chord: proposed,
      mark: MARKS[said.kind],
      sentence: describeVerdict(said, proposed, draft.keymap),
      choices: choices(facts, draft.keymap, selected, proposed, said, keepOwn),
      holder: holder ?? null,
    };
  }, [selected, proposed, index, place, draft.keymap, facts, keepOwn]);

  const goOn = (from: Chain | null): void => {
    setProposed(null);
    setKeepOwn(false);
    const [next, ...queue] = from?.queue ?? [];
    if (from && next) {
      setSelectedId(next.id);
      setChain({ queue, back: from.back });
    } else {
      if (from) setSelectedId(from.back.id);
      setChain(null);
    }
    openBench();
  };
  const choose = async (choice: Choice): Promise<void> => {
    if (!selected || !(await actions.edit(choice.ticket))) return;
    setSaid(`${selected.name} has its keys.`);
    goOn(choice.next.length > 0 ? { queue: choice.next, back: chain?.back ?? selected } : chain);
  };
  const remove = async (chord: ChordText): Promise<void> => {
    if (!selected) return;
    await actions.edit({ title: selected.name, changes: [dropKeys(draft.keymap, selected.id, [chord])] });
    capture.current?.focus();
  };
  const leave = (): void => {
    if (proposed === null) search.current?.focus();
    setProposed(null);
  };
  const undo = useCallback(
    () => void (draftRef.current.state.cursor > 0 && actions.goTo((state) => state.cursor - 1)),
    [actions],
  );
  const redo = useCallback(
    () =>
      void (draftRef.current.state.cursor < draftRef.current.tape.length && actions.goTo((state) => state.cursor + 1)),
    [actions],
  );

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || document.querySelector('[role="dialog"], [role="menu"]'))
        return;
      const target = event.target as HTMLElement;
      // In the press field these are keys like any other, and in a field with text they undo the text.
      if (
        target === capture.current ||
        (target instanceof HTMLInputElement && target.value !== '' && target.type === 'text')
      )
        return;
      const key = event.key.toLowerCase();
      if (key === 'z' || key === 'y') {
        event.preventDefault();
        if (key === 'y' || event.shiftKey) redo();
        else undo();
      }
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [undo, redo]);

  const turns = useCallback(
    (command: Command): number => {
      const area = facts.areaOf.get(command.id) ?? -1;
      const chord = bindingsOf(draft.keymap, command.id)[0]?.chord;
      if (area < 0 || chord === undefined) return 1;
      return (index.holders.get(place(chord)) ?? []).filter((holder) => facts.areaOf.get(holder.command.id) === area)
        .length;
    },
    [facts, draft.keymap, index, place],
  );
  const openById = useCallback(
    (id: CommandId): void => {
      const command = facts.commands.get(id);
      if (command) select(command);
    },
    [facts, select],
  );
  const context = program.contexts.find((one) => one.id === selected?.context)?.name ?? 'everywhere';

  return (
    <div className="screen">
      <BoardBar
        programName={program.name}
        programSlug={programSlug}
        draft={draft}
        links={links}
        actions={actions}
        onUndo={undo}
        onRedo={redo}
      />
      <main className={styles.board}>
        <Finder
          commands={program.commands}
          draft={draft}
          selected={selected}
          turns={turns}
          inputRef={search}
          onSelect={select}
          onOpen={openBench}
        />
        <div className={styles.middle}>
          <Bench
            key={selected?.id ?? 'none'}
            command={selected}
            contextName={context}
            bindings={selected ? bindingsOf(draft.keymap, selected.id) : []}
            factory={selected ? bindingsOf(draft.factory, selected.id) : []}
            isFixed={(chord) => facts.fixed.has(chord)}
            judged={judged}
            keepOwn={keepOwn}
            loss={chain ? { to: chain.back.name, back: chain.back.name } : null}
            captureRef={capture}
            onPropose={propose}
            onKeepOwn={setKeepOwn}
            onChoose={choose}
            onRemove={remove}
            onGoTo={select}
            onSkip={() => goOn(chain)}
            onLeave={leave}
          />
          <KeyboardView
            index={index}
            place={place}
            factory={draft.factory}
            modifiers={layer}
            proposed={proposed}
            proposedHeld={judged?.mark === 'held' || judged?.mark === 'fixed'}
            onToggle={toggle}
            onPick={pick}
          />
        </div>
        <Tape
          draft={draft}
          nameOf={(id) => facts.commands.get(id)?.name ?? id}
          onOpen={openById}
          onGoTo={(cursor) => void actions.goTo(() => cursor)}
        />
        <p className="hidden" role="status">
          {said}
        </p>
      </main>
      <TroubleDialog trouble={trouble} onClose={dismiss} onReload={actions.reload} />
    </div>
  );
}
