import type { Where } from '../keyboard/where';
import { binding, bindingsOf, type Keymap } from '../keymap/keymap';
import { type Change, type Ticket, trimTicket } from '../keymap/ticket';
import type { CommandId } from '../program/program';
import { type ClashIndex, type Holder, relation } from './clashIndex';

/** The ticket that gives commands their factory keys again, and who loses keys by it. */
export type BackToFactory = { readonly ticket: Ticket; readonly losers: readonly Holder[] };

/**
 * Sets commands back to their factory keys. Whoever else clashes on one of those keys loses it, and is named; hooks and
 * keepers on keys that stay are kept. Null when they are all on their factory keys already.
 */
export function backToFactory(
  index: ClashIndex,
  where: Where,
  factory: Keymap,
  commands: readonly CommandId[],
  title: string,
): BackToFactory | null {
  const { keymap, facts } = index;
  const chosen = new Set(commands);
  const changes = new Map<CommandId, Change>();
  for (const id of chosen) {
    const before = bindingsOf(keymap, id);
    const after = bindingsOf(factory, id).map(({ chord, keeper }) => {
      const had = before.find((one) => one.chord === chord);
      return binding(chord, had?.keeper ?? keeper, had?.hook);
    });
    changes.set(id, { command: id, before, after });
  }
  const losers: Holder[] = [];
  for (const id of chosen) {
    const command = facts.commands.get(id);
    if (!command) continue;
    for (const { chord } of changes.get(id)?.after ?? []) {
      for (const holder of index.holders.get(where.place(chord)) ?? []) {
        const other = holder.command.id;
        if (chosen.has(other) || relation(facts, command, holder.command) !== 'clash') continue;
        const before = bindingsOf(keymap, other);
        const now = changes.get(other)?.after ?? before;
        const after = now.filter((one) => one.chord !== holder.chord);
        if (after.length < now.length) losers.push(holder);
        changes.set(other, { command: other, before, after });
      }
    }
  }
  const ticket = trimTicket(keymap, { title, changes: [...changes.values()] });
  return ticket && { ticket, losers };
}
