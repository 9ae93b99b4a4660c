import type { Facts } from '@/core/program/programEdits';

/** Does a step in what a program says of itself; false where it is not stored. */
export type Step = (title: string, facts: Partial<Facts>) => Promise<boolean>;
