import type { ChordText } from '../chord/chord';
import { parseCanonical } from '../chord/parseChord';
import type { PressedKeys } from '../keyboard/chordOfEvent';
import type { Keyboard } from '../keyboard/keyboard';

/**
 * What a browser under Windows tells of pressing a chord, one event a stroke: the key on which the character is printed,
 * with what the modifiers held make of it. Modifiers held alone give the last of them.
 * @throws Error where the keyboard has no such key.
 */
export function pressesOf(chord: ChordText, keyboard: Keyboard): PressedKeys[] {
  const strokes = parseCanonical(chord)?.strokes ?? [];
  return strokes.map(({ modifiers, key }) => {
    const printed = key === null ? undefined : keyboard.byChar.get(key);
    const drawn = printed?.key ?? keyboard.keys.find((one) => one.name === key || one.code === key);
    if (key !== null && !drawn) throw new Error(`There is no ${key} on this keyboard.`);
    const shift = modifiers.includes('Shift') || printed?.level === 1;
    const last = modifiers.at(-1) ?? '';
    const spoken = last === 'Mod' ? 'Control' : last;
    const tells = drawn?.name === 'Space' ? ' ' : (drawn?.levels[shift ? 1 : 0]?.char ?? PAD[key ?? ''] ?? drawn?.name);
    return {
      code: drawn?.code ?? `${spoken}Left`,
      key: key === null ? spoken : (tells ?? ''),
      ctrlKey: modifiers.includes('Mod'),
      altKey: modifiers.includes('Alt'),
      shiftKey: shift,
      metaKey: modifiers.includes('Meta'),
    };
  });
}

/** What keys of the number pad give, which the main block gives as well. */
const PAD: Readonly<Record<string, string>> = {
  NumpadAdd: '+',
  NumpadSubtract: '-',
  NumpadMultiply: '*',
  NumpadDivide: '/',
  NumpadDecimal: '.',
  NumpadEnter: 'Enter',
  ...Object.fromEntries(Array.from({ length: 10 }, (_, n) => [`Numpad${n}`, `${n}`])),
};
