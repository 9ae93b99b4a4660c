'use client';

import { useState } from 'react';
import { canonicalText } from '@/core/chord/chord';
import { nearestReading } from '@/core/chord/nearestReading';
import { parseChord } from '@/core/chord/parseChord';
import { writeChord } from '@/core/chord/writeChord';
import type { Rules } from '@/core/program/program';
import { KeyCaps } from '../parts/KeyCaps';
import styles from './allows.module.css';

/** The keys the program keeps for itself. */
export function Fixed({ rules, onChange }: { rules: Rules; onChange: (fixed: Rules['fixed']) => void }) {
  const [keys, setKeys] = useState('');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState('');
  return (
    <section className="card" aria-labelledby="fixed">
      <h2 id="fixed">Keys it keeps for itself</h2>
      <ul className={styles.fixed}>
        {rules.fixed.map(({ chord, why: reason }) => (
          <li key={chord}>
            <KeyCaps chord={chord} /> <span className="soft">{reason}</span>
            <button
              type="button"
              className="word"
              onClick={() => onChange(rules.fixed.filter((one) => one.chord !== chord))}
            >
              Remove<span className="hidden"> {chord}</span>
            </button>
          </li>
        ))}
      </ul>
      <form
        className={styles.row}
        onSubmit={(event) => {
          event.preventDefault();
          const read = parseChord(keys);
          if (!read.ok) {
            const near = nearestReading(keys);
            return setProblem(`${read.message}${near ? ` Did you mean ${writeChord(near, 'windows')}?` : ''}`);
          }
          const chord = canonicalText(read.chord);
          if (rules.fixed.some((one) => one.chord === chord)) return setProblem('These keys stand here already.');
          setProblem('');
          setKeys('');
          setWhy('');
          onChange([...rules.fixed, { chord, why: why.trim() || 'the program uses them itself' }]);
        }}
      >
        <input
          className={styles.short}
          aria-label="Keys to fix"
          placeholder="Ctrl+Tab"
          value={keys}
          onChange={(event) => setKeys(event.target.value)}
        />
        <input
          className={styles.field}
          aria-label="What the program does with them"
          placeholder="it goes to the next picture"
          value={why}
          maxLength={200}
          onChange={(event) => setWhy(event.target.value)}
        />
        <button type="submit" className="chip">
          Add
        </button>
      </form>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
