'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { useDeferredValue, useEffect, useRef } from 'react';
import { counted } from '@/core/text/sentence';
import type { ProgramSummary } from '@/core/view/shelf';
import { NameDialog } from '../parts/NameDialog';
import { unpacked } from '../shell/unpacked';
import { ProgramShelf } from './ProgramShelf';
import { PutAwayList } from './PutAwayList';
import styles from './shelf.module.css';
import { type Put, useShelfSteps } from './useShelfSteps';

/** More programs than this don't fit a screen; those below are drawn when the first are there to be used. */
const AT_FIRST = 6;

/** Programs and their keymaps as what they are: strips of keys with pins. */
export function Shelf({ programs, at }: { programs: readonly ProgramSummary[]; at: string | null }) {
  const { naming, steps, onNamed } = useShelfSteps();
  const away = programs.flatMap((program): Put[] =>
    program.putAway
      ? [{ program, keymap: null }]
      : program.keymaps.filter((one) => one.putAway).map((keymap) => ({ program, keymap })),
  );
  const standing = programs.filter((one) => !one.putAway);
  // A version stands below the one that came from it.
  const newest = standing.filter((one) => !standing.some((other) => other.cameFrom === one.slug));
  const placed = new Set<string>();
  const earlierOf = ({ cameFrom }: ProgramSummary): ProgramSummary[] => {
    const before = standing.find((one) => one.slug === cameFrom && !placed.has(one.slug));
    if (!before) return [];
    placed.add(before.slug);
    return [before, ...earlierOf(before)];
  };
  const shown = useDeferredValue(newest.length, Math.min(newest.length, AT_FIRST));
  const gone = useRef<string | null>(null);
  // Where the address leads may be drawn later; once there, what changes on the Shelf moves nobody.
  useEffect(() => {
    const there = at && shown > 0 && gone.current !== at ? document.getElementById(at) : null;
    if (!there) return;
    gone.current = at;
    there.scrollIntoView({ block: 'start' });
  }, [at, shown]);

  return (
    <div className="screen">
      <header className="bar">
        <h1>Shelf</h1>
        <span className="soft">{counted(newest.length, 'program')}</span>
        <span className="push" />
        <Button variant="text" href="/api/everything" download>
          Save everything…
        </Button>
        <Button variant="text" component={Link} href="/shelf/take-in">
          Take everything in…
        </Button>
        <Button variant="contained" component={Link} href="/shelf/bring-in">
          Bring a program in…
        </Button>
      </header>
      <main className={styles.shelf}>
        {standing.length === 0 && (
          <div className="empty">
            <p>
              No program stands here yet. Bring in the list of its commands: a table, a web page of shortcuts, or a file
              exported from another Gray Pin.
            </p>
          </div>
        )}
        {newest.slice(0, shown).map((program) => (
          <ProgramShelf key={program.slug} program={program} earlier={earlierOf(program)} steps={steps} />
        ))}
        {away.length > 0 && shown >= newest.length && <PutAwayList away={away} steps={steps} />}
      </main>
      {naming && <NameDialog {...naming} onClose={onNamed} onDone={naming.done} />}
    </div>
  );
}

export const PackedShelf = unpacked(Shelf);
