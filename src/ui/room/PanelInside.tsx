'use client';

import { meaningsIn } from '@/core/counterpart/meanings';
import type { Command } from '@/core/program/program';
import styles from './room.module.css';

type Props = {
  readonly panel: Command;
  /** Values that were set, by what they are of. */
  readonly values?: ReadonlyMap<string, number>;
  /** What was called last, the latest first. */
  readonly called?: readonly string[];
};

const GRAYS = ['#1d1d1d', '#5f5f5f', '#9d9d9d', '#e8e8e8', '#7f8a55', '#b08aa0'];
const LAYERS = ['Label', 'Mended stem', 'Sheet'];
const NO_VALUES: ReadonlyMap<string, number> = new Map();

/** Something plausible in a panel, by what its name says. */
export function PanelInside({ panel, values = NO_VALUES, called = [] }: Props) {
  const about = new Set(meaningsIn(panel.name));
  if (about.has('layer')) return <Lines lines={LAYERS} />;
  if (about.has('history')) return <Lines lines={called.length === 0 ? ['Opened'] : called.slice(0, 5)} />;
  if (about.has('swatch') || about.has('color') || about.has('color wheel') || about.has('mixer'))
    return (
      <span className={styles.chips} aria-hidden="true">
        {GRAYS.map((one) => (
          <span key={one} style={{ background: one }} />
        ))}
      </span>
    );
  if (about.has('histogram'))
    return (
      <svg viewBox="0 0 100 30" className={styles.hill} aria-hidden="true">
        <path d="M0,30C12,28 20,4 34,9S52,26 64,17S86,2 100,26V30Z" fill="currentColor" />
      </svg>
    );
  if (about.has('brush') || about.has('brushlib'))
    return (
      <span className={styles.chips} aria-hidden="true">
        {[4, 7, 10, 14, 18].map((one) => (
          <svg key={one} width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
            <circle cx="10" cy="10" r={one / 2} fill="currentColor" />
          </svg>
        ))}
      </span>
    );
  if (about.has('info')) return <Lines lines={['x 212 mm  y 148 mm', 'Gray 62 %']} />;
  if (values.size > 0) return <Lines lines={[...values].slice(-3).map(([what, value]) => `${what}: ${value}`)} />;
  return <p className="soft">Nothing chosen yet.</p>;
}

function Lines({ lines }: { lines: readonly string[] }) {
  return (
    <ul>
      {lines.map((one, i) => (
        <li key={`${i} ${one}`}>{one}</li>
      ))}
    </ul>
  );
}
