'use client';

import Link from 'next/link';
import { useDeferredValue, useMemo, useState } from 'react';
import { answersAlike } from '@/core/comparison/agreement';
import { type ConceptRow, conceptTable, type PairsBetween } from '@/core/comparison/conceptTable';
import { buildFinder } from '@/core/finder/buildFinder';
import type { Place } from '@/core/keyboard/placeOf';
import { bindingsOf } from '@/core/keymap/keymap';
import { FilterChip } from '../kit/FilterChip';
import { Find } from '../kit/Find';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
import { VirtualRows } from '../kit/VirtualRows';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './compareAll.module.css';
import type { Compared } from './compared';

const KEPT = ['all', 'everywhere', 'alike', 'apart', 'alone'] as const;
type Kept = (typeof KEPT)[number];
const WORDS: Readonly<Record<Kept, string>> = {
  all: 'Everything',
  everywhere: 'In all of them',
  alike: 'On the same keys',
  apart: 'On other keys',
  alone: 'Only in one',
};
const ROW = 46;

type Props = {
  readonly compared: readonly Compared[];
  readonly between: readonly PairsBetween[];
  readonly place: Place;
};

/** What all the programs do as one table: a line for each thing, a column for each keymap. */
export function ByConcept({ compared, between, place }: Props) {
  const [query, setQuery] = useState('');
  const [kept, setKept] = useState<Kept>('everywhere');
  const [withKeys, setWithKeys] = useState(true);
  const wanted = useDeferredValue(query);
  const table = useMemo(
    () =>
      conceptTable(
        compared.map((one) => one.view.program.commands),
        between,
      ),
    [compared, between],
  );
  const keysIn = useMemo(
    () => (row: ConceptRow) =>
      row.commands.map((command, i) => {
        const keymap = compared[i]?.keymap;
        return command && keymap ? bindingsOf(keymap, command.id) : [];
      }),
    [compared],
  );
  const sets = useMemo(() => {
    const rows = withKeys ? table.filter((row) => keysIn(row).some((one) => one.length > 0)) : table;
    const filled = (row: ConceptRow): number => row.commands.filter((one) => one !== null).length;
    const alike = (row: ConceptRow): boolean => {
      const lists = keysIn(row).filter((_, i) => row.commands[i] !== null);
      const [first, ...others] = lists;
      return first !== undefined && others.length > 0 && others.every((one) => answersAlike(first, one, place));
    };
    return {
      all: rows,
      everywhere: rows.filter((row) => filled(row) === compared.length),
      alike: rows.filter((row) => filled(row) > 1 && alike(row)),
      apart: rows.filter((row) => filled(row) > 1 && !alike(row)),
      alone: rows.filter((row) => filled(row) === 1),
    } satisfies Record<Kept, readonly ConceptRow[]>;
  }, [table, keysIn, withKeys, compared, place]);
  const finders = useMemo(() => compared.map((one) => buildFinder(one.view.program.commands)), [compared]);
  const rows = useMemo(() => {
    if (wanted.trim() === '') return sets[kept];
    const found = finders.map((find) => new Set(find(wanted).commands));
    return sets[kept].filter((row) => row.commands.some((command, i) => command && found[i]?.has(command)));
  }, [sets, kept, wanted, finders]);
  const columns = { gridTemplateColumns: `repeat(${compared.length}, minmax(11rem, 1fr))` };
  return (
    <>
      <div className={styles.tools}>
        <Find label="Search in all programs" value={query} onChange={setQuery} />
        <Row wraps role="group" aria-label="Which lines">
          {KEPT.map((one) => (
            <FilterChip key={one} pressed={kept === one} onClick={() => setKept(one)}>
              {WORDS[one]} {sets[one].length}
            </FilterChip>
          ))}
        </Row>
        <Tick checked={withKeys} onChange={setWithKeys}>
          only what has keys
        </Tick>
      </div>
      <VirtualRows
        rows={rows}
        keyOf={(row) => row.commands.map((one) => one?.id ?? '').join(' ')}
        height={ROW}
        className={`card ${styles.concepts}`}
        role="table"
        aria-label="What the programs do"
        aria-rowcount={rows.length + 1}
        rowsRole="rowgroup"
        head={
          <div role="row" className={styles.conceptHead} style={columns}>
            {compared.map((one, i) => (
              <span key={`${i}`} role="columnheader">
                {one.name}
              </span>
            ))}
          </div>
        }
        empty={<p className="empty">Nothing of this kind.</p>}
      >
        {(row, place) => {
          const lists = keysIn(row);
          return (
            <div role="row" aria-rowindex={place + 2} className={styles.concept} style={columns}>
              {row.commands.map((command, i) => (
                <span key={`${i}`} role="cell" className={styles.cell}>
                  {command ? (
                    <>
                      <Link href={benchOf(compared[i], command.id)}>
                        <strong>{command.name}</strong>
                      </Link>
                      {row.likely.includes(i) && <span className="soft small">likely, not sure</span>}
                      <span className="chords">
                        {lists[i]?.map((one) => (
                          <KeyCaps key={one.chord} chord={one.chord} />
                        ))}
                      </span>
                    </>
                  ) : (
                    <span className="soft">–</span>
                  )}
                </span>
              ))}
            </div>
          );
        }}
      </VirtualRows>
    </>
  );
}

const benchOf = (one: Compared | undefined, command: string): string =>
  `/board/${one?.view.programSlug}/${one?.view.draft.slug}/${encodeURIComponent(command)}`;
