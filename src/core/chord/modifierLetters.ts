/** Modifiers by one letter, as they stand before a hyphen (`C-x`), a plus (`C+x`) or behind a backslash (`\\C-x`). */
export const MODIFIER_LETTERS: Readonly<Record<string, string>> = {
  C: 'Ctrl',
  M: 'Alt',
  A: 'Alt',
  S: 'Shift',
  W: 'Meta',
  D: 'Mod',
};
