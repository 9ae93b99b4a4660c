'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { emptyList } from '@/core/advice/emptyList';
import type { WishList } from '@/core/advice/wishList';
import { programFacts } from '@/core/clash/clashIndex';
import { compareKeymaps } from '@/core/keymap/compareKeymaps';
import type { CommandId } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import type { KeymapLink, WishesView } from '@/core/view/views';
import type { Ground } from '@/workers/planner';
import { askToPull } from '../draft/askToPull';
import { DraftPill } from '../draft/DraftPill';
import { Tape } from '../draft/Tape';
import { TroubleDialog } from '../draft/TroubleDialog';
import { useDraft } from '../draft/useDraft';
import { useUndoKeys } from '../draft/useUndoKeys';
import { ConfirmDialog, type Question } from '../parts/ConfirmDialog';
import { KeymapPicker } from '../parts/KeymapPicker';
import { useReach } from '../parts/useReach';
import { useStable } from '../parts/useStable';
import { ask, messageOf } from '../shell/api';
import { useNotice } from '../shell/Notices';
import { useSettings } from '../shell/SettingsContext';
import { CountsDialog } from './CountsDialog';
import { PlanView } from './PlanView';
import { SpendBar } from './SpendBar';
import { type PlanTask, usePlan } from './usePlan';
import { WishPicker } from './WishPicker';
import styles from './wishes.module.css';

const Gains = dynamic(() => import('./Gains').then((one) => one.Gains), {
  loading: () => <p className="soft">Reckoning what it brings…</p>,
});
type Props = {
  readonly wishes: WishesView;
  readonly links: readonly KeymapLink[];
  readonly initialShown: 'plan' | 'gains';
};

/** Wishes on the left, the best plan for all of them on the right, then onto the tape as one ticket. */
export function Wishes({ wishes, links, initialShown }: Props) {
  const { view, elsewhere } = wishes;
  const { program, programSlug } = view;
  const { where, settings } = useSettings();
  const { draft, trouble, dismiss, actions } = useDraft(view);
  const facts = useMemo(() => programFacts(program), [program]);
  const [list, setList] = useState<WishList>(() => wishes.list ?? emptyList(where));
  const [uses, setUses] = useState(wishes.uses);
  const [shown, setShown] = useState(initialShown);
  const [counting, setCounting] = useState(false);
  const [question, setQuestion] = useState<Question | null>(null);
  const tell = useNotice();
  const router = useRouter();
  const { reach, ready } = useReach(draft.keymap);
  const told = useMemo(() => new Map(Object.entries(uses)), [uses]);

  const { keyboard, desktop } = where;
  const ground = useMemo(
    (): Ground => ({ program, elsewhere, choice: keyboard.choice, desktop, hand: settings.hand }),
    [program, elsewhere, keyboard, desktop, settings.hand],
  );
  const task = useMemo(
    (): PlanTask | null => (list.wishes.length === 0 ? null : { keymap: draft.keymap, list, uses }),
    [draft.keymap, list, uses],
  );
  const planning = usePlan(ground, task);
  const fresh = planning.made?.task === task ? planning.made.answer : null;

  const store = useStore(draft.state.id);
  const change = useCallback((values: Partial<WishList>): void => setList((now) => ({ ...now, ...values })), []);
  const wish = useCallback(
    (ids: readonly CommandId[], on: boolean): void =>
      setList((now) => {
        const set = new Set(ids);
        const left = now.wishes.filter((one) => !set.has(one));
        return { ...now, wishes: on ? [...left, ...ids] : left };
      }),
    [],
  );
  // An edit of the factory keymap begins a keymap of its own; the list goes with it.
  const keymapId = draft.state.id;
  const stored = useRef({ list, keymapId });
  useEffect(() => {
    if (stored.current.list !== list || stored.current.keymapId !== keymapId) store('wishes', list);
    stored.current = { list, keymapId };
  }, [list, keymapId, store]);
  const tellUses = useCallback(
    (command: CommandId, perDay: number | null): void => {
      setUses((now) => {
        const { [command]: _, ...rest } = now;
        return perDay === null ? rest : { ...rest, [command]: perDay };
      });
      store('uses', { uses: { [command]: perDay } });
    },
    [store],
  );

  // A command that the address wishes for is put on the list once; then the address says where this is.
  useEffect(() => {
    const asked = new URLSearchParams(window.location.search).get('wish');
    if (asked !== null && facts.commands.has(asked)) wish([asked], true);
  }, [facts, wish]);
  useEffect(() => {
    const address = `/wishes/${programSlug}/${draft.state.slug}${shown === 'gains' ? '?show=gains' : ''}`;
    if (window.location.pathname + window.location.search !== address) window.history.replaceState(null, '', address);
  }, [programSlug, draft.state.slug, shown]);

  const { state, tape } = draft;
  const undo = useStable(() => void (state.cursor > 0 && actions.goTo((now) => now.cursor - 1)));
  const redo = useStable(() => void (state.cursor < tape.length && actions.goTo((now) => now.cursor + 1)));
  useUndoKeys(undo, redo);
  const ticket = fresh?.plan.ticket ?? null;
  const put = async (): Promise<void> => {
    if (!ticket || !(await actions.edit(ticket))) return;
    tell(`${counted(ticket.changes.length, 'change')} on the tape as one ticket.`);
  };
  const pull = (position: number): void =>
    askToPull(position, {
      draft,
      place: where.place,
      edit: (one) => void actions.edit(one),
      ask: setQuestion,
      tell,
    });
  const changes = useMemo(() => compareKeymaps(draft.kept, draft.keymap).length, [draft.kept, draft.keymap]);
  const nameOf = useCallback((one: CommandId) => facts.commands.get(one)?.name ?? one, [facts]);
  const board = `/board/${programSlug}/${state.slug}`;
  return (
    <div className="screen">
      <header className="bar">
        <h1>{program.name}</h1>
        <span className="soft">wish list for</span>
        <KeymapPicker
          label={state.name}
          links={links}
          program={programSlug}
          keymap={state.slug}
          to={(program, keymap) => `/wishes/${program}/${keymap}`}
        />
        <DraftPill state={state} changes={changes} />
        <span className="push" />
        <button type="button" className="word" aria-disabled={state.cursor === 0} onClick={undo}>
          Undo
        </button>
        <button type="button" className="word" aria-disabled={state.cursor >= tape.length} onClick={redo}>
          Redo
        </button>
        <Link className="word" href={board}>
          Back to the Board
        </Link>
      </header>
      <main className={styles.screen}>
        <WishPicker
          program={program}
          draft={draft}
          wishes={list.wishes}
          told={told}
          reach={ready ? reach : null}
          onWish={wish}
          onUses={tellUses}
          onCounts={() => setCounting(true)}
        />
        <div className={styles.middle}>
          <SpendBar list={list} keymap={draft.keymap} program={program} told={told} onChange={change} />
          <div className={styles.tabs} role="group" aria-label="Show">
            <button type="button" className="chip" aria-pressed={shown === 'plan'} onClick={() => setShown('plan')}>
              The plan
            </button>
            <button type="button" className="chip" aria-pressed={shown === 'gains'} onClick={() => setShown('gains')}>
              What it brings
            </button>
          </div>
          {shown === 'plan' ? (
            <PlanView
              facts={facts}
              keymap={draft.keymap}
              list={list}
              planning={planning}
              fresh={fresh !== null}
              locked={state.locked}
              onChange={change}
              onWish={wish}
              onPut={() => void put()}
            />
          ) : (
            <Gains program={program} draft={draft} ticket={ticket} told={told} reach={reach} />
          )}
        </div>
        <Tape
          draft={draft}
          nameOf={nameOf}
          onOpen={(one) => router.push(`${board}/${encodeURIComponent(one)}`)}
          onGoTo={(cursor) => void actions.goTo(() => cursor)}
          onPull={pull}
        />
      </main>
      {counting && (
        <CountsDialog
          program={program}
          told={uses}
          onClose={() => setCounting(false)}
          onDone={(counts) => {
            setUses(counts);
            store('uses', { uses: counts, all: true });
            setCounting(false);
            tell(
              Object.keys(counts).length === 0
                ? 'All counts are guesses by kind again.'
                : `Counts of ${counted(Object.keys(counts).length, 'command')} are stored.`,
            );
          }}
        />
      )}
      {question && <ConfirmDialog question={question} onClose={() => setQuestion(null)} />}
      <TroubleDialog trouble={trouble} onClose={dismiss} onReload={actions.reload} />
    </div>
  );
}

type Store = (what: 'wishes' | 'uses', body: object) => void;

/** Stores what is changed at once, one after the other; says so if it can't. */
function useStore(keymap: number): Store {
  const tell = useNotice();
  const id = useRef(keymap);
  id.current = keymap;
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  return useCallback(
    (what, body) => {
      queue.current = queue.current
        .then(() => ask('PATCH', `/api/keymaps/${id.current}/${what}`, body, true))
        .catch((error) => tell(messageOf(error)));
    },
    [tell],
  );
}
