'use client';

import { type CSSProperties, memo } from 'react';
import type { ChordText, Modifier } from '@/core/chord/chord';
import { parseCanonical } from '@/core/chord/parseChord';
import { writeChord } from '@/core/chord/writeChord';
import { type KeyFace, keyFaceLabel } from '@/core/layer/layer';
import { Pin, type PinState } from '../parts/Pin';
import styles from './board.module.css';

type KeyProps = {
  readonly face: KeyFace;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly pin: PinState | null;
  /** Whether it is free, when that is asked. */
  readonly free: boolean | null;
  /** How hard it is to reach, from 0 to 1, when that is asked. */
  readonly reach: number | null;
  readonly on: boolean;
  readonly ring: 'good' | 'wrong' | null;
  readonly tabbable: boolean;
  readonly notation: 'windows' | 'mac' | 'symbols';
  readonly onFocus: (code: string) => void;
  readonly onToggle: (modifier: Modifier) => void;
  readonly onPick: (chord: ChordText) => void;
  readonly onCard: (code: string) => void;
};

export const KeyButton = memo(function KeyButton(props: KeyProps) {
  const { face, pin, free, reach, on, notation, onFocus, onToggle, onPick, onCard } = props;
  const { key, chord, holders, held, fixed } = face;
  const modifier = chord === null ? (key.name as Modifier) : null;
  const label = keyFaceLabel(key, notation);
  const names = [...holders.map((h) => h.command.name), ...held.map((h) => `(hold) ${h.command.name}`)];
  const parsed = chord === null ? null : parseCanonical(chord);
  const spoken = modifier
    ? `${label}, layer ${on ? 'on' : 'off'}`
    : `${parsed ? writeChord(parsed, notation) : label}: ${fixed !== null ? 'fixed by the program' : names.length > 0 ? names.join(', ') : face.desktop !== null ? `the desktop ${face.desktop}` : 'free'}`;
  const shifted = key.levels[1]?.char;
  return (
    <button
      type="button"
      data-code={key.code}
      data-pin={pin ?? undefined}
      data-on={on || undefined}
      data-ring={props.ring ?? undefined}
      data-free={free ?? undefined}
      data-wide={key.levels.length === 0 || undefined}
      data-tall={key.height > 1 || undefined}
      className={styles.key}
      style={{ left: `${props.left}%`, top: `${props.top}%`, width: `${props.width}%`, height: `${props.height}%` }}
      tabIndex={props.tabbable ? 0 : -1}
      aria-label={reach === null ? spoken : `${spoken}, reach ${reach.toFixed(2)}`}
      data-tip={names.length > 0 ? names.join(', ') : undefined}
      aria-pressed={modifier ? on : undefined}
      onFocus={() => onFocus(key.code)}
      onContextMenu={(event) => {
        if (modifier) return;
        event.preventDefault();
        onCard(key.code);
      }}
      onClick={() => (modifier ? onToggle(modifier) : chord && onPick(chord))}
    >
      <span
        className={styles.face}
        data-reach={reach !== null || undefined}
        style={reach === null ? undefined : ({ '--far': `${Math.round(reach * 100)}%` } as CSSProperties)}
      >
        <span className={styles.legendText}>
          {label}
          {shifted !== undefined && shifted !== key.name && <span className={styles.shifted}>{shifted}</span>}
        </span>
        {pin && <Pin state={pin} size={11} />}
        {reach !== null && <span className={styles.figure}>{reach.toFixed(2)}</span>}
        {reach === null && names.length > 0 && (
          <span className={styles.holder}>
            {shortName(names[0] ?? '')}
            {names.length > 1 && ` +${names.length - 1}`}
          </span>
        )}
      </span>
    </button>
  );
});

/** Long words get a place to break where a small key needs one. */
function shortName(name: string): string {
  return name.replace(/\p{L}{9,}/gu, (word) => `${word.slice(0, 6)}\u00AD${word.slice(6)}`);
}
