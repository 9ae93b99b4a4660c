import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { isPdf, type PrintedItem } from './printed';
import { printedText } from './printedText';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
/** Half its size wide is each sign of the type. */
const put = (text: string, x: number, y: number, size = 10, font = 'plain'): PrintedItem => ({
  text,
  x,
  y,
  width: text.length * size * 0.5,
  size,
  font,
});
/** Rows below each other: names from here, keys from there. */
const rows = (x: number, keysAt: number, y: number, pairs: readonly string[]): PrintedItem[] =>
  pairs.flatMap((pair, i) => {
    const [name = '', keys] = pair.split(' = ');
    return [put(name, x, y + 16 * i), ...(keys ? [put(keys, keysAt, y + 16 * i, 9, 'caps')] : [])];
  });
/** What is read of pages: its lines without those that are empty, with what parts cells as bars. */
const read = (...pages: readonly PrintedItem[][]): string[] =>
  printedText(pages)
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => line.trim().replace(/ {3,}/gu, ' | '));
const LEFT = ['Lift stain = F9', 'Close tear = Alt+Q', 'Fill pinhole', 'Crop = C', 'Fold lines = Alt+F', 'Veil = V'];
const RIGHT = ['Grain = G', 'Hue = Alt+Shift+J', 'Curves = Ctrl+E', 'Levels = Ctrl+W', 'Soften = S', 'Warmth = F2'];
const bars = (pairs: readonly string[]): string[] => pairs.map((one) => one.replace(' = ', ' | '));

/** How type is marked in a page that is drawn as text: bold, larger, in caps. */
const TYPE: Readonly<Record<string, readonly [font: string, size: number]>> = {
  '*': ['bold', 10],
  '#': ['title', 14],
  '~': ['caps', 9],
};
/**
 * A page drawn as text: each sign six points wide, each line twelve high, words with one blank between them a run; a line
 * behind a caret stands half as far below.
 */
const drawn = (page: string): PrintedItem[] => {
  let y = 28;
  return page.split('\n').flatMap((line) => {
    y += line.startsWith('^') ? 6 : 12;
    return [...line.replace(/^\^/u, '').matchAll(/([*#~])(.+?)\1|\S+(?: (?![*#~])\S+)*/gu)].map(
      ({ 0: run, 1: mark, 2: inside, index }) => {
        const [font, size] = TYPE[mark ?? ''] ?? ['plain', 10];
        const text = inside ?? run;
        return { text, x: 40 + 6 * index, y, width: 6 * text.length, size, font };
      },
    );
  });
};
const folder = join(import.meta.dirname, 'fixtures');
const pages = readdirSync(folder).filter((name) => name.endsWith('.page'));

describe('pages as they were found right', () => {
  // Whoever changes how pages are read keeps them anew with `npx vitest run src/core/reading/printed -u`, and looks.
  it.each(pages)('%s', async (name) => {
    const text = readFileSync(join(folder, name), 'utf8');
    await expect(printedText(text.split('=====\n').map(drawn))).toMatchFileSnapshot(`fixtures/${name}.read`);
  });
});

describe('a printed page as text', () => {
  it.each<readonly [what: string, pages: readonly PrintedItem[][], lines: readonly string[]]>([
    ['a list below its heading', [[put('Mend', 40, 20, 12), ...rows(40, 150, 40, LEFT)]], ['Mend:', ...bars(LEFT)]],
    [
      'lists side by side one after the other, below what is written across',
      [
        [
          put('Keys of a made-up program, all of them', 40, 20, 18, 'title'),
          put('Mend', 40, 60, 10, 'bold'),
          put('Light', 330, 60, 10, 'bold'),
          ...rows(40, 150, 80, LEFT),
          ...rows(330, 450, 80, RIGHT),
        ],
      ],
      ['Keys of a made-up program, all of them:', 'Mend:', ...bars(LEFT), 'Light:', ...bars(RIGHT)],
    ],
    [
      'keys that stand before what they do',
      [
        [
          ...rows(
            100,
            40,
            40,
            LEFT.filter((one) => one.includes('=')),
          ),
          ...rows(400, 320, 40, RIGHT),
        ],
      ],
      [...LEFT.filter((one) => one.includes('=')), ...RIGHT].map((one) => one.split(' = ').reverse().join(' | ')),
    ],
    [
      'a name of two lines as one, and keys that had no room beside it',
      [
        [
          ...rows(40, 150, 40, LEFT),
          put('Hand over as', 40, 140),
          put('web picture', 40, 151),
          put('Ctrl+U', 150, 151, 9, 'caps'),
          put('Rebuild petal and stem', 40, 171),
          put('Ctrl+Alt+Shift+Y', 80, 182, 9, 'caps'),
          ...rows(40, 150, 202, RIGHT),
        ],
      ],
      [...bars(LEFT), 'Hand over as web picture | Ctrl+U', 'Rebuild petal and stem | Ctrl+Alt+Shift+Y', ...bars(RIGHT)],
    ],
    [
      'keys close to their name, drawn as caps, and words that are set in parts',
      [
        [
          put('Straighten', 40, 40),
          put('sheet', 93, 40),
          put('Ctrl', 125, 40, 9, 'caps'),
          put('Shift', 152, 40, 9, 'caps'),
          put('R', 184, 40, 9, 'caps'),
          put('Fo', 40, 60),
          put('xing', 50, 60),
          put('F4', 90, 60, 9, 'caps'),
        ],
      ],
      ['Straighten sheet | Ctrl Shift R', 'Foxing | F4'],
    ],
    [
      'heads, numbers of pages and headings that go on once',
      [1, 2, 3].map((page) => [
        put('Made up', 40, 20, 9),
        put(page === 1 ? 'Mend' : 'Mend (continued)', 40, 40, 10, 'bold'),
        ...rows(
          40,
          150,
          60,
          LEFT.map((one) => one.replace(/^\w+/u, (word) => `${word} ${'abc'[page]}`)),
        ),
        put(`Page ${page} of 3`, 400, 780, 9),
      ]),
      [
        'Made up',
        'Mend:',
        ...[1, 2, 3].flatMap((page) =>
          bars(LEFT.map((one) => one.replace(/^\w+/u, (word) => `${word} ${'abc'[page]}`))),
        ),
      ],
    ],
    [
      'lists close beside each other, whose lines meet by chance: keys first, names up to the right, some of two lines',
      [
        [
          put('Quick card', 200, 20, 16, 'title'),
          ...[...LEFT, ...LEFT].flatMap((pair, i) => {
            const [name = '', keys = 'F12'] = pair.split(' = ');
            return [put(keys, 40, 60 + 12 * i, 10, 'bold'), put(name, 240 - 5 * name.length, 60 + 12 * i)];
          }),
          put('in a new one', 40, 60 + 12 * 12),
          ...[...RIGHT, ...RIGHT].flatMap((pair, i) => {
            const [name = '', keys = ''] = pair.split(' = ');
            return [put(keys, 250, 63 + 12 * i, 10, 'bold'), put(name, 450 - 5 * name.length, 63 + 12 * i)];
          }),
        ],
      ],
      [
        'Quick card:',
        ...[...LEFT, ...LEFT].map((pair, i) => {
          const [name = '', keys = 'F12'] = pair.split(' = ');
          return `${keys} | ${name}${i === 11 ? ' in a new one' : ''}`;
        }),
        ...[...RIGHT, ...RIGHT].map((pair) => pair.split(' = ').reverse().join(' | ')),
      ],
    ],
    [
      'a name close behind its keys, told by its type, and words for any key among them',
      [
        [
          ...rows(150, 40, 40, RIGHT),
          put('C-h', 40, 140, 9, 'caps'),
          put('list all keys of this', 62, 140),
          put('C-h', 40, 156, 9, 'caps'),
          put('<key>', 58, 156, 9, 'signs'),
          put('tell of', 150, 156),
          put('<key>', 190, 156, 9, 'signs'),
        ],
      ],
      [
        ...RIGHT.map((one) => one.split(' = ').reverse().join(' | ')),
        'C-h | list all keys of this',
        'C-h <key> | tell of <key>',
      ],
    ],
    [
      'a text without keys, column by column',
      [
        Array.from({ length: 14 }, (_, i) => [
          put('Stains are lifted', 40, 40 + 12 * i),
          put('and tears closed', 300, 40 + 12 * i),
        ]).flat(),
      ],
      [
        ...Array.from({ length: 14 }, () => 'Stains are lifted'),
        ...Array.from({ length: 14 }, () => 'and tears closed'),
      ],
    ],
  ])('has %s', (_, pages, lines) => {
    expect(read(...pages)).toEqual(lines);
  });

  it('is told by the first kilobyte of a file, and not by a text that speaks of it', () => {
    expect(isPdf(bytes('%PDF-1.7\n…'))).toBe(true);
    expect(isPdf(bytes('sent by post\n%PDF-1.4\n…\n%%EOF\n'))).toBe(true);
    expect(isPdf(bytes('Command,Keys\nSave as %PDF-1.7,F9\n'))).toBe(false);
  });
});
