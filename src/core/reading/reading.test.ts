import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { growthOf } from '../../testing/growthOf';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { rowsOf } from '../keymap/keymap';
import { makeSheet } from '../sheet/makeSheet';
import { DEFAULT_SHEET } from '../sheet/sheetSpec';
import { writeFragment, writePage } from '../sheet/writeHtml';
import { writeCsv, writeMarkdown } from '../sheet/writeText';
import { NO_CHOICES } from './choices';
import { decodeText } from './decodeText';
import { yamlTree } from './forms/yamlTree';
import { mannerOf } from './mannerOf';
import { programFromReading } from './programFromReading';
import { type Reading, readCommandList } from './readCommandList';
import { readKeysCell } from './readKeysCell';
import { type FormRead, UnreadableList } from './tables';

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
    expect(lines(readCommandList(tsv, { ...NO_CHOICES, roles: [['keys', 'name']] }))).toEqual([
      'Ctrl+N: ',
      'REPAIR › F9: ',
    ]);
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
    // Refused before the package that parses it is asked, which takes seconds for so many.
    expect(() => yamlTree('- a: b\n'.repeat(40_010))).toThrow(/20,000 rows/);
    expect(() => readCommandList('\n'.repeat(200_010))).toThrow(/20,000 rows/);
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

describe('keys as they are written', () => {
  const rows = fixture('writtenKeys.tsv')
    .toString()
    .split('\n')
    .filter((line) => line !== '' && !/^##? /.test(line))
    .map((line) => line.split('\t') as [string, string]);

  it('are read in all the ways there are, and never wrong in silence', () => {
    expect(rows.length).toBeGreaterThan(550);
    const read = rows.map(([text, wanted]) => {
      const { status, chords, problems } = readKeysCell(text, 'windows');
      const said = status === 'none' ? 'none' : status === 'unread' ? 'remark' : chords.join(' | ');
      return {
        text,
        wanted,
        said: wanted === 'remark' && problems.length > 0 ? 'remark' : said,
        silent: problems.length === 0,
      };
    });
    expect(read.filter(({ wanted, said }) => said !== wanted)).toEqual([]);
  });

  it('tell by all cells of a list whether capitals, blanks, commas and lone signs mean something', () => {
    const read = (...cells: string[]) => {
      const manner = mannerOf(cells);
      return cells.map((cell) => readKeysCell(cell, manner.dialect, manner).chords.join(' | '));
    };
    expect(read('g', 'G', 'n', 'N', 'gg', 'dd', '<C-w>v', 'gT')).toEqual([
      ...['G', 'Shift+G', 'N', 'Shift+N', 'G G', 'D D', 'Mod+W V', 'G Shift+T'],
    ]);
    expect(read('Ctrl+E, 2', 'Ctrl+E, 3', 'Ctrl+E, 1', 'Alt+V, Alt+I')).toEqual([
      ...['Mod+E 2', 'Mod+E 3', 'Mod+E 1', 'Alt+V Alt+I'],
    ]);
    expect(read('Control+c XF86Copy', 'Home Control+a', 'End Control+e', 'Left Control+b')).toEqual([
      ...['Mod+C', 'Home | Mod+A', 'End | Mod+E', 'ArrowLeft | Mod+B'],
    ]);
    expect([read('-', '+', '*', '?'), read('-', 'Ctrl+S', '-', '-')]).toEqual([
      ['-', 'Plus', '*', '?'],
      ['', 'Mod+S', '', ''],
    ]);
    // Hardly any letter is a capital, which then means Shift, in strokes as well; commas part what takes several of them.
    expect(
      read(...['d', 'l', 'n', 'q', 'C-c C-d a', 'C-c C-w z', 'C-x h', 'C-h m', 'C-c C-d p', 'C-c E']).slice(-2),
    ).toEqual(['Mod+C Mod+D P', 'Mod+C Shift+E']);
    expect(read('M-tab, C-c C-i, C-M-i', 'C-c C-s', 'C-c M-i', 'C-c C-q', 'C-c M-q')[0]).toBe(
      'Alt+Tab | Mod+C Mod+I | Mod+Alt+I',
    );
    // The one question mark among letters asks for help.
    expect([read('h', 'j', 'k', '?'), read('Ctrl+H', 'Ctrl+J', '?')]).toEqual([
      ['H', 'J', 'K', '?'],
      ['Mod+H', 'Mod+J', ''],
    ]);
  });
});

describe('forms', () => {
  const FORMS: Readonly<Record<FormRead, string | null>> = {
    table: 'Menu;Command;Keys\nRepair;Lift stain;Ctrl+K\nRepair;Dust sweep;F3\n',
    'web page':
      '<!doctype html><h2>Repair</h2><dl><dt><kbd>Ctrl</kbd>+<kbd>K</kbd></dt><dd>Lift stain</dd><dt><kbd>F3</kbd></dt><dd>Dust sweep</dd></dl>',
    Markdown: '# Keys\n\n## Repair\n\n- `Ctrl+K`: Lift stain\n- `F3`: Dust sweep\n',
    settings: '; made by hand\n[Repair]\nLift stain = Ctrl+K\nDust sweep=F3 ; often\n',
    bindings: '# keys\nbind Repair Ctrl-K Lift stain\nbind Repair F3 Dust sweep\nbind Repair F4 Press flat\n',
    'text in columns': 'Repair\n======\n\nLift stain ........ Ctrl+K\nDust sweep ........ F3\n',
    lines: '# Repair\nLift stain (Ctrl+K)\nDust sweep (F3)\nPress flat (F4)\n',
    'manual source':
      '.TH DESK 1\n.SH Repair\n.TP\n.B Ctrl+K\nLift stain\n.TP\n\\fBF3\\fR\nDust sweep\n.TP\nF4\nPress flat\n',
    'program text':
      "export const desk = {\n  Repair: [\n    { name: 'Lift stain', keys: 'Ctrl+K' },\n    { name: 'Dust sweep', keys: 'F3' },\n  ],\n};\n",
    'accelerator map':
      '; a map\n(accel_path "<Main>/Repair/Lift stain" "<Control>k")\n(accel_path "<Main>/Repair/Dust sweep" "F3")\n',
    JSON: '// keys\n{"Repair": [{"command": "Lift stain", "keys": ["Ctrl+K"]}, {"command": "Dust sweep", "keys": "F3"},],}',
    XML: '<?xml version="1.0"?><keys><Repair><bind keys="Ctrl+K">Lift stain</bind><bind keys="F3">Dust sweep</bind></Repair></keys>',
    YAML: 'Repair:\n  - command: Lift stain\n    keys: Ctrl+K\n  - command: "Dust sweep"\n    keys: [F3]\n',
    TOML: '[[Repair]]\ncommand = "Lift stain"\nkeys = "Ctrl+K"\n\n[[Repair]]\ncommand = "Dust sweep"\nkeys = "F3"\n',
    'property list':
      '<?xml version="1.0"?><plist version="1.0"><dict><key>Repair</key><dict><key>Lift stain</key><string>@k</string><key>Dust sweep</key><string>\uF706</string></dict></dict></plist>',
    workbook: null,
    shown: null,
  };

  it.each(Object.entries(FORMS).flatMap(([form, text]) => (text === null ? [] : [[form, text] as const])))(
    '%s is told by its content; names and keys are found where they stand',
    (form, text) => {
      const { format, rows, doubt } = readCommandList(text);
      const commands = rows.flatMap(({ command, at }) => (command && at ? [{ command, at }] : []));
      expect([format, doubt]).toEqual([form, null]);
      expect(commands.slice(0, 2).map(({ command }) => [command.name, command.keys])).toEqual([
        ['Lift stain', ['Mod+K']],
        ['Dust sweep', ['F3']],
      ]);
      for (const { command } of commands) expect(command.path.join()).toMatch(/Repair/);
      for (const { command, at } of commands) {
        expect(text.slice(...at.name)).toBe(command.name);
        expect(text.slice(...(at.keys ?? [0, 0]))).toMatch(/^(?:<Control>k|@k|.*K.*|\uF706|\W*(?:<kbd>)?F[34].*)$/s);
      }
    },
  );

  it('are property lists in both ways they are written, with keys as signs before a key, and strokes in strokes', () => {
    const braced = `// keys
{
  "^k" = "liftStain:"; /* often */
  "@$\\UF706" = (dustSweep:, "fold:");
  "^x" = { "^s" = "press:"; n = "none:"; };
  "#*" = "whole:";
}`;
    const read = (text: string) => {
      const { format, rows } = readCommandList(text);
      expect(format).toBe('property list');
      return rows.map(({ command }) => `${command?.name}: ${command?.keys.join()}`);
    };
    expect(read(braced)).toEqual([
      ...['liftStain: Ctrl+K', 'dustSweep fold: Mod+Shift+F3', 'press: Ctrl+X Ctrl+S', 'none: Ctrl+X N'],
      'whole: NumpadMultiply',
    ]);
    const plain =
      '<plist><array><dict><key>name</key><string>Lift</string><key>keys</key><string>Ctrl+K</string></dict><dict><key>name</key><string>Sweep</string><key>keys</key><string>F3</string><key>on</key><true/></dict></array></plist>';
    expect(read(plain)).toEqual(['Lift: Mod+K', 'Sweep: F3']);
  });

  it('hold other things, too: what is no list of keys is left out with its reason, and a doubt is said', () => {
    const { rows } = readCommandList(
      '[font]\nsize = 12\nname = Serif\n\n[keys]\ncopy = Ctrl+C\npaste = Ctrl+V\n# cut = Ctrl+X\n',
    );
    expect(rows.map(({ line, result, command }) => [line, result, command?.name ?? ''])).toEqual([
      [1, 'heading', ''],
      [2, 'unused', ''],
      [3, 'unused', ''],
      [5, 'heading', ''],
      [6, 'used', 'copy'],
      [7, 'used', 'paste'],
      [8, 'partly', 'cut'],
    ]);
    const doubtOf = (text: string) => readCommandList(text).doubt;
    expect(doubtOf(Array.from({ length: 20 }, (_, i) => `Lift ${i},Often`).join('\n'))).toMatch(
      /None of its commands has keys/,
    );
    expect(doubtOf(Array.from({ length: 9 }, (_, i) => `Lift ${i} while Ctrl+${i} is held`).join('\n'))).toMatch(
      /names of commands/,
    );
    expect(readCommandList('Command,Keys\nLift,F2\nTrim,F2\nWash,F3\n').clashes).toBe(1);
  });

  it('takes no tool for the head of a table', () => {
    const { rows } = readCommandList('Group,Command,Keys\nTools,Brush tool,B\nTools,Patch tool,\nTools,Crop tool,C\n');
    expect(rows.map(({ command }) => command?.name ?? '')).toEqual(['', 'Brush tool', 'Patch tool', 'Crop tool']);
  });
});

describe('what goes out', () => {
  const demo = join(import.meta.dirname, '../../../demo');
  const programs = ['tarnlight', 'nibshore', 'quillmoor'].map((name) =>
    fromProgramFile(JSON.parse(readFileSync(join(demo, `${name}.json`), 'utf8')) as ProgramFile),
  );
  it('comes back: every line of a sheet as text, as Markdown and as a web page, in each notation', () => {
    for (const { program, factory } of programs)
      for (const notation of ['windows', 'mac', 'symbols'] as const) {
        const spec = { ...DEFAULT_SHEET, form: 'reference', notation } as const;
        const request = { program, keymapName: 'Kept', keymap: factory, factory, footer: '', spec };
        const { contents } = makeSheet(request, '1 May 2026');
        const wanted = contents.groups.flatMap(({ lines: all }) => all.map(({ name }) => name)).sort();
        for (const text of [
          writeCsv(contents),
          writeMarkdown(contents),
          writePage(contents),
          writeFragment(contents),
        ]) {
          const reading = readCommandList(text);
          const read = reading.rows.flatMap(({ command }) => command ?? []);
          const names = new Set(read.map(({ name }) => name));
          expect(wanted.filter((name) => !names.has(name))).toEqual([]);
          expect(read.filter(({ keys }) => keys.length === 0).map(({ name }) => name)).toEqual([]);
          expect([reading.doubt, reading.rows.filter(({ result }) => result === 'partly')]).toEqual([null, []]);
        }
      }
  });
});
