import type { ProgramFacts } from '../clash/clashIndex';
import type { Keymap } from '../keymap/keymap';
import { formOf } from '../program/formOf';
import { FORMS, type Form, KINDS, type Kind } from '../program/program';

/** A form is usual for a kind if at least this part of its keys have it. */
const USUAL = 0.15;
/** With fewer keys than this nothing can be said, so every form that the program takes is usual. */
const FEW = 8;

const known = new WeakMap<Keymap, ReadonlyMap<Kind, ReadonlySet<Form>>>();

/**
 * The forms that keys of each kind usually have in a keymap, of those that the program takes. A menu item may be allowed a
 * bare letter because one came with it; advice keeps such keys for the kinds that live by them.
 */
export function usualForms(facts: ProgramFacts, keymap: Keymap): ReadonlyMap<Kind, ReadonlySet<Form>> {
  const before = known.get(keymap);
  if (before) return before;
  const counts = new Map(KINDS.map((kind) => [kind, new Map<Form, number>()]));
  for (const [id, bindings] of keymap.bindings) {
    const of = counts.get(facts.commands.get(id)?.kind ?? 'menu item');
    for (const { chord } of bindings) of?.set(formOf(chord), (of.get(formOf(chord)) ?? 0) + 1);
  }
  const usual = new Map(
    KINDS.map((kind) => {
      const of = counts.get(kind) ?? new Map<Form, number>();
      const all = [...of.values()].reduce((sum, n) => sum + n, 0);
      const taken = facts.program.rules.forms[kind];
      return [
        kind,
        new Set(FORMS.filter((form) => taken.includes(form) && (all < FEW || (of.get(form) ?? 0) >= USUAL * all))),
      ] as const;
    }),
  );
  known.set(keymap, usual);
  return usual;
}
