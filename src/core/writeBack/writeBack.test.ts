import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ChordText } from '../chord/chord';
import { NO_CHOICES } from '../reading/choices';
import { LISTED_FORMS, listIn } from '../testing/listIn';
import { besideLines } from './besideLines';
import { encodeText } from './editedBytes';
import type { Place } from './placesOf';
import { readSource, type SourceText, spellingOf, type Wanted } from './sourceText';
import { unitOf } from './unitOf';
import { writeBack } from './writeBack';
import { writeFile } from './writeFile';

const CHORDS: readonly ChordText[] = [
  'Mod+A',
  'Mod+Shift+F',
  'Mod+Shift+L',
  'Mod+Z',
  'Shift+B',
  'Mod+3',
  'F7',
  'Mod+PageUp',
  'Alt+E',
  'Mod+,',
  'Mod+/',
  'Home',
  'Mod+Alt+Shift+K',
];
/** Files that write in ways of their own: what separates keys, what says none, lines out of use, notes, quotes. */
const FILES: Readonly<Record<string, string>> = {
  'settings with lines out of use': `# Keys of the plate room
[repair.surface]
dust_sweep = ctrl+shift+p
lift_stain=ctrl+shift+f9
close_tear = ctrl+alt+page_up, f11   ; both hands
# fill_pinhole = alt+w
remove_foxing =
[mask]
; stain_mask = alt+y
paper_mask = alt+shift+w
edge_softer = shift+comma`,
  'settings that say none': `; made up\r
save = "Ctrl+S"\r
fold = "none"\r
open = "Ctrl+O"\r
press = "none"\r
lift = "Ctrl+Shift+L"\r
turn = "F5"\r
`,
  'settings in lists': `[keys]
close=['<Control>w']
fold=@as []
lift=['<Control><Shift>l', 'F5']
press=['<Alt>p']
turn=['F6', '<Control>Page_Up']
`,
  'JSON with comments': `{
  // what is done all day
  "keys": [
    { "key": "ctrl+k", "command": "fold.sheet" }, // often
    { "key": "ctrl+shift+l", "command": "lift.stain" },
    { "key": "f5", "command": "turn.sheet" },
    { "key": "pageup", "command": "lift.stain" },
    { "key": "alt+p", "command": "press.flat" }
  ]
}
`,
  'JSON by name': `{"keys": {
  "fold": ["ctrl+k", "f7"],
  "lift": ["ctrl+shift+l"],
  "turn": [],
  "press": ["alt+p"],
  "mask": []
}}`,
  'records that lack keys': `- name: fold
  keys: ctrl+k
  menu: Sheet
- name: lift
  menu: Sheet
- name: press
  keys: "alt+p"
  menu: Sheet
- name: turn
  keys: f5
  menu: Sheet
`,
  'quoted table': `"Menu";"Command";"Keys"
"Sheet";"Fold";"Ctrl+K / F7"
"Sheet";"Lift ""it""";"Ctrl+Shift+L"
"Sheet";"Press";"-"
"Sheet";"Turn";"F5"
"Mask";"Paper";"-"
`,
  'letters for modifiers': `bind C-k fold
bind C-l lift # kept
bind M-p press
bind F5 turn
# bind C-x mask
bind C-S-f paper
bind , smaller
bind . larger
`,
  'brackets around keys': `nmap <C-k> fold
nmap <C-S-l> lift
nmap <A-p> press
nmap <F5> turn
nmap <PageUp> mask
nmap g paper
`,
  'text with notes': `Sheet
=====
  Ctrl+K          Fold the sheet
  Ctrl+Shift+L    Lift the stain
  F5 or Ctrl+R    Turn the sheet
  PgUp            One plate back
  Alt+P           Press it flat
`,
  'blocks that bind': `desk {
    bind "Ctrl k" { Fold; }
    bind "Ctrl Shift l" { Lift; }
    bind "F5" {
        Turn;
    }
    bind "Alt p" { Press; }
    bind "Alt m" { Mask; }
}
`,
  'a list in a program': `export const keys = {
  fold: 'Ctrl+K',
  lift: "Ctrl+Shift+L",
  turn: ['F5', 'Ctrl+R'],
  press: 'Alt+P', // often
};
`,
  'elements of a tree': `<keys>
  <action><name>fold</name><key>&lt;Control&gt;k</key></action>
  <action><name>lift</name><key>&lt;Control&gt;&lt;Shift&gt;l</key></action>
  <action><name>turn</name><key>F5</key></action>
  <action><name>press</name><key>Page_Up</key></action>
</keys>
`,
};
const textOf = (form: string): string => FILES[form] ?? new TextDecoder().decode(listIn(form, 12));
const FORMS = [...LISTED_FORMS.filter((form) => form !== 'workbook'), ...Object.keys(FILES)];

const sources = new Map<string, SourceText>();
const sourceOf = (form: string): SourceText => {
  const known = sources.get(form) ?? readSource(textOf(form), NO_CHOICES);
  sources.set(form, known);
  return known;
};
/** All commands of a file, some with other keys. */
const wantedOf = (source: SourceText, changed: ReadonlyMap<number, readonly ChordText[]>): Wanted[] =>
  [...source.places.listed.values()].map(({ key, command: { name, path, keys } }, i) => ({
    id: key,
    name,
    path,
    keys: changed.get(i) ?? keys,
  }));
const anyChanges = fc
  .array(fc.tuple(fc.nat(11), fc.uniqueArray(fc.constantFrom(...CHORDS), { maxLength: 2 })), { maxLength: 5 })
  .map((all) => new Map(all));
/** Each of them with keys, and no more than one, so that no line goes or comes. */
const anyOthers = fc
  .array(fc.tuple(fc.nat(11), fc.constantFrom(...CHORDS)), { maxLength: 5 })
  .map((all) => new Map(all.map(([at, chord]) => [at, [chord]])));
/** The numbers of the lines that are all of a command, with the blank line that parts it from the next. */
function linesAt({ text, reading }: SourceText, place: Place): number[] {
  const { at } = unitOf(text, place, reading.format);
  const number = (to: number): number => text.slice(0, to).split(/\r\n|\r|\n/u).length;
  const [first, last] = [number(at[0]), number(at[1])];
  return Array.from({ length: last - first + 1 }, (_, i) => first + i);
}

describe.each(FORMS)('a file written back: %s', (form) => {
  it('is understood, and stays as it is where nothing is changed', () => {
    const source = sourceOf(form);
    expect(source.places.listed.size).toBeGreaterThan(3);
    const { text, asWanted, of, commands } = writeBack(source, spellingOf(source), source, wantedOf(source, new Map()));
    expect(text).toBe(source.text);
    expect(asWanted).toBe(of);
    expect(commands.every(({ did, why }) => did === 'nothing' && why === null)).toBe(true);
  });

  it('is read again as wanted but for what it says it can’t hold, and changes in lines of changed commands alone', () => {
    const source = sourceOf(form);
    const spelling = spellingOf(source);
    let written = 0;
    fc.assert(
      fc.property(anyChanges, (changes) => {
        const wanted = wantedOf(source, changes);
        const { text, edits, commands } = writeBack(source, spelling, source, wanted);
        const now = readSource(text, NO_CHOICES, {}, source).places.listed;
        for (const [i, one] of wanted.entries()) {
          const told = commands[i];
          const before = source.places.listed.get(one.id)?.command.keys ?? [];
          const after = now.get(one.id)?.command.keys ?? [];
          if (told?.why == null) expect([...after].sort()).toEqual([...one.keys].sort());
          else expect(after.every((chord) => [...one.keys, ...before].includes(chord))).toBe(true);
          if (told?.did !== 'nothing') written++;
        }
        // Every line that differs is one of a changed command; beside it only a comma may come or go.
        const own = new Set(
          commands.flatMap(({ id, did }) => {
            const { places } = source.places.listed.get(id) ?? source.places.asleep.get(id) ?? { places: [] };
            return did === 'nothing' ? [] : places.flatMap((place) => linesAt(source, place));
          }),
        );
        for (const { before, after: then, changed } of besideLines(source.text, edits)) {
          if (!changed || before === null || own.has(before.number)) continue;
          const bare = (text: string): string => text.replace(/,(?=\s*(?:\/\/.*)?$)/u, '').trim();
          expect(bare(then?.parts.map((part) => part.text).join('') ?? '')).toBe(bare(before.text));
        }
        if (commands.every(({ did }) => did === 'nothing')) expect(text).toBe(source.text);
      }),
      { numRuns: 40 },
    );
    expect(written).toBeGreaterThan(8);
  });

  it('becomes the same whatever was written before, where no line went or came', () => {
    const source = sourceOf(form);
    const spelling = spellingOf(source);
    let compared = 0;
    fc.assert(
      fc.property(fc.oneof(anyChanges, anyOthers), fc.oneof(anyChanges, anyOthers), (a, b) => {
        const first = writeBack(source, spelling, source, wantedOf(source, a));
        if (first.commands.some(({ did }) => did === 'line added' || did === 'line removed')) return;
        const into = readSource(first.text, NO_CHOICES, {}, source);
        const wanted = wantedOf(source, b);
        const [second, straight] = [
          writeBack(source, spelling, into, wanted),
          writeBack(source, spelling, source, wanted),
        ];
        // What can't be written stays as it was.
        if (straight.commands.some(({ why, did }) => why || did === 'line removed' || did === 'line added')) return;
        expect(second.asWanted).toBe(straight.asWanted);
        expect(second.text).toBe(straight.text);
        compared++;
      }),
      { numRuns: 40 },
    );
    expect(compared).toBeGreaterThan(5);
  });
});

describe('a file that has the keys of a command in several places', () => {
  it.each([
    [
      'fields',
      '[{"command":"fold","key":"k","ctrl":true},{"command":"lift","key":"l","ctrl":true},{"command":"turn","key":"F5","ctrl":false},{"command":"press","key":"p","ctrl":true}]',
    ],
    ['columns', 'Command;Ctrl;Shift;Key\nfold;x;;K\nlift;x;x;L\nturn;;;F5\npress;x;;P\n'],
    [
      'strokes that lead on',
      'Chain = "Ctrl X" {\n Key = "F" { fold }\n Key = "L" { lift }\n Key = "T" { turn }\n Key = "P" { press }\n}\n',
    ],
    [
      'sections',
      '[key]\ndo=fold\nkey=k\nctrl=yes\n\n[key]\ndo=lift\nkey=l\n\n[key]\ndo=turn\nkey=F5\n\n[key]\ndo=press\nkey=p\n',
    ],
  ])('is left as it is, and says why: %s', (_, file) => {
    const source = readSource(file, NO_CHOICES);
    const wanted = wantedOf(source, new Map([[2, ['Mod+F9']]]));
    expect(wanted.map((one) => one.name)).toEqual(['fold', 'lift', 'turn', 'press']);
    const { text, commands } = writeBack(source, spellingOf(source), source, wanted);
    expect(text).toBe(file);
    expect(commands.map(({ did, why }) => [did, why?.text ?? null])).toEqual([
      ['nothing', null],
      ['nothing', null],
      ['nothing', expect.stringContaining('stand in several places of this file')],
      ['nothing', null],
    ]);
  });
});

describe('a file whose rows were corrected', () => {
  const TEXT = 'bind C-k fold\nbind C-l lift\nbind M-p press\nbind F5 turn\nbind C-j mask\n';
  const row = (line: number): string => {
    const { rows } = readSource(TEXT, NO_CHOICES).reading;
    return rows.find((one) => one.line === line)?.key ?? '';
  };

  it('is read again as it was corrected, though lines above went and keys are written anew', () => {
    const corrections = {
      [row(4)]: { name: 'turn the page' },
      [row(5)]: { keys: ['F8'] },
      [row(3)]: { none: true as const },
    };
    const source = readSource(TEXT, NO_CHOICES, corrections);
    const keys: Record<string, readonly ChordText[]> = { fold: [], 'turn the page': ['Mod+Shift+F6'], mask: ['F7'] };
    const wanted = [...source.places.listed.values()].map(
      ({ key, command }): Wanted => ({ id: key, ...command, keys: keys[command.name] ?? command.keys }),
    );
    expect(wanted.map((one) => one.name)).toEqual(['fold', 'lift', 'turn the page', 'mask']);
    const { text, asWanted, of, commands } = writeBack(source, spellingOf(source), source, wanted);
    expect(text).toBe('bind C-l lift\nbind M-p press\nbind C-S-F6 turn\nbind F7 mask\n');
    expect(commands.filter((one) => one.why)).toEqual([]);
    expect([asWanted, of]).toEqual([4, 4]);
  });
});

describe('a file with keys for a Mac beside the others', () => {
  const FILE = `Command,Keys,Mac keys
Fold,Ctrl+K,⌘K
Lift,Ctrl+Shift+L,⇧⌘L
Press,Alt+P,⌘P
Turn,F5,F5
Mask,Ctrl+Alt+M,⌥⌘M
Fill,Ctrl+J,
`;
  it('has both changed, each as it writes, and says where they were others', () => {
    const wanted = ['Fold', 'Lift', 'Press', 'Turn', 'Mask', 'Fill'].map((name): Wanted => {
      const keys = {
        Fold: ['Mod+Alt+G'],
        Lift: [],
        Press: ['Alt+Q'],
        Turn: ['F6'],
        Mask: ['Mod+Alt+M'],
        Fill: ['Mod+Shift+J'],
      };
      return { id: name, name, path: [], keys: keys[name as keyof typeof keys] };
    });
    const bytes = new TextEncoder().encode(FILE);
    const {
      bytes: written,
      mac,
      commands,
    } = writeFile({ bytes, choices: NO_CHOICES, corrections: {} }, null, wanted, {});
    expect(new TextDecoder().decode(written)).toBe(`Command,Keys,Mac keys
Fold,Ctrl+Alt+G,⌥⌘G
Lift,,
Press,Alt+Q,⌘P
Turn,F6,F6
Mask,Ctrl+Alt+M,⌥⌘M
Fill,Ctrl+Shift+J,
`);
    expect(mac).toEqual({ asWanted: 6, of: 6 });
    expect(commands.filter((one) => one.why).map((one) => one.id)).toEqual(['Press']);
  });

  it('says what its encoding has no sign for, and writes the rest', () => {
    const text = FILE.replace('⌘K', 'Cmd+K')
      .replaceAll(/[⌥⇧⌘]+(?=[A-Z])/gu, 'Cmd+')
      .replace('Fold', 'Fälteln');
    const bytes = encodeText(text, 'windows-1252') as Uint8Array;
    const { reading } = readSource(text, NO_CHOICES);
    const wanted = reading.rows.flatMap(({ command }): Wanted[] =>
      command ? [{ id: command.name, ...command, keys: command.name === 'Turn' ? ['Ж'] : command.keys }] : [],
    );
    const {
      bytes: written,
      commands,
      edits,
    } = writeFile({ bytes, choices: NO_CHOICES, corrections: {} }, null, wanted, {});
    expect(edits).toEqual([]);
    expect(written).toEqual(bytes);
    expect(commands.find((one) => one.id === 'Turn')?.why?.text).toMatch(/encoding of this file has no sign/);
  });
});
