import { describe, expect, it } from 'vitest';
import { canonicalText } from '../chord/chord';
import { chordOfEvent, heldModifiers, modifierOfKey, type Platform, type PressedKeys } from './chordOfEvent';
import { keyDistance } from './keyDistance';
import { placeOf } from './placeOf';
import { usKeyboard } from './usKeyboard';
import { whereOf } from './where';

const german = whereOf({ shape: 'iso', size: 'full', layout: 'de' }, 'windows').keyboard;
const pressed = (code: string, key: string, held: Partial<PressedKeys> = {}): PressedKeys => ({
  ...{ code, key, ctrlKey: false, altKey: false, shiftKey: false, metaKey: false },
  ...held,
});
const chord = (event: PressedKeys, platform: Platform = 'windows', keyboard = usKeyboard): string | null => {
  const read = chordOfEvent(event, keyboard, platform);
  return read && canonicalText(read);
};

describe('a press', () => {
  it.each<[string, PressedKeys, string | null, string | null]>([
    ['a letter', pressed('KeyA', 'a'), 'A', 'A'],
    ['with Ctrl', pressed('KeyA', 'a', { ctrlKey: true }), 'Mod+A', 'Ctrl+A'],
    ['with the Windows key or Command', pressed('KeyA', 'a', { metaKey: true }), 'Meta+A', 'Mod+A'],
    [
      'with all',
      pressed('KeyA', 'A', { ctrlKey: true, altKey: true, shiftKey: true, metaKey: true }),
      'Mod+Alt+Shift+Meta+A',
      'Mod+Ctrl+Alt+Shift+A',
    ],
    ['Shift and a digit is the digit', pressed('Digit2', '@', { shiftKey: true }), 'Shift+2', 'Shift+2'],
    ['a key of the pad by its place', pressed('Numpad7', 'Home'), 'Numpad7', 'Numpad7'],
    ['Enter of the pad', pressed('NumpadEnter', 'Enter'), 'NumpadEnter', 'NumpadEnter'],
    ['a function key', pressed('F9', 'F9'), 'F9', 'F9'],
    ['space', pressed('Space', ' '), 'Space', 'Space'],
    ['a named key', pressed('ArrowLeft', 'ArrowLeft'), 'ArrowLeft', 'ArrowLeft'],
    ['a modifier alone', pressed('ControlLeft', 'Control', { ctrlKey: true }), null, null],
    ['AltGr alone', pressed('AltRight', 'AltGraph'), null, null],
    ['a key without a name', pressed('LaunchMail', 'LaunchMail'), null, null],
    ['a dead key by what is printed there', pressed('Quote', 'Dead'), "'", "'"],
  ])('%s', (_, event, windows, mac) => {
    expect([chord(event), chord(event, 'mac')]).toEqual([windows, mac]);
  });
  it('is what is printed on the keyboard that was chosen, not what the system says', () => {
    expect(chord(pressed('KeyY', 'y'), 'windows', german)).toBe('Z');
    expect(chord(pressed('Semicolon', ';'), 'windows', german)).toBe('Ö');
  });
  it('with AltGr is with Ctrl and Alt, and only where it isn’t told as both', () => {
    const graph = (held: Partial<PressedKeys> = {}) =>
      pressed('KeyQ', '@', { getModifierState: (key) => key === 'AltGraph', ...held });
    expect(heldModifiers(graph(), 'windows')).toEqual(['Mod', 'Alt']);
    expect(heldModifiers(graph({ ctrlKey: true, altKey: true }), 'windows')).toEqual(['Mod', 'Alt']);
    expect(heldModifiers(graph({ shiftKey: true }), 'windows')).toEqual(['Mod', 'Alt', 'Shift']);
    expect(heldModifiers(graph(), 'mac')).toEqual([]);
  });
  it.each([
    ['Control', 'Mod', 'Ctrl'],
    ['Meta', 'Meta', 'Mod'],
    ['OS', 'Meta', 'Mod'],
    ['Alt', 'Alt', 'Alt'],
    ['Shift', 'Shift', 'Shift'],
    ['A', null, null],
    ['AltGraph', null, null],
  ])('the key %s is %s, on a Mac %s', (key, windows, mac) => {
    expect([modifierOfKey(key, 'windows'), modifierOfKey(key, 'mac')]).toEqual([windows, mac]);
  });
});

describe('where keys are', () => {
  const key = (code: string) => usKeyboard.byCode.get(code)!;
  it('is how far their middles are apart', () => {
    expect(keyDistance(key('KeyF'), key('KeyG'))).toBeCloseTo(1, 6);
    expect(keyDistance(key('KeyF'), key('KeyF'))).toBe(0);
    expect(keyDistance(key('KeyF'), key('KeyT'))).toBeCloseTo(keyDistance(key('KeyT'), key('KeyF')), 6);
    expect(keyDistance(key('KeyF'), key('Space'))).toBeGreaterThan(1.9);
  });
  it.each([
    ['Mod+Plus', 'Mod+Shift+='],
    ['Plus', 'Shift+='],
    ['Mod+Shift+=', 'Mod+Shift+='],
    ['?', 'Shift+/'],
    ['Mod+K ?', 'Mod+K Shift+/'],
    ['hold:*', 'hold:Shift+8'],
    ['hold:Alt', 'hold:Alt'],
    ['F9', 'F9'],
    ['no chord', 'no chord'],
  ])('%s is pressed as %s on a US keyboard', (text, place) => {
    const of = placeOf(usKeyboard);
    expect([of(text), of(text)]).toEqual([place, place]);
  });
  it('is another on another keyboard', () => {
    expect([placeOf(german)('Mod+Plus'), placeOf(german)('?')]).toEqual(['Mod+Plus', 'Shift+ß']);
  });
});
