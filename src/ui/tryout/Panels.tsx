import { memo } from 'react';
import { meaningsIn } from '@/core/counterpart/meanings';
import type { Command, Program } from '@/core/program/program';
import type { Desk } from '@/core/tryout/desk';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './tryout.module.css';
import type { KeysOf } from './useKeysOf';

type Props = {
  readonly program: Program;
  readonly shown: Desk['shown'];
  readonly values: Desk['values'];
  /** What was called last, the latest first. */
  readonly called: readonly string[];
  readonly keysOf: KeysOf;
};

/** The panels that are shown, each with its keys and with something plausible in it. */
export const Panels = memo(function Panels({ program, shown, values, called, keysOf }: Props) {
  const panels = program.commands.filter((one) => one.kind === 'panel' && shown.has(one.id));
  return (
    <aside className={styles.panels} aria-label="Panels">
      {panels.map((panel) => (
        <section key={panel.id} className={styles.panel} aria-label={panel.name} data-panel={panel.id}>
          <h2>
            {panel.name}
            <span className={styles.panelKeys}>
              {keysOf(panel.id).map((one) => (
                <KeyCaps key={one} chord={one} silent />
              ))}
            </span>
          </h2>
          <Inside panel={panel} values={values} called={called} />
        </section>
      ))}
      {panels.length === 0 && <p className="soft">All panels are put away.</p>}
    </aside>
  );
});

const GRAYS = ['#1d1d1d', '#5f5f5f', '#9d9d9d', '#e8e8e8', '#7f8a55', '#b08aa0'];
const LAYERS = ['Label', 'Mended stem', 'Sheet'];

function Inside({ panel, values, called }: { panel: Command } & Pick<Props, 'values' | 'called'>) {
  const about = new Set(meaningsIn(panel.name));
  if (about.has('layer')) return <Lines lines={LAYERS} />;
  if (about.has('history')) return <Lines lines={called.length === 0 ? ['Opened'] : called.slice(0, 5)} />;
  if (about.has('swatch') || about.has('color') || about.has('color wheel') || about.has('wheel'))
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
