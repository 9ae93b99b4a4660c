import type { ClashIndex } from '../clash/clashIndex';
import { dropKeys, giveKeys } from '../keymap/changeKeys';
import { bindingsOf } from '../keymap/keymap';
import type { Change, Ticket } from '../keymap/ticket';
import type { Command } from '../program/program';
import { HARD } from '../reach/describeReach';
import type { Reach } from '../reach/reachOf';
import type { Advisor } from './advisor';
import { type Suggestion, suggest } from './suggest';

/** From so many uses a day on keys are used often. */
const OFTEN = 10;

/** A command that is used often and lies far: its easiest keys, and how often. */
export type FarKeys = {
  readonly command: Command;
  readonly chord: string;
  readonly reach: Reach;
  readonly uses: number;
};

/** Commands that are used often on keys that are hard to reach, those that cost most first. */
export function farKeys(advisor: Advisor, index: ClashIndex, usesOf: (command: Command) => number): FarKeys[] {
  const found: FarKeys[] = [];
  for (const command of advisor.facts.program.commands) {
    const uses = usesOf(command);
    if (uses < OFTEN) continue;
    const [best] = bindingsOf(index.keymap, command.id)
      .map(({ chord }) => ({ chord, reach: advisor.reach(chord) }))
      .sort((a, b) => a.reach.figure - b.reach.figure);
    if (best && best.reach.figure >= HARD) found.push({ command, uses, ...best });
  }
  return found.sort((a, b) => b.uses * b.reach.figure - a.uses * a.reach.figure);
}

/** The chord that suits such a command best and is easier to reach, and the ticket that gives it; null where there is none. */
export function nearerKeys(
  advisor: Advisor,
  index: ClashIndex,
  { command, chord, reach }: FarKeys,
): { readonly suggestion: Suggestion; readonly ticket: Ticket } | null {
  const suggestion = suggest(advisor, index, command, 8).find((one) => one.reach.figure < reach.figure);
  if (!suggestion) return null;
  const own = giveKeys(index.keymap, command.id, suggestion.chord, (one) => one.chord !== chord || one.keeper === true);
  const losses = suggestion.spends.map((holder): Change => dropKeys(index.keymap, holder.command.id, [holder.chord]));
  return { suggestion, ticket: { title: command.name, changes: [own, ...losses] } };
}
