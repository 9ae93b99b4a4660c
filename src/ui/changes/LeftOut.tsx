import type { EntryPlan } from '@/core/changeList/planEntry';
import { KeyCaps } from '../parts/KeyCaps';

type Props = { readonly refused: EntryPlan['refused']; readonly nameOf: (id: string) => string };

/** What the program would not take. */
export function LeftOut({ refused, nameOf }: Props) {
  if (refused.length === 0) return null;
  return (
    <section aria-label="Left out">
      <h3>Left out, because the program would not take them</h3>
      <ul>
        {refused.map((one) => (
          <li key={`${one.command} ${one.chord}`}>
            <strong>{nameOf(one.command)}</strong> <KeyCaps chord={one.chord} />: {nameOf(one.holder)} has it and keeps
            it.
          </li>
        ))}
      </ul>
    </section>
  );
}
