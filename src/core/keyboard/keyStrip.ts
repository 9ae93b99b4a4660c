import type { Key, Keyboard } from './keyboard';

/** For each printed key of a keyboard, whether any chord of a keymap uses it, and whether one of yours does. */
export function keyStrip(
  keyboard: Keyboard,
  pins: readonly (readonly [key: string, yours: boolean])[],
): { readonly key: Key; readonly pin: 'factory' | 'yours' | null }[] {
  const used = new Map<Key, boolean>();
  for (const [key, yours] of pins) {
    const at = keyboard.byChar.get(key)?.key;
    if (at) used.set(at, yours || (used.get(at) ?? false));
  }
  return keyboard.keys
    .filter((key) => key.levels.length > 0)
    .map((key) => {
      const yours = used.get(key);
      return { key, pin: yours === undefined ? null : yours ? 'yours' : 'factory' };
    });
}
