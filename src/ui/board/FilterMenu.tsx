'use client';

import dynamic from 'next/dynamic';
import { memo, useState } from 'react';
import type { Filter, Mark } from '@/core/finder/filters';
import type { Program } from '@/core/program/program';
import { FilterChip } from '../kit/FilterChip';

const FilterLists = dynamic(() => import('./FilterLists').then((one) => one.FilterLists));

export type Filtering = {
  readonly program: Program;
  readonly filter: Filter;
  readonly counts: Readonly<Record<Mark, number>>;
  readonly onChange: (filter: Filter) => void;
};

/** Filters by reach, kind, menu and place, where a chip for each would be too many. */
export const FilterMenu = memo(function FilterMenu(filtering: Filtering) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { kinds, menus, contexts } = filtering.filter;
  const on = kinds.length + menus.length + contexts.length;
  return (
    <>
      <FilterChip aria-haspopup="dialog" pressed={on > 0} onClick={(event) => setAnchor(event.currentTarget)}>
        More filters{on > 0 ? ` · ${on}` : '…'}
      </FilterChip>
      {anchor !== null && <FilterLists {...filtering} anchor={anchor} onClose={() => setAnchor(null)} />}
    </>
  );
});
