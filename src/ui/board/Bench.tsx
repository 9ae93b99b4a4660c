'use client';

import Button from '@mui/material/Button';
import { type KeyboardEvent, type RefObject, useState } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { parseCanonical, parseChord } from '@/core/chord/parseChord';
import { writeChord } from '@/core/chord/writeChord';
import type { Choice } from '@/core/clash/choices';
import { chordOfEvent } from '@/core/keyboard/chordOfEvent';
import { usKeyboard } from '@/core/keyboard/usKeyboard';
import type { Binding } from '@/core/keymap/keymap';
import { type Command, pathText } from '@/core/program/program';
import type { Sentence } from '@/core/text/sentence';
import { KeyCaps } from '../parts/KeyCaps';
import { SentenceView } from '../parts/SentenceView';
import { useSettings } from '../shell/SettingsContext';
import styles from './board.module.css';
import { Mark, type MarkState } from './Mark';

export type Judged = {
  readonly chord: ChordText;
  readonly mark: MarkState;
  readonly sentence: Sentence;
  readonly choices: readonly Choice[];
  readonly holder: Command | null;
};

type Props = {
  readonly command: Command | null;
  readonly contextName: string;
  readonly bindings: readonly Binding[];
  readonly factory: readonly Binding[];
  readonly isFixed: (chord: ChordText) => boolean;
  readonly judged: Judged | null;
  readonly keepOwn: boolean;
  /** Said when the bench has moved here because this command lost its keys. */
  readonly loss: { readonly to: string; readonly back: string } | null;
  readonly captureRef: RefObject<HTMLInputElement | null>;
  readonly onPropose: (chord: ChordText | null) => void;
  readonly onKeepOwn: (keep: boolean) => void;
  readonly onChoose: (choice: Choice) => void;
  readonly onRemove: (chord: ChordText) => void;
  readonly onGoTo: (command: Command) => void;
  readonly onSkip: () => void;
  readonly onLeave: () => void;
};

/** One command: where it lives, its keys, new ones pressed or typed, what they mean, and the ways to go on. */
export function Bench(props: Props) {
  const { command, bindings, judged } = props;
  if (!command) {
    return (
      <section className={`card ${styles.bench}`} aria-label="Bench">
        <div className="empty">Choose a command in the list, then press the keys you want for it.</div>
      </section>
    );
  }
  const movedAway =
    props.factory.length > 0 && !props.factory.every((one) => bindings.some((b) => b.chord === one.chord));
  return (
    <section className={`card ${styles.bench}`} aria-label="Bench">
      <div className={styles.about}>
        <h2>{command.name}</h2>
        <p className="soft">{pathText(command.path) || 'In no menu'}</p>
        <p className={styles.now}>{bindings.length > 0 ? 'Now on' : 'Has no key now.'}</p>
        <ul className={styles.own}>
          {bindings.map(({ chord }) => (
            <li key={chord}>
              <KeyCaps chord={chord} />
              {props.isFixed(chord) ? (
                <span className="soft">fixed</span>
              ) : (
                <button
                  type="button"
                  className={styles.remove}
                  aria-label={`Remove ${spoken(chord)}`}
                  title="Remove these keys"
                  onClick={() => props.onRemove(chord)}
                >
                  ×
                </button>
              )}
            </li>
          ))}
        </ul>
        <p className="soft">
          {kindSentence(command, props.contextName)}
          {movedAway && (
            <>
              {' '}
              Factory:{' '}
              {props.factory.map(({ chord }) => (
                <KeyCaps key={chord} chord={chord} />
              ))}
            </>
          )}
        </p>
      </div>
      <div className={styles.work}>
        {props.loss && (
          <p className={styles.loss}>
            {props.loss.to} took the keys of <strong>{command.name}</strong>. Press another for it, or{' '}
            <button type="button" className="word" onClick={props.onSkip}>
              leave it and go back to {props.loss.back}
            </button>
          </p>
        )}
        <Capture {...props} command={command} />
        <div className={styles.verdict} aria-live="polite" data-verdict={judged?.mark ?? 'none'}>
          {judged && (
            <>
              <Mark state={judged.mark} />
              <p>
                <SentenceView sentence={judged.sentence} />
              </p>
            </>
          )}
        </div>
        {judged && (
          <div className={styles.choices}>
            {judged.choices.map((choice, i) => (
              <Button
                key={choice.label}
                variant={i === 0 ? 'contained' : 'outlined'}
                onClick={() => props.onChoose(choice)}
              >
                {choice.label}
              </Button>
            ))}
            <Button variant="text" onClick={props.onLeave}>
              {judged.choices.length > 0 ? 'Leave it' : 'Try other keys'}
            </Button>
            {judged.holder && (
              <Button variant="text" onClick={() => judged.holder && props.onGoTo(judged.holder)}>
                Go to {judged.holder.name}
              </Button>
            )}
          </div>
        )}
        {judged && judged.choices.length > 0 && bindings.length > 0 && (
          <label className={styles.also}>
            <input
              type="checkbox"
              checked={props.keepOwn}
              onChange={(event) => props.onKeepOwn(event.target.checked)}
            />
            Keep{' '}
            {bindings.map(({ chord }) => (
              <KeyCaps key={chord} chord={chord} />
            ))}{' '}
            as well
          </label>
        )}
      </div>
    </section>
  );
}

/** The field that is pressed into, and the one that is typed into for keys that can't be pressed here. */
function Capture({ command, judged, captureRef, onPropose, onChoose, onLeave }: Props & { command: Command }) {
  const { platform, settings } = useSettings();
  const [typing, setTyping] = useState(false);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const press = (event: KeyboardEvent) => {
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey && !event.shiftKey;
    // Tab and Escape leave, so that a keyboard alone is never caught here; Enter takes what is offered first.
    if (event.key === 'Tab' && !event.ctrlKey && !event.altKey && !event.metaKey) return;
    if (event.key === 'Escape' && plain) return onLeave();
    const [first] = judged?.choices ?? [];
    if (event.key === 'Enter' && plain && first) {
      event.preventDefault();
      return onChoose(first);
    }
    const chord = chordOfEvent(event.nativeEvent, usKeyboard, platform);
    if (!chord) return;
    event.preventDefault();
    event.stopPropagation();
    onPropose(canonicalText(chord));
  };
  const type = (text: string) => {
    setTyped(text);
    if (text.trim() === '') return setProblem('');
    const read = parseChord(text, settings.notation === 'windows' ? 'windows' : 'mac');
    setProblem(read.ok ? '' : read.message);
    onPropose(read.ok ? canonicalText(read.chord) : null);
  };
  const spokenChord = judged ? spoken(judged.chord) : '';
  return (
    <div className={styles.captureRow}>
      <div className={styles.capture}>
        <input
          ref={captureRef}
          readOnly
          value={spokenChord}
          aria-label={`Press the keys you want for ${command.name}`}
          aria-describedby="capture-help"
          onKeyDown={press}
        />
        <span className={styles.captured} aria-hidden="true">
          {judged ? <KeyCaps chord={judged.chord} big /> : <span className="soft">Press keys…</span>}
        </span>
      </div>
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
                const [first] = judged?.choices ?? [];
                if (event.key === 'Enter' && first) onChoose(first);
                if (event.key === 'Escape') {
                  setTyping(false);
                  captureRef.current?.focus();
                }
              }}
            />
          </label>
          <span id="type-problem" className={styles.problem} role="alert">
            {problem}
          </span>
        </div>
      ) : (
        <p id="capture-help" className={styles.help}>
          Press the keys you want. Enter takes the first choice, Esc leaves.
          <br />
          Can't press them here?{' '}
          <button type="button" className={styles.inline} onClick={() => setTyping(true)}>
            Type them
          </button>{' '}
          or click the keys below.
        </p>
      )}
    </div>
  );
}

function spoken(chord: ChordText): string {
  const parsed = parseCanonical(chord);
  return parsed ? writeChord(parsed, 'windows') : chord;
}

const KIND_WORDS: Readonly<Record<Command['kind'], string>> = {
  'menu item': 'A menu item',
  tool: 'A tool',
  panel: 'Shows or hides a panel',
  value: 'Sets a value',
  script: 'A script',
  'held action': 'Acts only while held',
};
function kindSentence(command: Command, context: string): string {
  return `${KIND_WORDS[command.kind]}, listened for ${context}.`;
}
