import type { Jars } from '@/core/tryout/jars';
import styles from './tryout.module.css';

/** The jars of color beside the picture: the one in hand is lifted off the shelf. */
export function JarShelf({ jars }: { jars: Jars }) {
  return (
    <span className={styles.jars} role="img" aria-label={`Color in hand: ${jars.colors[jars.at]}`}>
      {jars.colors.map((one, i) => (
        <span key={i} style={{ background: one }} data-in-hand={i === jars.at || undefined} />
      ))}
    </span>
  );
}
