import { describe, expect, it } from 'vitest';
import { DEFAULT_SHEET } from '../core/sheet/sheetSpec';
import { walkFile } from '../core/testing/walkProgram';
import type { Problem } from '../schemas/problem';
import { editBody } from '../schemas/requests';
import { readProgramFile, understand } from './reading/understand';
import { editKeymap } from './testing/draftSteps';
import { onDemoDatabase } from './testing/onDemoDatabase';
import { loadWishes } from './useCases/advice';
import { bringIn, exportProgram, programFromList } from './useCases/bringIn';
import { loadChangeList } from './useCases/changeList';
import { loadProgramView } from './useCases/editProgram';
import { loadMatch } from './useCases/match';
import { loadKeymapView, loadKeymapViewById } from './useCases/screens';
import { keepSheet, loadSheets, sheetFile } from './useCases/sheets';
import { loadRoom } from './useCases/workspaces';

onDemoDatabase();
const refusal = (code: Problem['code'], message: RegExp) =>
  expect.objectContaining({ name: 'Problem', code, message: expect.stringMatching(message) });
const listed = (text: string) => {
  const read = understand(new TextEncoder().encode(text));
  if (read.kind !== 'list') throw new Error(`Read as ${read.kind}.`);
  return programFromList(read.reading, 'Names', '1');
};

describe('names that every object has', () => {
  const NAMES = ['Constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf'];

  it('are names like others on every screen, in every file', async () => {
    const menus = NAMES.map((name, i) => `${NAMES[(i + 1) % NAMES.length]},${name},Alt+Shift+F${i + 2}`);
    const contents = listed(`Menu,Command,Shortcut\n${menus.join('\n')}\n`);
    expect(contents.program.commands.map((one) => one.name)).toEqual(NAMES);
    const slug = await bringIn(contents);
    const at = [slug, 'factory-keys'] as const;
    const view = await loadKeymapView(...at);
    expect(view.bindings).toHaveLength(NAMES.length);
    expect(Object.keys((await loadProgramView(slug)).factoryKeys)).toHaveLength(NAMES.length);
    expect((await loadWishes(...at)).uses.value).toEqual({});
    expect((await loadMatch(...at, { program: 'tarnlight', keymap: 'factory-keys' })).theirs).not.toBeNull();
    expect((await loadRoom(slug)).state.room).toBeDefined();
    expect((await loadChangeList(...at, null)).view.draft.id).toBe(view.draft.id);
    const [command = ''] = contents.program.commands.map((one) => one.id);
    const { id } = await editKeymap(view.draft.id, view.draft.revision, {
      title: 'Constructor',
      changes: [{ command, before: [{ chord: 'Alt+Shift+F2' }], after: [{ chord: 'Alt+Shift+F9' }] }],
    });
    expect((await loadKeymapViewById(id)).bindings).toContainEqual([command, 'Alt+Shift+F9']);
    const groupNames = [['constructor', '__proto__']] as const;
    await keepSheet(id, 'toString', { ...DEFAULT_SHEET, groupNames });
    expect(
      (await loadSheets(slug, (await loadKeymapViewById(id)).draft.slug)).sheets.value[0]?.spec.groupNames,
    ).toEqual(groupNames);
    const csv = await sheetFile({ program: slug, keymap: 'factory-keys', as: 'csv', contents: 'all' });
    for (const name of NAMES) expect(csv.bytes.toString('utf8')).toContain(name);
    const file = await exportProgram(slug);
    expect(await exportProgram(await bringIn(readProgramFile(JSON.stringify(file))))).toEqual(file);
  });
});

describe('text that can’t be seen', () => {
  it('is refused with a sentence wherever it comes in, by its number', () => {
    const ticket = (hook: string) => ({
      revision: 1,
      ticket: { title: 'A', changes: [{ command: 'a', before: [], after: [{ chord: 'F2', hook }] }] },
    });
    expect(editBody(ticket('S for sheet'))).toMatchObject({ revision: 1 });
    for (const odd of ['\u0000', '\ud83d', '\u202e', '\u200b'])
      expect(() => editBody(ticket(`S${odd} for sheet`))).toThrow(
        refusal('not valid', /“S for sheet” holds a character that can't be seen \(U\+[0-9A-F]{4}\)\./),
      );
    const file = { ...walkFile, program: { ...walkFile.program, name: 'Walk\u202e' } };
    expect(() => readProgramFile(JSON.stringify(file))).toThrow(refusal('not valid', /U\+202E/));
  });

  it('is looked for in what is nested deeper than anything is, too', () => {
    const deep = JSON.parse(`${'['.repeat(200_000)}${']'.repeat(200_000)}`) as unknown;
    expect(() => editBody(deep)).toThrow(refusal('not valid', /^This step can't be taken as it is/));
  });

  it('is left out of a list that somebody else wrote, and finds nothing in an address', async () => {
    const { program } = listed('Command,Shortcut\nLi\u200bft\u202e stain,F2\nPress\u0000 flat,F3\n');
    expect(program.commands.map((one) => one.name)).toEqual(['Lift stain', 'Press flat']);
    for (const address of ['\u0000', 'tarnlight\u0000', '\ud83d', "' OR 1=1 --", ':id', '$id', '__proto__'])
      await expect(loadKeymapView(address, 'factory-keys')).rejects.toEqual(refusal('not found', /./));
  });
});

describe('a file that contradicts itself', () => {
  it('is refused when it comes in: places that lie in each other', () => {
    const contexts = [
      ...walkFile.program.contexts,
      { id: 'a', name: 'a', parent: 'b' },
      { id: 'b', name: 'b', parent: 'a' },
    ];
    expect(() => readProgramFile(JSON.stringify({ ...walkFile, program: { ...walkFile.program, contexts } }))).toThrow(
      refusal('unreadable', /“a” lies in itself by way of others/),
    );
  });
});

describe('what is read', () => {
  it('is of one moment, whatever is written meanwhile', async () => {
    const { draft, program, bindings } = await loadKeymapView('nibshore', 'my-painting-hand');
    const taken = new Set(bindings.map(([id]) => id));
    const command = program.commands.find((one) => one.kind === 'menu item' && !taken.has(one.id))?.id ?? '';
    let { revision } = draft;
    let before: { chord: string }[] = [];
    let writing = true;
    const written = (async () => {
      for (let i = 1; i <= 40; i++) {
        const after = [{ chord: `Mod+Alt+Shift+F${(i % 24) + 1}` }];
        ({ revision } = await editKeymap(draft.id, revision, { title: `${i}`, changes: [{ command, before, after }] }));
        before = after;
      }
      writing = false;
    })();
    let [reads, during] = [0, 0];
    const read = async (): Promise<void> => {
      while (writing) {
        const view = await loadKeymapViewById(draft.id);
        reads++;
        if (view.tape.length > 0 && view.draft.cursor < 40) during++;
        expect(view.draft.cursor).toBe(view.tape.length);
        const held = view.bindings.filter(([id]) => id === command).map(([, chord]) => chord);
        const said = view.tape
          .at(-1)
          ?.changes.find((one) => one.command === command)
          ?.after.map((one) => one.chord);
        if (said) expect(held).toEqual(said);
      }
    };
    await Promise.all([written, read(), read(), read()]);
    expect([reads > 10, during > 5]).toEqual([true, true]);
  });
});
