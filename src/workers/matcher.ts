import { expose } from 'comlink';
import { type Advisor, buildAdvisor } from '../core/advice/advisor';
import { buildClashIndex, programFacts } from '../core/clash/clashIndex';
import { type Agreement, agreement } from '../core/comparison/agreement';
import { type OtherAction, otherActions } from '../core/comparison/otherActions';
import type { Counterpart } from '../core/counterpart/counterpart';
import { counterpartsOf, type Side } from '../core/counterpart/counterpartsOf';
import type { Said } from '../core/counterpart/knownPairs';
import type { Lesson } from '../core/counterpart/lessons';
import { type Question, questions } from '../core/counterpart/questions';
import { sureOf } from '../core/counterpart/surePairs';
import type { Desktop } from '../core/desktop/desktopKeys';
import { usesOf } from '../core/effort/uses';
import type { KeyboardChoice } from '../core/keyboard/keyboard';
import { whereOf } from '../core/keyboard/where';
import { type Keymap, keymapOf, type Row, rowsOf } from '../core/keymap/keymap';
import type { Ticket } from '../core/keymap/ticket';
import type { Command, CommandId } from '../core/program/program';
import type { Hand } from '../core/reach/hand';
import { deriveAgain } from '../core/transfer/deriveAgain';
import type { Derivation, MatchPlan } from '../core/transfer/matchPlan';
import { transfer } from '../core/transfer/transfer';
import type { CommandPair, Transfer, TransferTask } from '../core/transfer/transferTypes';
import { translateKeys } from '../core/transfer/translateKeys';
import { nowAndThen } from './nowAndThen';

/** What is matched, and for whom: told once, and again when it changes. */
export type MatchGround = {
  readonly mine: Side;
  readonly theirs: Side;
  readonly programNames: Readonly<Record<string, string>>;
  /** What was learned of words from other programs. */
  readonly lessons: readonly Lesson[];
  readonly choice: KeyboardChoice;
  readonly desktop: Desktop;
  readonly hand: Hand;
};
export type MatchTask = {
  readonly mine: { readonly rows: readonly Row[]; readonly spares: readonly CommandId[] };
  readonly theirs: readonly Row[];
  readonly said: readonly Said[];
  readonly plan: MatchPlan;
  readonly uses: Readonly<Record<CommandId, number>>;
  readonly usesThere: Readonly<Record<CommandId, number>>;
  readonly derivation: Derivation | null;
  readonly title: string;
};
export type MatchAnswer = {
  readonly counterparts: readonly Counterpart[];
  /** What is worth asking, of commands that may be what has keys there. */
  readonly questions: readonly Question[];
  /** The pairs that keys go over by: what is sure or was said. */
  readonly pairs: readonly CommandPair[];
  /** Their keys as they are here. */
  readonly theirRows: readonly Row[];
  readonly transfer: Omit<Transfer, 'keymap'>;
  readonly before: Agreement;
  readonly after: Agreement;
  readonly othersBefore: readonly OtherAction[];
  readonly others: readonly OtherAction[];
  /** For a derived keymap: what deriving again brings. */
  readonly again: {
    readonly ticket: Ticket | null;
    readonly rows: readonly Row[];
    readonly corrected: readonly CommandId[];
    readonly changedThere: readonly CommandId[];
  } | null;
  /** Milliseconds for finding counterparts (0 where they were known) and for all of it. */
  readonly matchMs: number;
  readonly ms: number;
};

const MOST_QUESTIONS = 20;

let ground: MatchGround | null = null;
let advisor: Advisor | null = null;
let found: { readonly said: readonly Said[]; readonly counterparts: readonly Counterpart[] } | null = null;

const matcher = {
  open(given: MatchGround): void {
    ground = given;
    const where = whereOf(given.choice, given.desktop);
    advisor = buildAdvisor(programFacts(given.mine.program), where, given.hand, []);
    found = null;
  },
  /** Finds counterparts where something was said anew, and works out the transfer. */
  match(task: MatchTask, onProgress: (part: number) => void): MatchAnswer {
    if (!ground || !advisor) throw new Error('The matcher has not been told what to match.');
    const start = performance.now();
    const known = found && JSON.stringify(found.said) === JSON.stringify(task.said) ? found.counterparts : null;
    const counterparts =
      known ??
      counterpartsOf(
        ground.mine,
        ground.theirs,
        ground.programNames,
        task.said,
        nowAndThen(onProgress),
        ground.lessons,
      );
    found = { said: task.said, counterparts };
    const matchMs = known ? 0 : performance.now() - start;
    return { ...answer(ground, advisor, task, counterparts), counterparts, matchMs, ms: performance.now() - start };
  },
};
export type Matcher = typeof matcher;
expose(matcher);

function answer(
  { theirs }: MatchGround,
  own: Advisor,
  task: MatchTask,
  counterparts: readonly Counterpart[],
): Omit<MatchAnswer, 'counterparts' | 'matchMs' | 'ms'> {
  const { where, facts } = own;
  const keymap = keymapOf(task.mine.rows, task.mine.spares);
  const told = new Map(Object.entries(task.uses));
  const toldThere = new Map(Object.entries(task.usesThere));
  const theirCommands = new Map(theirs.program.commands.map((one) => [one.id, one]));
  const { madeOn } = task.plan;
  const made = madeOn && { where: whereOf(madeOn, madeOn.desktop), move: madeOn.move };
  const here = (rows: readonly Row[]): Keymap =>
    keymapOf(
      rows.map(
        ([id, chord, keeper, hook]): Row => [id, translateKeys(chord, made, where), keeper ?? false, hook ?? ''],
      ),
    );
  const theirKeys = here(task.theirs);
  const pairs = sureOf(counterparts).map(([mine, theirs]): CommandPair => ({ mine, theirs }));
  const usesThere = (id: CommandId): number => {
    const command = theirCommands.get(id);
    return command ? usesOf(command, toldThere) : 0;
  };
  const transferTask: TransferTask = {
    advisor: own,
    keymap,
    theirCommands,
    theirKeys,
    pairs,
    rules: task.plan.rules,
    choices: new Map(task.plan.choices),
    instead: new Map(task.plan.instead),
    settled: new Map(),
    usesOf: (command: Command) => usesOf(command, told, keymap.spares.has(command.id)),
  };
  const { keymap: after, ...done } = transfer(transferTask, task.title);
  const others = (state: Keymap) =>
    otherActions(
      buildClashIndex(facts, state, where.place),
      theirKeys,
      theirs.program.commands,
      pairs,
      where.place,
      usesThere,
    );
  const { derivation } = task;
  const again =
    derivation && deriveAgain(transferTask, keymapOf(derivation.derived), here(derivation.theirs), task.title);
  const withKeys = new Set(theirKeys.bindings.keys());
  return {
    questions: questions(counterparts, own.facts.program.commands, theirs.program.commands)
      .filter((one) => one.candidates.some((id) => withKeys.has(id)))
      .slice(0, MOST_QUESTIONS),
    pairs,
    theirRows: rowsOf(theirKeys),
    transfer: done,
    before: agreement(pairs, keymap, theirKeys, where.place, usesThere),
    after: agreement(pairs, after, theirKeys, where.place, usesThere),
    othersBefore: others(keymap),
    others: others(after),
    again: again && {
      ticket: again.transfer.ticket,
      rows: rowsOf(again.transfer.keymap),
      corrected: again.corrected,
      changedThere: again.changedThere,
    },
  };
}
