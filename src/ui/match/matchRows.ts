import type { OtherAction } from '@/core/comparison/otherActions';
import type { Counterpart } from '@/core/counterpart/counterpart';
import type { Command, CommandId } from '@/core/program/program';
import type { TransferLine } from '@/core/transfer/transferTypes';
import type { MatchAnswer } from '@/workers/matcher';

/** The ways to look at a match. */
export const SHOWN = ['carries', 'check', 'none', 'other', 'same', 'stays'] as const;
export type Shown = (typeof SHOWN)[number];
export const SHOWN_WORDS: Readonly<Record<Shown, string>> = {
  carries: 'Carries over',
  check: 'Check',
  none: 'No counterpart',
  other: 'Same keys, other action',
  same: 'Already the same',
  stays: 'Stays as it is',
};

/** One thing that has keys there: what does it here, and what happens. */
export type MatchRow = {
  readonly theirs: Command;
  readonly mine: Command | null;
  readonly counterpart: Counterpart | null;
  readonly line: TransferLine | null;
};
export type MatchRows = { readonly [S in Exclude<Shown, 'other'>]: readonly MatchRow[] } & {
  readonly other: readonly OtherAction[];
};

/** Sorts what has keys there by what becomes of it, in the order of their program. */
export function matchRows(
  answer: MatchAnswer,
  theirs: readonly Command[],
  mine: ReadonlyMap<CommandId, Command>,
): MatchRows {
  const withKeys = new Set(answer.theirRows.map(([id]) => id));
  const lineOf = new Map(answer.transfer.lines.map((line) => [line.theirs.id, line]));
  const given = new Map(
    answer.counterparts.flatMap((one) => (one.counterpart === null ? [] : [[one.counterpart, one] as const])),
  );
  const rows = { carries: [], check: [], none: [], same: [], stays: [] } as Record<Exclude<Shown, 'other'>, MatchRow[]>;
  for (const command of theirs) {
    const counterpart = given.get(command.id) ?? null;
    const line = lineOf.get(command.id) ?? null;
    if (!withKeys.has(command.id) && !line) continue;
    const row: MatchRow = {
      theirs: command,
      mine: counterpart ? (mine.get(counterpart.command) ?? null) : null,
      counterpart,
      line,
    };
    if (!counterpart) rows.none.push(row);
    else if (counterpart.confidence === 'check') rows.check.push(row);
    else if (line?.choice === 'same') rows.same.push(row);
    else rows[line?.choice === 'keep' || !line ? 'stays' : 'carries'].push(row);
  }
  return { ...rows, other: answer.others };
}

/** Those here that may be the counterpart of a command there, the likeliest first. */
export function candidatesFor(
  theirs: CommandId,
  counterparts: readonly Counterpart[],
): readonly { readonly of: Counterpart; readonly at: number }[] {
  return counterparts
    .flatMap((of) => {
      const at = of.candidates.findIndex((one) => one.command === theirs);
      return at < 0 ? [] : [{ of, at }];
    })
    .sort((a, b) => (b.of.candidates[b.at]?.figure ?? 0) - (a.of.candidates[a.at]?.figure ?? 0));
}
