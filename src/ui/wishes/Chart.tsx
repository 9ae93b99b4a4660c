import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { ReactNode } from 'react';
import { useState } from 'react';
import { Bar, ResponsiveContainer } from 'recharts';
import styles from './wishes.module.css';

export const TOOLTIP = {
  cursor: { fill: 'var(--card-2)' },
  contentStyle: { background: 'var(--field)', border: '1px solid var(--line)', color: 'var(--text)', fontSize: 12 },
  itemStyle: { color: 'var(--text)' },
} as const;

/** Before is gray as the factory's pins are, after in the ink of what is yours; the one is hollow, so that no color is needed. */
export const Pair = [
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
export function Chart({ title, rows, columns, empty, wide = false, children }: ChartProps) {
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
