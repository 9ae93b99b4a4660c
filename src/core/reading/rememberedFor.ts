import type { Remembered } from './preview';
import type { Reading } from './readCommandList';

const FEWEST = 3;

/**
 * The list read by what was said of an earlier one, if it is a list of the same program: at least half of the commands it
 * then has are called as there.
 * @param read reads the list by some choices.
 */
export function rememberedFor(
  remembered: readonly Remembered[],
  read: (choices: Remembered['choices']) => Reading,
): { readonly reading: Reading; readonly by: Remembered } | null {
  for (const by of remembered) {
    const names = new Set(by.names);
    const reading = read(by.choices);
    const listed = reading.rows.flatMap(({ command }) => command?.name ?? []);
    const known = listed.filter((name) => names.has(name)).length;
    if (known >= FEWEST && known >= 0.5 * listed.length && known >= 0.5 * names.size) return { reading, by };
  }
  return null;
}
