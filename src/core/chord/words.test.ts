import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { canonicalText } from './chord';
import { isKnownKey, isPrinted, keyLabel, knownSpellings, readKey } from './keyNames';
import { loosened } from './loosened';
import { nearestReading } from './nearestReading';
import { type Dialect, parseChord } from './parseChord';
import { dialectOf, parseChords } from './parseChords';
import { escapedStrokes, respelled } from './respelled';

const rowsOf = (name: string): string[][] =>
  readFileSync(join(import.meta.dirname, 'fixtures', name), 'utf8')
    .replace(/\n$/, '')
    .split('\n')
    .slice(1)
    .map((row) => row.split('\t'));
const said = (text: string, dialect: Dialect = 'windows'): string => {
  const read = parseChord(text, dialect);
  return read.ok ? canonicalText(read.chord) : `${read.part}: ${read.message}`;
};

describe('several keys in one text', () => {
  it('are taken apart by what stands between them, and what is said once goes for all', () => {
    const rows = rowsOf('several.tsv').map(([text = '', read]) => [text.replaceAll('⏎', '\n'), read]);
    expect(rows.length).toBeGreaterThan(65);
    const wrong = rows.filter(([text = '', read]) => {
      const { chords, problems } = parseChords(text, 'windows');
      return [...chords.map(canonicalText), ...problems.map(({ part }) => `no ${part}`)].join(' | ') !== read;
    });
    expect(wrong).toEqual([]);
  });

  it('are put in the words people use, whatever programs write instead', () => {
    const rows = rowsOf('respelled.tsv');
    expect(rows.length).toBeGreaterThan(85);
    expect(rows.filter(([text = '', words]) => respelled(text) !== words)).toEqual([]);
    const escaped = rowsOf('escaped.tsv');
    expect(escaped.length).toBeGreaterThan(20);
    expect(escaped.filter(([text = '', strokes]) => (escapedStrokes(text) ?? '') !== strokes)).toEqual([]);
  });
});

describe('the words for keys', () => {
  it('are each read as the key they are for, by Mac words and by others', () => {
    const rows = rowsOf('keyWords.tsv');
    expect(rows.length).toBeGreaterThan(650);
    const wrong = rows.filter(
      ([word = '', key, mac]) => readKey(word, false) !== key || readKey(word, true) !== (mac === '' ? key : mac),
    );
    expect(wrong).toEqual([]);
    const known = new Set(knownSpellings());
    expect(rows.filter(([word = '']) => !known.has(word))).toEqual([]);
  });

  it('name the number pad in every language, before its keys and after them', () => {
    const pads = [
      'num',
      'keypad',
      'kp',
      'ziffernblock',
      'pavé num',
      'teclado numérico',
      'bloque numérico',
      'number pad',
    ];
    const keys = {
      '-': 'NumpadSubtract',
      mal: 'NumpadMultiply',
      '÷': 'NumpadDivide',
      komma: 'NumpadDecimal',
      '=': 'NumpadEqual',
      7: 'Numpad7',
      eingabe: 'NumpadEnter',
    };
    for (const [word, key] of Object.entries(keys)) {
      for (const pad of pads)
        expect([pad, word, readKey(`${pad} ${word}`, false), readKey(`${pad}${word}`, false)]).toEqual([
          pad,
          word,
          key,
          key,
        ]);
      for (const after of ['(num)', '(numpad)', '(keypad)', 'pavé num'])
        expect([after, readKey(`${word} ${after}`, false)]).toEqual([after, key]);
    }
  });

  it('are written as people of each notation read them', () => {
    const rows = rowsOf('keyLabels.tsv');
    expect(rows.length).toBeGreaterThan(60);
    const written = (key: string) => [key, keyLabel(key, 'windows'), keyLabel(key, 'mac'), keyLabel(key, 'symbols')];
    expect(rows.map(([key = '']) => written(key))).toEqual(rows);
    expect(written('É')).toEqual(['É', 'É', 'É', 'É']);
  });

  it.each([
    ['A', true, true],
    ['Plus', true, true],
    ['Space', true, false],
    ['F12', true, false],
    ['+', false, false],
    ['a', false, false],
    ['AB', false, false],
    ['⌘', false, false],
    [' ', false, false],
    ['', false, false],
    ['İ', true, true],
    ['ß', true, true],
    ['Bogus', false, false],
  ])('“%s” is known: %s, printed: %s', (key, known, printed) => {
    expect([isKnownKey(key), isPrinted(key)]).toEqual([known, printed]);
  });

  it('that nobody has are no key', () => {
    expect(['', ' ', '+', '⌘', 'ab', 'F25', 'num', '́'].map((word) => readKey(word, false))).toEqual([
      ...[null, null, 'Plus', null, null, null, null, null],
    ]);
    expect([readKey(' page\u00a0 up ', false), readKey('ß', false), readKey('ı', false)]).toEqual(['PageUp', 'ß', 'I']);
  });
});

describe('what can’t be read', () => {
  it.each([
    ['', 'windows', ': There are no keys here.'],
    [' \u00a0 ', 'windows', ': There are no keys here.'],
    [`Ctrl+${'x'.repeat(130)}`, 'windows', 'Ctrl+xxxxxxxxxxxxxxx…: This is too long to be keys.'],
    ['x'.repeat(120), 'windows', `${'x'.repeat(120)}: We don't know a key called “${'x'.repeat(120)}”.`],
    ['Ctrl+Bogus', 'windows', "Bogus: We don't know a key called “Bogus”."],
    ['Ctrl+Ctrl+A', 'windows', 'Ctrl: Ctrl stands there twice.'],
    ['Ctrl then Ctrl+A', 'windows', 'Ctrl then Ctrl+A: One of these strokes has no key.'],
    ['the key', 'windows', "the key: We don't know a key called “the key”."],
    ['hold ', 'windows', "hold: We don't know a key called “hold”."],
  ] as const)('%s is said to be so', (text, dialect, wanted) => {
    expect(said(text, dialect)).toBe(wanted);
  });

  it.each([
    ['⌘⌫', 'canonical', 'Mod+Backspace'],
    ['⌘Delete', 'mac', 'Mod+Backspace'],
    ['⌘Delete', 'canonical', 'Mod+Delete'],
    ['Ctrl Shift+A', 'windows', 'Mod+Shift+A'],
    ['CTRL SHIFT+A', 'windows', 'Mod+Shift+A'],
    ['⌘Delete', 'windows', 'Mod+Backspace'],
    ['Ctrl+Delete', 'windows', 'Mod+Delete'],
    ['Ctrl+A', 'canonical', 'Ctrl+A'],
    ['Ctrl+A', 'mac', 'Ctrl+A'],
    ['Ctrl+Cmd+A', 'windows', 'Mod+Ctrl+A'],
    ['“K”', 'windows', 'K'],
    ['F key', 'windows', 'F'],
    ['Ctrl+A then B', 'windows', 'Mod+A B'],
    ['Ctrl+K, then Ctrl+S', 'windows', 'Mod+K Mod+S'],
    ['Ctrl+, then B', 'windows', 'Mod+, B'],
    ['Ctrl+K Ctrl+S', 'windows', 'Mod+K Mod+S'],
    ['Ctrl + K', 'windows', 'Mod+K'],
    ['Page Up', 'windows', 'PageUp'],
    ['Space (hold)', 'windows', 'hold:Space'],
    ['hold Alt', 'windows', 'hold:Alt'],
    ['Alt', 'windows', 'hold:Alt'],
    ['Shift·Alt·Q', 'windows', 'Alt+Shift+Q'],
  ] as const)('%s in %s words is %s', (text, dialect, wanted) => {
    expect(said(text, dialect)).toBe(wanted);
  });
});

describe('what stands around keys', () => {
  it.each([
    ['<Control>s', 'Control+s'],
    ['[Ctrl]+[S]', 'Ctrl+S'],
    ['[ Page Up ]', 'Page Up'],
    ['{Alt}{F4}', 'Alt+F4'],
    ['⟨Ctrl⟩ A', 'Ctrl A'],
    ['Ｃtrl＋Ａ', 'Ctrl+A'],
    ['Entf-Taste', 'Entf'],
    ['AltGr+Q', 'Ctrl+Alt+Q'],
    ['Alt Graph Q', 'Ctrl+Alt Q'],
    ['^S', 'Ctrl+S'],
    ['Q^S', 'Q^S'],
    ['^SA', '^SA'],
    ['C-x', 'Ctrl+x'],
    ['M-x', 'Alt+x'],
    ['S-A-q', 'Shift+Alt+q'],
    ['Press the Enter key', 'Enter'],
    ['left Shift + right Ctrl', 'Shift + Ctrl'],
    ['left Arrow', 'left Arrow'],
    ['Ctrl and A', 'Ctrl+A'],
    ['Strg und A', 'Strg+A'],
    ['Ctrl & A', 'Ctrl+A'],
    ['F2 (Windows)', 'F2'],
    ['Ctrl+S.', 'Ctrl+S'],
    ['Ctrl+.', 'Ctrl+.'],
    ['Q .', 'Q .'],
  ])('%s leaves %s', (text, left) => {
    expect(loosened(text)).toBe(left);
  });
});

describe('alternatives', () => {
  const read = (text: string, dialect: Dialect = 'windows') => {
    const { chords, problems } = parseChords(text, dialect);
    return [chords.map(canonicalText), problems.map((one) => one.part)];
  };
  it.each([
    ['F2\nF3', ['F2', 'F3'], []],
    ['F2 oder F3 ou F4', ['F2', 'F3', 'F4'], []],
    ['F2 ; F3|F4', ['F2', 'F3', 'F4'], []],
    ['F2,  F3', ['F2', 'F3'], []],
    ['F2/F3', ['F2', 'F3'], []],
    ['F2 / F3', ['F2', 'F3'], []],
    ['Ctrl+,, F3', ['Mod+,', 'F3'], []],
    ['F2 / ', [], ['F2 /']],
    ['F2 or nothing at all', ['F2'], ['nothing at all']],
    ['nothing at all', [], ['nothing at all']],
  ])('%j are told apart', (text, chords, problems) => {
    expect(read(text)).toEqual([chords, problems]);
  });

  it('are in Mac words where one of a list’s cells is', () => {
    expect([dialectOf([]), dialectOf(['Ctrl+A', 'Option'])]).toEqual(['windows', 'mac']);
    expect([dialectOf(['Adopt', 'optional']), dialectOf(['⌥A']), dialectOf(['cmd-k'])]).toEqual([
      'windows',
      'mac',
      'mac',
    ]);
  });
});

describe('the nearest reading', () => {
  it.each([
    ['Ctrl+Enetr', 'Mod+Enter'],
    ['Shfit+Delte', 'Shift+Delete'],
    ['Ctl+Spcae', 'Mod+Space'],
    ['Bakcspace', 'Backspace'],
    ['Leertsate', 'Space'],
    ['Ctrl+Tba', 'Mod+Tab'],
    ['Ctrl+Tbx', null],
    ['Ctrl+Wheelbarrowfulofspace', null],
    ['Ctrl+Qq', null],
    ['Ctrl+Shfit+Zzzzzz', null],
    ['Ctrl+A', null],
  ])('of %s is %s', (text, wanted) => {
    const near = nearestReading(text);
    expect(near && canonicalText(near)).toBe(wanted);
  });
});
