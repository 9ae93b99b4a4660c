import { describe, expect, it } from 'vitest';
import { onDemoDatabase } from '../testing/onDemoDatabase';
import { PRINTED_LINES as LINES, printedList as list, printed as pdf } from '../testing/printed';
import { loadKeymapView } from '../useCases/screens';
import { sheetFile } from '../useCases/sheets';
import { readApart } from './readApart';

onDemoDatabase();

const asker = { window: 'one', gone: new AbortController().signal };
const read = (bytes: Uint8Array) =>
  readApart({ as: 'program', bytes, choices: null, corrections: {} }, asker).then((read) =>
    read.kind === 'list' ? read : Promise.reject(new Error(`Read as ${read.kind}.`)),
  );
describe('a PDF', () => {
  it.each([
    ['desk', 'upright', 'windows'],
    ['desk', 'across', 'symbols'],
    ['note', 'across', 'mac'],
    ['card', 'upright', 'windows'],
  ] as const)('of a sheet as %s, %s, with keys for %s, comes back', async (form, way, notation) => {
    const query = {
      program: 'tarnlight',
      keymap: 'sheet-retouching',
      date: 'May',
      form,
      way,
      notation,
      contents: 'all',
    };
    const { bytes } = await sheetFile(query);
    const { reading, encoding } = await read(new Uint8Array(bytes));
    const { program, bindings } = await loadKeymapView('tarnlight', 'sheet-retouching');
    // Tools that take turns on a key stand in one line of a sheet.
    const alone = new Map(program.commands.flatMap(({ id, name, kind }) => (kind === 'tool' ? [] : [[id, name]])));
    const wanted = bindings.flatMap(([id, chord]) => (alone.has(id) ? [`${alone.get(id)}: ${chord}`] : []));
    const got = new Set(
      reading.rows.flatMap(({ command }) => (command?.keys ?? []).map((chord) => `${command?.name}: ${chord}`)),
    );
    expect([encoding, reading.doubt]).toEqual(['PDF', null]);
    expect(wanted.length).toBeGreaterThan(200);
    expect(wanted.filter((one) => !got.has(one))).toEqual([]);
    // Its rows live under what they stand below.
    expect(reading.rows.find(({ command }) => command?.name === 'Lift stain')?.command?.path).toEqual(['Lift']);
  });

  it('can be shown a line of as any list, and is read as it was shown', async () => {
    const bytes = await pdf(list);
    const lines = (await readApart({ as: 'lines', bytes }, asker)).split('\n').filter((one) => one.trim() !== '');
    expect(lines).toEqual(LINES.map((name, i) => expect.stringMatching(new RegExp(`^${name} +Ctrl\\+F${i + 2}$`))));
    const { reading } = await read(bytes);
    expect(reading.rows.map(({ command }) => [command?.name, command?.keys.join()])).toEqual(
      LINES.map((name, i) => [name, `Mod+F${i + 2}`]),
    );
  });

  it('that is locked, damaged, or holds no text says so', async () => {
    const whole = await pdf(list);
    await expect(read(await pdf(list, { userPassword: 'x' }))).rejects.toThrow(/locked with a password/);
    await expect(read(await pdf((page) => void page.rect(20, 20, 40, 40).fill()))).rejects.toThrow(
      /pictures of it alone/,
    );
    await expect(read(whole.slice(0, 200))).rejects.toThrow(/is damaged/);
  });
});
