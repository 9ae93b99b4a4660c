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

  /** The rows of each sheet as they stand there, headings marked. */
  const sheets = (file: Uint8Array): string[][] =>
    readWorkbook(file).tables.map(({ headings, part, rows }) => [
      `${headings} in ${part}`,
      ...rows.map(({ line, cells, heading }) => `${line}${heading ? ' heads' : ''}: ${cells.join('|')}`),
    ]);

  it('has its shown sheets in order, cells where their letters say, gaps, and headings that are merged across', () => {
    const workbook = `<x:workbook xmlns:x="m" xmlns:r="n"><x:sheets><x:sheet name="Mend" r:id="b"/><x:sheet name="Old" state="veryHidden" r:id="a"/>
      <x:sheet name=" Light " r:id="a"/><x:sheet name="Empty" r:id="c"/></x:sheets></x:workbook>`;
    const rels =
      '<Relationships><Relationship Id="a" Target="/xl/worksheets/one.xml"/><Relationship Id="b" Target="worksheets/two.xml"/><Relationship Id="c" Target="worksheets/three.xml"/></Relationships>';
    const one =
      '<worksheet><sheetData><row><c><v>1</v></c><c t="str"><v>Warm</v></c><c t="str"><v><![CDATA[Ctrl+W]]></v></c></row><row/><row><c t="str"><v/></c><c t="e"><v>Cool</v></c><c r="BI3" t="str"><v>far</v></c><c r="BH3" t="str"><v>last</v></c></row></sheetData></worksheet>';
    const two = `<x:worksheet xmlns:x="m"><x:sheetData><x:row r="2"><x:c r="B2" t="inlineStr"><x:is><x:t>Sew</x:t></x:is></x:c><x:c t="inlineStr"><x:is><x:t>F2</x:t></x:is></x:c></x:row>
      <x:row r="3"><x:c r="A3" t="str"><x:v>Glue</x:v></x:c><x:c r="B3" t="s"><x:v>7</x:v></x:c></x:row><x:row r="4"><x:c r="A4" t="str"><x:v>Tape</x:v></x:c></x:row>
      <x:row r="5"><x:c r="A5" t="str"><x:v>Pin</x:v></x:c><x:c r="B5" t="str"><x:v>F5</x:v></x:c></x:row></x:sheetData>
      <x:mergeCells><x:mergeCell ref="A3:C3"/><x:mergeCell ref="A4:A5"/><x:mergeCell ref="A5:B5"/><x:mergeCell ref="A2:B3"/></x:mergeCells></x:worksheet>`;
    const file = zipSync({
      'xl/workbook.xml': bytes(workbook),
      'xl/_rels/workbook.xml.rels': bytes(rels),
      'xl/worksheets/one.xml': bytes(one),
      'xl/worksheets/two.xml': bytes(two),
      'xl/worksheets/three.xml': bytes(
        '<worksheet><sheetData><row><c t="str"><v> </v></c></row></sheetData></worksheet>',
      ),
      'xl/styles.xml': bytes('<broken'),
    });
    expect(sheets(file)).toEqual([
      ['Mend in xl/worksheets/two.xml', '1: |Sew|F2', '2 heads: Glue||', '3: Tape||', '4: Pin|F5|'],
      ['Light in xl/worksheets/one.xml', `5: 1|Warm|Ctrl+W${'|'.repeat(57)}`, `7: ${'|'.repeat(59)}last`],
    ]);
    const [mend] = readWorkbook(file).tables;
    const place = (row: number, cell: number): string => two.slice(...(mend?.rows[row]?.spans[cell] ?? [0, 0]));
    expect([place(0, 0), place(0, 1), place(0, 2), place(2, 0), place(2, 1)]).toEqual([
      '',
      '<x:c r="B2" t="inlineStr"><x:is><x:t>Sew</x:t></x:is></x:c>',
      '<x:c t="inlineStr"><x:is><x:t>F2</x:t></x:is></x:c>',
      '<x:c r="A4" t="str"><x:v>Tape</x:v></x:c>',
      '',
    ]);
    // What a row leaves out at its end would stand right before its end.
    expect(two.slice(mend?.rows[2]?.spans[2]?.[0]).startsWith('</x:row>')).toBe(true);
    expect(() =>
      sheets(zipSync({ 'xl/workbook.xml': bytes(workbook), 'xl/_rels/workbook.xml.rels': bytes(rels) })),
    ).toThrow(/damaged/);
  });

  it('of the open document kind has paragraphs, headings, tabs and breaks as they stand, and rows as often as they repeat', () => {
    const content = `<office:document-content xmlns:table="t" xmlns:text="x" xmlns:office="o"><table:table table:name="Keys">
      <table:table-row><table:table-cell table:number-columns-spanned="3"><text:h>Mend</text:h></table:table-cell><table:covered-table-cell table:number-columns-repeated="2"/></table:table-row>
      <table:table-row><table:table-cell table:number-columns-spanned="1"><text:p>Sew</text:p><text:p>again</text:p></table:table-cell><table:table-cell><text:p>F2<text:tab/>F3<text:line-break/>F4</text:p></table:table-cell><table:table-cell/></table:table-row>
      <table:table-row table:number-rows-repeated="3"><table:table-cell table:number-columns-repeated="2"><text:p>G</text:p></table:table-cell></table:table-row>
      <table:table-row table:number-rows-repeated="4"><table:table-cell/></table:table-row>
      <table:table-row><table:table-cell table:number-columns-spanned="2"><text:p>Pin</text:p></table:table-cell><table:covered-table-cell/><table:table-cell><office:annotation><text:p>no</text:p></office:annotation><text:p>F5</text:p></table:table-cell></table:table-row>
      <table:table-row table:number-rows-repeated="900"><table:table-cell table:number-columns-repeated="100"><text:p>x</text:p></table:table-cell></table:table-row>
      </table:table></office:document-content>`;
    const [rows = []] = sheets(zipSync({ 'content.xml': bytes(content) }));
    expect(rows.slice(0, 8)).toEqual([
      ...[' in content.xml', '1 heads: Mend||', '2: Sew\nagain|F2 F3\nF4|', '3: G|G', '4: G|G', '5: G|G', '7: Pin||F5'],
      `8: ${'x|'.repeat(59)}x`,
    ]);
    expect(rows.length).toBe(207);
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
