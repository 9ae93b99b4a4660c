'use client';

import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { draftOf } from '@/core/keymap/draft';
import type { KeymapView } from '@/core/keymap/keymapView';
import { type Difference, sideBySide } from '@/core/keymap/sideBySide';
import { pathText } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import type { KeymapLink } from '@/core/view/shelf';
import { FilterChip } from '../kit/FilterChip';
import { Pick } from '../kit/Pick';
import { Row } from '../kit/Row';
import { KeysThere } from '../parts/KeysThere';
import { unpacked } from '../shell/unpacked';
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
  // What was chosen last, so that the second of two quick choices doesn't forget the first, still on its way.
  const chosen = useRef({ left: '', right: '' });
  useEffect(() => {
    chosen.current = { left: left.draft.slug, right: right.draft.slug };
  }, [left.draft.slug, right.draft.slug]);
  const go = (side: 'left' | 'right', keymap: string): void => {
    chosen.current = { ...chosen.current, [side]: keymap };
    router.push(`/shelf/compare/${programSlug}?${new URLSearchParams(chosen.current)}`);
  };
  const pick = (side: 'left' | 'right', label: string, value: string) => (
    <Pick
      label={label}
      hidden
      value={value}
      options={links.map((link) => [link.keymap, link.owner ? `${link.name} · ${link.owner}` : link.name])}
      onChange={(keymap) => go(side, keymap)}
    />
  );
  return (
    <div className="screen">
      <header className="bar">
        <h1>{program.name}</h1>
        <span className="soft">compared: {counted(rows.length, 'command')} with keys</span>
        <span className="push" />
        {left.draft.id !== right.draft.id && (
          <Button
            variant="text"
            component={Link}
            href={`/shelf/packs/${programSlug}/${right.draft.slug}?from=${left.draft.slug}`}
          >
            Make a pack of it…
          </Button>
        )}
        <Button variant="text" component={Link} href={`/board/${programSlug}/${right.draft.slug}`}>
          Back to the Board
        </Button>
      </header>
      <main className={`panes ${styles.compare}`}>
        <Row wraps role="group" aria-label="Show">
          <FilterChip pressed={show === 'differs'} onClick={() => setShow('differs')}>
            All that differs {rows.length - count('same')}
          </FilterChip>
          {DIFFERENCES.map(([difference, words]) => (
            <FilterChip key={difference} pressed={show === difference} onClick={() => setShow(difference)}>
              {words} {count(difference)}
            </FilterChip>
          ))}
        </Row>
        {/* A long table is scrolled by keyboard as well */}
        <section className="card scrolls" aria-label="Differences" tabIndex={0}>
          <Table stickyHeader>
            <TableHead>
              <TableRow>
                <TableCell>Command</TableCell>
                <TableCell>{pick('left', 'Keymap at the left', left.draft.slug)}</TableCell>
                <TableCell>{pick('right', 'Keymap at the right', right.draft.slug)}</TableCell>
                <TableCell>Difference</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {shown.map(({ command, difference, change }) => (
                <TableRow key={command} data-difference={difference}>
                  <TableCell component="th" scope="row">
                    <Link href={`/board/${programSlug}/${right.draft.slug}/${encodeURIComponent(command)}`}>
                      <strong>{commands.get(command)?.name}</strong>
                    </Link>
                    <span className="soft small"> {pathText(commands.get(command)?.path ?? [])}</span>
                  </TableCell>
                  <TableCell>
                    <KeysThere keys={change.before} none="no key" />
                  </TableCell>
                  <TableCell>
                    <KeysThere keys={change.after} none="no key" />
                  </TableCell>
                  <TableCell>{DIFFERENCES.find(([one]) => one === difference)?.[1]}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
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

export const PackedCompare = unpacked(Compare);
