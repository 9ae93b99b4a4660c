'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { type ReactNode, useMemo, useState } from 'react';
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { type FingerLoad, gainsOf } from '@/core/effort/gains';
import type { Uses } from '@/core/effort/uses';
import type { Draft } from '@/core/keymap/draft';
import { applyTicket, type Ticket } from '@/core/keymap/ticket';
import type { Program } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { Pick } from '../kit/Pick';
import { Row } from '../kit/Row';
import styles from './wishes.module.css';

type Props = {
  readonly program: Program;
  readonly draft: Draft;
  /** What the plan would do, if there is one. */
  readonly ticket: Ticket | null;
  readonly told: Uses;
  readonly reach: ReachOf;
};
const AGAINST = ['now', 'kept', 'factory'] as const;
type Against = (typeof AGAINST)[number];
const WORDS: Readonly<Record<Against, string>> = {
  now: 'keys as they are now',
  kept: 'what was kept',
  factory: 'the factory keys',
};
const TEN = 10;
const LETTERS: Readonly<Record<FingerLoad['finger'], string>> = {
  little: 'little',
  ring: 'ring',
  middle: 'middle',
  index: 'index',
  thumb: 'thumb',
};

/** What the keys bring, by the Keystroke-Level Model: minutes a day, where they lie, which fingers press them. */
export function Gains({ program, draft, ticket, told, reach }: Props) {
  const [chosen, setChosen] = useState<Against | null>(null);
  // Against the keys as they are there is something to see only while a plan is made.
  const against = chosen ?? (ticket ? 'now' : 'factory');
  const before = against === 'now' ? draft.keymap : against === 'kept' ? draft.kept : draft.factory;
  const after = useMemo(() => (ticket ? applyTicket(draft.keymap, ticket) : draft.keymap), [draft.keymap, ticket]);
  const gains = useMemo(() => gainsOf(program, before, after, told, reach), [program, before, after, told, reach]);
  const { minutesBefore, minutesAfter } = gains;
  const saved = minutesBefore - minutesAfter;
  const best = gains.commands.filter((one) => one.before > one.after).slice(0, TEN);
  const lost = gains.commands.filter((one) => one.before < one.after);
  const afterWords = ticket ? 'with the plan' : 'now';
  const reachRows = [
    ...gains.reachAfter.steps.map((n, i) => ({
      name: `0.${i}`,
      before: Math.round(gains.reachBefore.steps[i] ?? 0),
      after: Math.round(n),
    })),
    { name: 'menu', before: Math.round(gains.reachBefore.menus), after: Math.round(gains.reachAfter.menus) },
  ];
  // In the order in which they lie over the keys.
  const order = (all: readonly FingerLoad[]) => [
    ...all.filter((one) => one.hand === 'left').reverse(),
    ...all.filter((one) => one.hand === 'right'),
  ];
  const fingersBefore = order(gains.fingersBefore);
  const fingerRows = order(gains.fingersAfter).map((one, i) => ({
    name: `${one.hand === 'left' ? 'L' : 'R'} ${LETTERS[one.finger]}`,
    before: Math.round(fingersBefore[i]?.presses ?? 0),
    after: Math.round(one.presses),
  }));
  const bestRows = best.map((one) => ({ name: one.command.name, saved: round((one.before - one.after) / 60) }));
  return (
    <Stack component="section" className="card" spacing={3} sx={{ p: 4 }} aria-label="What it brings">
      <Row gap={3} wraps>
        <p role="status">
          <strong>
            {minutesBefore.toFixed(1)} → {minutesAfter.toFixed(1)} minutes a day
          </strong>{' '}
          {Math.abs(saved) < 0.05
            ? 'No difference.'
            : saved > 0
              ? `${saved.toFixed(1)} less ${afterWords}.`
              : `${(-saved).toFixed(1)} more ${afterWords}.`}
        </p>
        <span className="push" />
        <Row>
          <span aria-hidden="true">against</span>
          <Pick
            label="against"
            hidden
            value={against}
            options={AGAINST.map((one) => [one, WORDS[one]])}
            onChange={setChosen}
          />
        </Row>
      </Row>
      <p className="soft">
        An estimate by the Keystroke-Level Model (Card, Moran and Newell 1980): 0.28 s a key, 1.1 s to point, 0.4 s to
        move a hand, 1.35 s to get ready; uses a day as told, else guessed by kind.
      </p>
      <div className={styles.charts}>
        <Chart
          title="The ten that bring most, minutes a day"
          rows={bestRows}
          columns={[['saved', 'less']]}
          empty="No command is quicker."
        >
          <BarChart
            accessibilityLayer={false}
            data={bestRows}
            layout="vertical"
            margin={{ left: 0, right: 16, top: 4, bottom: 0 }}
          >
            <CartesianGrid horizontal={false} stroke="var(--line-soft)" />
            <XAxis type="number" stroke="var(--soft)" fontSize={11} />
            <YAxis type="category" dataKey="name" width={120} interval={0} stroke="var(--soft)" fontSize={11} />
            <Tooltip {...TOOLTIP} />
            <Bar dataKey="saved" name="less" fill="var(--yours)" isAnimationActive={false} />
          </BarChart>
        </Chart>
        <Chart
          title="Uses a day by reach, 0 under the fingers"
          rows={reachRows}
          columns={[
            ['before', 'before'],
            ['after', 'after'],
          ]}
        >
          <BarChart accessibilityLayer={false} data={reachRows} margin={{ left: -18, right: 4, top: 4, bottom: 0 }}>
            <CartesianGrid vertical={false} stroke="var(--line-soft)" />
            <XAxis dataKey="name" interval={0} stroke="var(--soft)" fontSize={11} />
            <YAxis stroke="var(--soft)" fontSize={11} />
            <Tooltip {...TOOLTIP} />
            {Pair}
          </BarChart>
        </Chart>
        <Chart
          wide
          title="Presses a day by finger"
          rows={fingerRows}
          columns={[
            ['before', 'before'],
            ['after', 'after'],
          ]}
        >
          <BarChart accessibilityLayer={false} data={fingerRows} margin={{ left: -18, right: 4, top: 4, bottom: 0 }}>
            <CartesianGrid vertical={false} stroke="var(--line-soft)" />
            <XAxis dataKey="name" interval={0} stroke="var(--soft)" fontSize={10} />
            <YAxis stroke="var(--soft)" fontSize={11} />
            <Tooltip {...TOOLTIP} />
            {Pair}
          </BarChart>
        </Chart>
        {lost.length > 0 && (
          <div>
            <h2>Slower than before</h2>
            <ul>
              {lost.slice(-TEN).map((one) => (
                <li key={one.command.id}>
                  {one.command.name}{' '}
                  <span className="soft">{round((one.after - one.before) / 60)} minutes a day more</span>
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </Stack>
  );
}

const round = (value: number): number => Math.round(value * 100) / 100;
const TOOLTIP = {
  cursor: { fill: 'var(--card-2)' },
  contentStyle: { background: 'var(--field)', border: '1px solid var(--line)', color: 'var(--text)', fontSize: 12 },
  itemStyle: { color: 'var(--text)' },
} as const;
/** Before is gray as the factory's pins are, after in the ink of what is yours; the one is hollow, so that no color is needed. */
const Pair = [
  <Bar
    key="before"
    dataKey="before"
    name="before"
    fill="var(--field)"
    stroke="var(--pin-gray)"
    strokeWidth={1.5}
    isAnimationActive={false}
  />,
  <Bar key="after" dataKey="after" name="after" fill="var(--yours)" isAnimationActive={false} />,
];

type ChartProps = {
  readonly title: string;
  readonly rows: readonly Readonly<Record<string, string | number>>[];
  readonly columns: readonly (readonly [key: string, words: string])[];
  readonly empty?: string;
  readonly wide?: boolean;
  readonly children: ReactNode;
};
/** A chart, and its figures as a table for those who would rather read. */
function Chart({ title, rows, columns, empty, wide = false, children }: ChartProps) {
  const [table, setTable] = useState(false);
  return (
    <figure className={styles.chart} data-wide={wide || undefined}>
      <figcaption>
        <h2>{title}</h2>
        {columns.length > 1 && !table && (
          <span className={styles.inks} aria-hidden="true">
            <span /> before <span data-after /> after
          </span>
        )}
        {rows.length > 0 && (
          <Button variant="inline" aria-pressed={table} onClick={() => setTable(!table)}>
            as a table<span className="hidden">: {title}</span>
          </Button>
        )}
      </figcaption>
      {rows.length === 0 ? (
        <p className="soft">{empty}</p>
      ) : table ? (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>
                <span className="hidden">{title}</span>
              </TableCell>
              {columns.map(([key, words]) => (
                <TableCell key={key} align="right">
                  {words}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map((row) => (
              <TableRow key={row.name}>
                <TableCell component="th" scope="row">
                  {row.name}
                </TableCell>
                {columns.map(([key]) => (
                  <TableCell key={key} align="right">
                    {row[key]}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      ) : (
        <div className={styles.plot} aria-hidden="true">
          <ResponsiveContainer width="100%" height="100%">
            {children as never}
          </ResponsiveContainer>
        </div>
      )}
    </figure>
  );
}
