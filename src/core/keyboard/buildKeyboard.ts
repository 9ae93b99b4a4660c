import { characterName, type Key, type Keyboard, type KeyboardChoice, type Legend } from './keyboard';
import { layoutFacts } from './layouts';
import { shapePlaces } from './shapes';

/** What the right Alt key prints where a layout has characters behind it. */
export const ALT_GR = 'AltGr';

const known = new Map<string, Keyboard>();

/** The keyboard somebody has chosen: the places of its shape with the legends of its layout. Built once each. */
export function buildKeyboard(choice: KeyboardChoice): Keyboard {
  const id = `${choice.shape} ${choice.size} ${choice.layout}`;
  const before = known.get(id);
  if (before) return before;
  const facts = layoutFacts(choice.layout);
  const places = shapePlaces(choice.shape, choice.size, facts.keys.IntlRo !== undefined);
  const hasAltGr = places.some(({ code }) => (facts.keys[code]?.[2] ?? '') !== '');
  const keys = places.map(({ label, ...place }): Key => {
    const levels = (facts.keys[place.code] ?? []).map(legendOf);
    const base = levels[0];
    if (!base) {
      const name = nameOf(place.code);
      return { ...place, levels: [], name, label: hasAltGr && place.code === 'AltRight' ? ALT_GR : label || name };
    }
    const name = letterName(base.char, levels[1]?.char);
    return { ...place, levels, name, label: /^\p{Lu}$/u.test(name) && levels[1]?.char === name ? name : base.char };
  });
  const byChar = new Map<string, { key: Key; level: number }>();
  for (let level = 0; level < 4; level++) {
    for (const key of keys) {
      const char = key.levels[level]?.char;
      if (char === undefined) continue;
      const name = level === 0 ? key.name : characterName(char);
      if (!byChar.has(name)) byChar.set(name, { key, level });
    }
  }
  const keyboard: Keyboard = {
    choice,
    name: facts.name,
    keys,
    byCode: new Map(keys.map((key) => [key.code, key])),
    byChar,
    width: Math.max(...keys.map((key) => key.x + key.width)),
    height: Math.max(...keys.map((key) => key.y + key.height)),
  };
  known.set(id, keyboard);
  return keyboard;
}

function legendOf(text: string): Legend | null {
  return text === '' ? null : text.startsWith('◌') ? { char: text.slice(1), dead: true } : { char: text, dead: false };
}

/** A letter goes by its capital as printed: the Turkish dotless `ı` by `I`, its dotted neighbor by `İ`. */
function letterName(base: string, shifted: string | undefined): string {
  const isPair = shifted !== undefined && /^\p{Ll}$/u.test(base) && /^\p{Lu}$/u.test(shifted);
  return isPair ? shifted : characterName(base);
}

/** The name of a key that prints nothing: its code, or the modifier it is. */
function nameOf(code: string): string {
  return code.replace(/^(Shift|Meta|Alt)(Left|Right)$/, '$1').replace(/^Control(Left|Right)$/, 'Mod');
}
