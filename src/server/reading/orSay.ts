import { UnreadableList } from '../../core/reading/tables';
import { Problem } from '../../schemas/problem';

/** What is read of a list. @param instead what stands for one that can't be read; else it is a Problem, in its words. */
export function orSay<T, Instead = never>(read: () => T, instead?: () => Instead): T | Instead {
  try {
    return read();
  } catch (error) {
    if (!(error instanceof UnreadableList)) throw error;
    if (instead) return instead();
    throw new Problem('unreadable', error.message);
  }
}
