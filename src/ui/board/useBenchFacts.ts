import { useCallback, useMemo } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { ProgramFacts } from '@/core/clash/clashIndex';
import { neighborsOf } from '@/core/finder/finderRows';
import type { Draft } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command } from '@/core/program/program';
import { actsOnlyHeld } from '@/core/program/takenAs';

const NO_NEIGHBORS = { before: null, after: null };

/** What the bench tells of the command on it, whatever is pressed. */
export function useBenchFacts(facts: ProgramFacts, draft: Draft, command: Command | null) {
  const { program } = facts;
  const around = useMemo(() => neighborsOf(program.commands), [program]);
  const bindings = useMemo(() => (command ? bindingsOf(draft.keymap, command.id) : []), [command, draft.keymap]);
  const factory = useMemo(() => (command ? bindingsOf(draft.factory, command.id) : []), [command, draft.factory]);
  const isFixed = useCallback((chord: ChordText) => facts.fixed.has(chord), [facts]);
  return {
    command,
    bindings,
    factory,
    isFixed,
    contextName: program.contexts.find((one) => one.id === command?.context)?.name ?? 'everywhere',
    onlyHeld: command !== null && actsOnlyHeld(command, program.rules),
    spare: command !== null && draft.keymap.spares.has(command.id),
    neighbors: (command && around.get(command)) ?? NO_NEIGHBORS,
  };
}
