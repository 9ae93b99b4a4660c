'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { Remote } from 'comlink';
import { X } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { programFacts } from '@/core/clash/clashIndex';
import { type Agreement, agreement } from '@/core/comparison/agreement';
import type { PairsBetween } from '@/core/comparison/conceptTable';
import { usesOf } from '@/core/effort/uses';
import type { Place } from '@/core/keyboard/placeOf';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import { distinct } from '@/core/text/distinct';
import type { ProgramsView } from '@/core/transfer/matchView';
import type { KeymapLink } from '@/core/view/shelf';
import type { CompareGround, Comparer, CompareTask } from '@/workers/comparer';
import { FilterChip } from '../kit/FilterChip';
import { IconAction } from '../kit/IconAction';
import { Progress } from '../kit/Progress';
import { Row } from '../kit/Row';
import { replaceAddress } from '../kit/useBackCloses';
import { KeymapPicker } from '../parts/KeymapPicker';
import { useWorkerTask } from '../parts/useWorkerTask';
import { useSettings } from '../shell/SettingsContext';
import { unpacked } from '../shell/unpacked';
import { ByConcept } from './ByConcept';
import styles from './compareAll.module.css';
import { type Compared, likelyIn, pairsFor } from './compared';
import { HandsOf } from './HandsOf';
import { percent } from './percent';
import { sideOf } from './useMatch';

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
  const { views, said, programNames, lessons } = all;
  const router = useRouter();
  const { where } = useSettings();
  const [shown, setShown] = useState(initialShown);
  const [cell, setCell] = useState<readonly [knows: number, works: number]>([1, 0]);
  const compared = useMemo(() => {
    const names = distinct(views.map((view) => `${programIn(links, view)} · ${view.draft.name}`));
    return views.map((view, i): Compared => {
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
        name: names[i] ?? view.draft.name,
      };
    });
  }, [views, all.uses, links]);
  const ground = useMemo(
    (): CompareGround => ({ sides: views.map((view) => sideOf(view, draftOf(view))), programNames, lessons }),
    [views, programNames, lessons],
  );
  const task = useMemo((): CompareTask => ({ said: said.value }), [said]);
  const working = useWorkerTask<Comparer, CompareGround, CompareTask, PairsBetween[]>(start, ground, task, send);
  const between = working.made?.answer ?? null;
  const addresses = views.map((view) => `${view.programSlug}/${view.draft.slug}`);
  const addressOf = (list: readonly string[], what = shown): string =>
    `/match/compare?${list.map((one) => `with=${encodeURIComponent(one)}`).join('&')}${what === 'concepts' ? '&show=concepts' : ''}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the address follows what is shown.
  useEffect(() => {
    replaceAddress(addressOf(addresses));
  }, [shown]);
  const more = links.find((one) => !addresses.includes(`${one.program}/${one.keymap}`));
  return (
    <div className="screen">
      <header className="bar">
        <h1>Match</h1>
        <span className="soft">compare</span>
        {compared.map(({ view, name }, i) => (
          <Row key={addresses[i]} component="span" gap={0}>
            <KeymapPicker
              says={`Keymap ${i + 1}`}
              label={view.draft.name}
              programName={view.program.name}
              links={links}
              program={view.programSlug}
              keymap={view.draft.slug}
              to={(program, keymap) => addressOf(addresses.map((one, at) => (at === i ? `${program}/${keymap}` : one)))}
            />
            {compared.length > 2 && (
              <IconAction
                icon={X}
                label={`Leave out ${name}`}
                onClick={() => router.push(addressOf(addresses.filter((_, at) => at !== i)))}
              />
            )}
          </Row>
        ))}
        {more && compared.length < MOST && (
          <Button
            variant="text"
            onClick={() => router.push(addressOf([...addresses, `${more.program}/${more.keymap}`]))}
          >
            Add one
          </Button>
        )}
        <span className="push" />
        <Button variant="text" component={Link} href="/match">
          Back to the match
        </Button>
      </header>
      <main className={`panes ${styles.screen}`}>
        <Row role="group" aria-label="Show">
          <FilterChip pressed={shown === 'hands'} onClick={() => setShown('hands')}>
            How much carries over
          </FilterChip>
          <FilterChip pressed={shown === 'concepts'} onClick={() => setShown('concepts')}>
            By concept
          </FilterChip>
        </Row>
        {!between ? (
          <Stack className="card" spacing={3} sx={{ p: 5 }}>
            <p role="status">
              {working.state === 'failed' ? 'The programs could not be compared.' : 'Comparing each with each…'}
            </p>
            {working.state !== 'failed' && <Progress label="Comparing" part={working.part} />}
          </Stack>
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

/** What the program of a keymap is called among the others. */
const programIn = (links: readonly KeymapLink[], { programSlug, program }: KeymapView): string =>
  links.find((one) => one.program === programSlug)?.programName ?? program.name;

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
      <Table>
        <TableHead>
          <TableRow>
            <TableCell component="td" className="soft">
              Of what the hand does in … it finds on the same keys in
            </TableCell>
            {compared.map((one, i) => (
              <TableCell key={`${i}`}>{one.name}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {compared.map((knows, k) => (
            <TableRow key={`${k}`}>
              <TableCell component="th" scope="row">
                {knows.name}
              </TableCell>
              {compared.map((works, w) => {
                const figure = figures[k]?.[w];
                if (!figure)
                  return (
                    <TableCell key={`${w}`}>
                      <span className={styles.self} />
                    </TableCell>
                  );
                return (
                  <TableCell key={`${w}`}>
                    <Button
                      variant="line"
                      aria-pressed={cell[0] === k && cell[1] === w}
                      aria-label={`${knows.name} in ${works.name}: ${percent(figure.part)}`}
                      onClick={() => onCell([k, w])}
                    >
                      <strong style={{ whiteSpace: 'nowrap' }}>{percent(figure.part)}</strong>
                      <span className="soft">
                        {figure.part !== null && (
                          <>
                            {figure.same} of {figure.all} · by use {percent(figure.weighted)}
                          </>
                        )}
                        {likelyIn(between, k, w) > 0 && (
                          <>
                            <br />
                            {likelyIn(between, k, w)} only likely, not counted
                          </>
                        )}
                      </span>
                    </Button>
                  </TableCell>
                );
              })}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </section>
  );
}
export const PackedCompareAll = unpacked(CompareAll);
