import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import type { ChordText } from '../chord/chord';
import { NO_CHOICES } from '../reading/choices';
import { packedBook } from '../testing/listIn';
import { readBook } from './readBook';
import { writeFile } from './writeFile';

const CHORDS: readonly ChordText[] = ['Mod+A', 'Alt+PageUp', 'F7', 'Shift+B', 'Mod+,', 'Mod+Shift+L'];
/** A workbook as another program writes it: shared texts, styles, an empty cell with a style, cells left out. */
const BOOK = packedBook(
  `<row r="1"><c r="A1" t="s"><v>0</v></c><c r="B1" t="s"><v>1</v></c></row>
<row r="2"><c r="A2" t="s"><v>2</v></c><c r="B2" s="4" t="s"><v>3</v></c></row>
<row r="3"><c r="A3" t="s"><v>4</v></c></row>
<row r="5"><c r="A5" t="inlineStr"><is><t>Press &amp; turn</t></is></c><c r="B5" s="4"/></row>
<row r="6"><c r="A6" t="inlineStr"><is><t>Dust sweep</t></is></c><c r="B6" s="2" t="inlineStr"><is><t>Ctrl+Shift+D</t></is></c></row>
<row r="7"><c r="A7" t="inlineStr"><is><t>Mask paper</t></is></c><c r="B7" t="inlineStr"><is><t>Alt+M</t></is></c></row>`,
  {
    'xl/sharedStrings.xml': strToU8(
      '<sst><si><t>Command</t></si><si><t>Keys</t></si><si><t>Lift stain</t></si><si><t>Ctrl+L</t></si><si><t>Fold sheet</t></si></sst>',
    ),
    'xl/styles.xml': strToU8('<styleSheet/>'),
    'docProps/thumbnail.png': Uint8Array.from({ length: 300 }, (_, i) => i),
  },
);
const cell = (text: string, more = ''): string =>
  `<table:table-cell table:style-name="ce1" office:value-type="string"${more}><text:p>${text}</text:p></table:table-cell>`;
const SPREADSHEET = zipSync({
  mimetype: [strToU8('application/vnd.oasis.opendocument.spreadsheet'), { level: 0 }],
  'content.xml': strToU8(
    `<office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x"><office:body><office:spreadsheet><table:table table:name="Keys">${[
      ['Command', 'Keys'],
      ['Lift stain', 'Ctrl+L'],
      ['Fold sheet', 'Ctrl+Shift+F'],
      ['Dust sweep', 'F9'],
      ['Mask paper', 'Alt+M'],
    ]
      .map((row) => `<table:table-row>${row.map((one) => cell(one)).join('')}</table:table-row>`)
      .join('')}</table:table></office:spreadsheet></office:body></office:document-content>`,
  ),
  'settings.xml': strToU8('<office:document-settings/>'),
});
const write = (bytes: Uint8Array, keysOf: (name: string, keys: readonly ChordText[]) => readonly ChordText[]) => {
  const { places } = readBook(bytes, NO_CHOICES);
  const wanted = [...places.listed.values()].map(({ key, command }) => ({
    id: key,
    ...command,
    keys: keysOf(command.name, command.keys),
  }));
  return { wanted, ...writeFile({ bytes, choices: NO_CHOICES, corrections: {} }, null, wanted, {}) };
};

describe.each([
  ['Office Open XML', BOOK, 'xl/worksheets/sheet1.xml', 5],
  ['OpenDocument', SPREADSHEET, 'content.xml', 4],
])('a workbook written back: %s', (_, book, sheet, commands) => {
  it('stays as it is, to the byte, where nothing is changed', () => {
    const { bytes, asWanted, of } = write(book, (_name, keys) => keys);
    expect(bytes).toBe(book);
    expect([asWanted, of]).toEqual([commands, commands]);
  });

  it('has the keys wanted in its cells, and every other part is as it was', () => {
    let changed = 0;
    fc.assert(
      fc.property(fc.array(fc.option(fc.constantFrom(...CHORDS, '')), { minLength: 5, maxLength: 5 }), (picks) => {
        let at = 0;
        const {
          bytes,
          wanted,
          commands: told,
          edits,
        } = write(book, (_name, keys) => {
          const pick = picks[at++];
          return pick == null ? keys : pick === '' ? [] : [pick];
        });
        const now = readBook(bytes, NO_CHOICES).places.listed;
        for (const [i, one] of wanted.entries())
          if (told[i]?.why === null) expect(now.get(one.id)?.command.keys).toEqual(one.keys);
        const [before, after] = [unzipSync(book), unzipSync(bytes)];
        expect(Object.keys(after)).toEqual(Object.keys(before));
        for (const name of Object.keys(before)) if (name !== sheet) expect(after[name]).toEqual(before[name]);
        if (edits.length > 0) changed++;
      }),
      { numRuns: 60 },
    );
    expect(changed).toBeGreaterThan(30);
  });
});

it('a cell that its row leaves out comes in, and styles and places are kept', () => {
  const { bytes, asWanted, of } = write(BOOK, (name, keys) =>
    name === 'Fold sheet' ? ['F7'] : name === 'Press & turn' ? ['Mod+Shift+P'] : name === 'Lift stain' ? [] : keys,
  );
  expect([asWanted, of]).toEqual([5, 5]);
  const sheet = strFromU8(unzipSync(bytes)['xl/worksheets/sheet1.xml'] ?? new Uint8Array());
  expect(sheet).toContain('<c r="B3" t="inlineStr"><is><t xml:space="preserve">F7</t></is></c></row>');
  expect(sheet).toContain('<c r="B5" s="4" t="inlineStr"><is><t xml:space="preserve">Ctrl+Shift+P</t></is></c>');
  expect(sheet).toContain('<c r="B2" s="4"/>');
});

it('a row that was corrected is read so again, wherever its cell has gone', () => {
  const { rows } = readBook(BOOK, NO_CHOICES).reading;
  const mask = rows.find((one) => one.command?.name === 'Mask paper')?.key ?? '';
  const corrections = { [mask]: { name: 'Mask the paper' } };
  const source = readBook(BOOK, NO_CHOICES, corrections);
  const wanted = [...source.places.listed.values()].map(({ key, command }) => ({
    id: key,
    ...command,
    keys: command.name === 'Lift stain' ? ['Mod+Alt+Shift+PageDown'] : command.keys,
  }));
  const written = writeFile({ bytes: BOOK, choices: NO_CHOICES, corrections }, null, wanted, {});
  expect(written.commands.filter((one) => one.why)).toEqual([]);
  expect([written.asWanted, written.of, written.edits.length]).toEqual([5, 5, 1]);
});

it('a cell that stands for several columns is left, and that is told', () => {
  const book = zipSync({
    mimetype: strToU8('application/vnd.oasis.opendocument.spreadsheet'),
    'content.xml': strToU8(
      strFromU8(unzipSync(SPREADSHEET)['content.xml'] ?? new Uint8Array()).replace(
        cell('F9'),
        '<table:table-cell table:number-columns-repeated="3"/>',
      ),
    ),
  });
  const { bytes, commands } = write(book, (name, keys) => (name === 'Dust sweep' ? ['F7'] : keys));
  expect(bytes).toBe(book);
  expect(commands.filter((one) => one.why)).toHaveLength(1);
});
