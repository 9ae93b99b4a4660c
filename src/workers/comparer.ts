import { expose } from 'comlink';
import type { PairsBetween } from '../core/comparison/conceptTable';
import { pairsBetween } from '../core/comparison/pairsBetween';
import type { Side } from '../core/counterpart/counterpartsOf';
import type { Said } from '../core/counterpart/knownPairs';
import type { Lesson } from '../core/counterpart/lessons';
import { nowAndThen } from './nowAndThen';

/** Several programs to be compared, each with each. */
export type CompareGround = {
  readonly sides: readonly Side[];
  readonly programNames: Readonly<Record<string, string>>;
  readonly lessons: readonly Lesson[];
};
export type CompareTask = { readonly said: readonly Said[] };

let ground: CompareGround | null = null;

const comparer = {
  open(given: CompareGround): void {
    ground = given;
  },
  /** The sure counterparts between any two of the programs. */
  compare({ said }: CompareTask, onProgress: (part: number) => void): PairsBetween[] {
    if (!ground) throw new Error('The comparer has not been told what to compare.');
    return pairsBetween(ground.sides, ground.programNames, said, nowAndThen(onProgress), ground.lessons);
  },
};
export type Comparer = typeof comparer;
expose(comparer);
