import type { ChordText } from '../chord/chord';
import { giveKeys } from '../keymap/changeKeys';
import type { Keymap } from '../keymap/keymap';
import type { Ticket } from '../keymap/ticket';
import type { Command } from '../program/program';
import type { ProgramFacts } from './clashIndex';
import { lossesOf } from './lossesOf';
import type { Verdict } from './verdict';

/** One way to go on from a verdict: what its button says, the ticket it puts on the tape, who is to be given a key next. */
export type Choice = { readonly label: string; readonly ticket: Ticket; readonly next: readonly Command[] };

/**
 * The choices a verdict leaves, the plainest first. None of them makes a clash; leaving things as they are is always
 * possible besides and needs no ticket.
 * @param keepOwn whether the command keeps the keys it has besides the new ones (keys the program fixes always stay).
 */
export function choices(
  facts: ProgramFacts,
  keymap: Keymap,
  command: Command,
  chord: ChordText,
  verdict: Verdict,
  keepOwn: boolean,
): Choice[] {
  const own = giveKeys(keymap, command.id, chord, (b) => keepOwn || facts.fixed.has(b.chord));
  const ticket = (...more: Ticket['changes']): Ticket => ({ title: command.name, changes: [own, ...more] });
  if (verdict.kind === 'free') return [{ label: `Use it for ${command.name}`, ticket: ticket(), next: [] }];
  if (verdict.kind === 'takes turns with') return [{ label: 'Let them take turns', ticket: ticket(), next: [] }];
  if (verdict.kind !== 'held by') return [];
  const losses = lossesOf(keymap, verdict.holders);
  const losers = losses.flatMap(({ command: id }) => facts.commands.get(id) ?? []);
  const whom = losers.length === 1 ? `${losers[0]?.name} another key` : `those ${losers.length} other keys`;
  return [
    { label: `Take it, then give ${whom}`, ticket: ticket(...losses), next: losers },
    { label: 'Take it', ticket: ticket(...losses), next: [] },
  ];
}
