import type { ChordText } from '../chord/chord';
import type { Command } from '../program/program';
import { type ClashIndex, type Holder, type Place, relation } from './clashIndex';

/** What pressing a chord for a command would mean. */
export type Verdict =
  | { readonly kind: 'free' }
  | { readonly kind: 'already yours' }
  | { readonly kind: 'takes turns with'; readonly turns: readonly Holder[] }
  | { readonly kind: 'held by'; readonly holders: readonly Holder[]; readonly turns: readonly Holder[] }
  | { readonly kind: 'fixed by the program'; readonly why: string };

/** The verdict on a chord for a command: one look into the index. */
export function verdict(index: ClashIndex, command: Command, chord: ChordText, place: Place): Verdict {
  const at = place(chord);
  const here = index.holders.get(at) ?? [];
  if (here.some((holder) => holder.command.id === command.id)) return { kind: 'already yours' };
  const why = index.facts.fixed.get(at) ?? index.facts.fixed.get(chord);
  if (why !== undefined) return { kind: 'fixed by the program', why };
  const holders: Holder[] = [];
  const turns: Holder[] = [];
  for (const holder of here) {
    const how = relation(index.facts, command, holder.command);
    if (how === 'clash') holders.push(holder);
    else if (how === 'turns') turns.push(holder);
  }
  if (holders.length > 0) return { kind: 'held by', holders, turns };
  return turns.length > 0 ? { kind: 'takes turns with', turns } : { kind: 'free' };
}
