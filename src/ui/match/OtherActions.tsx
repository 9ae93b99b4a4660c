import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { HARMS, type Harm } from '@/core/comparison/harmOf';
import type { OtherAction } from '@/core/comparison/otherActions';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './match.module.css';

const WORDS: Readonly<Record<Harm, string>> = {
  'loses work': 'loses work',
  'changes the picture': 'changes the picture',
  'changes a tool': 'changes a tool or a value',
  'changes the view': 'changes only what you see',
};

/** The same keys with other actions, the most harmful first. */
export function OtherActions({
  list,
  before,
  names,
}: {
  list: readonly OtherAction[];
  /** How many there are before anything is changed; left out where nothing is. */
  before?: number;
  names: readonly [there: string, here: string];
}) {
  return (
    // A long list is scrolled by keyboard as well.
    <section className={`card ${styles.dangers}`} aria-label="Same keys, other action" tabIndex={0}>
      <p>
        {list.length === 0
          ? 'No keys do one thing there and another here.'
          : `These keys do one thing in ${names[0]} and another in ${names[1]}, the worst first.`}{' '}
        {before !== undefined && (
          <span className="soft">
            {before} now, {list.length} afterwards.
          </span>
        )}
      </p>
      <Table>
        {list.length > 0 && (
          <TableHead>
            <TableRow>
              <TableCell>Keys</TableCell>
              <TableCell>Your hand means</TableCell>
              <TableCell>{names[1]} does</TableCell>
              <TableCell>By mistake it</TableCell>
            </TableRow>
          </TableHead>
        )}
        <TableBody>
          {list.map((one) => (
            <TableRow key={`${one.chord} ${one.theirs.id} ${one.mine.id}`} data-harm={one.harm}>
              <TableCell>
                <KeyCaps chord={one.chord} />
              </TableCell>
              <TableCell>{one.theirs.name}</TableCell>
              <TableCell component="th" scope="row">
                {one.mine.name}
              </TableCell>
              <TableCell>
                <span className={styles.harm} data-level={HARMS.indexOf(one.harm)}>
                  {WORDS[one.harm]}
                </span>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </section>
  );
}
