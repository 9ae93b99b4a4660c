'use client';

import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import type { WishesView } from '@/core/advice/adviceView';
import { MOST_WISHED } from '@/core/advice/wishList';
import { programFacts } from '@/core/clash/clashIndex';
import { compareKeymaps } from '@/core/keymap/compareKeymaps';
import type { KeymapLink } from '@/core/view/shelf';
import type { Ground } from '@/workers/planner';
import { DraftPill } from '../draft/DraftPill';
import { DraftTape } from '../draft/DraftTape';
import { UndoRedo } from '../draft/UndoRedo';
import { useDraft } from '../draft/useDraft';
import { Segments } from '../kit/Segments';
import { replaceAddress } from '../kit/useBackCloses';
import { KeymapPicker } from '../parts/KeymapPicker';
import { useReach } from '../parts/useReach';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { CountsDialog } from './CountsDialog';
import { PlanView } from './PlanView';
import { SpendBar } from './SpendBar';
import { type PlanTask, usePlan } from './usePlan';
import { usePut } from './usePut';
import { useWishList } from './useWishList';
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
  const { draft, actions } = useDraft(view);
  const facts = useMemo(() => programFacts(program), [program]);
  const { list, uses, change, wish, tellUses, tellAll } = useWishList(wishes, draft.state);
  const [shown, setShown] = useState(initialShown);
  const [counting, setCounting] = useState(false);
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

  // Commands that the address wishes for are put on the list once; then the address says where this is.
  useEffect(() => {
    const asked = new URLSearchParams(window.location.search).getAll('wish').filter((one) => facts.commands.has(one));
    if (asked.length > 0) wish(asked.slice(0, MOST_WISHED), true);
  }, [facts, wish]);
  useEffect(() => {
    const address = `/wishes/${programSlug}/${draft.state.slug}${shown === 'gains' ? '?show=gains' : ''}`;
    if (window.location.pathname + window.location.search !== address) replaceAddress(address);
  }, [programSlug, draft.state.slug, shown]);

  const { state } = draft;
  const ticket = fresh?.plan.ticket ?? null;
  const put = usePut({ draft, actions, list, change });
  const changes = useMemo(() => compareKeymaps(draft.kept, draft.keymap).length, [draft.kept, draft.keymap]);
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
        <UndoRedo draft={draft} actions={actions} />
        <Button variant="text" component={Link} href={board}>
          Back to the Board
        </Button>
      </header>
      <main className={`panes ${styles.screen}`}>
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
          <Segments
            label="Show"
            hidden
            value={shown}
            options={[
              ['plan', 'The plan'],
              ['gains', 'What it brings'],
            ]}
            onChange={setShown}
          />
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
              onPut={() => fresh && void put(fresh.plan)}
            />
          ) : (
            <Gains program={program} draft={draft} ticket={ticket} told={told} reach={reach} />
          )}
        </div>
        <DraftTape draft={draft} actions={actions} facts={facts} board={board} />
      </main>
      {counting && (
        <CountsDialog
          program={program}
          told={uses}
          onClose={() => setCounting(false)}
          onDone={(counts) => {
            tellAll(counts);
            setCounting(false);
          }}
        />
      )}
    </div>
  );
}

export const PackedWishes = unpacked(Wishes);
