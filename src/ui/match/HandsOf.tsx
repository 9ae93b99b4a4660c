'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useMemo, useState } from 'react';
import { buildClashIndex } from '@/core/clash/clashIndex';
import { compareHands, type HandRow } from '@/core/comparison/compareHands';
import type { PairsBetween } from '@/core/comparison/conceptTable';
import { otherActions } from '@/core/comparison/otherActions';
import type { Place } from '@/core/keyboard/placeOf';
import { bindingsOf, type Keymap } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './compareAll.module.css';
import { type Compared, pairsFor } from './compared';
import { OtherActions } from './OtherActions';

const WAYS = ['other', 'otherKeys', 'onlyTheirs', 'onlyMine', 'same'] as const;
type Way = (typeof WAYS)[number];
const WORDS: Readonly<Record<Way, string>> = {
  other: 'Same keys, other action',
  otherKeys: 'Same action, other keys',
  onlyTheirs: 'Keys only there',
  onlyMine: 'Keys only here',
  same: 'Same keys, same action',
};

type Props = {
  readonly compared: readonly Compared[];
  readonly between: readonly PairsBetween[];
  readonly place: Place;
  readonly cell: readonly [knows: number, works: number];
};

/** Two of the keymaps in full: what becomes of a hand that knows one in the other. */
export function HandsOf({ compared, between, place, cell }: Props) {
  const [way, setWay] = useState<Way>('other');
  const knows = compared[cell[0]];
  const works = compared[cell[1]];
  const found = useMemo(() => {
    if (!knows || !works) return null;
    const pairs = pairsFor(between, cell[0], cell[1]);
    const side = (one: Compared) => ({ commands: one.view.program.commands, keymap: one.keymap });
    return {
      ...compareHands(side(works), side(knows), pairs, place),
      other: otherActions(
        buildClashIndex(works.facts, works.keymap, place),
        knows.keymap,
        knows.view.program.commands,
        pairs,
        place,
        knows.usesOf,
      ),
    };
  }, [knows, works, between, cell, place]);
  if (!knows || !works || !found) return null;
  const names = [knows.view.program.name, works.view.program.name] as const;
  return (
    <>
      <Row wraps role="group" aria-label={`A hand that knows ${knows.name} in ${works.name}`}>
        {WAYS.map((one) => (
          <FilterChip key={one} pressed={way === one} onClick={() => setWay(one)}>
            {WORDS[one]} {found[one].length}
          </FilterChip>
        ))}
      </Row>
      {way === 'other' ? (
        <OtherActions list={found.other} names={names} />
      ) : (
        // A long list is scrolled by keyboard as well.
        <section className={`card ${styles.hands}`} aria-label={WORDS[way]} tabIndex={0}>
          {found[way].length === 0 ? (
            <p className="empty">Nothing of this kind.</p>
          ) : (
            <Table>
              <TableHead>
                <TableRow>
                  <TableCell>In {names[0]}</TableCell>
                  <TableCell>In {names[1]}</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {found[way].map((row: HandRow) => (
                  <TableRow key={`${row.theirs?.id} ${row.mine?.id}`}>
                    <Cell command={row.theirs} keymap={knows.keymap} />
                    <Cell command={row.mine} keymap={works.keymap} />
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          )}
        </section>
      )}
    </>
  );
}

/** A command with its keys in one column of a table. */
export function Cell({ command, keymap }: { command: Command | null; keymap: Keymap }) {
  if (!command) return <TableCell className="soft">no such command</TableCell>;
  const bindings = bindingsOf(keymap, command.id);
  return (
    <TableCell>
      <span className={styles.cell}>
        <strong>{command.name}</strong>
        <span className="chords">
          {bindings.length === 0 ? (
            <span className="soft">no key</span>
          ) : (
            bindings.map((one) => <KeyCaps key={one.chord} chord={one.chord} />)
          )}
        </span>
      </span>
    </TableCell>
  );
}
