import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { growthOf } from '../../testing/growthOf';
import { type Chord, canonicalText, inOrder, MODIFIERS } from './chord';
import { nearestReading } from './nearestReading';
import { type Dialect, parseCanonical, parseChord } from './parseChord';
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

  it('are read in the ways people write them, in four languages and every dialect', () => {
    const rows = readFileSync(join(import.meta.dirname, 'fixtures/written.tsv'), 'utf8')
      .trim()
      .split('\n')
      .slice(1);
    expect(rows.length).toBeGreaterThanOrEqual(400);
    const wrong = rows.flatMap((row) => {
      const [dialect, text = '', canonical] = row.split('\t');
      const read = parseChord(text, dialect as Dialect);
      const got = read.ok ? canonicalText(read.chord) : read.message;
      return got === canonical ? [] : [`${dialect} “${text}”: ${got}, not ${canonical}`];
    });
    expect(wrong).toEqual([]);
  });

  it('say which part is not understood', () => {
    expect(parseChord('Ctrl+Bogus')).toMatchObject({ ok: false, part: 'Bogus' });
    expect(parseChord('Ctrl+Ctrl+A')).toMatchObject({ ok: false, part: 'Ctrl' });
    expect(parseChord('')).toMatchObject({ ok: false });
  });

  it('offer the nearest reading of what is not understood, and none where nothing is near', () => {
    const near = (text: string, dialect: Dialect = 'windows') => {
      const chord = nearestReading(text, dialect);
      return chord && canonicalText(chord);
    };
    expect(near('Ctrl+Shfit+S')).toBe('Mod+Shift+S');
    expect(near('Cntrol+Sapce')).toBe('Mod+Space');
    expect(near('Strg+Entff')).toBe('Mod+Delete');
    expect(near('Ctrl+Pagdown')).toBe('Mod+PageDown');
    expect(near('Comand+K', 'mac')).toBe('Mod+K');
    expect([near('Ctrl+S'), near('Ctrl+wheelbarrow'), near('')]).toEqual([null, null, null]);
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

  it('never throw and never dwell, whatever the text', () => {
    const bits = [
      'Ctrl',
      'Alt+',
      '+',
      '-',
      ' ',
      'Shift',
      '⌘',
      'hold ',
      'then',
      'Num',
      '[',
      '<',
      'K',
      '^',
      'Pfeil',
      '/',
      ',',
    ];
    const text = fc.oneof(
      fc.string({ unit: 'grapheme', maxLength: 140 }),
      fc.array(fc.constantFrom(...bits), { maxLength: 30 }).map((parts) => parts.join('')),
    );
    fc.assert(
      fc.property(text, fc.constantFrom('windows', 'mac', 'canonical'), (written, dialect) => {
        const { chords, problems } = parseChords(written, dialect as Dialect);
        expect(chords.length + problems.length).toBeGreaterThan(0);
        nearestReading(written, dialect as Dialect);
      }),
      { numRuns: 4000 },
    );
    // `npm run bench` times 100,000 of them; here, that what is twice as long takes no more than twice and a half.
    for (const bit of [...bits, ' ', '*', 'Ctrl+K or ', '(', 'and '])
      expect([bit, growthOf((size) => parseChords(bit.repeat(size), 'windows'), 2.5, 4000) < 2.5]).toEqual([bit, true]);
  }, 60_000);
});
