import { counted } from '@/core/text/sentence';
import type { MatchAnswer } from '@/workers/matcher';
import { Row } from '../kit/Row';
import styles from './match.module.css';
import { percent } from './percent';

/** How much of the hand carries over now and afterwards, counted and by use. */
export function MatchHead({ answer, there, unsure }: { answer: MatchAnswer; there: string; unsure: number }) {
  const { before, after } = answer;
  const now = Math.round(100 * (before.part ?? 0));
  const then = Math.round(100 * (after.part ?? 0));
  if (after.part === null)
    return (
      <Row component="section" wraps gap={4} align="flex-end" aria-label="How much carries over">
        <p className={styles.counted}>
          Nothing that has keys in {there} surely does the same as a command here, so that there is nothing to count
          yet.
          {unsure > 0 && ` ${unsure} count once you have checked them.`}
        </p>
      </Row>
    );
  return (
    <Row component="section" wraps gap={4} align="flex-end" aria-label="How much carries over">
      <div>
        <h2 className={styles.label}>Your hand carries over</h2>
        <p className={styles.big} data-before={before.same} data-after={after.same} data-all={after.all}>
          {percent(before.part)} <span aria-hidden="true">→</span>
          <span className="hidden">and then</span> {percent(after.part)}
        </p>
      </div>
      <div className={styles.bar} aria-hidden="true">
        <span className={styles.barNow} style={{ width: `${Math.min(now, then)}%` }} />
        <span className={styles.barThen} style={{ width: `${Math.max(0, then - now)}%` }} />
      </div>
      <p className={styles.counted}>
        {after.same} of {counted(after.all, 'thing')} you do in both will answer to the keys of {there}.
        <br />
        <span className="soft">
          By how often you use them: {percent(before.weighted)} <span aria-hidden="true">→</span>
          <span className="hidden">and then</span> {percent(after.weighted)}.
          {unsure > 0 && ` ${unsure} more count once you have checked them.`}
        </span>
      </p>
    </Row>
  );
}
