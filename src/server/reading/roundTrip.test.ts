import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toProgramFile } from '../../core/file/programFile';
import { keymapOf, rowsOf } from '../../core/keymap/keymap';
import { DEFAULT_RULES, EVERYWHERE, type Program } from '../../core/program/program';
import { makeSheet } from '../../core/sheet/makeSheet';
import { DEFAULT_SHEET } from '../../core/sheet/sheetSpec';
import { writeFragment, writePage } from '../../core/sheet/writeHtml';
import { writeCsv, writeMarkdown } from '../../core/sheet/writeText';
import { writeWorkbook } from '../sheets/writeWorkbook';
import { understand } from './understand';

/** Names as nobody should give them, and pieces of such. */
const PIECES = [
  ...[
    'Lift stain',
    'Pipe | bar',
    '`tick`',
    'A "quote", b; c',
    '<b>Bold</b>',
    'Mask_and_move',
    "it's & co",
    '50 % gray',
  ],
  ...['=SUM(A1)', '-minus', '+plus', '@home', "'quoted'", '&amp; more', '[link](x)', '# head', '1. first', '~gone~ x'],
  ...['Größe ändern', '線を引く', '\\back\\slash', 'a,b;c', '{curly}', '$x$', 'tab key', '*star* x', 'Keys', 'Command'],
];
const named = fc
  .tuple(fc.constantFrom(...PIECES), fc.constantFrom('', ' ', ' 2', ' x', ' (all)'), fc.constantFrom('', ...PIECES))
  .map(([first, between, last]) => `${first}${between}${last}`.trim());
const KEYS = [
  'Mod+K',
  'F9',
  'Alt+Shift+Q',
  'Mod+Plus',
  'Mod+-',
  '[',
  'Mod+,',
  'hold:Space',
  'Mod+K Mod+S',
  'NumpadAdd',
];
const place = fc.constantFrom('Repair', 'View | more', 'A, b', '#menu', 'Layer & mask');

/** A made-up program with keys, no key twice. */
const program = fc
  .uniqueArray(fc.tuple(named, place), { minLength: 4, maxLength: 10, selector: ([name]) => name.toLowerCase() })
  .map((rows) => {
    const commands = rows.map(([name, path], i) => {
      return { id: `c${i}`, name, kind: 'menu item' as const, path: [path], context: EVERYWHERE.id };
    });
    const made: Program = { name: 'Made up', version: '1', contexts: [EVERYWHERE], rules: DEFAULT_RULES, commands };
    const keymap = keymapOf(commands.flatMap(({ id }, i) => (KEYS[i] ? [[id, KEYS[i]] as const] : [])));
    return { program: made, keymap };
  });
const WRITERS = { CSV: writeCsv, Markdown: writeMarkdown, 'web page': writePage, fragment: writeFragment };
const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);

describe('what goes out comes back, whatever commands are called', () => {
  it.each([...Object.keys(WRITERS), 'workbook'])('as %s', async (form) => {
    await fc.assert(
      fc.asyncProperty(
        program,
        fc.constantFrom('windows', 'mac', 'symbols'),
        async ({ program: made, keymap }, notation) => {
          const spec = { ...DEFAULT_SHEET, form: 'reference', notation } as const;
          const request = { program: made, keymapName: 'Kept', keymap, factory: keymap, footer: '', spec };
          const { contents } = makeSheet(request, '1 May 2026');
          const written =
            form === 'workbook'
              ? new Uint8Array(await writeWorkbook(contents))
              : bytesOf(WRITERS[form as keyof typeof WRITERS](contents));
          const read = understand(written);
          if (read.kind !== 'list') throw new Error(`Read as ${read.kind}.`);
          const got = read.reading.rows.flatMap(({ command }) =>
            command ? [[command.name, command.keys.join()]] : [],
          );
          const wanted = rowsOf(keymap).map(([id, chord]) => [made.commands.find((one) => one.id === id)?.name, chord]);
          expect(got.sort()).toEqual(wanted.sort());
        },
      ),
      { numRuns: 40 },
    );
  });

  it('as a file of ours', () => {
    fc.assert(
      fc.property(program, ({ program: made, keymap }) => {
        const file = toProgramFile({ program: made, factory: keymap, keymaps: [], workspaces: [] });
        const read = understand(bytesOf(JSON.stringify(file)));
        if (read.kind !== 'program file') throw new Error(`Read as ${read.kind}.`);
        expect(read.contents.program.commands).toEqual(made.commands);
        expect(rowsOf(read.contents.factory)).toEqual(rowsOf(keymap));
      }),
    );
  });
});
