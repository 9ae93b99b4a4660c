import type { Filter, Mark } from '@/core/finder/filters';
import type { Program } from '@/core/program/program';

/** What the lists of filters choose in. */
export type Filtering = {
  readonly program: Program;
  readonly filter: Filter;
  readonly counts: Readonly<Record<Mark, number>>;
  readonly onChange: (filter: Filter) => void;
};
