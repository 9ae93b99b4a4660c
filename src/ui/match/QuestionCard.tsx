'use client';

import Button from '@mui/material/Button';
import { useEffect, useMemo, useRef, useState } from 'react';
import { programFacts } from '@/core/clash/clashIndex';
import type { KeymapView } from '@/core/keymap/keymapView';
import { type Command, type CommandId, pathText } from '@/core/program/program';
import { counted } from '@/core/text/sentence';
import type { MatchAnswer } from '@/workers/matcher';
import { Column } from '../kit/Column';
import { Row } from '../kit/Row';
import styles from './match.module.css';

type Props = {
  /** How many counterparts are sure; more after an answer is what it taught. */
  readonly answer: Pick<MatchAnswer, 'questions' | 'pairs'>;
  readonly mine: ReadonlyMap<CommandId, Command>;
  readonly theirs: Pick<KeymapView, 'program'>;
  /** Whether what was said last is worked in. */
  readonly fresh: boolean;
  readonly onSay: (mine: CommandId, theirs: CommandId | null) => void;
};

/** Asks what teaches most of how two programs go together: one click an answer. */
export function QuestionCard({ answer, mine, theirs, fresh, onSay }: Props) {
  const { program } = theirs;
  const there = useMemo(() => programFacts(program).commands, [program]);
  const sure = answer.pairs.length;
  const [skipped, setSkipped] = useState<ReadonlySet<CommandId>>(new Set());
  const [before, setBefore] = useState<number | null>(null);
  const open = answer.questions.filter((one) => !skipped.has(one.command));
  const [question] = open;
  const first = useRef<HTMLButtonElement>(null);
  const asked = useRef(question?.command);
  // Whoever answers one goes on with the next.
  useEffect(() => {
    if (asked.current !== undefined && asked.current !== question?.command && before !== null) first.current?.focus();
    asked.current = question?.command;
  }, [question?.command, before]);
  const command = question && mine.get(question.command);
  if (!question || !command) return null;
  const say = (counterpart: CommandId | null): void => {
    setBefore(sure + (counterpart === null ? 0 : 1));
    onSay(question.command, counterpart);
  };
  const more = before === null || !fresh ? 0 : Math.max(0, sure - before);
  return (
    <Column component="section" gap={2} className={styles.knockOn} aria-label="A question">
      <p>
        What in {program.name} does what{' '}
        <strong data-tip={pathText([...command.path, command.name])}>{command.name}</strong> does here?{' '}
        <span className="soft small" role="status">
          {more > 0
            ? `That settled ${more} more.`
            : question.teaches > 0
              ? `Tells of ${counted(question.teaches, 'other command')}, too.`
              : ''}
        </span>
      </p>
      <Row wraps>
        {question.candidates.map((id, i) => (
          <Button
            key={id}
            ref={i === 0 ? first : undefined}
            variant="outlined"
            disabled={!fresh}
            data-tip={pathText([...(there.get(id)?.path ?? []), there.get(id)?.name ?? id])}
            onClick={() => say(id)}
          >
            {there.get(id)?.name ?? id}
          </Button>
        ))}
        <Button variant="text" disabled={!fresh} onClick={() => say(null)}>
          Nothing there does
        </Button>
        <Button variant="text" onClick={() => setSkipped(new Set([...skipped, question.command]))}>
          Skip
        </Button>
        <span className="push" />
        <span className="soft small">{counted(open.length, 'question')}</span>
      </Row>
    </Column>
  );
}
