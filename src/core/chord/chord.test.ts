import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Chord, canonicalText, inOrder, MODIFIERS } from './chord';
import { parseCanonical, parseChord } from './parseChord';
import { parseChords } from './parseChords';
import { NOTATIONS, writeChord } from './writeChord';

const KEYS = [
  ..."ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789`-=[]\\;',./#*?<>ÄÖÉÇÑ§ß^",
  ...['Plus', 'Space', 'Enter', 'Tab', 'Escape', 'Backspace', 'Delete', 'Insert', 'Home', 'End', 'PageUp', 'PageDown'],
  ...['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'F1', 'F12', 'F24', 'NumpadAdd', 'NumpadSubtract', 'Numpad0'],
  ...[
    'NumpadMultiply',
    'NumpadDivide',
    'NumpadDecimal',
    'NumpadEnter',
    'NumpadEqual',
    'Pause',
    'ContextMenu',
    'CapsLock',
  ],
];
const modifiers = fc.subarray([...MODIFIERS]);
const stroke = fc.record({ modifiers, key: fc.constantFrom(...KEYS) });
const chord: fc.Arbitrary<Chord> = fc.oneof(
  stroke.map((one) => ({ hold: false, strokes: [one] })),
  stroke.map((one) => ({ hold: true, strokes: [one] })),
  fc
    .subarray([...MODIFIERS], { minLength: 1 })
    .map((held) => ({ hold: true, strokes: [{ modifiers: inOrder(held), key: null }] })),
  fc.tuple(stroke, stroke).map((strokes) => ({ hold: false, strokes })),
);

describe('chords', () => {
  it('come back from every notation as they were', () => {
    fc.assert(
      fc.property(chord, fc.constantFrom(...NOTATIONS), (one, notation) => {
        const text = writeChord(one, notation);
        const read = parseChord(text, notation === 'windows' ? 'windows' : 'mac');
        expect(read.ok ? canonicalText(read.chord) : `${text}: ${read.message}`).toBe(canonicalText(one));
      }),
      { numRuns: 5000 },
    );
  });

  it('come back from canonical text, and nothing else is taken for it', () => {
    fc.assert(
      fc.property(chord, (one) => {
        expect(parseCanonical(canonicalText(one))).toEqual(one);
      }),
      { numRuns: 2000 },
    );
    for (const wrong of [
      '',
      'mod+a',
      'Alt+Mod+A',
      'Mod',
      'Mod+',
      'Mod+Plus+',
      'Mod+a',
      'hold:',
      'Mod+Bogus',
      'Mod+ A',
      '__proto__',
    ]) {
      expect(parseCanonical(wrong), wrong).toBeNull();
    }
  });

  it('are read in the ways people write them', () => {
    const written: [string, string][] = [
      ['Ctrl+Alt+Shift+S', 'Mod+Alt+Shift+S'],
      ['Shift-Ctrl-S', 'Mod+Shift+S'],
      ['Cmd-Opt-I', 'Mod+Alt+I'],
      ['⌥⇧⌘O', 'Mod+Alt+Shift+O'],
      ['control + plus', 'Mod+Plus'],
      ['Num +', 'NumpadAdd'],
      ['PgDn', 'PageDown'],
      ['Strg+Umschalt+Entf', 'Mod+Shift+Delete'],
      ['Maj + F5', 'Shift+F5'],
      ['Mayús+Supr', 'Shift+Delete'],
      ['Ctrl++', 'Mod+Plus'],
      ['Ctrl+-', 'Mod+-'],
      ['Ctrl--', 'Mod+-'],
      ['Ctrl -', 'Mod+-'],
      ['ctrl alt e', 'Mod+Alt+E'],
      ['Ctrl+0', 'Mod+0'],
      ['Ctrl+O', 'Mod+O'],
      ['space bar', 'Space'],
      ['hold Space', 'hold:Space'],
      ['Space (hold)', 'hold:Space'],
      ['Alt', 'hold:Alt'],
      ['hold Ctrl+Alt', 'hold:Mod+Alt'],
      ['Ctrl+K Ctrl+S', 'Mod+K Mod+S'],
      ['Ctrl+K then S', 'Mod+K S'],
      ['Ctrl+Num 5', 'Mod+Numpad5'],
      ['Ctrl + left bracket', 'Mod+['],
      ['"Q"', 'Q'],
      ['Shift+Page Up', 'Shift+PageUp'],
      ['Ctrl+Del', 'Mod+Delete'],
      ['Alt+↑', 'Alt+ArrowUp'],
      ['Win+E', 'Meta+E'],
      ['Ctrl+,', 'Mod+,'],
      ['b', 'B'],
    ];
    for (const [text, canonical] of written) {
      const read = parseChord(text);
      expect(read.ok ? canonicalText(read.chord) : read.message, text).toBe(canonical);
    }
    const mac = parseChord('Control-Command-Delete', 'mac');
    expect(mac.ok && canonicalText(mac.chord)).toBe('Mod+Ctrl+Backspace');
  });

  it('say which part is not understood', () => {
    expect(parseChord('Ctrl+Bogus')).toMatchObject({ ok: false, part: 'Bogus' });
    expect(parseChord('Ctrl+Ctrl+A')).toMatchObject({ ok: false, part: 'Ctrl' });
    expect(parseChord('')).toMatchObject({ ok: false });
  });

  it('are told apart when several stand in one text', () => {
    const read = (text: string) => parseChords(text, 'windows').chords.map(canonicalText);
    expect(read('Ctrl+K or F3')).toEqual(['Mod+K', 'F3']);
    expect(read('Ctrl+/ / Ctrl+;')).toEqual(['Mod+/', 'Mod+;']);
    expect(read('B, Shift+B')).toEqual(['B', 'Shift+B']);
    expect(read('Ctrl+,')).toEqual(['Mod+,']);
    expect(parseChords('Ctrl+K or whatever this is', 'windows')).toMatchObject({
      chords: [{}],
      problems: [{ part: 'whatever this is' }],
    });
  });

  it('never throw, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => void parseChords(text, 'windows')),
      { numRuns: 3000 },
    );
  });
});
