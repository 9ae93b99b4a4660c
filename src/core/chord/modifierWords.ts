import type { Modifier } from './chord';

/** Words and signs for modifiers in English, German, French and Spanish, in lower case; `control` depends on whose it is. */
export const MODIFIER_WORDS: Readonly<Record<string, Modifier | 'control'>> = Object.assign(
  Object.create(null) as Record<string, Modifier | 'control'>,
  Object.fromEntries(
    (
      [
        [
          'control',
          'ctrl control ctl cntrl cntl ctr primary strg steuerung steuerungstaste strgtaste contrôle controle ⎈',
        ],
        ['Ctrl', '⌃ macctrl'],
        [
          'Mod',
          '⌘ mod cmdorctrl commandorcontrol ctrlorcmd controlorcommand accel cmd command apple befehl befehlstaste commande comando',
        ],
        ['Alt', '⌥ ⎇ alt mod1 option opt alternate alternative alttaste wahl wahltaste optionstaste opción opcion'],
        [
          'Shift',
          '⇧ shift shft umschalt umsch umschalttaste hochstelltaste maj majuscule mayús mayus mayúsculas mayúscula',
        ],
        ['Meta', '⊞ ❖ ◆ meta mod4 logo win windows super windowstaste wintaste'],
      ] as const
    ).flatMap(([modifier, words]) => words.split(' ').map((word) => [word, modifier])),
  ),
);
