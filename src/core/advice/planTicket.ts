import type { Assignment } from '../assignment/costTable';
import type { ChordText } from '../chord/chord';
import { relation } from '../clash/clashIndex';
import { type Binding, bindingsOf, type Keymap, sameBindings } from '../keymap/keymap';
import type { Change, Ticket } from '../keymap/ticket';
import type { Command, CommandId } from '../program/program';
import { counted } from '../text/sentence';
import type { Advisor, ChordFacts } from './advisor';
import { chordOf } from './chordOf';
import type { PlanTable } from './planTable';
import type { WishList } from './wishList';

/** The plan as one ticket; null where it changes nothing. */
export function ticketOf(
  keymap: Keymap,
  advisor: Advisor,
  list: WishList,
  table: PlanTable,
  chosen: Assignment,
): Ticket | null {
  const after = new Map<CommandId, readonly Binding[]>();
  const now = (id: CommandId): readonly Binding[] => after.get(id) ?? bindingsOf(keymap, id);
  const { facts, where } = advisor;
  const takers = new Map<ChordText, Command[]>();
  table.list.forEach((row, r) => {
    const chord = chordOf(table, chosen, r);
    if (chord === row.own) return;
    const bindings = now(row.command.id);
    const had = bindings.find((one) => one.chord === row.own);
    const added = chord === null ? [] : [withHook(advisor.chord(chord), had)];
    if (chord !== null) takers.set(where.place(chord), [...(takers.get(where.place(chord)) ?? []), row.command]);
    after.set(row.command.id, had ? bindings.flatMap((one) => (one === had ? added : [one])) : [...bindings, ...added]);
  });
  for (const id of keymap.spares) {
    if (list.wishes.includes(id)) continue;
    const spare = facts.commands.get(id);
    // One that is heard elsewhere, or in turns, keeps what another gets besides.
    const taken = ({ chord }: Binding): boolean =>
      spare !== undefined &&
      (takers.get(where.place(chord)) ?? []).some((one) => relation(facts, one, spare) === 'clash');
    const left = now(id).filter((one) => one.keeper || !taken(one));
    if (left.length < now(id).length) after.set(id, left);
  }
  const changes = [...after]
    .map(([command, bindings]): Change => ({ command, before: bindingsOf(keymap, command), after: bindings }))
    .filter((change) => !sameBindings(change.before, change.after));
  if (changes.length === 0) return null;
  const wishes = new Set(list.wishes);
  const got = changes.filter((change) => wishes.has(change.command)).length;
  // Those that were wished for stand first, so that the ticket opens with them.
  changes.sort((a, b) => Number(wishes.has(b.command)) - Number(wishes.has(a.command)));
  return { title: `Wish list: keys for ${counted(got, 'command')}`, changes };
}

/** A hook goes along where its letter still fits. */
function withHook({ chord, key }: ChordFacts, had: Binding | undefined): Binding {
  const letter = had?.hook?.match(/\p{L}/u)?.[0]?.toUpperCase();
  return letter !== undefined && had?.hook !== undefined && key === letter ? { chord, hook: had.hook } : { chord };
}
