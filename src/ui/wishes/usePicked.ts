import { useDeferredValue, useMemo, useState } from 'react';
import { easiest } from '@/core/effort/gains';
import type { Draft } from '@/core/keymap/draft';
import { bindingsOf } from '@/core/keymap/keymap';
import type { Command, CommandId, Program } from '@/core/program/program';
import { HARD } from '@/core/reach/describeReach';
import type { ReachOf } from '@/core/reach/reachOf';
import { useFinder } from '../board/useFinder';

/** Which commands are shown to be wished for. */
export const SHOWN = ['wished', 'all', 'no key', 'hard to reach'] as const;
export type Shown = (typeof SHOWN)[number];

type Given = {
  readonly program: Program;
  readonly draft: Draft;
  readonly wishes: readonly CommandId[];
  readonly reach: ReachOf | null;
};

/** What is looked for among which commands, and what is found. */
export function usePicked({ program, draft, wishes, reach }: Given) {
  const [query, setQuery] = useState('');
  const [shown, setShown] = useState<Shown>(wishes.length > 0 ? 'wished' : 'all');
  const finder = useFinder(program.commands);
  const wished = useMemo(() => new Set(wishes), [wishes]);
  const sets = useMemo((): Readonly<Record<Shown, readonly Command[]>> => {
    const { keymap } = draft;
    const hard = (command: Command): boolean => {
      const bindings = bindingsOf(keymap, command.id);
      const best = reach && bindings.length > 0 ? easiest(bindings.map(({ chord }) => reach(chord))) : undefined;
      return best !== undefined && best.figure >= HARD;
    };
    return {
      wished: program.commands.filter((one) => wished.has(one.id)),
      all: program.commands,
      'no key': program.commands.filter((one) => bindingsOf(keymap, one.id).length === 0),
      'hard to reach': reach ? program.commands.filter(hard) : [],
    };
  }, [program, draft, wished, reach]);
  const asked = useDeferredValue(query.trim());
  const rows = useMemo(() => {
    if (asked === '') return sets[shown];
    const allowed = new Set(sets[shown]);
    const found = finder()?.(asked).commands ?? program.commands;
    return found.filter((one) => allowed.has(one));
  }, [asked, sets, shown, finder, program]);
  return { query, setQuery, shown, setShown, sets, wished, asked, rows };
}
