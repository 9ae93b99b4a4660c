import type { Reach } from '@/core/reach/reachOf';
import styles from './reachBar.module.css';

/** Reach as a gray bar and a figure; the longer, the harder. */
export function ReachBar({ reach }: { reach: Reach | undefined }) {
  if (!reach) return <span className={styles.none}>by menu</span>;
  return (
    <span className={styles.reach}>
      <span className={styles.bar} aria-hidden="true">
        <span style={{ width: `${Math.round(reach.figure * 100)}%` }} />
      </span>
      <span className="hidden">reach </span>
      {reach.figure.toFixed(2)}
    </span>
  );
}
