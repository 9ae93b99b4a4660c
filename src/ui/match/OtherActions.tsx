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
      <p className={styles.dangersHead}>
        {list.length === 0
          ? 'No keys do one thing there and another here.'
          : `These keys do one thing in ${names[0]} and another in ${names[1]}, the worst first.`}{' '}
        {before !== undefined && (
          <span className="soft">
            {before} now, {list.length} afterwards.
          </span>
        )}
      </p>
      <table>
        {list.length > 0 && (
          <thead>
            <tr>
              <th scope="col">Keys</th>
              <th scope="col">Your hand means</th>
              <th scope="col">{names[1]} does</th>
              <th scope="col">By mistake it</th>
            </tr>
          </thead>
        )}
        <tbody>
          {list.map((one) => (
            <tr key={`${one.chord} ${one.theirs.id} ${one.mine.id}`} data-harm={one.harm}>
              <td>
                <KeyCaps chord={one.chord} />
              </td>
              <td>{one.theirs.name}</td>
              <th scope="row">{one.mine.name}</th>
              <td>
                <span className={styles.harm} data-level={HARMS.indexOf(one.harm)}>
                  {WORDS[one.harm]}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
