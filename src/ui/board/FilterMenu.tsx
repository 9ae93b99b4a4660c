'use client';

import dynamic from 'next/dynamic';
import { memo, useState } from 'react';
import { FilterChip } from '../kit/FilterChip';
import type { Filtering } from './filtering';

const FilterLists = dynamic(() => import('./FilterLists').then((one) => one.FilterLists));

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
