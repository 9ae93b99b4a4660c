'use client';

import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useMemo, useState } from 'react';
import type { Counterpart } from '@/core/counterpart/counterpart';
import { describeCandidate } from '@/core/counterpart/describeCandidate';
import { buildFinder } from '@/core/finder/buildFinder';
import { type Command, type CommandId, pathText } from '@/core/program/program';
import type { Sentence } from '@/core/text/sentence';
import { Find } from '../kit/Find';
import { ScreenDialog } from '../parts/ScreenDialog';
import { SentenceView } from '../parts/SentenceView';
import { candidatesFor } from './matchRows';

type Props = {
  readonly theirs: Command;
  readonly names: readonly [there: string, here: string];
  readonly commands: readonly Command[];
  readonly counterparts: readonly Counterpart[];
  /** Whether something was said of it already. */
  readonly said: boolean;
  readonly onSay: (mine: CommandId | null | undefined) => void;
  readonly onClose: () => void;
};
const MOST_FOUND = 40;

/** Asks which command here does what one there does: the likeliest first, any other by search, or none. */
export function CounterpartDialog({ theirs, names, commands, counterparts, said, onSay, onClose }: Props) {
  const [query, setQuery] = useState('');
  const find = useMemo(() => buildFinder(commands), [commands]);
  const byId = useMemo(() => new Map(commands.map((one) => [one.id, one])), [commands]);
  const now = counterparts.find((one) => one.counterpart === theirs.id);
  const likely = useMemo(
    () =>
      candidatesFor(theirs.id, counterparts).flatMap(({ of, at }) => {
        const command = byId.get(of.command);
        const candidate = of.candidates[at];
        return command && candidate ? [{ command, why: describeCandidate(candidate) }] : [];
      }),
    [theirs, counterparts, byId],
  );
  const shown: readonly { readonly command: Command; readonly why: Sentence | null }[] =
    query.trim() === ''
      ? likely
      : find(query)
          .commands.slice(0, MOST_FOUND)
          .map((command) => ({ command, why: null }));
  return (
    <ScreenDialog
      title={`What does the same as ${theirs.name}?`}
      onClose={onClose}
      actions={
        <>
          {said && (
            <Button variant="text" onClick={() => onSay(undefined)}>
              Forget what I said
            </Button>
          )}
          <Button variant="outlined" onClick={() => onSay(null)}>
            No counterpart
          </Button>
        </>
      }
    >
      <Stack spacing={3}>
        <p className="soft">
          {theirs.name} is in {names[0]}, under {pathText(theirs.path) || 'no menu'}. What you say is remembered for
          both programs.
        </p>
        <Find label={`Search the commands of ${names[1]}`} autoFocus value={query} onChange={setQuery} />
        <ul aria-label="Possible counterparts">
          {shown.map(({ command, why }) => (
            <li key={command.id}>
              <Button
                variant="line"
                aria-pressed={now?.command === command.id && now.confidence === 'sure'}
                onClick={() => onSay(command.id)}
              >
                <strong>{command.name}</strong>
                <span className="soft">{pathText(command.path)}</span>
                {why && (
                  <span className="soft small">
                    <SentenceView sentence={why} />
                  </span>
                )}
              </Button>
            </li>
          ))}
        </ul>
        {shown.length === 0 && (
          <p className="soft">
            {query.trim() === ''
              ? `Nothing in ${names[1]} looks like it. Search for the command you mean.`
              : 'No command is found by these words.'}
          </p>
        )}
      </Stack>
    </ScreenDialog>
  );
}
