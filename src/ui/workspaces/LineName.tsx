import styles from './workspaces.module.css';

/** The name in a line of a list, and what stands below it. */
export function LineName({ name, under }: { name: string; under?: string }) {
  return (
    <span className={styles.lineName}>
      {name}
      {under && <small className="soft">{under}</small>}
    </span>
  );
}
