'use client';

import Popover from '@mui/material/Popover';
import { useMemo } from 'react';
import { type Filter, type Mark, menuOf } from '@/core/finder/filters';
import { KINDS } from '@/core/program/program';
import { Row } from '../kit/Row';
import { Ticks } from '../kit/Ticks';
import { toggled } from '../kit/toggled';
import type { Filtering } from './filtering';

type Lists = Pick<Filter, 'kinds' | 'menus' | 'contexts'>;
const REACH: readonly (readonly [Mark, string])[] = [
  ['hard to reach', 'hard to reach'],
  ['both hands', 'needs both hands'],
];

type Props = Filtering & { readonly anchor: HTMLElement; readonly onClose: () => void };

/** The open lists of further filters. */
export function FilterLists({ program, filter, counts, onChange, anchor, onClose }: Props) {
  const groups = useMemo(() => {
    const menus = [...new Set(program.commands.map(menuOf))].filter((menu) => menu !== '');
    return [
      ['Kind', 'kinds', KINDS.map((kind) => [kind, kind] as const)],
      ['Listened for', 'contexts', program.contexts.map((one) => [one.id, one.name] as const)],
      ['Menu', 'menus', menus.map((menu) => [menu, menu] as const)],
    ] as const;
  }, [program]);
  const toggle = (list: keyof Lists, value: string): void =>
    onChange({ ...filter, [list]: toggled(filter[list] as readonly string[], value) });
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'Filter by kind, menu, place and reach' } }}
    >
      <Row wraps gap={5} align="flex-start" style={{ padding: 'var(--space-4)' }}>
        <Ticks
          label="Reach"
          all={REACH.map(([mark, words]) => [mark, `${words} (${counts[mark]})`])}
          chosen={filter.marks}
          onToggle={(mark) => onChange({ ...filter, marks: toggled(filter.marks, mark) })}
        />
        {groups.map(([title, list, options]) => (
          <Ticks<string>
            key={list}
            label={title}
            all={options}
            chosen={filter[list]}
            onToggle={(value) => toggle(list, value)}
          />
        ))}
      </Row>
    </Popover>
  );
}
