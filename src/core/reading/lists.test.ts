import { describe, expect, it } from 'vitest';
import { rowsOf } from '../keymap/keymap';
import { NO_CHOICES } from './choices';
import { guessRoles, isHeaderRow, readsAsKeys, roleOfHeader } from './columnRoles';
import { decodeText } from './decodeText';
import { readTextTable } from './forms/readTextTable';
import { programFromReading } from './programFromReading';
import { readCommandList } from './readCommandList';
import { readKeysCell } from './readKeysCell';
import type { Role } from './roles';

const row = (...cells: string[]) => ({ line: 1, cells, heading: false, spans: cells.map(() => [0, 0] as const) });

describe('the heads of columns', () => {
  it.each<[Role | null, string]>([
    ['Mac keys', 'Mac|macOS|OSX keys|Apple|Shortcut (Mac)'],
    [
      'keys',
      'Shortcut|Short cut|Key|Keys|Hot key|Hotkey|Keyboard|Keystroke|Keymap|My keys here|Key binding|Accelerator|Tastenkürzel|Raccourci|Atajo|Windows|Linux|On a PC|Press|Chord',
    ],
    ['kind', 'Kind|Type|Art'],
    [
      'path',
      'Menu|Path|Category|Group|Section|Where|Location|Area|Found in|Pfad|Chemin|Ruta|Panel|Module|Context|Page',
    ],
    [
      'ignore',
      'Description|Note|Comment|Remark|Explanation|What it does|Since|Version|Default?|#|No.|No|ID|Beschreibung',
    ],
    ['name', 'Command|Name|Action|Function|Tool|Task|Befehl|Commande|Comando|Feature|Operation|Item|To do|Effect'],
    [null, 'Lift stain|Kinds of it|Party|Epc|Idea|Monkeyish'],
  ])('%s: %s', (role, words) => {
    expect(words.split('|').filter((one) => roleOfHeader(one) !== role)).toEqual([]);
  });

  it('are told from rows that fill the columns', () => {
    expect(
      [row('Command', 'Keys'), { ...row('Lift stain', 'Keys'), heading: true }, row('Command', 'Keys', 'Odd')].map(
        (one) => isHeaderRow(one),
      ),
    ).toEqual([true, true, true]);
    expect([row('Menu', 'Command'), row('Command', 'Keys', '')].map((one) => isHeaderRow(one))).toEqual([true, true]);
    // Further down fewer rows can be that.
    const further = [row('Command', 'Keys'), row('Menu', 'Command'), row('Command', 'Keys', '')];
    expect(further.map((one) => isHeaderRow(one, false))).toEqual([true, false, false]);
    expect(['Command', 'COMMAND', 'shift', 'Ctrl+K', 'F2', 'k'].map(readsAsKeys)).toEqual([
      ...[false, false, false],
      ...[true, true, true],
    ]);
    for (const not of [
      row('Command', ''),
      row('Lift', 'Trim'),
      row('Command', 'Lift'),
      row('Command', 'Ctrl+K'),
      row('Command', 'F2'),
      row('<Alt>Page_Up', 'Item'),
      row('Keys', `Command ${'x'.repeat(40)}`),
    ])
      expect([not.cells, isHeaderRow(not)]).toEqual([not.cells, false]);
  });
});

describe('what columns hold', () => {
  const roles = (head: readonly string[] | null, ...rows: string[][]) =>
    guessRoles(
      head,
      rows.map((cells) => row(...cells)),
    );
  it.each<[string, readonly string[] | null, string[][], Role[]]>([
    [
      'by their heads',
      ['Menu', 'Command', 'Shortcut', 'Notes'],
      [['Edit', 'Undo', 'Ctrl+Z', 'Once']],
      ['path', 'name', 'keys', 'ignore'],
    ],
    [
      'by what stands in them',
      null,
      [
        ['Edit', 'Undo', 'Ctrl+Z'],
        ['Edit', 'Redo', 'Ctrl+Y'],
        ['Edit', 'Trim', ''],
      ],
      ['path', 'name', 'keys'],
    ],
    [
      'names that are keys in part are names beside what is nothing but keys',
      null,
      [
        ['Lift stain a,b;c', 'Ctrl+K'],
        ['Weigh a "few", b; c', 'F9'],
      ],
      ['name', 'keys'],
    ],
    [
      'steps make a path',
      null,
      [
        ['Edit > One', 'Undo it', 'F2'],
        ['Look > Two', 'Redo it', 'F3'],
      ],
      ['path', 'name', 'keys'],
    ],
    [
      'Mac keys beside others by their signs',
      null,
      [
        ['Undo', 'Ctrl+Z', '⌘Z'],
        ['Redo', 'Ctrl+Y', '⇧⌘Z'],
      ],
      ['name', 'keys', 'Mac keys'],
    ],
    [
      'Mac keys by their head',
      ['Name', 'Mac', 'Keys'],
      [
        ['Undo', 'F2', 'F3'],
        ['Redo', 'F4', ''],
      ],
      ['name', 'Mac keys', 'keys'],
    ],
    [
      'Mac keys alone are the keys',
      null,
      [
        ['Undo', '⌘Z'],
        ['Redo', '⇧⌘Z'],
      ],
      ['name', 'keys'],
    ],
    [
      'kinds by their head alone',
      ['Kind', 'Name', 'Keys'],
      [
        ['tool', 'Clone', 'S'],
        ['tool', 'Patch', ''],
      ],
      ['kind', 'name', 'keys'],
    ],
    [
      'long texts are no names',
      null,
      [
        ['Undo', 'F2', `It ${'goes on and on '.repeat(6)}`],
        ['Redo', 'F3', `And ${'goes on and on '.repeat(6)}`],
      ],
      ['name', 'keys', 'ignore'],
    ],
    [
      'numbers are nothing',
      null,
      [
        ['1', 'Undo', 'F2'],
        ['2', 'Redo', 'F3'],
      ],
      ['ignore', 'name', 'keys'],
    ],
    [
      'keys of which few are read, where their head says so',
      ['Name', 'Shortcut'],
      [
        ['Undo', 'F2'],
        ['Redo', 'on the pen'],
        ['Trim', 'on the dial'],
      ],
      ['name', 'keys'],
    ],
    [
      'and not where it does not',
      ['Name', 'Feature'],
      [
        ['Undo', 'F2'],
        ['Redo', 'on the pen'],
        ['Trim', 'on the dial'],
      ],
      ['name', 'ignore'],
    ],
    [
      'an empty column is nothing',
      ['Name', 'Menu', 'Keys'],
      [
        ['Undo', '', 'F2'],
        ['Redo', '', 'F3'],
      ],
      ['name', 'ignore', 'keys'],
    ],
    [
      'a menu whose every row is another has to say so',
      null,
      [
        ['Alpha', 'Undo it', 'F2'],
        ['Beta', 'Redo it', 'F3'],
      ],
      ['name', 'ignore', 'keys'],
    ],
    ['nothing at all', null, [['']], ['ignore']],
  ])('%s', (_, head, rows, wanted) => {
    expect(roles(head, ...rows)).toEqual(wanted);
  });
});

describe('a cell of keys', () => {
  it.each<[string, 'keys' | 'none' | 'unread', string[]]>([
    ['', 'none', []],
    ['-', 'none', []],
    ['—–', 'none', []],
    ['none', 'none', []],
    ['No shortcut', 'none', []],
    ['n/a', 'none', []],
    ['(none)', 'none', []],
    ['?', 'none', []],
    ['keine', 'none', []],
    ['Ctrl+-', 'keys', ['Mod+-']],
    ['minus', 'keys', ['-']],
    ['Ctrl+K (only on the pen)', 'keys', ['Mod+K']],
    ['Space (hold)', 'keys', ['hold:Space']],
    ['(F2)', 'keys', ['F2']],
    ['Ctrl+K (F2)', 'keys', ['Mod+K', 'F2']],
    ['Ctrl+K (see (both) below)', 'unread', []],
    ['F2 (the (inner) one)', 'unread', []],
    ['F2 (left open', 'unread', []],
    ['F2¹', 'keys', ['F2']],
    ['F2 [12]', 'keys', ['F2']],
    ['F2†‡', 'keys', ['F2']],
    ['F2*', 'keys', ['F2']],
    ['Ctrl+*', 'keys', ['Mod+*']],
    ['F2 or F2', 'keys', ['F2']],
    ['Frobnicate', 'unread', []],
  ])('%j is %s', (cell, status, chords) => {
    const read = readKeysCell(cell, 'windows');
    expect([read.status, read.chords]).toEqual([status, chords]);
    expect(read.problems.length > 0).toBe(status === 'unread');
  });
  it('says of the mouse and the pen that they are no keys', () => {
    expect(readKeysCell('Ctrl+drag', 'windows').problems).toEqual([
      "“drag” needs the mouse or pen, so it isn't kept as keys.",
    ]);
    expect(readKeysCell('Ctrl+Dragon', 'windows').problems).toEqual(["We don't know a key called “Dragon”."]);
  });
});

describe('text', () => {
  const utf16 = (text: string, big: boolean) => {
    const bytes = Buffer.from(text, 'utf16le');
    return new Uint8Array(big ? bytes.swap16() : bytes);
  };
  const of = (...bytes: number[]) => {
    const read = decodeText(new Uint8Array(bytes));
    return read.ok ? [read.encoding, read.text] : read.message;
  };
  it('is told by its marks, its zeros, or its bytes', () => {
    expect([of(0xef, 0xbb, 0xbf, 0x61), of(0xff, 0xfe, 0x61, 0), of(0xfe, 0xff, 0, 0x61)]).toEqual([
      ['utf-8', 'a'],
      ['utf-16le', 'a'],
      ['utf-16be', 'a'],
    ]);
    for (const [big, name] of [
      [false, 'utf-16le'],
      [true, 'utf-16be'],
    ] as const)
      expect(decodeText(utf16('Name;Keys', big))).toEqual({ ok: true, text: 'Name;Keys', encoding: name });
    expect([of(0xef, 0x61, 0xbf), of(0xfe, 0x61), of(0xff, 0x61), of(0x61, 0xc3, 0xa9)]).toEqual([
      ['windows-1252', 'ïa¿'],
      ['windows-1252', 'þa'],
      ['windows-1252', 'ÿa'],
      ['utf-8', 'aé'],
    ]);
  });
  it('is refused where there is none, or too much in it that nobody reads', () => {
    const odd = (count: number, of_ = 1000) =>
      decodeText(new Uint8Array([...Array(count).fill(1), ...Array(of_).fill(97)])).ok;
    expect([odd(0), odd(2), odd(3), odd(4), odd(8, 4000), odd(9, 4000)]).toEqual([
      true,
      true,
      true,
      false,
      true,
      false,
    ]);
    expect([of(), of(...Array(40).fill(0))].map(String)).toEqual([
      'The file is empty.',
      expect.stringContaining("This isn't a text file we can read."),
    ]);
    expect(of(9, 10, 13, 12, 9, 10, 13, 12)).toEqual(['utf-8', '\t\n\r\f\t\n\r\f']);
  });
  it('becomes rows by the mark that most lines have', () => {
    const cells = (text: string) =>
      readTextTable(text).tables[0]?.rows.map((one) => [one.line, one.heading, ...one.cells]) ?? [];
    expect(cells('a;b,c\nd;e\n')).toEqual([
      [1, false, 'a', 'b,c'],
      [2, false, 'd', 'e'],
    ]);
    expect(cells('a\tb;c\nd\te;f')).toEqual([
      [1, false, 'a', 'b;c'],
      [2, false, 'd', 'e;f'],
    ]);
    expect(cells('"a;b",c\n"d;e",f')).toEqual([
      [1, false, 'a;b', 'c'],
      [2, false, 'd;e', 'f'],
    ]);
    expect(cells('a|b\nc|d')).toEqual([
      [1, false, 'a', 'b'],
      [2, false, 'c', 'd'],
    ]);
    expect(cells('| a | b |\n|---|:-:|\n| c | d |\n')).toEqual([
      [1, true, 'a', 'b'],
      [3, false, 'c', 'd'],
    ]);
    expect(cells('a,b\nAlone\n\nc,d')).toEqual([
      [1, false, 'a', 'b'],
      [2, true, 'Alone'],
      [4, false, 'c', 'd'],
    ]);
    expect(cells('a\nb')).toEqual([
      [1, false, 'a'],
      [2, false, 'b'],
    ]);
    expect([cells(''), cells('\n ; \n'), cells('a,\n,b')]).toEqual([
      [],
      [],
      [
        [1, false, 'a', ''],
        [2, false, '', 'b'],
      ],
    ]);
  });
});

describe('a list', () => {
  const told = (text: string, chosen?: (Role[] | null)[]) =>
    readCommandList(text, { ...NO_CHOICES, roles: chosen ?? [] }).rows.map(({ result, why, command }) =>
      [result, command ? `${[...command.path, command.name].join(' › ')}: ${command.keys.join(', ')}` : '', why ?? '']
        .filter((one) => one !== '')
        .join(' — '),
    );
  it('is read row by row, each with what became of it and why', () => {
    expect(
      told(
        [
          'Menu,Command,Shortcut,Mac',
          'FILE,,,',
          'File > New,Blank sheet…,Ctrl+N,⌘N',
          'File,Blank > From scan....,,⌘⇧N',
          'File,— Close:,Ctrl+drag,',
          'File,Close,F4,',
          'File,Lift²,Ctrl+Shfit+L,',
          'File,***,F5,',
          `File,${'Long '.repeat(25)},F6,`,
          ',,F7,',
          'Look:,,,',
          '* Everything here holds on Windows too.,,,',
          '(1) See below,,,',
          'Note: this is one,,,',
          'This sentence has more than seven words in it.,,,',
          'Look,Step in[3],none,⌘I',
        ].join('\n'),
      ),
    ).toEqual(
      [
        'heading — Names the columns.',
        'heading — A heading: the rows below it live there.',
        'used — FILE › File › New › Blank sheet…: Mod+N',
        'partly — FILE › File › Blank › From scan…:  — It has keys on a Mac alone. The command comes in without a key.',
        "partly — FILE › File › Close:  — “drag” needs the mouse or pen, so it isn't kept as keys. The command comes in without a key.",
        'again — Stands in row 5 already; its keys are added there.',
        "partly — FILE › File › Lift:  — We don't know a key called “Shfit+L”. Perhaps Ctrl+Shift+L is meant. The command comes in without a key.",
        'unused — There is no name in this row.',
        `partly — FILE › File › ${'Long '.repeat(24).trim().slice(0, 119).trimEnd()}…: F6 — Its name is longer than 120 characters and is kept up to there.`,
        'unused — There is no name in this row.',
        'heading — A heading: the rows below it live there.',
        'unused — Looks like a footnote.',
        'unused — Looks like a footnote.',
        'unused — Looks like a footnote.',
        'unused — Looks like a footnote.',
        'partly — Look › Step in:  — It has keys on a Mac alone. The command comes in without a key.',
      ].map((one) => one.replace('Close:  —', one.includes('drag') ? 'Close: F4 —' : 'Close:  —')),
    );
  });
  it('takes the roles that were chosen for it, and says where none is the name', () => {
    expect(told('Undo,Ctrl+Z\nRedo,Ctrl+Y', [['ignore', 'ignore']])).toEqual([
      'unused — No column is chosen as the name.',
      'unused — No column is chosen as the name.',
    ]);
    expect(told('Undo,Edit,Ctrl+Z', [['name', 'path', 'keys']])).toEqual(['used — Edit › Undo: Mod+Z']);
    expect(() => readCommandList('<html><p>None</p></html>')).toThrow('There are no tables or lists on this page.');
    expect(() => readCommandList(' \n ')).toThrow('There is no list here: no row has anything in it.');
  });
  it('says only so often what was probably meant', () => {
    const many = told(
      `Command,Shortcut\n${Array.from({ length: 400 }, (_, i) => `Lift ${i},Ctrl+Shfit+L`).join('\n')}`,
    );
    const hints = many.filter((one) => one.includes('Perhaps')).length;
    expect([hints > 20, hints < 400]).toEqual([true, true]);
  });
  it('becomes a program: kinds by what is said, held or where it lives; sequences, turns and conventions as they are', () => {
    const list = readCommandList(
      [
        'Menu,Command,Kind,Keys',
        'Tool rail,Clone,,S',
        'Tool rail,Patch,,S',
        'Panels,Layers,,F7',
        'Window,Dish,,',
        'Edit,Undo,,Ctrl+Z',
        'Edit,Slide,,hold Space',
        'Edit,Size,Value,2',
        'Edit,Odd,whatever,F3',
        'Outils,Crayon,,C',
        'Edit,Steps,,Ctrl+K Ctrl+S',
        'Look,Undo,,F2',
      ].join('\n'),
    );
    const { program, factory } = programFromReading(list, 'Trial', '2');
    expect(program.commands.map((one) => [one.id, one.kind])).toEqual([
      ['clone', 'tool'],
      ['patch', 'tool'],
      ['layers', 'panel'],
      ['dish', 'panel'],
      ['undo', 'menu item'],
      ['slide', 'held action'],
      ['size', 'value'],
      ['odd', 'menu item'],
      ['crayon', 'tool'],
      ['steps', 'menu item'],
      ['undo-look', 'menu item'],
    ]);
    expect([program.rules.turns, program.rules.sequences, program.version]).toEqual([
      [['Tool rail'], ['Outils']],
      true,
      '2',
    ]);
    expect(rowsOf(factory).filter(([id]) => id.startsWith('undo'))).toEqual([
      ['undo', 'Mod+Z', true],
      ['undo-look', 'F2'],
    ]);
    expect(programFromReading({ rows: [] }, 'None', '1').program.rules).toMatchObject({ turns: [], sequences: false });
  });
});
