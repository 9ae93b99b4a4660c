import { describe, expect, it } from 'vitest';
import { canonicalText } from '../chord/chord';
import { chordOfEvent, type PressedKeys } from './chordOfEvent';
import { placeOf } from './placeOf';
import { usKeyboard } from './usKeyboard';

const event = (code: string, key: string, held = ''): PressedKeys => ({
  code,
  key,
  ctrlKey: held.includes('c'),
  altKey: held.includes('a'),
  shiftKey: held.includes('s'),
  metaKey: held.includes('m'),
});
const pressed = (e: PressedKeys, platform: 'windows' | 'mac' = 'windows') => {
  const chord = chordOfEvent(e, usKeyboard, platform);
  return chord && canonicalText(chord);
};

describe('the US keyboard', () => {
  it('has 61 keys that fill five rows without gap or overlap', () => {
    expect(usKeyboard.keys).toHaveLength(61);
    for (let y = 0; y < usKeyboard.rows; y++) {
      const row = usKeyboard.keys.filter((key) => key.y === y);
      row.forEach((key, i) => {
        expect(key.x).toBe(i === 0 ? 0 : (row[i - 1]?.x ?? 0) + (row[i - 1]?.width ?? 0));
      });
      expect(row.reduce((sum, key) => sum + key.width, 0)).toBe(15);
    }
  });

  it('gives the chord of a press by the key, not by what the modifiers make of it', () => {
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

  it('knows which keys a shifted character is really on', () => {
    const place = placeOf(usKeyboard);
    expect([place('Mod+Plus'), place('?'), place('Mod+='), place('hold:Space'), place('Mod+K Mod+!')]).toEqual([
      'Mod+Shift+=',
      'Shift+/',
      'Mod+=',
      'hold:Space',
      'Mod+K Mod+Shift+1',
    ]);
  });
});
