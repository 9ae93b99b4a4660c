import type { Difference } from '@/core/workspace/compareWorkspaces';
import { PART_WORDS } from '@/core/workspace/room';
import styles from './workspaces.module.css';

/** What differs between two workspaces, part by part. */
export function Differences({ differences }: { differences: readonly Difference[] }) {
  return (
    <ul className={styles.differences}>
      {differences.map(({ part, words }) => (
        <li key={part}>
          <strong>{PART_WORDS[part]}</strong>: {words.join('; ')}
        </li>
      ))}
    </ul>
  );
}
