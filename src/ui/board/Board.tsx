'use client';

import dynamic from 'next/dynamic';
import { Suspense, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import type { AdviceView } from '@/core/advice/adviceView';
import type { ChordText } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import { backToFactory } from '@/core/clash/backToFactory';
import { type Choice, choices } from '@/core/clash/choices';
import { buildClashIndex, programFacts } from '@/core/clash/clashIndex';
import { type Judged, judge } from '@/core/clash/judge';
import { neighborsOf } from '@/core/finder/finderRows';
import { dropKeys, markKeys, markSpare } from '@/core/keymap/changeKeys';
import { tapeLengthOf } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { KeymapView } from '@/core/keymap/keymapView';
import { trimTicket } from '@/core/keymap/ticket';
import type { Command, CommandId } from '@/core/program/program';
import { cutText } from '@/core/text/cutText';
import { counted, listed } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { askToPull } from '../draft/askToPull';
import { Tape } from '../draft/Tape';
import { useDraft } from '../draft/useDraft';
import { useUndoKeys } from '../draft/useUndoKeys';
import { replaceAddress } from '../kit/useBackCloses';
import { useStable } from '../kit/useStable';
import type { Action } from '../parts/ActionsMenu';
import type { Question } from '../parts/ConfirmDialog';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { Bench } from './Bench';
import { BoardBar } from './BoardBar';
import { BoardDialogs, type Shown } from './BoardDialogs';
import styles from './board.module.css';
import { Finder } from './Finder';
import { KeyboardView } from './KeyboardView';
import { useAdvice } from './useAdvice';
import { useLayer } from './useLayer';

const ConfirmDialog = dynamic(() => import('../parts/ConfirmDialog').then((one) => one.ConfirmDialog));

type Props = {
  readonly view: KeymapView;
  readonly advice: AdviceView;
  readonly links: readonly KeymapLink[];
  readonly initialCommand: string | null;
  readonly initialShown: Shown | null;
};

const NO_NEIGHBORS = { before: null, after: null };
/** How long, in ms, the address rests before it follows. */
const ADDRESS_RESTS = 400;

/** Commands that lost their keys and are to be given others, one after the other; then back to where it began. */
type Chain = { readonly queue: readonly Command[]; readonly back: Command };

/** Find a command, press keys, read who holds them, settle it. */
export function Board({ view, advice, links, initialCommand, initialShown }: Props) {
  const { program, programSlug } = view;
  const { where } = useSettings();
  const { place } = where;
  const { draft, actions } = useDraft(view);
  const facts = useMemo(() => programFacts(program), [program]);
  const index = useMemo(() => buildClashIndex(facts, draft.keymap, place), [facts, draft.keymap, place]);
  const [selectedId, setSelectedId] = useState<CommandId | null>(initialCommand);
  const [proposed, setProposed] = useState<ChordText | null>(null);
  const [keepOwn, setKeepOwn] = useState(false);
  const [chain, setChain] = useState<Chain | null>(null);
  const [question, setQuestion] = useState<Question | null>(null);
  const [shown, setShown] = useState<Shown | null>(initialShown);
  const [said, setSaid] = useState('');
  const tell = useNotice();
  const capture = useRef<HTMLInputElement>(null);
  const search = useRef<HTMLInputElement>(null);
  const { layer, showLayer, toggle } = useLayer();
  const selected = (selectedId === null ? undefined : facts.commands.get(selectedId)) ?? null;
  const { reach, ready, advisor, best, uses, ownKeys } = useAdvice(facts, index, advice, selected);

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

  // The address follows the keymap (an edit of the factory's makes a new one), the command on the bench and what is shown.
  useEffect(() => {
    const path = `/board/${programSlug}/${draft.state.slug}${selectedId === null ? '' : `/${selectedId}`}`;
    const address = encodeURI(path) + (shown ? `?show=${encodeURIComponent(shown)}` : '');
    const { pathname, search } = window.location;
    if (pathname + search === address) return;
    // Another command is painted first, since the router goes through the page for it.
    if (new URLSearchParams(search).get('show') !== (shown || null)) {
      replaceAddress(address);
      return;
    }
    const soon = window.setTimeout(() => replaceAddress(address), ADDRESS_RESTS);
    return () => window.clearTimeout(soon);
  }, [programSlug, draft.state.slug, selectedId, shown]);

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
  const showCard = useCallback((code: string) => setShown(`key ${code}`), []);
  const pick = useCallback(
    (chord: ChordText): void => {
      if (selectedId !== null) {
        propose(chord);
        return;
      }
      const at = place(chord);
      const holder = index.holders.get(at)?.[0] ?? index.holders.get(`hold:${at}`)?.[0];
      if (holder) select(holder.command);
    },
    [selectedId, propose, index, place, select],
  );

  const judged = useMemo(
    (): Judged | null => (selected && proposed !== null ? judge(index, where, selected, proposed) : null),
    [selected, proposed, index, where],
  );
  const choicesFor = (said: Judged | null): Choice[] =>
    said && selected ? choices(index, where, selected, said.verdict, keepOwn) : [];
  // The ways to go on, and the ring on the drawn key, follow the verdict in the next picture, so that it is painted first.
  const answered = useDeferredValue(judged);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a choice is made of a verdict, which is made of the others.
  const offered = useMemo(() => choicesFor(answered), [answered, keepOwn]);
  // So does the drawn keyboard, when another command or layer is chosen.
  const drawn = useDeferredValue(useMemo(() => ({ selected, layer }), [selected, layer]));
  const around = useMemo(() => neighborsOf(program.commands), [program]);

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
    setQuestion({
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
  const remove = async (chord: ChordText): Promise<void> => {
    if (!selected) return;
    const binding = bindingsOf(draft.keymap, selected.id).find((one) => one.chord === chord);
    const run = async (asked: boolean): Promise<void> => {
      const changes = [dropKeys(draftRef.current.keymap, selected.id, [chord])];
      const stored = actions.edit({ title: selected.name, changes });
      if (asked) await stored;
      capture.current?.focus();
    };
    if (!binding?.keeper) return run(false);
    setQuestion({
      title: 'These keys are a keeper',
      sentences: [
        [{ strong: selected.name }, { text: ' is marked so as not to lose ' }, { keys: chord }, { text: '.' }],
      ],
      action: 'Remove them all the same',
      run: () => void run(true),
    });
  };
  const mark = async (chord: ChordText, marks: { keeper?: boolean; hook?: string }): Promise<void> => {
    if (!selected) return;
    const what = marks.hook === undefined ? (marks.keeper ? 'keeper' : 'no keeper') : 'hook';
    await actions.edit({
      title: cutText(`${selected.name}: ${what}`, 200),
      changes: [markKeys(draft.keymap, selected.id, chord, marks)],
    });
  };
  const spare = async (commands: readonly Command[], on: boolean, title: string): Promise<void> => {
    const changes = markSpare(
      draft.keymap,
      commands.map((one) => one.id),
      on,
    );
    if (changes.length > 0 && (await actions.edit({ title: cutText(title, 200), changes })))
      tell(`${counted(changes.length, 'command')} ${on ? 'marked as spare' : 'no longer spare'}.`);
  };
  const restore = useCallback(
    (commands: readonly Command[], title: string): void => {
      const { keymap, factory } = draftRef.current;
      const now = buildClashIndex(facts, keymap, place);
      const back = backToFactory(
        now,
        where,
        factory,
        commands.map((one) => one.id),
        title,
      );
      if (!back) {
        tell('These commands are on their factory keys already.');
        return;
      }
      const run = () => void actions.edit(back.ticket);
      if (back.losers.length === 0) {
        run();
        return;
      }
      setQuestion({
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
    [facts, place, where, actions, tell],
  );
  const pull = (position: number): Promise<void> =>
    askToPull(position, {
      whole: actions.whole,
      place,
      edit: (ticket) => void actions.edit(ticket),
      ask: setQuestion,
      tell,
    });
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
      void (
        draftRef.current.state.cursor < tapeLengthOf(draftRef.current) && actions.goTo((state) => state.cursor + 1)
      ),
    [actions],
  );

  useUndoKeys(undo, redo, capture);

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
  const nameOf = useCallback((id: CommandId) => facts.commands.get(id)?.name ?? id, [facts]);
  const goTo = useCallback((cursor: number) => void actions.goTo(() => cursor), [actions]);
  const onPull = useStable(pull);
  const restoreAll = useCallback(() => restore(program.commands, 'Everything back to factory'), [restore, program]);
  const chooseKeyboard = useCallback(() => setShown('keyboard'), []);
  const context = program.contexts.find((one) => one.id === selected?.context)?.name ?? 'everywhere';
  const menu = selected?.path[0];
  const inMenu = menu === undefined ? [] : program.commands.filter((one) => one.path[0] === menu);
  const isSpare = selected !== null && draft.keymap.spares.has(selected.id);
  const actionsFor = useStable((): Action[] =>
    selected
      ? [
          [
            isSpare ? 'No longer spare' : 'Mark as spare: its keys may be spent',
            () => void spare([selected], !isSpare, `${selected.name}: ${isSpare ? 'not spare' : 'spare'}`),
          ],
          ...(menu === undefined
            ? []
            : ([
                [
                  `Mark all of ${menu} as spare (${inMenu.length})`,
                  () => void spare(inMenu, true, `All of ${menu}: spare`),
                ],
                [`Nothing of ${menu} is spare`, () => void spare(inMenu, false, `All of ${menu}: not spare`)],
              ] as const)),
          ['Back to its factory keys', () => restore([selected], `${selected.name} back to factory`)],
          ...(menu === undefined
            ? []
            : ([[`All of ${menu} back to factory keys`, () => restore(inMenu, `${menu} back to factory`)]] as const)),
          [
            'Wish for better keys',
            `/wishes/${programSlug}/${draft.state.slug}?wish=${encodeURIComponent(selected.id)}`,
          ],
          ['What happened to it…', () => setShown('command history')],
        ]
      : [],
  );
  const isFixed = useCallback((chord: ChordText) => facts.fixed.has(chord), [facts]);
  const onRemove = useStable((chord: ChordText) => void remove(chord));
  const onMark = useStable((chord: ChordText, marks: { keeper?: boolean; hook?: string }) => void mark(chord, marks));
  const own = useMemo(() => (selected ? bindingsOf(draft.keymap, selected.id) : []), [selected, draft.keymap]);
  const factory = useMemo(() => (selected ? bindingsOf(draft.factory, selected.id) : []), [selected, draft.factory]);

  return (
    // Finder and bench answer first; bar, keyboard and tape follow, or at once where they are touched.
    <div className="screen">
      <Suspense>
        <BoardBar
          programName={program.name}
          programSlug={programSlug}
          draft={draft}
          index={index}
          links={links}
          actions={actions}
          onUndo={undo}
          onRedo={redo}
          onShow={setShown}
          onRestoreAll={restoreAll}
        />
      </Suspense>
      <main className={`panes ${styles.board}`}>
        <Finder
          commands={program.commands}
          index={index}
          draft={draft}
          selected={selected}
          turns={turns}
          reach={ready ? reach : null}
          inputRef={search}
          onSelect={select}
          onOpen={openBench}
        />
        <div className={`panes first ${styles.middle}`}>
          <Bench
            command={selected}
            contextName={context}
            bindings={own}
            factory={factory}
            spare={isSpare}
            isFixed={isFixed}
            judged={judged}
            offered={offered}
            stale={answered !== judged}
            best={best}
            reach={reach}
            ownKeys={ownKeys}
            compared={judged && (answered?.chord ?? null)}
            keepOwn={keepOwn}
            loss={chain ? { to: chain.back.name, back: chain.back.name } : null}
            neighbors={(selected && around.get(selected)) ?? NO_NEIGHBORS}
            actions={actionsFor}
            captureRef={capture}
            onPropose={propose}
            onKeepOwn={setKeepOwn}
            onChoose={choose}
            onFirst={() => {
              // Enter may come before the choices are painted, so they are worked out for it.
              const [first] = choicesFor(judged);
              if (first) choose(first);
            }}
            onRemove={onRemove}
            onMark={onMark}
            onGoTo={select}
            onSkip={() => goOn(chain)}
            onLeave={leave}
          />
          <Suspense>
            <KeyboardView
              index={index}
              factory={draft.factory}
              command={drawn.selected}
              reach={reach}
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
          <Tape draft={draft} nameOf={nameOf} onOpen={openById} onGoTo={goTo} onPull={onPull} />
        </Suspense>
        <p className="hidden" role="status">
          {said}
        </p>
      </main>
      {shown !== null && (
        <BoardDialogs
          shown={shown}
          index={index}
          draft={draft}
          selected={selected}
          advisor={advisor}
          uses={uses}
          actions={actions}
          onClose={() => setShown(null)}
          onOpen={(command) => {
            setShown(null);
            select(command);
          }}
          onPropose={(chord) => {
            setShown(null);
            propose(chord);
          }}
          onTicket={async (ticket) => {
            const trimmed = trimTicket(draftRef.current.keymap, ticket);
            return trimmed !== null && actions.edit(trimmed);
          }}
        />
      )}
      {question && <ConfirmDialog question={question} onClose={() => setQuestion(null)} />}
    </div>
  );
}

export const PackedBoard = unpacked(Board);
