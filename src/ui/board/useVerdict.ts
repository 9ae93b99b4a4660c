import { useDeferredValue, useMemo, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import { type Choice, choices } from '@/core/clash/choices';
import type { ClashIndex } from '@/core/clash/clashIndex';
import { type Judged, judge } from '@/core/clash/judge';
import type { Command } from '@/core/program/program';
import { useSettings } from '../shell/SettingsContext';

/** What speaks against the keys proposed, and the ways to go on, which follow in the next picture. */
export function useVerdict(index: ClashIndex, selected: Command | null, proposed: ChordText | null) {
  const { where } = useSettings();
  const [keepOwn, setKeepOwn] = useState(false);
  const judged = useMemo(
    (): Judged | null => (selected && proposed !== null ? judge(index, where, selected, proposed) : null),
    [selected, proposed, index, where],
  );
  const choicesFor = (said: Judged | null): Choice[] =>
    said && selected ? choices(index, where, selected, said.verdict, keepOwn) : [];
  // The ways to go on, and the ring on the drawn key, follow the verdict, so that it is painted first.
  const answered = useDeferredValue(judged);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a choice is made of a verdict, which is made of the others.
  const offered = useMemo(() => choicesFor(answered), [answered, keepOwn]);
  /** The first way to go on; Enter may come before the choices are painted, so they are worked out for it. */
  const first = (): Choice | undefined => choicesFor(judged)[0];
  /**
   * A choice that is shown, as it is by now: what it was worked out from may be older than the verdict, as after an
   * answer of the server. None where it is for other keys than those asked about, or is not to be had any more.
   */
  const standing = ({ kind, label, keys }: Choice): Choice | undefined =>
    answered?.chord === judged?.chord
      ? choicesFor(judged).find((one) => one.kind === kind && one.label === label && one.keys === keys)
      : undefined;
  return { judged, answered, offered, first, standing, keepOwn, setKeepOwn };
}
