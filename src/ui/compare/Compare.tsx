'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { draftOf } from '@/core/keymap/draft';
import type { Binding } from '@/core/keymap/keymap';
import { type Difference, sideBySide } from '@/core/keymap/sideBySide';
import { pathText } from '@/core/program/program';
import type { KeymapLink, KeymapView } from '@/core/view/views';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './compare.module.css';

type Props = { readonly left: KeymapView; readonly right: KeymapView; readonly links: readonly KeymapLink[] };

const DIFFERENCES: readonly (readonly [Difference, string])[] = [
  ['moved', 'On other keys'],
  ['added', 'Only at the right'],
  ['removed', 'Only at the left'],
  ['same', 'Same'],
];

/** Two keymaps of a program side by side: what is on other keys, what only one has, what is the same. */
export function Compare({ left, right, links }: Props) {
  const router = useRouter();
  const { program, programSlug } = left;
  const [show, setShow] = useState<Difference | 'differs'>('differs');
  const rows = useMemo(
    () =>
      sideBySide(
        program.commands.map((one) => one.id),
        draftOf(left).keymap,
        draftOf(right).keymap,
      ),
    [program, left, right],
  );
  const commands = useMemo(() => new Map(program.commands.map((one) => [one.id, one])), [program]);
  const count = (difference: Difference) => rows.filter((row) => row.difference === difference).length;
  const shown = rows.filter((row) => (show === 'differs' ? row.difference !== 'same' : row.difference === show));
  const go = (side: 'left' | 'right', keymap: string): void => {
    const now = { left: left.draft.slug, right: right.draft.slug, [side]: keymap };
    router.push(
      `/shelf/compare/${programSlug}?left=${encodeURIComponent(now.left)}&right=${encodeURIComponent(now.right)}`,
    );
  };
  const pick = (side: 'left' | 'right', label: string, value: string) => (
    <select aria-label={label} className={styles.pick} value={value} onChange={(event) => go(side, event.target.value)}>
      {links.map((link) => (
        <option key={link.keymap} value={link.keymap}>
          {link.name}
          {link.owner && ` · ${link.owner}`}
        </option>
      ))}
    </select>
  );
  return (
    <div className="screen">
      <header className="bar">
        <h1>{program.name}</h1>
        <span className="soft">compared: {rows.length} commands with keys</span>
        <span className="push" />
        <Link className="word" href={`/board/${programSlug}/${right.draft.slug}`}>
          Back to the Board
        </Link>
      </header>
      <main className={styles.compare}>
        <div className={styles.filters} role="group" aria-label="Show">
          <button type="button" className="chip" aria-pressed={show === 'differs'} onClick={() => setShow('differs')}>
            All that differs {rows.length - count('same')}
          </button>
          {DIFFERENCES.map(([difference, words]) => (
            <button
              key={difference}
              type="button"
              className="chip"
              aria-pressed={show === difference}
              onClick={() => setShow(difference)}
            >
              {words} {count(difference)}
            </button>
          ))}
        </div>
        {/* A long table is scrolled by keyboard as well */}
        <section className={`card ${styles.scroller}`} aria-label="Differences" tabIndex={0}>
          <table className={styles.table}>
            <thead>
              <tr>
                <th scope="col">Command</th>
                <th scope="col">{pick('left', 'Keymap at the left', left.draft.slug)}</th>
                <th scope="col">{pick('right', 'Keymap at the right', right.draft.slug)}</th>
                <th scope="col">Difference</th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ command, difference, change }) => (
                <tr key={command} data-difference={difference}>
                  <th scope="row">
                    <Link href={`/board/${programSlug}/${right.draft.slug}/${encodeURIComponent(command)}`}>
                      {commands.get(command)?.name}
                    </Link>
                    <span className="soft"> {pathText(commands.get(command)?.path ?? [])}</span>
                  </th>
                  <td>
                    <Keys bindings={change.before} />
                  </td>
                  <td>
                    <Keys bindings={change.after} />
                  </td>
                  <td>{DIFFERENCES.find(([one]) => one === difference)?.[1]}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {shown.length === 0 && (
            <p className="empty">
              {left.draft.id === right.draft.id
                ? 'This is the same keymap twice. Choose another above.'
                : 'Nothing of this kind.'}
            </p>
          )}
        </section>
      </main>
    </div>
  );
}

function Keys({ bindings }: { bindings: readonly Binding[] }) {
  if (bindings.length === 0) return <span className="soft">no key</span>;
  return (
    <span className={styles.keys}>
      {bindings.map((one) => (
        <KeyCaps key={one.chord} chord={one.chord} />
      ))}
    </span>
  );
}
