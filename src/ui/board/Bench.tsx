'use client';

import Button from '@mui/material/Button';
import { type RefObject, useState } from 'react';
import { describeReason, shortReason } from '@/core/advice/describeReason';
import type { Suggestion } from '@/core/advice/suggest';
import type { ChordText } from '@/core/chord/chord';
import type { Choice } from '@/core/clash/choices';
import type { Judged } from '@/core/clash/judge';
import type { Binding } from '@/core/keymap/keymap';
import { type Command, EVERYWHERE, pathText } from '@/core/program/program';
import { compareReach, describeReach } from '@/core/reach/describeReach';
import type { Reach, ReachOf } from '@/core/reach/reachOf';
import { listed, plainWords, type Sentence } from '@/core/text/sentence';
import { type Action, ActionsMenu } from '../parts/ActionsMenu';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin } from '../parts/Pin';
import { ReachBar } from '../parts/ReachBar';
import { SentenceView } from '../parts/SentenceView';
import { spoken } from '../parts/spoken';
import styles from './board.module.css';
import { Capture } from './Capture';
import { Mark, markOf } from './Mark';

type Props = {
  readonly command: Command | null;
  readonly contextName: string;
  readonly bindings: readonly Binding[];
  readonly factory: readonly Binding[];
  readonly spare: boolean;
  readonly isFixed: (chord: ChordText) => boolean;
  readonly judged: Judged | null;
  readonly offered: readonly Choice[];
  /** Whether the choices are still those of the press before. */
  readonly stale: boolean;
  /** The best keys that could be had, whatever is pressed. */
  readonly best: readonly Suggestion[];
  readonly reach: ReachOf;
  /** The keys to be compared with those it has; null before some are pressed. */
  readonly compared: ChordText | null;
  /** The easiest keys it has. */
  readonly ownKeys: { readonly chord: ChordText; readonly reach: Reach } | null;
  readonly keepOwn: boolean;
  /** Said when the bench has moved here because this command lost its keys. */
  readonly loss: { readonly to: string; readonly back: string } | null;
  readonly neighbors: { readonly before: Command | null; readonly after: Command | null };
  readonly actions: readonly Action[];
  readonly captureRef: RefObject<HTMLInputElement | null>;
  readonly onPropose: (chord: ChordText | null) => void;
  readonly onKeepOwn: (keep: boolean) => void;
  readonly onChoose: (choice: Choice) => void;
  /** Enter: the first choice. */
  readonly onFirst: () => void;
  readonly onRemove: (chord: ChordText) => void;
  readonly onMark: (chord: ChordText, marks: { keeper?: boolean; hook?: string }) => void;
  readonly onGoTo: (command: Command) => void;
  readonly onSkip: () => void;
  readonly onLeave: () => void;
};

/** One command: where it lives, its keys, new ones pressed or typed, what they mean, and the ways to go on. */
export function Bench(props: Props) {
  const { command, judged } = props;
  if (!command) {
    return (
      <section className={`card ${styles.bench}`} aria-label="Bench">
        <div className="empty">Choose a command in the list, then press the keys you want for it.</div>
      </section>
    );
  }
  return (
    <section className={`card ${styles.bench}`} aria-label="Bench">
      <About {...props} command={command} />
      <div className={styles.work}>
        {props.loss && (
          <p className={styles.loss}>
            {props.loss.to} took the keys of <strong>{command.name}</strong>. Press another for it, or{' '}
            <button type="button" className="word" onClick={props.onSkip}>
              leave it and go back to {props.loss.back}
            </button>
          </p>
        )}
        <Capture
          key={command.id}
          name={command.name}
          judged={judged}
          captureRef={props.captureRef}
          onPropose={props.onPropose}
          onFirst={props.onFirst}
          onLeave={props.onLeave}
        />
        <div
          className={styles.verdict}
          aria-live="polite"
          data-verdict={judged ? markOf(judged.weight, judged.sentences[0]?.kind ?? 'free') : 'none'}
        >
          {judged?.sentences.map(({ weight, kind, sentence }, i) => (
            <div key={`${kind} ${i}`} className={styles.finding} data-kind={kind} data-further={i > 0 || undefined}>
              <Mark state={markOf(weight, kind)} />
              <p>
                <SentenceView sentence={sentence} />
              </p>
            </div>
          ))}
        </div>
        {props.compared !== null && <Compared {...props} chord={props.compared} />}
        {judged && <Choices {...props} judged={judged} />}
        {props.best.length > 0 && (
          <p className={styles.near} data-best-for={command.id}>
            <span className="soft">Best to have:</span>
            {props.best.map((one) => (
              <button
                key={one.chord}
                type="button"
                className={styles.suggestion}
                title={plainWords(suggestionWords(one))}
                onClick={() => props.onPropose(one.chord)}
              >
                <KeyCaps chord={one.chord} /> {reasonShown(one)}
              </button>
            ))}
          </p>
        )}
      </div>
    </section>
  );
}

/** How the keys asked about are reached, and how that compares with what the command has or could have. */
function Compared({ chord, reach, ownKeys, best }: Props & { chord: ChordText }) {
  const here = reach(chord);
  const now = ownKeys && ownKeys.chord !== chord ? ownKeys : null;
  const other = now ?? best.find((one) => one.chord !== chord) ?? null;
  return (
    <p className={styles.compared} data-reach={here.hands}>
      <ReachBar reach={here} /> {describeReach(here)}{' '}
      {other && here.hands !== 'none' && (
        <SentenceView sentence={compareReach(here, other.reach, now ? null : other.chord)} />
      )}
    </p>
  );
}

/** The one reason that says most; for keys of a spare, whose they are. */
function reasonShown({ reasons, spends }: Suggestion): string {
  const [spare] = spends;
  // That others of its menu are held alike is true of many; it stands with the rest in the title.
  const told = reasons.find((one) => one.kind !== 'family');
  const words = told ? shortReason(told) : '';
  return spare ? [`${spare.command.name}’s, a spare`, words].filter((one) => one !== '').join(', ') : words;
}

/** All that speaks for a suggestion. */
function suggestionWords({ reach, reasons }: Suggestion): Sentence {
  const said = { text: `${describeReach(reach)} ` };
  return reasons.length === 0
    ? [said]
    : [said, { text: 'Besides: ' }, ...listed(reasons.map(describeReason)), { text: '.' }];
}

function Choices({ judged, offered, stale, onChoose, onLeave, onGoTo }: Props & { judged: Judged }) {
  const button = (choice: Choice, i: number) => (
    <Button
      key={choice.kind}
      data-choice={choice.kind}
      variant={i === 0 ? 'contained' : 'outlined'}
      onClick={() => !stale && onChoose(choice)}
    >
      {choice.label}
      {choice.keys !== undefined && (
        <>
          &nbsp;
          <KeyCaps chord={choice.keys} />
        </>
      )}
    </Button>
  );
  // The plain ways stand first with leaving it; those that name further keys follow in a row of their own.
  const further = offered.filter((choice, i) => i > 0 && choice.keys !== undefined);
  return (
    <>
      <div className={styles.choices}>
        {offered.filter((choice) => !further.includes(choice)).map(button)}
        <Button variant="text" onClick={onLeave}>
          {offered.length > 0 ? 'Leave it' : 'Try other keys'}
        </Button>
        {judged.holder && (
          <Button variant="text" onClick={() => judged.holder && onGoTo(judged.holder)}>
            Go to {judged.holder.name}
          </Button>
        )}
      </div>
      {further.length > 0 && (
        <div className={`${styles.choices} ${styles.further}`}>{further.map((choice) => button(choice, 1))}</div>
      )}
    </>
  );
}

function About({
  command,
  contextName,
  bindings,
  factory,
  spare,
  actions,
  neighbors,
  ...rest
}: Props & { command: Command }) {
  const movedAway = factory.length > 0 && !factory.every((one) => bindings.some((b) => b.chord === one.chord));
  return (
    <div className={styles.about}>
      <div className={styles.aboutHead}>
        <h2>{command.name}</h2>
        <ActionsMenu label={`More for ${command.name}`} actions={actions} />
      </div>
      <p className="soft">
        {pathText(command.path) || 'In no menu'}
        {spare && (
          <span className={styles.spare}>
            <Pin state="spare" /> spare
          </span>
        )}
      </p>
      <p className={styles.now}>{bindings.length > 0 ? 'Now on' : 'Has no key now.'}</p>
      <ul className={styles.own}>
        {bindings.map((binding) => (
          <OwnKeys
            key={`${command.id} ${binding.chord}`}
            binding={binding}
            factoryKey={factory.some((one) => one.chord === binding.chord)}
            {...rest}
          />
        ))}
      </ul>
      {rest.ownKeys && <p className={styles.reached}>{describeReach(rest.ownKeys.reach)}</p>}
      {rest.judged && rest.offered.length > 0 && bindings.length > 0 && (
        <label className={styles.also}>
          <input type="checkbox" checked={rest.keepOwn} onChange={(event) => rest.onKeepOwn(event.target.checked)} />
          {bindings.length === 1 ? 'Keeps these as well' : 'Keeps all of these as well'}
        </label>
      )}
      <p className="soft">
        {kindSentence(command, contextName)}
        {movedAway && (
          <>
            {' '}
            Factory:{' '}
            {factory.map(({ chord }) => (
              <KeyCaps key={chord} chord={chord} />
            ))}
          </>
        )}
      </p>
      {(neighbors.before || neighbors.after) && (
        <p className={styles.neighbors}>
          {neighbors.before && (
            <button
              type="button"
              className={styles.inline}
              onClick={() => neighbors.before && rest.onGoTo(neighbors.before)}
            >
              <span aria-hidden="true">‹ </span>
              <span className="hidden">Before it: </span>
              {neighbors.before.name}
            </button>
          )}
          {neighbors.after && (
            <button
              type="button"
              className={styles.inline}
              onClick={() => neighbors.after && rest.onGoTo(neighbors.after)}
            >
              <span className="hidden">After it: </span>
              {neighbors.after.name}
              <span aria-hidden="true"> ›</span>
            </button>
          )}
        </p>
      )}
    </div>
  );
}

/** One of the command's own keys: whether it is a keeper, its memory hook, and taking it away. */
function OwnKeys({
  binding: { chord, keeper, hook },
  factoryKey,
  isFixed,
  onMark,
  onRemove,
}: Pick<Props, 'isFixed' | 'onMark' | 'onRemove'> & { binding: Binding; factoryKey: boolean }) {
  const [noting, setNoting] = useState(false);
  if (isFixed(chord)) {
    return (
      <li>
        <KeyCaps chord={chord} /> <span className="soft">fixed</span>
      </li>
    );
  }
  return (
    <li className={styles.ownRow}>
      <KeyCaps chord={chord} />
      <button
        type="button"
        className={styles.tool}
        aria-pressed={keeper ?? false}
        aria-label={`Keeper: ${spoken(chord)}`}
        title={keeper ? 'A keeper: taking these keys asks twice' : 'Make these keys a keeper'}
        onClick={() => onMark(chord, { keeper: !keeper })}
      >
        <Pin state={keeper ? 'keeper' : factoryKey ? 'factory' : 'yours'} size={13} />
      </button>
      <button
        type="button"
        className={styles.tool}
        aria-label={`Memory hook for ${spoken(chord)}`}
        title="Note what these keys remind of"
        onClick={() => setNoting(!noting)}
      >
        <svg width="13" height="13" viewBox="0 0 13 13" aria-hidden="true">
          <path d="M2 2h9v6.5L8 11H2zM4 5h5M4 7.5h3" fill="none" stroke="currentColor" strokeWidth="1.2" />
        </svg>
      </button>
      <button
        type="button"
        className={styles.tool}
        aria-label={`Remove ${spoken(chord)}`}
        title="Remove these keys"
        onClick={() => onRemove(chord)}
      >
        ×
      </button>
      {noting ? (
        <input
          autoFocus
          className={styles.hookField}
          aria-label={`Memory hook for ${spoken(chord)}`}
          placeholder="S for sheet"
          defaultValue={hook ?? ''}
          maxLength={120}
          onKeyDown={(event) => {
            // Leaving the field is what stores the note.
            if (event.key === 'Escape') event.currentTarget.value = hook ?? '';
            if (event.key === 'Escape' || event.key === 'Enter') event.currentTarget.blur();
          }}
          onBlur={(event) => {
            setNoting(false);
            if (event.currentTarget.value.trim() !== (hook ?? ''))
              onMark(chord, { hook: event.currentTarget.value.trim() });
          }}
        />
      ) : (
        hook !== undefined && <span className={styles.hook}>{hook}</span>
      )}
    </li>
  );
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
  // Most are listened for everywhere, so that goes without saying.
  return `${KIND_WORDS[command.kind]}${context === EVERYWHERE.name ? '' : `, listened for ${context}`}.`;
}
