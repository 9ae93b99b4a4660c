/** Keys of the demo keymaps that Windows takes first, so that a program never hears them. */
export const DESKTOP_PRESSES: ReadonlySet<string> = new Set([
  'F10',
  'Alt+F4',
  'Alt+Space',
  'Mod+Escape',
  'Mod+Shift+Escape',
]);

const NAMED: Readonly<Record<string, string>> = {
  Plus: 'Equal',
  ',': 'Comma',
  '.': 'Period',
  '/': 'Slash',
  ';': 'Semicolon',
  "'": 'Quote',
  '[': 'BracketLeft',
  ']': 'BracketRight',
  '\\': 'Backslash',
  '-': 'Minus',
  '=': 'Equal',
  '`': 'Backquote',
};

/** A chord as the test's keyboard presses it, a US one; null for a sequence. */
export function playwrightKeys(chord: string): string | null {
  const text = chord.replace(/^hold:/, '');
  if (text.includes(' ')) return null;
  const parts = text.split('+').filter((one) => one !== '');
  const key = parts.pop() ?? '';
  const modifiers = parts.map((one) => (one === 'Mod' ? 'Control' : one));
  if (/^(?:Mod|Alt|Shift|Meta)$/.test(key)) return [...modifiers, key === 'Mod' ? 'Control' : key].join('+');
  const code = /^[A-Z]$/.test(key) ? `Key${key}` : /^\d$/.test(key) ? `Digit${key}` : (NAMED[key] ?? key);
  // Plus stands above the equals sign.
  if (key === 'Plus' && !modifiers.includes('Shift')) modifiers.push('Shift');
  return [...modifiers, code].join('+');
}
