'use client';

import { useCallback, useEffect, useMemo, useRef } from 'react';
import type { AdviceView } from '@/core/advice/adviceView';
import { type Advisor, buildAdvisor } from '@/core/advice/advisor';
import { type Suggestion, suggest } from '@/core/advice/suggest';
import { usualForms } from '@/core/advice/usualForms';
import type { ClashIndex, ProgramFacts } from '@/core/clash/clashIndex';
import { usesOf } from '@/core/effort/uses';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import { useReach } from '../parts/useReach';
import { useSettings } from '../shell/SettingsContext';

const MOST = 4;
const NONE: readonly Suggestion[] = [];

/** Advice for the Board: reach, the best keys for the command on the bench, and how often commands are used. */
export function useAdvice(facts: ProgramFacts, index: ClashIndex, view: AdviceView, selected: Command | null) {
  const { where, settings } = useSettings();
  const { reach, ready } = useReach(index.keymap);
  const { hand } = settings;
  const { elsewhere } = view;
  const built = useRef<Advisor | null>(null);
  const keymapRef = useRef(index.keymap);
  keymapRef.current = index.keymap;
  // Built while the page has nothing else to do, or when it is first asked for.
  const advisor = useCallback((): Advisor => {
    const now = built.current;
    if (now?.facts === facts && now.where === where && now.hand === hand) return now;
    built.current = buildAdvisor(facts, where, hand, elsewhere);
    return built.current;
  }, [facts, where, hand, elsewhere]);
  useEffect(() => {
    const steps = [
      () => void advisor(),
      // The first question of each has it look through all commands or keys.
      () => void advisor().partnerOf(facts.program.commands[0] as Command),
      () => void usualForms(facts, keymapRef.current),
    ];
    let idle = 0;
    const next = (): void => {
      steps.shift()?.();
      if (steps.length > 0) idle = window.requestIdleCallback(next, { timeout: 3000 });
    };
    idle = window.requestIdleCallback(next, { timeout: 3000 });
    return () => window.cancelIdleCallback(idle);
  }, [advisor, facts]);
  // Once reach is worked out this takes about a millisecond; before that it would hold up the page.
  const best = useMemo(
    (): readonly Suggestion[] => (selected && ready ? suggest(advisor(), index, selected, MOST) : NONE),
    [selected, ready, advisor, index],
  );
  const told = useMemo(() => new Map(Object.entries(view.uses)), [view.uses]);
  const uses = useCallback(
    (command: Command): number => usesOf(command, told, index.keymap.spares.has(command.id)),
    [told, index.keymap],
  );
  /** The easiest of the command's own keys, to compare others with. */
  const ownKeys = useMemo(() => {
    if (!selected) return null;
    const [easiest] = bindingsOf(index.keymap, selected.id)
      .map(({ chord }) => ({ chord, reach: reach(chord) }))
      .sort((a, b) => a.reach.figure - b.reach.figure);
    return easiest ?? null;
  }, [selected, index.keymap, reach]);
  return { reach, ready, advisor, best, uses, ownKeys };
}
