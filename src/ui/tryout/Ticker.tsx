'use client';

import Link from 'next/link';
import { memo } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { Command } from '@/core/program/program';
import type { Sentence } from '@/core/text/sentence';
import type { Outcome } from '@/core/tryout/pressKeys';
import { KeyCaps } from '../parts/KeyCaps';
import { SentenceView } from '../parts/SentenceView';
import styles from './tryout.module.css';

/** What was pressed or called, and what came of it. */
export type Ticked = {
  readonly number: number;
  readonly chord: ChordText | null;
  readonly sentence: Sentence;
  readonly command: Command | null;
  readonly kind: Outcome['kind'] | 'called';
};

/** What fired or why nothing did, the latest first; each line leads to the bench. */
export const Ticker = memo(function Ticker({
  ticked,
  bench,
}: {
  ticked: readonly Ticked[];
  bench: (command: Command) => string;
}) {
  return (
    <section className={`card scrolls ${styles.ticker}`} aria-label="What fired">
      <h2>What fired</h2>
      {ticked.length === 0 ? (
        <p className="soft">Press keys. It says here what they do, from where, or why they do nothing.</p>
      ) : (
        <div role="log" aria-label="Presses, the latest first">
          <ol>
            {ticked.map((one) => (
              <li
                key={one.number}
                data-number={one.number}
                data-kind={one.kind}
                data-fired={one.kind === 'fired' ? one.command?.id : undefined}
              >
                {one.chord !== null && <KeyCaps chord={one.chord} />}
                <span>
                  <SentenceView sentence={one.sentence} />
                </span>
                {one.command && (
                  <Link
                    href={bench(one.command)}
                    prefetch={false}
                    aria-label={`Change the keys of ${one.command.name}`}
                  >
                    change its keys
                  </Link>
                )}
              </li>
            ))}
          </ol>
        </div>
      )}
    </section>
  );
});
