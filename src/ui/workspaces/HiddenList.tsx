'use client';

import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import { useMemo, useRef } from 'react';
import { type CommandId, type Program, pathText } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import type { Dressing } from '@/core/workspace/dressing';
import { useFocusKept } from '../parts/useFocusKept';
import { LineName } from './LineName';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly dressing: Dressing;
  readonly onShow: (lines: readonly CommandId[] | 'all', what: string) => void;
};
const MOST_LISTED = 400;

/** What is hidden, always listed, each line brought back by one click, and all of them by one. */
export function HiddenList({ program, dressing, onShow }: Props) {
  const list = useRef<HTMLUListElement>(null);
  useFocusKept(list);
  const lines = useMemo(() => {
    const away = new Set(dressing.hidden);
    return program.commands.filter((one) => away.has(one.id));
  }, [program, dressing]);
  return (
    <Paper component="section" variant="side" aria-label="Hidden lines">
      <h2>
        Hidden <span className="soft">{counted(lines.length, 'line')}</span>
      </h2>
      <Button variant="outlined" disabled={lines.length === 0} onClick={() => onShow('all', 'all hidden lines')}>
        Bring all back
      </Button>
      {lines.length === 0 && (
        <p className="soft">
          Nothing is hidden. Untick a line to hide it; its keys go on working, and it is listed here.
        </p>
      )}
      <ul ref={list} tabIndex={-1}>
        {lines.slice(0, MOST_LISTED).map((one) => (
          <li key={one.id} className={styles.line}>
            <LineName name={one.name} under={pathText(one.path)} />
            <Button variant="inline" onClick={() => onShow([one.id], one.name)}>
              Bring back<span className="hidden"> {one.name}</span>
            </Button>
          </li>
        ))}
        {lines.length > MOST_LISTED && <li className="soft">and {lines.length - MOST_LISTED} more</li>}
      </ul>
    </Paper>
  );
}
