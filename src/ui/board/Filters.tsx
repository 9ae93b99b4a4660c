'use client';

import { memo } from 'react';
import { countOn, MARKS, type Mark, NO_FILTER } from '@/core/finder/filters';
import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { toggled } from '../kit/toggled';
import { FilterMenu } from './FilterMenu';
import type { Filtering } from './filtering';

const LABELS: Readonly<Record<Mark, string>> = {
  'no key': 'No key',
  yours: 'Yours',
  keeper: 'Keeper',
  spare: 'Spare',
  clashing: 'Clashing',
  'takes turns': 'Takes turns',
  hold: 'Hold',
  'hard to reach': 'Hard to reach',
  'both hands': 'Both hands',
};
/** These are always offered; the others where there is one. */
const ALWAYS: readonly Mark[] = ['no key', 'yours'];
/** These stand in the menu of further filters, unless they are on. */
const BY_REACH: readonly Mark[] = ['hard to reach', 'both hands'];

/** The filters that are one press away, each with how many it leaves; drawn anew only when these change. */
export const Filters = memo(function Filters({ program, filter, counts, onChange }: Filtering) {
  const toggle = (mark: Mark): void => onChange({ ...filter, marks: toggled(filter.marks, mark) });
  return (
    <Row wraps gap={1} role="group" aria-label="Show">
      <FilterChip pressed={countOn(filter) === 0} onClick={() => onChange(NO_FILTER)}>
        All {program.commands.length}
      </FilterChip>
      {MARKS.filter(
        (mark) =>
          ALWAYS.includes(mark) || filter.marks.includes(mark) || (counts[mark] > 0 && !BY_REACH.includes(mark)),
      ).map((mark) => (
        <FilterChip key={mark} pressed={filter.marks.includes(mark)} onClick={() => toggle(mark)}>
          {LABELS[mark]} {counts[mark]}
        </FilterChip>
      ))}
      <FilterMenu program={program} filter={filter} counts={counts} onChange={onChange} />
    </Row>
  );
});
