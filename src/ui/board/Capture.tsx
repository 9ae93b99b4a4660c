'use client';

import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import { type KeyboardEvent, type ReactNode, type RefObject, useState } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import type { Judged } from '@/core/clash/judge';
import { chordOfEvent } from '@/core/keyboard/chordOfEvent';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import { spoken } from '../parts/spoken';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';
import { TypeKeys } from './TypeKeys';

type Props = {
  readonly name: string;
  readonly judged: Judged | null;
  /** Whether every press is taken as held. */
  readonly onlyHeld: boolean;
  /** What stands beside it instead of how to go on. */
  readonly beside: ReactNode;
  readonly captureRef: RefObject<HTMLInputElement | null>;
  readonly onPropose: (chord: ChordText | null) => void;
  /** Enter: the first choice. */
  readonly onFirst: () => void;
  readonly onLeave: () => void;
};

/** The field that is pressed into, and the one that is typed into for keys that can't be pressed here. */
export function Capture({ name, judged, onlyHeld, beside, captureRef, onPropose, onFirst, onLeave }: Props) {
  const { platform, where } = useSettings();
  const [typing, setTyping] = useState(false);
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
  return (
    <Row wraps gap={3}>
      <div className={styles.capture}>
        <input
          ref={captureRef}
          readOnly
          value={judged ? spoken(judged.chord) : ''}
          aria-label={`Press the keys you want for ${name}`}
          aria-describedby={typing || beside ? undefined : 'capture-help'}
          onKeyDown={press}
        />
        <span className={styles.captured} aria-hidden="true">
          {judged ? <KeyCaps chord={judged.chord} big /> : <span className="soft">Press keys…</span>}
        </span>
      </div>
      {onlyHeld && <span className="soft small">Acts while these keys are held.</span>}
      {judged && !onlyHeld && !judged.chord.includes(' ') && (
        <ToggleButton
          value="held"
          selected={judged.chord.startsWith('hold:')}
          data-tip="Act only while these keys are held"
          onChange={() => onPropose(judged.chord.startsWith('hold:') ? judged.chord.slice(5) : `hold:${judged.chord}`)}
        >
          Held
        </ToggleButton>
      )}
      {typing ? (
        <div className={styles.help}>
          <TypeKeys
            onPropose={onPropose}
            onFirst={onFirst}
            onBack={() => {
              setTyping(false);
              captureRef.current?.focus();
            }}
          />
        </div>
      ) : beside ? (
        <div className={styles.help}>
          {beside}
          <Button variant="inline" onClick={() => setTyping(true)}>
            Type them
          </Button>
        </div>
      ) : (
        <p id="capture-help" className={`soft small ${styles.help}`}>
          Press the keys you want. Enter takes the first choice.
          <br />
          Can't press them?{' '}
          <Button variant="inline" onClick={() => setTyping(true)}>
            Type them
          </Button>{' '}
          or click the keys below.
        </p>
      )}
    </Row>
  );
}
