import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { growthOf } from '../../testing/growthOf';
import { rowsOf } from '../keymap/keymap';
import { decodeText } from './decodeText';
import { programFromReading } from './programFromReading';
import { type Reading, readCommandList } from './readCommandList';
import { UnreadableList } from './tables';

const fixture = (name: string) => readFileSync(fileURLToPath(new URL(`./fixtures/${name}`, import.meta.url)));
const page = (name: string): Reading => {
  const text = decodeText(fixture(name));
  if (!text.ok) throw new Error(text.message);
  return readCommandList(text.text);
};
/** What was understood, a line a command: path › name: keys. */
const lines = (reading: Reading) =>
  reading.rows.flatMap(({ command }) =>
    command ? `${[...command.path, command.name].join(' › ')}: ${command.keys.join(', ')}` : [],
  );
const notUsed = (reading: Reading) =>
  reading.rows
    .filter((row) => row.result !== 'used')
    .map((row) => `${row.result}: ${row.cells.filter(Boolean).join('|')} — ${row.why}`);

describe('reading a command list', () => {
  it('reads a page with headings, key caps, two notations and footnotes', () => {
    const reading = page('headings.html');
    expect(reading.title).toBe('Copperlamp 3 keyboard shortcuts');
    expect(reading.groups.map((group) => group.roles)).toEqual([['name', 'keys', 'Mac keys']]);
    expect(lines(reading)).toEqual([
      'Folder › Open folder…: Mod+O',
      'Folder › Hand over: Mod+Shift+H',
      'Folder › Forget recent: ',
      'Brightness › Tone › Lift shadows: Alt+L, F6',
      'Brightness › Tone › Calm highlights: Alt+Shift+L',
      'Brightness › Color › Warm up: Mod+Alt+=',
      'Brightness › Color › Cool down: Mod+Alt+-',
      'Tools › Feather: F',
      'Tools › Sponge: F',
      'Tools › Slide the page: hold:Space',
      'Tools › Straighten: ',
      'View › Closer: Mod+Plus, NumpadAdd',
      'View › Farther: Mod+-',
    ]);
    const odd = notUsed(reading).filter((line) => !line.includes('Names the columns'));
    expect(odd).toEqual([
      expect.stringContaining('unused: Notes: only with a printer attached. — Looks like a footnote.'),
      expect.stringContaining('partly: Straighten|Ctrl+drag|⌘-drag — “drag” needs the mouse or pen'),
      'unused: Ctrl+9|⌘9 — There is no name in this row.',
    ]);
  });

  it('reads nested layout tables, captions, cells that span rows, headings between rows, no column names', () => {
    const latin = new TextDecoder().decode(fixture('nested.html'));
    const bytes = Uint8Array.from(latin, (c) => c.charCodeAt(0));
    const decoded = decodeText(bytes);
    expect(decoded).toMatchObject({ ok: true, encoding: 'windows-1252' });
    const reading = readCommandList(decoded.ok ? decoded.text : '');
    expect(reading.groups.map((group) => [group.tables, group.roles])).toEqual([[5, ['path', 'name', 'keys']]]);
    expect(lines(reading)).toEqual([
      'Keys › Sheet menu › New › Blank sheet: Mod+N',
      'Keys › Sheet menu › New › From template: Mod+Shift+N, F3',
      'Keys › Sheet menu › Close › Close sheet: Mod+W',
      'Keys › Ink menu › Flow › Thicker: ]',
      'Keys › Ink menu › Flow › Thinner: [',
      'Keys › Ink menu › Dry › Dry now: ',
      'Keys › Line menu › Ends › Shape › Round end: Alt+1',
      'Keys › Line menu › Ends › Shape › Café end: Alt+2',
      'Keys › Line menu › Joins › Shape › Sharp join: Alt+3',
      'Keys › View menu › Zoom › Whole sheet: Mod+0',
      'Keys › View menu › Zoom › True size: Mod+1',
      'Keys › View menu › Turn › Turn left: ',
      'Keys › Tools › Draw › Reed pen: P',
      'Keys › Tools › Draw › Quill: Q',
    ]);
    expect(notUsed(reading).filter((line) => !line.startsWith('heading'))).toEqual([
      expect.stringMatching(/^partly: Turn\|Turn left\|Ctrl\+Frobnicate — We don't know a key called “Frobnicate”/),
      expect.stringMatching(/^unused: \* All of these .* — Looks like a footnote\.$/),
    ]);
  });

  it('reads another language, keys first, descriptions left aside, pictures by their text', () => {
    const reading = page('german.html');
    expect(reading.groups[0]?.roles).toEqual(['keys', 'name', 'ignore']);
    expect(lines(reading)).toEqual([
      'Datei › Sichern: Mod+S',
      'Datei › Sichern als…: Mod+Shift+S',
      'Maske › Maske leeren: Delete',
      'Maske › Maske umkehren: ',
      'Ansicht › Vorige Tafel: PageUp',
      'Ansicht › Nächste Tafel: PageDown',
      'Ansicht › Erste Tafel: Home',
      'Ebenen › Ordnen › Ebene höher: Mod+ArrowUp',
      'Ebenen › Ordnen › Ebene tiefer: Mod+ArrowDown',
      'Werkzeuge › Borste: B',
      'Werkzeuge › Radierer: R',
    ]);
    expect(notUsed(reading).filter((line) => !line.includes('Names the columns'))).toEqual([
      'unused: Q|Nicht belegt. — There is no name in this row.',
    ]);
  });

  it('reads separated text with or without column names, and takes corrected roles', () => {
    const csv =
      'Where;What;Keys\r\nFile > New;Blank;Ctrl+N\r\nFile > New;"Copy; again";"Ctrl+Shift+N\nF4"\r\nMask;Soften;\r\n';
    expect(lines(readCommandList(csv))).toEqual([
      'File › New › Blank: Mod+N',
      'File › New › Copy; again: Mod+Shift+N, F4',
      'Mask › Soften: ',
    ]);
    const tsv = 'Blank\tCtrl+N\nREPAIR\t\nLift\tF9\nSmooth\t\n';
    expect(lines(readCommandList(tsv))).toEqual(['Blank: Mod+N', 'REPAIR › Lift: F9', 'REPAIR › Smooth: ']);
    expect(lines(readCommandList(tsv, [['keys', 'name']]))).toEqual(['Ctrl+N: ', 'REPAIR › F9: ']);
    const bars = '| Action | Shortcut |\n|---|---|\n| Blur | Ctrl+B |\n| Mend | ⌘M |\n';
    expect(readCommandList(bars).dialect).toBe('mac');
    // In a list of Mac keys, Ctrl is the Mac's Control.
    expect(lines(readCommandList(bars))).toEqual(['Blur: Ctrl+B', 'Mend: Mod+M']);
    expect(lines(readCommandList('Only names\nSecond name\nThird name'))).toEqual([
      'Only names: ',
      'Second name: ',
      'Third name: ',
    ]);
  });

  it('says what a cell it could not read was probably meant to be', () => {
    const reading = readCommandList('Command,Keys\nTurn page,Ctrl+Shfit+T\nLift,Ctrl+Frobnicate\n');
    expect(reading.rows.map((row) => row.why)).toContainEqual(
      expect.stringContaining('Perhaps Ctrl+Shift+T is meant.'),
    );
    expect(reading.rows.at(-1)?.why).not.toContain('Perhaps');
  });

  it('adds the keys of a command that stands there twice, and finds tools that take turns', () => {
    const reading = readCommandList(
      'Menu,Command,Shortcut\nTools,Clone,S\nTools,Patch,S\nEdit,Undo,Ctrl+Z\nEdit,Undo,F2\n',
    );
    const { program, factory } = programFromReading(reading, 'Trial', '1');
    expect(rowsOf(factory)).toEqual([
      ['clone', 'S'],
      ['patch', 'S'],
      ['undo', 'Mod+Z', true],
      ['undo', 'F2'],
    ]);
    expect(program.rules.turns).toEqual([['Tools']]);
    expect(program.commands.map((command) => command.kind)).toEqual(['tool', 'tool', 'menu item']);
  });

  it('recognizes encodings', () => {
    const utf16 = new Uint8Array([0xff, 0xfe, ...Buffer.from('Name\tKeys\nCafé\tF2', 'utf16le')]);
    const read = decodeText(utf16);
    expect(read).toMatchObject({ ok: true, encoding: 'utf-16le', text: 'Name\tKeys\nCafé\tF2' });
    expect(decodeText(new Uint8Array([0xef, 0xbb, 0xbf, 0x61]))).toMatchObject({ ok: true, text: 'a' });
    expect(decodeText(Uint8Array.from({ length: 4000 }, (_, i) => (i * 7919) % 256))).toMatchObject({ ok: false });
    expect(decodeText(new Uint8Array())).toMatchObject({ ok: false });
  });

  it('takes no more than twice and a half the time for what is twice as long, however it is written', () => {
    const page = (inside: string): string => `<table><tr><td>${inside}</td><td>F2</td></tr></table>`;
    const HOSTILE: Readonly<Record<string, (size: number) => string>> = {
      'marks at the end': (n) => `Command,Shortcut\n${'*'.repeat(n)},F2\n`,
      'marks in the middle': (n) => `Command,Shortcut\n${'*'.repeat(n)}x,F2\n`,
      'dots and spaces': (n) => `Command,Shortcut\n${'. '.repeat(n)}x,F2\n`,
      brackets: (n) => `Command,Shortcut\nLift,${'('.repeat(n)}\n`,
      'words in brackets': (n) => `Command,Shortcut\nLift,${'(abc '.repeat(n)}\n`,
      'many cells of marks': (n) => `Command,Shortcut\n${`${'*'.repeat(900)}x,${'(a'.repeat(450)}\n`.repeat(n / 200)}`,
      'alternative keys': (n) => `Command,Shortcut\n${`a,${'Ctrl+K or '.repeat(90)}\n`.repeat(n / 200)}`,
      'blank lines': (n) => `a,b\n${'\n'.repeat(n)}c,d`,
      'carriage returns': (n) => `a,b\n${'\r'.repeat(n)}`,
      'spaces in a bar table': (n) => `|a|b|\n|${' '.repeat(n)}x|\n`,
      'quotes that never close': (n) => '"a'.repeat(n),
      'blocks in blocks': (n) => `<html>${'<div>'.repeat(n)}`,
      'bold in bold': (n) => `<html>${'<b>'.repeat(n)}`,
      'tables in tables': (n) => '<table><tr><td>'.repeat(n),
      'raised in raised': (n) => page(`${'<sup>'.repeat(Math.min(n / 50, 380))}a`),
      'many key caps in one cell': (n) => page('<kbd>a</kbd>'.repeat(n)),
      'cells that reach down': (n) => `<table>${'<tr><td rowspan=1000 colspan=60>a</td></tr>'.repeat(n / 50)}</table>`,
    };
    for (const [name, make] of Object.entries(HOSTILE))
      expect([name, growthOf((size) => readCommandList(make(size)), 2.5, 4000) < 2.5]).toEqual([name, true]);
  }, 120_000);

  it('refuses what is huge or hostile in a plain sentence, soon', () => {
    expect(() => readCommandList('a,b\n'.repeat(20_010))).toThrow(UnreadableList);
    expect(() => readCommandList(`<table>${'<tr><td>a</td><td>b</td></tr>'.repeat(20_010)}</table>`)).toThrow(
      /20,000 rows/,
    );
    expect(() => readCommandList('<html><p>No tables</p></html>')).toThrow(
      'There are no tables or lists on this page.',
    );
    expect(() => readCommandList('')).toThrow(UnreadableList);
    expect(() => readCommandList('<table>'.repeat(1) + '<div>'.repeat(30_000))).toThrow(UnreadableList);
    const wide = readCommandList(
      `<table><tr><td rowspan=99999 colspan=99999>a</td><td>${'x'.repeat(100_000)}</td></tr></table>`,
    );
    expect(wide.rows[0]?.cells.length).toBeLessThanOrEqual(60);
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 400 }), fc.boolean(), (text, asPage) => {
        try {
          readCommandList(asPage ? `<table>${text}` : text);
        } catch (error) {
          expect(error).toBeInstanceOf(UnreadableList);
        }
      }),
      { numRuns: 500 },
    );
  });
});
