import { expect, it } from 'vitest';
import { ariaKeys } from './ariaKeys';

it.each<[string[], boolean, string | undefined]>([
  [['Mod+Z'], false, 'Control+Z'],
  [['Mod+Shift+Z'], true, 'Meta+Shift+Z'],
  [['Ctrl+A'], true, 'Control+A'],
  [['Mod+Plus', 'Mod+NumpadAdd'], false, 'Control+Plus Control+Plus'],
  [['Space'], false, 'Space'],
  [['Alt+PageDown', 'F5'], false, 'Alt+PageDown F5'],
  [['Numpad4', 'NumpadEnter'], false, '4 Enter'],
  [['Mod+K Mod+S', 'hold:Space', 'S'], false, 'S'],
  [['hold:Alt'], false, undefined],
  [[], false, undefined],
])('%j is said as ARIA wants it', (chords, mac, words) => {
  expect(ariaKeys(chords, mac)).toBe(words);
});
