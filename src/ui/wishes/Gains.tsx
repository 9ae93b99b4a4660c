'use client';

import Stack from '@mui/material/Stack';
import { useMemo, useState } from 'react';
import { Bar, BarChart, CartesianGrid, Tooltip, XAxis, YAxis } from 'recharts';
import { gainsOf } from '@/core/effort/gains';
import type { Uses } from '@/core/effort/uses';
import type { Draft } from '@/core/keymap/draft';
import { applyTicket, type Ticket } from '@/core/keymap/ticket';
import type { Program } from '@/core/program/program';
import type { ReachOf } from '@/core/reach/reachOf';
import { Pick } from '../kit/Pick';
import { Row } from '../kit/Row';
import { Chart, TOOLTIP } from './Chart';
import { FingerChart, ReachChart } from './gainCharts';
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
        <ReachChart gains={gains} />
        <FingerChart gains={gains} />
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
