'use client';

import { FilterChip } from '../kit/FilterChip';
import { Row } from '../kit/Row';
import { type MatchRows, SHOWN, SHOWN_WORDS, type Shown } from './matchRows';

export const EMPTY: Readonly<Record<Exclude<Shown, 'other'>, string>> = {
  carries: 'Nothing comes over: everything that is sure answers to the same keys, or stays as it is.',
  check: 'Nothing is left to check.',
  none: 'Everything with keys there has its counterpart here.',
  same: 'Nothing answers to the same keys yet.',
  stays: 'Nothing stays back.',
};

export function Filters({ at, rows, onShow }: { at: Shown; rows: MatchRows; onShow: (shown: Shown) => void }) {
  return (
    <Row wraps role="group" aria-label="Show">
      {SHOWN.map((one) => (
        <FilterChip key={one} pressed={at === one} onClick={() => onShow(one)}>
          {SHOWN_WORDS[one]} {rows[one].length}
        </FilterChip>
      ))}
    </Row>
  );
}
