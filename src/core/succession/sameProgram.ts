import { fold } from '../text/fold';

/** So much of the shorter list has to be in the other one, and so many commands at least. */
const PART = 0.5;
const LEAST = 5;

/** How many names two lists of commands share, where that is enough for them to be of one program; else null. */
export function sameProgram(names: ReadonlySet<string>, others: readonly string[]): number | null {
  const own = new Set(others.map(nameKey));
  let shared = 0;
  for (const one of own) if (names.has(one)) shared++;
  return shared >= LEAST && shared >= PART * Math.min(names.size, own.size) ? shared : null;
}

/** A name as lists are compared by. */
export const nameKey = (name: string): string =>
  fold(name)
    .replace(/(?:…|\.{3})$/u, '')
    .trim();
