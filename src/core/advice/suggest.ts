import type { ChordText } from '../chord/chord';
import type { ClashIndex, Holder } from '../clash/clashIndex';
import { verdict } from '../clash/verdict';
import { bindingsOf } from '../keymap/keymap';
import { formOf } from '../program/formOf';
import type { Command } from '../program/program';
import { type Advisor, type Weighed, wantsOf, weigh } from './advisor';
import { candidatesOn, usualLayers } from './candidates';
import { usualForms } from './usualForms';

/** A chord proposed for a command; `spends` are the spares that would lose it. */
export type Suggestion = Weighed & { readonly spends: readonly Holder[] };

/**
 * The best free chords for a command, and those that only spares hold, the best first: by reach and by what else speaks
 * for them. Nothing stands in the way of any. Its own keys are left out.
 */
export function suggest(advisor: Advisor, index: ClashIndex, command: Command, most = 4): Suggestion[] {
  const { where, facts } = advisor;
  const wants = wantsOf(advisor, index.keymap, command);
  const held = command.kind === 'held action';
  const own = new Set(bindingsOf(index.keymap, command.id).map((one) => where.place(one.chord)));
  const forms = usualForms(facts, index.keymap).get(command.kind);
  const weighed: Weighed[] = [];
  for (const candidate of candidatesOn(where, usualLayers(where), true)) {
    const chord = held ? `hold:${candidate.chord}` : candidate.chord;
    if (forms?.has(formOf(chord)) && !own.has(where.place(chord))) weighed.push(weigh(advisor, wants, chord));
  }
  weighed.sort((a, b) => a.cost - b.cost);
  const found: Suggestion[] = [];
  for (const one of weighed) {
    const spends = spentBy(index, advisor, command, one.chord);
    if (spends) found.push({ ...one, spends });
    if (found.length === most) break;
  }
  return found;
}

/** Who would lose a chord if only spares hold it; null where anything else stands in the way. */
function spentBy(index: ClashIndex, { where }: Advisor, command: Command, chord: ChordText): readonly Holder[] | null {
  const { findings } = verdict(index, where, command, chord);
  const [first] = findings;
  if (findings.length !== 1 || !first) return null;
  if (first.kind === 'free') return [];
  return first.kind === 'held by' && first.holders.every((one) => one.spare && !one.keeper) ? first.holders : null;
}
