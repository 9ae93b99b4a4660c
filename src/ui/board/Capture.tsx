'use client';

import { type KeyboardEvent, type RefObject, useState } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { nearestReading } from '@/core/chord/nearestReading';
import { parseChord } from '@/core/chord/parseChord';
import type { Judged } from '@/core/clash/judge';
import { chordOfEvent } from '@/core/keyboard/chordOfEvent';
import { KeyCaps } from '../parts/KeyCaps';
import { spoken } from '../parts/spoken';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';

type Props = {
  readonly name: string;
  readonly judged: Judged | null;
  readonly captureRef: RefObject<HTMLInputElement | null>;
  readonly onPropose: (chord: ChordText | null) => void;
  /** Enter: the first choice. */
  readonly onFirst: () => void;
  readonly onLeave: () => void;
};

/** The field that is pressed into, and the one that is typed into for keys that can't be pressed here. */
export function Capture({ name, judged, captureRef, onPropose, onFirst, onLeave }: Props) {
  const { platform, settings, where } = useSettings();
  const [typing, setTyping] = useState(false);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const [near, setNear] = useState<ChordText | null>(null);
  const dialect = settings.notation === 'windows' ? 'windows' : 'mac';
  const press = (event: KeyboardEvent) => {
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey && !event.shiftKey;
    // Tab and Escape leave, so that a keyboard alone is never caught here; Enter takes what is offered first.
    if (event.key === 'Tab' && !event.ctrlKey && !event.altKey && !event.metaKey) return;
    if (event.key === 'Escape' && plain) return onLeave();
    if (event.key === 'Enter' && plain && judged && judged.weight !== 'stops') {
      event.preventDefault();
      return onFirst();
    }
    const chord = chordOfEvent(event.nativeEvent, where.keyboard, platform);
    if (!chord) return;
    event.preventDefault();
    event.stopPropagation();
    onPropose(canonicalText(chord));
  };
  const type = (text: string) => {
    setTyped(text);
    setNear(null);
    if (text.trim() === '') return setProblem('');
    const read = parseChord(text, dialect);
    setProblem(read.ok ? '' : read.message);
    if (!read.ok) {
      const nearest = nearestReading(text, dialect);
      setNear(nearest && canonicalText(nearest));
    }
    onPropose(read.ok ? canonicalText(read.chord) : null);
  };
  return (
    <div className={styles.captureRow}>
      <div className={styles.capture}>
        <input
          ref={captureRef}
          readOnly
          value={judged ? spoken(judged.chord) : ''}
          aria-label={`Press the keys you want for ${name}`}
          aria-describedby={typing ? undefined : 'capture-help'}
          onKeyDown={press}
        />
        <span className={styles.captured} aria-hidden="true">
          {judged ? <KeyCaps chord={judged.chord} big /> : <span className="soft">Press keys…</span>}
        </span>
      </div>
      {judged && !judged.chord.includes(' ') && (
        <button
          type="button"
          className="chip"
          aria-pressed={judged.chord.startsWith('hold:')}
          title="Act only while these keys are held"
          onClick={() => onPropose(judged.chord.startsWith('hold:') ? judged.chord.slice(5) : `hold:${judged.chord}`)}
        >
          Held
        </button>
      )}
      {typing ? (
        <div className={styles.typed}>
          <label>
            <span className="soft">Type them, for example Ctrl+W or hold Space</span>
            <input
              autoFocus
              className={styles.typeField}
              value={typed}
              spellCheck={false}
              aria-invalid={problem !== ''}
              aria-describedby="type-problem"
              onChange={(event) => type(event.target.value)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' && judged) onFirst();
                if (event.key === 'Escape') {
                  setTyping(false);
                  captureRef.current?.focus();
                }
              }}
            />
          </label>
          <span className={styles.problem}>
            <span id="type-problem" role="alert">
              {problem}
            </span>{' '}
            {near !== null && (
              <button
                type="button"
                className={styles.inline}
                onClick={() => {
                  type(spoken(near));
                }}
              >
                Did you mean {spoken(near)}?
              </button>
            )}
          </span>
        </div>
      ) : (
        <p id="capture-help" className={styles.help}>
          Press the keys you want. Enter takes the first choice.
          <br />
          Can't press them?{' '}
          <button type="button" className={styles.inline} onClick={() => setTyping(true)}>
            Type them
          </button>{' '}
          or click the keys below.
        </p>
      )}
    </div>
  );
}
