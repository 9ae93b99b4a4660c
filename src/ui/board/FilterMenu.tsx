'use client';

import Popover from '@mui/material/Popover';
import { memo, useMemo, useState } from 'react';
import { type Filter, type Mark, menuOf } from '@/core/finder/filters';
import { KINDS, type Program } from '@/core/program/program';
import styles from './board.module.css';

type Lists = Pick<Filter, 'kinds' | 'menus' | 'contexts'>;
type Props = {
  readonly program: Program;
  readonly filter: Filter;
  readonly counts: Readonly<Record<Mark, number>>;
  readonly onChange: (filter: Filter) => void;
};
const REACH: readonly (readonly [Mark, string])[] = [
  ['hard to reach', 'hard to reach'],
  ['both hands', 'needs both hands'],
];

/** Filters by reach, kind, menu and place, where a chip for each would be too many. */
export const FilterMenu = memo(function FilterMenu({ program, filter, counts, onChange }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const groups = useMemo(() => {
    const menus = [...new Set(program.commands.map(menuOf))].filter((menu) => menu !== '');
    return [
      ['Kind', 'kinds', KINDS.map((kind) => [kind, kind] as const)],
      ['Listened for', 'contexts', program.contexts.map((one) => [one.id, one.name] as const)],
      ['Menu', 'menus', menus.map((menu) => [menu, menu] as const)],
    ] as const;
  }, [program]);
  const on = filter.kinds.length + filter.menus.length + filter.contexts.length;
  const toggle = (list: keyof Lists, value: string): void => {
    const now = filter[list] as readonly string[];
    onChange({ ...filter, [list]: now.includes(value) ? now.filter((one) => one !== value) : [...now, value] });
  };
  return (
    <>
      <button
        type="button"
        className="chip"
        aria-haspopup="dialog"
        aria-pressed={on > 0}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        More filters{on > 0 ? ` · ${on}` : '…'}
      </button>
      {anchor !== null && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(null)}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
          slotProps={{ paper: { role: 'dialog', 'aria-label': 'Filter by kind, menu, place and reach' } }}
        >
          <div className={styles.filterLists}>
            <fieldset>
              <legend>Reach</legend>
              {REACH.map(([mark, words]) => (
                <label key={mark}>
                  <input
                    type="checkbox"
                    checked={filter.marks.includes(mark)}
                    onChange={() =>
                      onChange({
                        ...filter,
                        marks: filter.marks.includes(mark)
                          ? filter.marks.filter((one) => one !== mark)
                          : [...filter.marks, mark],
                      })
                    }
                  />
                  {words} ({counts[mark]})
                </label>
              ))}
            </fieldset>
            {groups.map(([title, list, options]) => (
              <fieldset key={list}>
                <legend>{title}</legend>
                {options.map(([value, words]) => (
                  <label key={value}>
                    <input
                      type="checkbox"
                      checked={(filter[list] as readonly string[]).includes(value)}
                      onChange={() => toggle(list, value)}
                    />
                    {words}
                  </label>
                ))}
              </fieldset>
            ))}
          </div>
        </Popover>
      )}
    </>
  );
});
