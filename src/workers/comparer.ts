import { expose } from 'comlink';
import type { PairsBetween } from '../core/comparison/conceptTable';
import type { Said } from '../core/counterpart/knownPairs';
import { counterpartsOf, type Side } from './counterpartsOf';
import { nowAndThen } from './nowAndThen';

/** Several programs to be compared, each with each. */
export type CompareGround = {
  readonly sides: readonly Side[];
  readonly programNames: Readonly<Record<string, string>>;
};
export type CompareTask = { readonly said: readonly Said[] };

let ground: CompareGround | null = null;

const comparer = {
  open(given: CompareGround): void {
    ground = given;
  },
  /** The sure counterparts between any two of the programs; a program has all its own with itself. */
  compare({ said }: CompareTask, onProgress: (part: number) => void): PairsBetween[] {
    if (!ground) throw new Error('The comparer has not been told what to compare.');
    const { sides, programNames } = ground;
    const say = nowAndThen(onProgress);
    const between: PairsBetween[] = [];
    const all = (sides.length * (sides.length - 1)) / 2;
    let done = 0;
    sides.forEach((left, first) => {
      sides.slice(first + 1).forEach((right, i) => {
        const found =
          left.slug === right.slug
            ? left.program.commands.map((one) => [one.id, one.id] as const)
            : counterpartsOf(left, right, programNames, said, (part) => say((done + part) / all)).flatMap((one) =>
                one.confidence === 'sure' && one.counterpart !== null ? [[one.command, one.counterpart] as const] : [],
              );
        between.push({ first, second: first + 1 + i, pairs: found });
        done++;
      });
    });
    return between;
  },
};
export type Comparer = typeof comparer;
expose(comparer);
