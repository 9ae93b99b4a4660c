import type { Command, CommandId } from '../program/program';
import type { Meaning } from '../words/meanings';
import type { Counterpart } from './counterpart';
import { menuKey } from './menuKey';
import { meaningsOfCommand } from './readCommand';

/** What a person may be asked: which command there does what one here does. */
export type Question = {
  readonly command: CommandId;
  /** Those that may, the likeliest first. */
  readonly candidates: readonly CommandId[];
  /** How many other commands the answer may settle, by a word or a menu that they share. */
  readonly teaches: number;
};

const MOST_CANDIDATES = 3;
/** A word in a name, or a menu, that other doubtful commands share, counts for so much each, up to so many. */
const BY_WORD = 0.35;
const BY_MENU = 0.06;
const MOST_TAUGHT = 8;
/** What is less likely than so much of the likeliest is not asked about. */
const AS_LIKELY = 0.75;
/** How open it is for a command that is like none there, where few are left over in the menu that goes with its own. */
const BY_REST = 0.4;

/**
 * The questions that are worth asking, the one whose answer teaches most first: how open it is which candidate is right,
 * and how many other doubtful commands have a word that nobody explained, or a menu, in common with this one.
 * @param skipped commands not to be asked about.
 */
export function questions(
  found: readonly Counterpart[],
  left: readonly Command[],
  right: readonly Command[],
  skipped: ReadonlySet<CommandId> = NOBODY,
): Question[] {
  const byId = new Map(left.map((one) => [one.id, one]));
  const leftOver = leftOverIn(found, byId, right);
  const open = found.filter((one) => one.confidence !== 'sure' && one.known === null);
  const words = new Map<CommandId, readonly Meaning[]>();
  const byWord = new Map<Meaning, number>();
  const byMenu = new Map<string, number>();
  for (const one of open) {
    const command = byId.get(one.command);
    if (!command) continue;
    const unknown = meaningsOfCommand(command).filter((meaning) => meaning.startsWith('~'));
    words.set(one.command, unknown);
    for (const word of unknown) byWord.set(word, (byWord.get(word) ?? 0) + 1);
    byMenu.set(menuKey(command), (byMenu.get(menuKey(command)) ?? 0) + 1);
  }
  return open
    .filter((one) => !skipped.has(one.command) && byId.has(one.command))
    .flatMap((one) => {
      const command = byId.get(one.command) as Command;
      const most = Math.max(0, ...one.candidates.map(({ figure }) => figure));
      const likely = one.candidates.filter(({ figure }) => figure >= AS_LIKELY * most).map(({ command: id }) => id);
      const candidates = [...new Set([...likely, ...leftOver(command)])].slice(0, MOST_CANDIDATES);
      if (candidates.length === 0) return [];
      const others = Math.max(0, ...(words.get(one.command) ?? []).map((word) => (byWord.get(word) ?? 1) - 1));
      const menu = (byMenu.get(menuKey(command)) ?? 1) - 1;
      const taught = Math.min(MOST_TAUGHT, others) * BY_WORD + Math.min(MOST_TAUGHT, menu) * BY_MENU;
      const question = { command: one.command, candidates, teaches: others };
      return [{ question, worth: Math.max(openness(one), likely.length === 0 ? BY_REST : 0) * (1 + taught) }];
    })
    .sort((a, b) => b.worth - a.worth)
    .map(({ question }) => question);
}

/**
 * The commands there that nobody is the counterpart of, in the menu that has most of the counterparts of a command's own
 * menu: of the same kind, and only where they are few.
 */
function leftOverIn(
  found: readonly Counterpart[],
  byId: ReadonlyMap<CommandId, Command>,
  right: readonly Command[],
): (command: Command) => readonly CommandId[] {
  const there = new Map(right.map((one) => [one.id, one]));
  const taken = new Set(found.flatMap((one) => one.counterpart ?? []));
  const shared = new Map<string, Map<string, number>>();
  for (const { command, counterpart } of found) {
    const [one, other] = [byId.get(command), there.get(counterpart ?? '')];
    if (!one || !other) continue;
    const counts = shared.get(menuKey(one)) ?? new Map<string, number>();
    counts.set(menuKey(other), (counts.get(menuKey(other)) ?? 0) + 1);
    shared.set(menuKey(one), counts);
  }
  const free = new Map<string, Command[]>();
  for (const one of right) if (!taken.has(one.id)) free.set(menuKey(one), [...(free.get(menuKey(one)) ?? []), one]);
  return (command) => {
    const [menu] = [...(shared.get(menuKey(command)) ?? [])].sort((a, b) => b[1] - a[1])[0] ?? [];
    const rest = (free.get(menu ?? '') ?? []).filter((one) => one.kind === command.kind);
    return rest.length > MOST_CANDIDATES ? [] : rest.map((one) => one.id);
  };
}

const NOBODY: ReadonlySet<CommandId> = new Set();

/** How open it is which candidate is right, from 0 to 1: most where two are likely and neither is ahead. */
function openness({ candidates, counterpart }: Counterpart): number {
  const [first, second] = candidates.map((one) => one.figure).sort((a, b) => b - a);
  if (first === undefined) return 0;
  const close = second === undefined ? 0 : Math.max(0, 1 - 4 * (first - second)) * second;
  return first * (0.35 + 0.65 * close) + (counterpart === null ? 0 : 0.05);
}
