import type { Modifier } from '../chord/chord';
import type { Desktop } from '../desktop/desktopKeys';
import { ALT_GR } from '../keyboard/buildKeyboard';
import type { Keyboard } from '../keyboard/keyboard';

const PC: Readonly<Record<Modifier, readonly string[]>> = {
  Mod: ['ControlLeft', 'ControlRight'],
  Ctrl: ['ControlLeft', 'ControlRight'],
  Alt: ['AltLeft', 'AltRight'],
  Shift: ['ShiftLeft', 'ShiftRight'],
  Meta: ['MetaLeft', 'MetaRight'],
};
/** On a Mac Command lies beside the space bar and Option beyond it. */
const MAC: typeof PC = { ...PC, Mod: ['AltLeft', 'AltRight'], Alt: ['MetaLeft', 'MetaRight'] };

/** The codes of the keys that give a modifier on a keyboard, both sides; the right Alt is none where it is AltGr. */
export function modifierKeys(keyboard: Keyboard, desktop: Desktop, modifier: Modifier): readonly string[] {
  return (desktop === 'mac' ? MAC : PC)[modifier].filter((code) => {
    const key = keyboard.byCode.get(code);
    return key !== undefined && (desktop === 'mac' || key.label !== ALT_GR);
  });
}
