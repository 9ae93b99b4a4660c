import { zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { packedBook } from '../../testing/listIn';
import { NO_CHOICES } from '../choices';
import { readTables } from '../readCommandList';
import { UnreadableList } from '../tables';
import { readWorkbook } from './readWorkbook';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const read = (file: Uint8Array) =>
  readTables(readWorkbook(file), NO_CHOICES).rows.map(({ command, result }) =>
    command ? `${[...command.path, command.name].join(' › ')}: ${command.keys.join(', ')}` : result,
  );

describe('a workbook', () => {
  it('is read with shared, rich and plain texts, numbers, gaps and merged headings; how a text is said aloud is left out', () => {
    const shared = bytes(
      '<sst><si><t>Lift &amp; press</t></si><si><r><t>Dust </t></r><r><t>sweep</t></r><rPh><t>dusuto</t></rPh></si></sst>',
    );
    const sheet = `
      <row r="1"><c r="A1" t="inlineStr"><is><t>Command</t></is></c><c r="B1" t="inlineStr"><is><t>Notes</t></is></c><c r="C1" t="inlineStr"><is><t>Keys</t></is></c></row>
      <row r="2"><c r="A2" t="inlineStr"><is><t>Repair</t></is></c></row>
      <row r="3"><c r="A3" t="s"><v>0</v></c><c r="C3" t="str"><v>Ctrl+K</v></c></row>
      <row r="4"><c r="A4" t="s"><v>1</v></c><c r="C4"><v>3</v></c></row>
      <row r="5"><c r="A5" t="inlineStr"><is><t>Press flat</t></is></c><c r="C5" t="e"><v>#REF!</v></c></row>`;
    const merged = bytes(
      `<worksheet><sheetData>${sheet}</sheetData><mergeCells><mergeCell ref="A2:C2"/></mergeCells></worksheet>`,
    );
    const book = packedBook('', { 'xl/sharedStrings.xml': shared, 'xl/worksheets/sheet1.xml': merged });
    expect(read(book)).toEqual([
      ...['heading', 'heading', 'Repair › Lift & press: Mod+K', 'Repair › Dust sweep: 3', 'Repair › Press flat: '],
    ]);
    // A cell stands where its element does in its part of the file.
    const [row] = readTables(readWorkbook(book), NO_CHOICES).rows.filter(({ command }) => command);
    const source = new TextDecoder().decode(merged);
    expect(row?.at?.part).toBe('xl/worksheets/sheet1.xml');
    expect(source.slice(...(row?.at?.keys ?? [0, 0]))).toBe('<c r="C3" t="str"><v>Ctrl+K</v></c>');
    expect(source.slice(...(row?.at?.name ?? [0, 0]))).toBe('<c r="A3" t="s"><v>0</v></c>');
  });

  it('of the open document kind is read with repeated cells, line breaks and remarks left out; each sheet is a place', () => {
    const cell = (text: string) => `<table:table-cell><text:p>${text}</text:p></table:table-cell>`;
    const row = (...cells: string[]) => `<table:table-row>${cells.join('')}</table:table-row>`;
    const head = row(cell('Command'), cell('Keys'));
    const content = `<office:document-content xmlns:table="t" xmlns:text="x" xmlns:office="o">
      <table:table table:name="Repair">${head}${row(
        '<table:table-cell><office:annotation><text:p>by hand</text:p></office:annotation><text:p>Lift<text:s/>stain</text:p></table:table-cell>',
        cell('Ctrl+K'),
        '<table:table-cell table:number-columns-repeated="1000"/>',
      )}<table:table-row table:number-rows-repeated="1000000"><table:table-cell/></table:table-row></table:table>
      <table:table table:name="View">${head}${row(cell('Closer'), cell('<text:span>F3</text:span>'))}</table:table>
    </office:document-content>`;
    expect(read(zipSync({ 'content.xml': bytes(content) }))).toEqual([
      ...['heading', 'Repair › Lift stain: Mod+K', 'heading', 'View › Closer: F3'],
    ]);
  });

  it('that unpacks to gigabytes, is damaged, or is no workbook is refused in a sentence, soon', () => {
    const nothing = new Uint8Array(60 * 1024 * 1024);
    const bomb = packedBook('', { 'xl/worksheets/sheet1.xml': nothing });
    const from = performance.now();
    expect(bomb.length).toBeLessThan(200_000);
    expect(() => readWorkbook(bomb)).toThrow(/unpacks to more than any list/);
    // What it says of its size is not what counts: the two places that say it are made small.
    const lying = bomb.slice();
    const view = new DataView(lying.buffer);
    for (let at = 0; at + 4 < lying.length; at++)
      if (view.getUint32(at, true) === nothing.length) view.setUint32(at, 9, true);
    expect(() => readWorkbook(lying)).toThrow(/unpacks to more than any list/);
    expect(performance.now() - from).toBeLessThan(20_000);
    const book = packedBook('<row><c t="str"><v>Lift</v></c></row>');
    expect(() => readWorkbook(book.slice(0, book.length / 2))).toThrow(UnreadableList);
    expect(() => readWorkbook(packedBook('<row><c></row>'))).toThrow(/damaged/);
    expect(() => readWorkbook(zipSync({ 'letter.txt': bytes('Hello') }))).toThrow(/no workbook/);
  });
});
