'use client';

import styles from './allows.module.css';

/** A check box with its words. */
export function Check({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className={styles.check}>
      <input type="checkbox" checked={on} onChange={() => onChange(!on)} /> {label}
    </label>
  );
}
