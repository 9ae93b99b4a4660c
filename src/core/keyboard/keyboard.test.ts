import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalText } from '../chord/chord';
import { keymapOf, rowsOf } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { buildKeyboard } from './buildKeyboard';
import { chordOfEvent, type PressedKeys } from './chordOfEvent';
import { SHAPES, SIZES } from './keyboard';
import { LAYOUTS } from './layouts';
import { moveKeyboard, samePlace } from './moveKeyboard';
import { usKeyboard } from './usKeyboard';
import { whereOf } from './where';

const event = (code: string, key: string, held = ''): PressedKeys => ({
  code,
  key,
  ctrlKey: held.includes('c'),
  altKey: held.includes('a'),
  shiftKey: held.includes('s'),
  metaKey: held.includes('m'),
  getModifierState: (name) => name === 'AltGraph' && held.includes('g'),
});
const layout = (id: string, shape: (typeof SHAPES)[number] = 'iso') =>
  buildKeyboard({ layout: id, shape, size: 'full' });
const pressed = (e: PressedKeys, platform: 'windows' | 'mac' = 'windows', keyboard = usKeyboard) => {
  const chord = chordOfEvent(e, keyboard, platform);
  return chord && canonicalText(chord);
};
const troubles = (
  id: string,
  chord: string,
  shape: (typeof SHAPES)[number] = 'iso',
  size: (typeof SIZES)[number] = 'full',
) =>
  whereOf({ layout: id, shape, size }, 'windows')
    .typing(chord)
    .map((one) => one.kind);

describe('keyboards', () => {
  it('have keys that nowhere overlap and rows of the main block that are 15 units wide, in every shape and size', () => {
    for (const shape of SHAPES) {
      for (const size of SIZES) {
        for (const { id } of LAYOUTS) {
          const { keys } = buildKeyboard({ shape, size, layout: id });
          expect(new Set(keys.map((key) => key.code)).size).toBe(keys.length);
          for (const a of keys) {
            const meets = keys.filter(
              (b) =>
                a !== b &&
                a.x < b.x + b.width - 1e-9 &&
                b.x < a.x + a.width - 1e-9 &&
                a.y < b.y + b.height - 1e-9 &&
                b.y < a.y + a.height - 1e-9,
            );
            expect(meets.map((b) => `${shape} ${id} ${a.code} ${b.code}`)).toEqual([]);
          }
          const main = keys.filter((key) => key.part === 'main block');
          expect(Math.max(...main.map((key) => key.x + key.width))).toBe(15);
          expect(keys.some((key) => key.part === 'number pad')).toBe(size === 'full');
        }
      }
    }
    expect(usKeyboard.keys.filter((key) => key.part === 'main block')).toHaveLength(61);
    expect(LAYOUTS.length).toBeGreaterThanOrEqual(24);
  });

  it('name each key once, so that every press has a chord of its own', () => {
    for (const { id, shape } of LAYOUTS) {
      const printed = layout(id, shape).keys.filter((key) => key.levels.length > 0);
      const names = printed.map((key) => key.name);
      // Two keys of a Japanese keyboard print a backslash.
      const twice = names.filter((name, i) => names.indexOf(name) !== i);
      expect([id, twice]).toEqual([id, id === 'jp' ? ['\\'] : []]);
    }
  });

  it('give the chord of a press by the key, not by what the modifiers make of it', () => {
    expect(pressed(event('KeyW', 'w', 'a'))).toBe('Alt+W');
    expect(pressed(event('KeyL', '¬', 'a'), 'mac')).toBe('Alt+L');
    expect(pressed(event('Digit0', ')', 'cs'))).toBe('Mod+Shift+0');
    expect(pressed(event('Equal', '+', 'cs'))).toBe('Mod+Shift+=');
    expect(pressed(event('KeyS', 's', 'c'), 'mac')).toBe('Ctrl+S');
    expect(pressed(event('KeyS', 's', 'm'), 'mac')).toBe('Mod+S');
    expect(pressed(event('KeyE', 'e', 'm'))).toBe('Meta+E');
    expect(pressed(event('Numpad5', '5'))).toBe('Numpad5');
    expect(pressed(event('NumpadAdd', '+', 'c'))).toBe('Mod+NumpadAdd');
    expect(pressed(event('Space', ' '))).toBe('Space');
    expect(pressed(event('F9', 'F9', 'cs'))).toBe('Mod+Shift+F9');
    expect(pressed(event('ControlLeft', 'Control', 'c'))).toBeNull();
    expect(pressed(event('Lang1', 'HangulMode'))).toBeNull();
  });

  it('give what is printed there on a German, a Dvorak, a Japanese, a French and a Turkish keyboard', () => {
    expect(pressed(event('KeyY', 'z', 'c'), 'windows', layout('de'))).toBe('Mod+Z');
    expect(pressed(event('BracketLeft', 'ü', 'c'), 'windows', layout('de'))).toBe('Mod+Ü');
    expect(pressed(event('BracketRight', '+', 'c'), 'windows', layout('de'))).toBe('Mod+Plus');
    expect(pressed(event('KeyS', 'o', 'c'), 'windows', layout('dvorak', 'ansi'))).toBe('Mod+O');
    expect(pressed(event('BracketLeft', '@', 'c'), 'windows', layout('jp', 'jis'))).toBe('Mod+@');
    expect(pressed(event('IntlRo', '\\', 'c'), 'windows', layout('jp', 'jis'))).toMatch(/^Mod\+/);
    expect(pressed(event('Digit0', 'à', 'ca'), 'windows', layout('fr'))).toBe('Mod+Alt+À');
    expect(pressed(event('Digit0', '@', 'g'), 'windows', layout('fr'))).toBe('Mod+Alt+À');
    expect(pressed(event('KeyI', 'ı', 'c'), 'windows', layout('tr'))).toBe('Mod+I');
    expect(pressed(event('Quote', 'i', 'c'), 'windows', layout('tr'))).toBe('Mod+İ');
  });

  it('know which keys a shifted character is really on', () => {
    const { place } = whereOf(usKeyboard.choice);
    expect(['Mod+Plus', '?', 'Mod+=', 'hold:Space', 'Mod+K Mod+!'].map(place)).toEqual([
      'Mod+Shift+=',
      'Shift+/',
      'Mod+=',
      'hold:Space',
      'Mod+K Mod+Shift+1',
    ]);
    expect(whereOf({ ...usKeyboard.choice, layout: 'fr' }).place('Mod+0')).toBe('Mod+Shift+À');
    expect(whereOf({ ...usKeyboard.choice, layout: 'de' }).place('Mod+Plus')).toBe('Mod+Plus');
  });

  it('warn of characters behind Shift and AltGr, of AltGr itself, of accents, of keys that are not there', () => {
    expect(troubles('us', 'Mod+Alt+0', 'ansi')).toEqual([]);
    expect(troubles('fr', 'Mod+Alt+0')).toEqual(['needs Shift', 'types a character']);
    expect(troubles('fr', 'Mod+Alt+À')).toEqual(['types a character']);
    expect(troubles('fr', 'Mod+[')).toEqual(['needs AltGr']);
    expect(troubles('fr', 'Mod+]')).toEqual(['needs AltGr']);
    expect(troubles('fr', '^')).toEqual(['dead key']);
    expect(troubles('de', 'Mod+Alt+E')).toEqual(['types a character']);
    expect(whereOf({ layout: 'de', shape: 'iso', size: 'full' }).typing('Mod+Alt+K')).toMatchObject([
      { char: 'ĸ', sure: false },
    ]);
    expect(troubles('us', 'F9', 'ansi', 'compact')).toEqual(['no such key']);
    expect(troubles('us', 'Numpad5', 'ansi', 'no pad')).toEqual(['no such key']);
    expect(troubles('us', 'Mod+Ü', 'ansi')).toEqual(['no such key']);
    expect(whereOf({ layout: 'de', shape: 'iso', size: 'full' }, 'mac').typing('Mod+Alt+E')).toEqual([]);
  });
});

describe('moving a keymap to another keyboard', () => {
  const rows: [string, string][] = [
    ['a', 'Mod+Z'],
    ['b', 'Mod+['],
    ['c', 'Mod+Plus'],
    ['d', 'F5'],
    ['e', 'Mod+1'],
  ];
  const to = whereOf({ layout: 'de', shape: 'iso', size: 'full' });

  it('keeps letters and says what can no longer be typed, or keeps positions and says what changes', () => {
    const letters = moveKeyboard(keymapOf(rows), usKeyboard, to, 'letters', () => false);
    expect([letters.changes, letters.moved, letters.same]).toEqual([[], [], 5]);
    expect(letters.troubled.map((one) => [one.command, one.troubles[0]?.kind])).toEqual([['b', 'needs AltGr']]);
    const places = moveKeyboard(keymapOf(rows), usKeyboard, to, 'positions', () => false);
    expect(places.moved.map(({ from, to: there }) => [from, there])).toEqual([
      ['Mod+Z', 'Mod+Y'],
      ['Mod+[', 'Mod+Ü'],
      ['Mod+Plus', 'Mod+`'],
    ]);
    expect(rowsOf(applyTicket(keymapOf(rows), { title: '', changes: places.changes })).at(-2)).toEqual(['d', 'F5']);
  });

  it('by positions there and back again gives every chord of the main block as it was', () => {
    const printed = usKeyboard.keys.filter((key) => key.levels.length > 0).map((key) => `Mod+${key.name}`);
    fc.assert(
      fc.property(
        fc.constantFrom(...printed),
        fc.constantFrom('de', 'fr', 'dvorak', 'colemak', 'es', 'tr'),
        (chord, id) => {
          const there = layout(id);
          const gone = samePlace(chord, usKeyboard, there);
          if (gone !== chord) expect(samePlace(gone, there, usKeyboard)).toBe(chord);
        },
      ),
    );
  });
});
