import { readFileSync } from 'node:fs';
import { parse } from 'ini';
import { describe, expect, it } from 'vitest';
import type { ChordText } from '../core/chord/chord';
import { NO_CHOICES } from '../core/reading/choices';
import type { Problem } from '../schemas/problem';
import { closeDatabase } from './database';
import { onDemoDatabase } from './testing/onDemoDatabase';
import { PRINTED_LINES, printed, printedList } from './testing/printed';
import { bringInUpload } from './useCases/bringIn';
import { editKeymap } from './useCases/editKeymap';
import { loadKeymapView } from './useCases/screens';
import { addFile, filesOfKeymap, saySpelling, writeBackInto, writtenFile } from './useCases/writeBack';

onDemoDatabase();
/** Somebody new each time, since each is told of being left. */
const asker = {
  window: 'w',
  get gone() {
    return new AbortController().signal;
  },
};
const upload = (text: string | Uint8Array, fileName: string) => ({
  bytes: typeof text === 'string' ? new TextEncoder().encode(text) : text,
  choices: NO_CHOICES,
  corrections: {},
  name: 'Fernpress',
  version: '1',
  follows: '',
  fileName,
  asker,
});
const problem = (code: Problem['code'], message: RegExp) =>
  expect.objectContaining({ name: 'Problem', code, message: expect.stringMatching(message) });
/** Gives commands keys, as one step of a draft; of a factory keymap, a keymap of one's own begins. @returns its number. */
async function give(
  program: string,
  keymap: string,
  keys: Readonly<Record<string, readonly ChordText[]>>,
): Promise<number> {
  const { draft, bindings } = await loadKeymapView(program, keymap);
  const changes = Object.entries(keys).map(([command, after]) => ({
    command,
    before: bindings.filter(([id]) => id === command).map(([, chord]) => ({ chord })),
    after: after.map((chord) => ({ chord })),
  }));
  const done = await editKeymap(draft.id, { revision: draft.revision }, { title: 'Some keys', changes });
  return 'state' in done ? done.state.id : draft.id;
}
/** What another reader of such files finds in one. */
const keysIn = (bytes: Uint8Array): Record<string, string> => {
  const flat = (section: object): [string, string][] =>
    Object.entries(section).flatMap(([name, one]) =>
      typeof one === 'object' ? flat(one as object) : [[name, String(one)]],
    );
  return Object.fromEntries(flat(parse(new TextDecoder().decode(bytes))));
};

describe('a keymap written back', () => {
  it('puts its keys into the file that the demo ships, as another reader of such files finds them', async () => {
    const id = await give('tarnlight', 'factory-keys', {
      'lift-stain': ['Alt+A'],
      'stain-mask': ['Mod+Alt+PageDown'],
      'new-from-scan': ['F4'],
      'keep-version': [],
    });
    expect((await filesOfKeymap(id)).files.map((one) => [one.name, one.given])).toEqual([
      ['tarnlight-keys.conf', false],
    ]);
    const written = await writeBackInto(id, null, asker);
    expect([written.asWanted, written.of]).toEqual([400, 400]);
    const { bytes, name } = await writtenFile(id, null, asker);
    expect(name).toBe('tarnlight-keys.conf');
    const [before, after] = [keysIn(readFileSync('demo/tarnlight-keys.conf')), keysIn(bytes)];
    const changed = Object.keys(after).filter((one) => after[one] !== before[one]);
    expect(Object.fromEntries(changed.map((one) => [one, after[one]]))).toEqual({
      keep_version: '',
      lift_stain: 'alt+a',
      new_from_scan: 'f4',
      stain_mask: 'ctrl+alt+page_down',
    });
    expect(Object.keys(after)).toEqual(Object.keys(before));
  });

  it('remembers what was said of words, and spells by it from then on', async () => {
    const id = await give('tarnlight', 'sheet-retouching', { 'set-square': ['NumpadAdd', 'F4'] });
    const look = () => writeBackInto(id, null, asker);
    const before = await look();
    expect(before.spelling.words.filter((one) => one.guessed).map((one) => one.what)).toEqual(['NumpadAdd']);
    expect(before.commands.filter((one) => one.why).map((one) => one.id)).toEqual(['set-square']);
    const { spelling } = await filesOfKeymap(id);
    const own = { NumpadAdd: 'keypad_plus', 'several keys': ', ' };
    await saySpelling(spelling?.file ?? 0, own, { revision: spelling?.said.revision ?? 0 });
    await closeDatabase();
    expect((await filesOfKeymap(id)).spelling?.said.value).toEqual(own);
    await expect(saySpelling(spelling?.file ?? 0, {}, { revision: spelling?.said.revision ?? 0 })).rejects.toEqual(
      problem('changed elsewhere', /How this file writes keys/),
    );
    const after = await look();
    expect(after.spelling.words.filter((one) => one.guessed)).toEqual([]);
    expect(after.commands.filter((one) => one.why)).toEqual([]);
    expect(keysIn((await writtenFile(id, null, asker)).bytes).set_square).toBe('keypad_plus, f4');
  });

  it.each([
    ['UTF-16', 'utf-16le'],
    ['Latin 1', 'windows-1252'],
    ['UTF-8 with its mark', 'utf-8'],
  ])('keeps %s, ends of lines and a last line without one, byte for byte', async (_, encoding) => {
    const lines = [
      '; Tastenkürzel',
      '[Blatt]',
      'Glätten = ctrl+g',
      'Pressen = ctrl+p',
      'Füllen = alt+f',
      'Öffnen = ctrl+o',
    ];
    const text = lines.join('\r\n');
    const mark = encoding === 'utf-16le' ? [0xff, 0xfe] : encoding === 'utf-8' ? [0xef, 0xbb, 0xbf] : [];
    const body =
      encoding === 'utf-16le'
        ? Buffer.from(text, 'utf16le')
        : Buffer.from(text, encoding === 'utf-8' ? 'utf8' : 'latin1');
    const bytes = new Uint8Array(Buffer.concat([Buffer.from(mark), body]));
    const slug = await bringInUpload(upload(bytes, 'keys.ini'));
    const first = (await loadKeymapView(slug, 'factory-keys')).draft.id;
    expect((await writtenFile(first, null, asker)).bytes).toEqual(bytes);
    const id = await give(slug, 'factory-keys', { glatten: ['Alt+G'], offnen: [] });
    const after = (await writtenFile(id, null, asker)).bytes;
    const changed = text.replace('= ctrl+g', '= alt+g').replace('= ctrl+o', '=');
    const wanted =
      encoding === 'utf-16le'
        ? Buffer.from(changed, 'utf16le')
        : Buffer.from(changed, encoding === 'utf-8' ? 'utf8' : 'latin1');
    expect(Buffer.from(after).equals(Buffer.concat([Buffer.from(mark), wanted]))).toBe(true);
  });

  it('is put into a newer copy of the file, of which nothing else is touched', async () => {
    const first = '[sheet]\nfold = ctrl+f\nlift = ctrl+page_up\nturn = f5\n';
    const slug = await bringInUpload(upload(first, 'keys.conf'));
    const id = await give(slug, 'factory-keys', { fold: ['Mod+PageUp'], lift: ['F6'] });
    const newer =
      '# written by 2.0\n[sheet]\nturn = f5\nfold = ctrl+f\nlift = ctrl+l\npress = ctrl+p\n\n[window]\nwidth = 900\n';
    const { file } = await addFile(slug, upload(newer, 'keys.conf'));
    const { files, spelling } = await filesOfKeymap(id);
    expect(files.map((one) => [one.given, one.size])).toEqual([
      [true, newer.length],
      [false, first.length],
    ]);
    // What is said of how one of them writes keys holds for all.
    await saySpelling(spelling?.file ?? 0, { PageUp: 'prior' });
    const { bytes } = await writtenFile(id, file, asker);
    expect(new TextDecoder().decode(bytes)).toBe(newer.replace('ctrl+f', 'ctrl+prior').replace('ctrl+l', 'f6'));
    await expect(addFile(slug, upload('Nothing but words here.', 'notes.txt'))).rejects.toEqual(
      problem('unreadable', /hardly any command of Fernpress/),
    );
  });

  it('of 5 MB is written back in kind, in the memory a thread has', async () => {
    const about = 'what this is about, '.repeat(115);
    const lines = Array.from({ length: 2050 }, (_, i) => [`# ${about}`, `command_${i} = ctrl+${'abcdefgh'[i % 8]}`]);
    const text = ['[sheet]', ...lines.flat()].join('\r\n');
    const slug = await bringInUpload(upload(text, 'keys.conf'));
    const id = await give(slug, 'factory-keys', { 'command-7': ['Alt+Q'], 'command-2000': [] });
    const { bytes } = await writtenFile(id, null, asker);
    expect(text.length).toBeGreaterThan(4_700_000);
    const wanted = text
      .replace('command_7 = ctrl+h', 'command_7 = alt+q')
      .replace('command_2000 = ctrl+a', 'command_2000 =');
    expect(new TextDecoder().decode(bytes) === wanted).toBe(true);
  }, 60_000);

  it('says that there is no file where none is kept', async () => {
    const { draft } = await loadKeymapView('nibshore', 'factory-keys');
    await expect(writeBackInto(draft.id, null, asker)).rejects.toEqual(problem('not found', /Give one first/));
    await expect(writtenFile(987654, null, asker)).rejects.toEqual(problem('not found', /./));
  });

  it('goes into no PDF, though one is kept; a file that is given later is written into as that spells keys', async () => {
    const slug = await bringInUpload(upload(await printed(printedList), 'keys.pdf'));
    const { draft, program } = await loadKeymapView(slug, 'factory-keys');
    expect(program.commands.map((one) => one.name)).toEqual(PRINTED_LINES);
    expect(await filesOfKeymap(draft.id)).toEqual({ files: [], spelling: null, printed: true });
    await expect(writeBackInto(draft.id, null, asker)).rejects.toEqual(problem('not found', /Give one first/));
    const text = PRINTED_LINES.map((name, i) => `${name} = ctrl-f${i + 2}\n`).join('');
    const { file } = await addFile(slug, upload(text, 'keys.conf'));
    const { files, printed: isPrinted } = await filesOfKeymap(draft.id);
    expect([files.map((one) => [one.id, one.name, one.given]), isPrinted]).toEqual([
      [[file, 'keys.conf', true]],
      false,
    ]);
    const id = await give(slug, 'factory-keys', { crop: ['Mod+Shift+F9'] });
    const { bytes } = await writtenFile(id, null, asker);
    expect(new TextDecoder().decode(bytes)).toBe(text.replace('Crop = ctrl-f5', 'Crop = ctrl-shift-f9'));
  });
});
