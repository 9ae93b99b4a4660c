'use client';

import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { StickyNote, X } from 'lucide-react';
import { memo, type RefObject, useState } from 'react';
import { describeReason, shortReason } from '@/core/advice/describeReason';
import type { Suggestion } from '@/core/advice/suggest';
import type { ChordText } from '@/core/chord/chord';
import type { Choice } from '@/core/clash/choices';
import type { Judged } from '@/core/clash/judge';
import type { Binding } from '@/core/keymap/keymap';
import { type Command, type CommandId, EVERYWHERE, pathText } from '@/core/program/program';
import { compareReach, describeReach } from '@/core/reach/describeReach';
import type { Reach, ReachOf } from '@/core/reach/reachOf';
import { listed, plainWords, type Sentence } from '@/core/text/sentence';
import { Column } from '../kit/Column';
import { IconAction } from '../kit/IconAction';
import { Row } from '../kit/Row';
import { Tick } from '../kit/Tick';
import { type Action, ActionsMenu } from '../parts/ActionsMenu';
import { KeyCaps } from '../parts/KeyCaps';
import { Pin } from '../parts/Pin';
import { ReachBar } from '../parts/ReachBar';
import { SentenceView } from '../parts/SentenceView';
import { spoken } from '../parts/spoken';
import styles from './board.module.css';
import { Capture } from './Capture';
import { HookField } from './HookField';
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
  readonly actions: () => readonly Action[];
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
  const best = <Best of={command.id} best={props.best} onPropose={props.onPropose} />;
  return (
    <section className={`panes card ${styles.bench}`} aria-label="Bench">
      <About
        command={command}
        contextName={props.contextName}
        bindings={props.bindings}
        factory={props.factory}
        spare={props.spare}
        isFixed={props.isFixed}
        ownKeys={props.ownKeys}
        neighbors={props.neighbors}
        actions={props.actions}
        mayKeep={judged !== null && props.offered.length > 0}
        keepOwn={props.keepOwn}
        onKeepOwn={props.onKeepOwn}
        onGoTo={props.onGoTo}
        onMark={props.onMark}
        onRemove={props.onRemove}
      />
      <Column className={styles.work} gap={2}>
        {props.loss && (
          <p className={styles.loss}>
            {props.loss.to} took the keys of <strong>{command.name}</strong>. Press another for it, or{' '}
            <Button variant="text" onClick={props.onSkip}>
              leave it and go back to {props.loss.back}
            </Button>
          </p>
        )}
        <Capture
          key={command.id}
          name={command.name}
          judged={judged}
          // Whoever has pressed something knows how; the room is for better keys, so that the bench stays as high as it is.
          beside={judged && best}
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
            <Row
              key={`${kind} ${i}`}
              align="flex-start"
              className={i > 0 ? 'small' : undefined}
              data-kind={kind}
              data-further={i > 0 || undefined}
            >
              <Mark state={markOf(weight, kind)} />
              <p>
                <SentenceView sentence={sentence} />
              </p>
            </Row>
          ))}
        </div>
        {props.compared !== null && <Compared {...props} chord={props.compared} />}
        {judged && <Choices {...props} judged={judged} />}
        {!judged && best}
      </Column>
    </section>
  );
}

/** The best keys that could be had; they are the same whatever is pressed. */
const Best = memo(function Best({ of, best, onPropose }: Pick<Props, 'best' | 'onPropose'> & { of: CommandId }) {
  if (best.length === 0) return null;
  return (
    <Row wraps className={styles.near} data-best-for={of}>
      <span className="soft">Best to have:</span>
      {best.map((one) => (
        <Button
          key={one.chord}
          variant="picker"
          data-tip={plainWords(suggestionWords(one))}
          onClick={() => onPropose(one.chord)}
        >
          <KeyCaps chord={one.chord} />
          <span>{reasonShown(one)}</span>
        </Button>
      ))}
    </Row>
  );
});

/** How the keys asked about are reached, and how that compares with what the command has or could have. */
function Compared({ chord, reach, ownKeys, best }: Props & { chord: ChordText }) {
  const here = reach(chord);
  const now = ownKeys && ownKeys.chord !== chord ? ownKeys : null;
  const other = now ?? best.find((one) => one.chord !== chord) ?? null;
  return (
    <p className="small" data-reach={here.hands}>
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
  const button = (choice: Choice, variant: 'contained' | 'outlined' | 'picker') => (
    <Button key={choice.kind} data-choice={choice.kind} variant={variant} onClick={() => !stale && onChoose(choice)}>
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
      <Row wraps>
        {offered
          .filter((choice) => !further.includes(choice))
          .map((choice, i) => button(choice, i === 0 ? 'contained' : 'outlined'))}
        <Button variant="text" onClick={onLeave}>
          {offered.length > 0 ? 'Leave it' : 'Try other keys'}
        </Button>
        {judged.holder && (
          <Button variant="text" onClick={() => judged.holder && onGoTo(judged.holder)}>
            Go to {judged.holder.name}
          </Button>
        )}
      </Row>
      {further.length > 0 && <Row wraps>{further.map((choice) => button(choice, 'picker'))}</Row>}
    </>
  );
}

type AboutProps = Pick<
  Props,
  | 'contextName'
  | 'bindings'
  | 'factory'
  | 'spare'
  | 'isFixed'
  | 'ownKeys'
  | 'neighbors'
  | 'actions'
  | 'keepOwn'
  | 'onKeepOwn'
  | 'onGoTo'
  | 'onMark'
  | 'onRemove'
> & {
  readonly command: Command;
  /** Whether keys stand to be taken, so that those it has may stay besides. */
  readonly mayKeep: boolean;
};
/** What the command is and has; a press changes nothing of it. */
const About = memo(function About(props: AboutProps) {
  const { command, contextName, bindings, factory, spare, actions, neighbors, mayKeep, ...rest } = props;
  const movedAway = factory.length > 0 && !factory.every((one) => bindings.some((b) => b.chord === one.chord));
  return (
    <div className={styles.about}>
      <Row apart align="flex-start">
        <h2>{command.name}</h2>
        <ActionsMenu label={`More for ${command.name}`} actions={actions} />
      </Row>
      <p className="soft">
        {pathText(command.path) || 'In no menu'}
        {spare && (
          <span className={styles.spare}>
            <Pin state="spare" /> spare
          </span>
        )}
      </p>
      <p>{bindings.length > 0 ? 'Now on' : 'Has no key now.'}</p>
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
      {rest.ownKeys && <p>{describeReach(rest.ownKeys.reach)}</p>}
      {mayKeep && bindings.length > 0 && (
        <Tick checked={rest.keepOwn} onChange={rest.onKeepOwn}>
          {bindings.length === 1 ? 'Keeps these as well' : 'Keeps all of these as well'}
        </Tick>
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
        <Row wraps gap={3} component="p">
          {neighbors.before && (
            <Button variant="inline" onClick={() => neighbors.before && rest.onGoTo(neighbors.before)}>
              <span aria-hidden="true">‹ </span>
              <span className="hidden">Before it: </span>
              {neighbors.before.name}
            </Button>
          )}
          {neighbors.after && (
            <Button variant="inline" onClick={() => neighbors.after && rest.onGoTo(neighbors.after)}>
              <span className="hidden">After it: </span>
              {neighbors.after.name}
              <span aria-hidden="true"> ›</span>
            </Button>
          )}
        </Row>
      )}
    </div>
  );
});

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
    <li>
      <KeyCaps chord={chord} />
      <IconButton
        aria-pressed={keeper ?? false}
        aria-label={`Keeper: ${spoken(chord)}`}
        data-tip={keeper ? 'A keeper: taking these keys asks twice' : 'Make these keys a keeper'}
        onClick={() => onMark(chord, { keeper: !keeper })}
      >
        <Pin state={keeper ? 'keeper' : factoryKey ? 'factory' : 'yours'} size={13} />
      </IconButton>
      <IconAction
        icon={StickyNote}
        label={`Memory hook for ${spoken(chord)}`}
        tip="Note what these keys remind of"
        onClick={() => setNoting(!noting)}
      />
      <IconAction icon={X} label={`Remove ${spoken(chord)}`} tip="Remove these keys" onClick={() => onRemove(chord)} />
      {noting ? (
        <HookField
          label={`Memory hook for ${spoken(chord)}`}
          hook={hook ?? ''}
          onDone={(note) => {
            setNoting(false);
            if (note !== null) onMark(chord, { hook: note });
          }}
        />
      ) : (
        hook !== undefined && <em className="soft">{hook}</em>
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
