'use client';

import type { Context } from '@/core/program/program';
import styles from './allows.module.css';

type Props = {
  readonly label?: string;
  readonly contexts: readonly Context[];
  readonly value: string;
  readonly onChange: (context: string) => void;
};

/** Chooses a place where keys are listened for. */
export function PlaceSelect({ label, contexts, value, onChange }: Props) {
  return (
    <select
      className={styles.field}
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {contexts.map((one) => (
        <option key={one.id} value={one.id}>
          {one.name}
        </option>
      ))}
    </select>
  );
}
