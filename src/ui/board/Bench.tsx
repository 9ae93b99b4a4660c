'use client';

import Button from '@mui/material/Button';
import Link from 'next/link';
import { memo } from 'react';
import { describeReason, shortReason } from '@/core/advice/describeReason';
import type { Suggestion } from '@/core/advice/suggest';
import type { ChordText } from '@/core/chord/chord';
import type { Choice } from '@/core/clash/choices';
import type { Judged } from '@/core/clash/judge';
import type { FindingKind } from '@/core/clash/verdict';
import type { CommandId } from '@/core/program/program';
import { compareReach, describeReach } from '@/core/reach/describeReach';
import { listed, plainWords, type Sentence } from '@/core/text/sentence';
import { Column } from '../kit/Column';
import { Row } from '../kit/Row';
import { KeyCaps } from '../parts/KeyCaps';
import { ReachBar } from '../parts/ReachBar';
import { SentenceView } from '../parts/SentenceView';
import { About } from './About';
import type { BenchProps } from './benchProps';
import styles from './board.module.css';
import { Capture } from './Capture';
import { Mark, markOf } from './Mark';

/** Under which heading a program says what stands in the way. */
const RULE_OF: Readonly<Partial<Record<FindingKind, string>>> = {
  'not allowed': 'forms',
  'no sequences': 'forms',
  'fixed by the program': 'fixed',
};

/** One command: where it lives, its keys, new ones pressed or typed, what they mean, and the ways to go on. */
export function Bench(props: BenchProps) {
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
          onlyHeld={props.onlyHeld}
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
                {RULE_OF[kind] !== undefined && (
                  <>
                    {' '}
                    <Link href={`${props.rulesAddress}#${RULE_OF[kind]}`} prefetch={false}>
                      See the rule
                    </Link>
                  </>
                )}
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
const Best = memo(function Best({ of, best, onPropose }: Pick<BenchProps, 'best' | 'onPropose'> & { of: CommandId }) {
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
function Compared({ chord, reach, ownKeys, best }: BenchProps & { chord: ChordText }) {
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

function Choices({ judged, offered, onChoose, onLeave, onGoTo }: BenchProps & { judged: Judged }) {
  const button = (choice: Choice, variant: 'contained' | 'outlined' | 'picker') => (
    <Button key={choice.kind} data-choice={choice.kind} variant={variant} onClick={() => onChoose(choice)}>
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
