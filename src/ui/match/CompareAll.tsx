'use client';

import type { Remote } from 'comlink';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { programFacts } from '@/core/clash/clashIndex';
import { type Agreement, agreement } from '@/core/comparison/agreement';
import type { PairsBetween } from '@/core/comparison/conceptTable';
import { usesOf } from '@/core/effort/uses';
import type { Place } from '@/core/keyboard/placeOf';
import { draftOf } from '@/core/keymap/draft';
import type { CommandPair } from '@/core/transfer/transferTypes';
import type { KeymapLink, KeymapView, ProgramsView } from '@/core/view/views';
import type { CompareGround, Comparer, CompareTask } from '@/workers/comparer';
import { KeymapPicker } from '../parts/KeymapPicker';
import { useWorkerTask } from '../parts/useWorkerTask';
import { useSettings } from '../shell/SettingsContext';
import { ByConcept } from './ByConcept';
import styles from './compareAll.module.css';
import { HandsOf } from './HandsOf';
import { sideOf } from './useMatch';

/** One keymap among those compared. */
export type Compared = {
  readonly view: KeymapView;
  readonly keymap: ReturnType<typeof draftOf>['keymap'];
  readonly facts: ReturnType<typeof programFacts>;
  readonly usesOf: (command: string) => number;
  readonly name: string;
};
type Props = {
  readonly all: ProgramsView;
  readonly links: readonly KeymapLink[];
  readonly initialShown: 'hands' | 'concepts';
};

const start = (): Worker => new Worker(new URL('../../workers/comparer.ts', import.meta.url), { type: 'module' });
const send = (
  remote: Remote<Comparer>,
  task: CompareTask,
  onProgress: (part: number) => void,
): Promise<PairsBetween[]> => remote.compare(task, onProgress);
const MOST = 6;

/** Several keymaps of any programs compared, each with each: how much of the hand carries over, and what they all do. */
export function CompareAll({ all, links, initialShown }: Props) {
  const { views, said, programNames } = all;
  const router = useRouter();
  const { where } = useSettings();
  const [shown, setShown] = useState(initialShown);
  const [cell, setCell] = useState<readonly [knows: number, works: number]>([1, 0]);
  const compared = useMemo(
    () =>
      views.map((view, i): Compared => {
        const facts = programFacts(view.program);
        const told = new Map(Object.entries(all.uses[i] ?? {}));
        return {
          view,
          facts,
          keymap: draftOf(view).keymap,
          usesOf: (id) => {
            const command = facts.commands.get(id);
            return command ? usesOf(command, told) : 0;
          },
          name: `${view.program.name} · ${view.draft.name}`,
        };
      }),
    [views, all.uses],
  );
  const ground = useMemo(
    (): CompareGround => ({ sides: views.map((view) => sideOf(view, draftOf(view))), programNames }),
    [views, programNames],
  );
  const task = useMemo((): CompareTask => ({ said }), [said]);
  const working = useWorkerTask<Comparer, CompareGround, CompareTask, PairsBetween[]>(start, ground, task, send);
  const between = working.made?.answer ?? null;
  const addresses = views.map((view) => `${view.programSlug}/${view.draft.slug}`);
  const addressOf = (list: readonly string[], what = shown): string =>
    `/match/compare?${list.map((one) => `with=${encodeURIComponent(one)}`).join('&')}${what === 'concepts' ? '&show=concepts' : ''}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the address follows what is shown.
  useEffect(() => {
    window.history.replaceState(null, '', addressOf(addresses));
  }, [shown]);
  const more = links.find((one) => !addresses.includes(`${one.program}/${one.keymap}`));
  return (
    <div className="screen">
      <header className="bar" data-wraps>
        <h1>Match</h1>
        <span className="soft">compare</span>
        {compared.map(({ view, name }, i) => (
          <span key={addresses[i]} className={styles.one}>
            <KeymapPicker
              says={`Keymap ${i + 1}`}
              label={name}
              links={links}
              program={view.programSlug}
              keymap={view.draft.slug}
              to={(program, keymap) => addressOf(addresses.map((one, at) => (at === i ? `${program}/${keymap}` : one)))}
            />
            {compared.length > 2 && (
              <button
                type="button"
                className={styles.drop}
                aria-label={`Leave out ${name}`}
                title={`Leave out ${name}`}
                onClick={() => router.push(addressOf(addresses.filter((_, at) => at !== i)))}
              >
                ×
              </button>
            )}
          </span>
        ))}
        {more && compared.length < MOST && (
          <button
            type="button"
            className="word"
            onClick={() => router.push(addressOf([...addresses, `${more.program}/${more.keymap}`]))}
          >
            Add one
          </button>
        )}
        <span className="push" />
        <Link className="word" href="/match">
          Back to the match
        </Link>
      </header>
      <main className={styles.screen}>
        <div className={styles.tabs} role="group" aria-label="Show">
          <button type="button" className="chip" aria-pressed={shown === 'hands'} onClick={() => setShown('hands')}>
            How much carries over
          </button>
          <button
            type="button"
            className="chip"
            aria-pressed={shown === 'concepts'}
            onClick={() => setShown('concepts')}
          >
            By concept
          </button>
        </div>
        {!between ? (
          <div className={`card ${styles.waiting}`}>
            <p role="status">
              {working.state === 'failed' ? 'The programs could not be compared.' : 'Comparing each with each…'}
            </p>
            {working.state !== 'failed' && <progress aria-label="Comparing" value={working.part} max={1} />}
          </div>
        ) : shown === 'hands' ? (
          <>
            <Matrix compared={compared} between={between} place={where.place} cell={cell} onCell={setCell} />
            <HandsOf compared={compared} between={between} place={where.place} cell={cell} />
          </>
        ) : (
          <ByConcept compared={compared} between={between} place={where.place} />
        )}
      </main>
    </div>
  );
}

/** The pairs of two of the compared, the one worked in first. */
export function pairsFor(between: readonly PairsBetween[], knows: number, works: number): readonly CommandPair[] {
  const found = between.find(
    (one) => (one.first === works && one.second === knows) || (one.first === knows && one.second === works),
  );
  return (found?.pairs ?? []).map(([a, b]) =>
    found?.first === works ? { mine: a, theirs: b } : { mine: b, theirs: a },
  );
}

function Matrix({
  compared,
  between,
  place,
  cell,
  onCell,
}: {
  compared: readonly Compared[];
  between: readonly PairsBetween[];
  place: Place;
  cell: readonly [number, number];
  onCell: (cell: readonly [number, number]) => void;
}) {
  const figures = useMemo(
    () =>
      compared.map((knows, k) =>
        compared.map((works, w): Agreement | null =>
          k === w ? null : agreement(pairsFor(between, k, w), works.keymap, knows.keymap, place, knows.usesOf),
        ),
      ),
    [compared, between, place],
  );
  return (
    <section className={`card ${styles.matrix}`} aria-label="How much carries over" tabIndex={0}>
      <table>
        <thead>
          <tr>
            <td className="soft">Of what the hand does in … it finds on the same keys in</td>
            {compared.map((one, i) => (
              <th key={`${i}`} scope="col">
                {one.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {compared.map((knows, k) => (
            <tr key={`${k}`}>
              <th scope="row">{knows.name}</th>
              {compared.map((works, w) => {
                const figure = figures[k]?.[w];
                if (!figure)
                  return (
                    <td key={`${w}`}>
                      <span className={styles.self} />
                    </td>
                  );
                return (
                  <td key={`${w}`}>
                    <button
                      type="button"
                      aria-pressed={cell[0] === k && cell[1] === w}
                      aria-label={`${knows.name} in ${works.name}: ${Math.round(100 * figure.part)} %`}
                      onClick={() => onCell([k, w])}
                    >
                      <strong>{Math.round(100 * figure.part)} %</strong>
                      <span className="soft">
                        {figure.same} of {figure.all} · by use {Math.round(100 * figure.weighted)} %
                      </span>
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
