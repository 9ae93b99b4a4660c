import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { beforeAll, describe, expect, it } from 'vitest';
import { NO_WISHES } from '../core/advice/wishList';
import { DEFAULT_SHEET } from '../core/sheet/sheetSpec';
import { EMPTY_PLAN } from '../core/transfer/matchPlan';
import { applyTaking } from '../core/whole/applyTaking';
import { planTaking } from '../core/whole/planTaking';
import type { WholeProgram } from '../core/whole/whole';
import { FACTORY_APPEARANCE } from '../core/workspace/appearance';
import { closeDatabase, database, inOneMoment, momentNow } from './database';
import { dataFolder } from './dataFolder';
import { seedDemo } from './demo/seedDemo';
import { models } from './models/models';
import { openPlainFile } from './stored/plainFile';
import { discardDraft, editKeymap, keepAsNew, keepKeymap } from './testing/draftSteps';
import { onOwnData } from './testing/onOwnData';
import { saveUses, saveWishList } from './useCases/advice';
import { changeProgram } from './useCases/bringIn';
import { saveTicks } from './useCases/changeList';
import { changeKeymap, duplicateKeymap } from './useCases/editKeymap';
import { editProgram, loadProgramView } from './useCases/editProgram';
import { everythingAsFile } from './useCases/everything';
import { deriveKeymap, savePlan, sayCounterpart } from './useCases/match';
import { loadKeymapView, loadShelf } from './useCases/screens';
import { keepSheet, loadSheets } from './useCases/sheets';
import { lookAtEverything, takeEverythingIn } from './useCases/takeIn';
import { editRoom, keepWorkspace, loadRoom, loadWorkspaces } from './useCases/workspaces';
import { readWhole } from './whole/readWhole';

const folder = onOwnData();
/** Works on one of several computers. */
async function on<T>(computer: string, work: () => Promise<T>): Promise<T> {
  await closeDatabase();
  process.env.GRAY_PIN_DATA = join(folder, computer);
  mkdirSync(join(folder, computer), { recursive: true });
  return work();
}
const blobOf = (bytes: Uint8Array<ArrayBuffer>) => new Blob([bytes]);
const wishes = { label: 'other', goOn: [] as string[], apart: [] as string[] };
const look = (file: Uint8Array<ArrayBuffer>, given = wishes) => lookAtEverything(blobOf(file), given);
const take = async (file: Uint8Array<ArrayBuffer>, given = wishes) =>
  takeEverythingIn(blobOf(file), given, (await look(file, given)).mark);
const all = () => inOneMoment(async () => readWhole({ models: await models(), transaction: momentNow() }, undefined));
const keymaps = async () =>
  (await loadShelf()).map((one) => [one.name, one.keymaps.map((keymap) => keymap.name)] as const);
const HAND = ['tarnlight', 'sheet-retouching'] as const;
/** Where that is on a computer to which it came under its new name. */
const HOME = ['tarnlight-at-home', 'sheet-retouching'] as const;

/** Gives a command without keys some, in the keymap at an address. */
async function edit(at: readonly [string, string], chord: string, nth: number): Promise<void> {
  const { draft, program, bindings } = await loadKeymapView(...at);
  const taken = new Set(bindings.map(([id]) => id));
  const command = program.commands.filter((one) => one.kind === 'menu item' && !taken.has(one.id))[nth]?.id ?? '';
  await editKeymap(draft.id, draft.revision, {
    title: `${chord} here`,
    changes: [{ command, before: [], after: [{ chord }] }],
  });
}
const at = async (one: readonly [string, string]) => (await loadKeymapView(...one)).draft;

const files = new Map<string, Uint8Array<ArrayBuffer>>();
const before = new Map<string, readonly WholeProgram[]>();

beforeAll(async () => {
  await on('studio', async () => {
    await seedDemo('demo');
    await edit(HAND, 'Mod+Alt+Shift+F2', 0);
    const hand = await at(HAND);
    await keepKeymap(hand.id, hand.revision);
    await changeKeymap((await at(['nibshore', 'my-painting-hand'])).id, { name: 'Painting, renamed' });
    await saveUses(hand.id, { 'undo-step': 40 }, false);
    await keepSheet(hand.id, 'By the lamp', {
      ...DEFAULT_SHEET,
      base: 'packet-pictures',
      programs: ['nibshore/my-painting-hand'],
    });
    await sayCounterpart('tarnlight', 'a', 'nibshore', null);
    const room = await loadRoom('quillmoor');
    await editRoom('quillmoor', { person: '', revision: room.state.revision }, 'Brighter', {
      appearance: { ...FACTORY_APPEARANCE, brightness: 71 },
    });
  });
  await on('laptop', async () => {
    await seedDemo('demo');
    await edit(HAND, 'Mod+Alt+Shift+F3', 1);
    const hand = await at(HAND);
    await keepAsNew(hand.id, hand.revision, 'Only on the laptop', 'Packet painter');
    await edit(HAND, 'Mod+Alt+Shift+F3', 1);
    await edit(['quillmoor', 'label-drawing'], 'Mod+Alt+Shift+F4', 0);
    const painting = await at(['nibshore', 'my-painting-hand']);
    await saveWishList(painting.id, { ...NO_WISHES, wishes: ['b'] });
    await savePlan(painting.id, hand.id, { ...EMPTY_PLAN, instead: [['a', 'F5']] });
    await saveTicks(hand.id, (await at(['tarnlight', 'factory-keys'])).id, ['one']);
    await deriveKeymap(painting.id, { name: 'Like Tarnlight', owner: '', source: hand.id, ticket: null }, EMPTY_PLAN);
    await keepSheet(hand.id, 'By the lamp', { ...DEFAULT_SHEET, most: 3 });
    const room = await loadRoom('quillmoor');
    const state = await editRoom('quillmoor', { person: '', revision: room.state.revision }, 'Darker', {
      appearance: { ...FACTORY_APPEARANCE, brightness: 12 },
      keymap: (await at(['quillmoor', 'label-drawing'])).id,
    });
    await keepWorkspace(
      'quillmoor',
      { person: '', revision: state.revision },
      { name: 'Night', owner: '', parts: ['appearance', 'keymap'] },
    );
    await changeProgram('tarnlight', { name: 'Tarnlight at home' });
  });
  for (const computer of ['studio', 'laptop'])
    await on(computer, async () => {
      files.set(computer, await everythingAsFile());
      before.set(computer, await all());
    });
}, 120_000);

describe('two computers, each taken into the other', () => {
  it.each([
    ['studio', 'laptop'],
    ['laptop', 'studio'],
  ])('%s has all of both then, nothing doubled, nothing changed; again there is nothing to do', async (here, there) => {
    await on(here, async () => {
      const [mine, theirs] = [before.get(here) ?? [], before.get(there) ?? []];
      const file = files.get(there) as Uint8Array<ArrayBuffer>;
      const { view } = await take(file);
      const now = await all();
      // What is stored is what the plan makes of both, but for marks and moments given only then.
      const wish = {
        label: 'other',
        goOn: new Set<string>(),
        apart: new Set<string>(),
        taken: [],
        newUid: () => 'new',
      };
      const made = (programs: readonly WholeProgram[]) =>
        programs.map((one) => ({
          ...one,
          uid: '',
          kin: '',
          keymaps: one.keymaps.map((keymap) => [
            keymap.name,
            keymap.owner,
            keymap.rows,
            keymap.tape,
            keymap.kept,
            keymap.wishes,
          ]),
          sheets: one.keymaps.map((keymap) =>
            keymap.sheets.map(({ name, contents }) => [name, contents.most, contents.base]),
          ),
          belongings: one.keymaps.map(({ ticks, plans, derivation }) => [ticks, plans, derivation]),
          workspaces: one.workspaces.map(({ name, versions }) => [name, versions.map((version) => version.contents)]),
        }));
      expect(made(now)).toEqual(made(applyTaking(mine, planTaking(mine, theirs, wish), () => 'new')));
      for (const program of mine) {
        const same = now.find((one) => one.uid === program.uid);
        expect(same).toMatchObject({
          name: program.name,
          facts: program.facts,
          rooms: program.rooms,
          uses: expect.arrayContaining([...program.uses]),
        });
        expect(same?.keymaps.slice(0, program.keymaps.length)).toMatchObject(
          program.keymaps.map(({ wishes: _, sheets: __, ticks: ___, plans: ____, ...rest }) => rest),
        );
      }
      expect(now).toHaveLength(3);
      expect(view.changes).toBe(true);
      expect((await look(file)).view).toMatchObject({ changes: false });
      await take(file);
      expect(await all()).toEqual(now);
    });
  });

  it('says so by names and addresses, and what came can be opened', async () => {
    await on('studio', async () => {
      expect(new Map(await keymaps())).toEqual(
        new Map([
          [
            'Tarnlight',
            ['Factory keys', 'Sheet retouching', 'Packet pictures', 'Sheet retouching (other)', 'Only on the laptop'],
          ],
          ['Nibshore', ['Factory keys', 'Painting, renamed', 'My painting hand', 'Like Tarnlight']],
          ['Quillmoor', ['Factory keys', 'Label drawing', 'Label drawing (other)']],
        ]),
      );
      const came = await loadKeymapView('tarnlight', 'sheet-retouching-other');
      expect(came.tape.at(-1)?.title).toBe('Mod+Alt+Shift+F3 here');
      expect((await at(['tarnlight', 'only-on-the-laptop'])).owner).toBe('Packet painter');
      expect((await loadSheets('tarnlight', 'sheet-retouching-other')).sheets.value.map((one) => one.name)).toEqual([
        'By the lamp',
      ]);
      const room = await loadWorkspaces('quillmoor');
      const [night, stood] = room.roomView.workspaces.filter((one) => /Night|stood/.test(one.name));
      expect([night?.name, stood?.name]).toEqual(['Night', 'As it stood on other']);
      const label = (await at(['quillmoor', 'label-drawing-other'])).id;
      expect((await all())[2]?.workspaces.map((one) => one.versions[0]?.contents.keymap)).toEqual(
        expect.arrayContaining([(await all())[2]?.keymaps.find((one) => one.name === 'Label drawing (other)')?.uid]),
      );
      expect(label).toBeGreaterThan(0);
    });
    await on('laptop', async () => {
      // Its sheets of this computer lead to keymaps as they are called here.
      const sheets = (await loadSheets('tarnlight', 'sheet-retouching-other')).sheets.value;
      expect(sheets.map(({ spec: { base, programs } }) => [base, programs])).toEqual([
        ['packet-pictures', ['nibshore/painting-renamed']],
      ]);
      expect(new Map(await keymaps()).get('Nibshore')).toEqual([
        'Factory keys',
        'My painting hand',
        'Like Tarnlight',
        'Painting, renamed',
      ]);
    });
  });

  it('each as they are then are still the same', async () => {
    const now = new Map<string, Uint8Array<ArrayBuffer>>();
    for (const one of ['studio', 'laptop']) await on(one, async () => now.set(one, await everythingAsFile()));
    for (const [here, there] of [
      ['studio', 'laptop'],
      ['laptop', 'studio'],
    ] as const)
      await on(here, async () => {
        const { view } = await look(now.get(there) as Uint8Array<ArrayBuffer>);
        expect(view.programs.flatMap((one) => one.lines).filter((one) => !/same|further here/.test(one.fate))).toEqual(
          [],
        );
        expect(view.programs.map((one) => one.fate)).toEqual(['same', 'same', 'same']);
      });
  });
});

describe('taking a file in', () => {
  const computer = 'third';
  it('brings all of it to a computer that has nothing, with owners, tapes and what is put away', async () => {
    await on(computer, async () => {
      const file = files.get('laptop') as Uint8Array<ArrayBuffer>;
      await take(file);
      expect(await all()).toEqual(before.get('laptop'));
      expect(readdirSync(join(dataFolder(), 'copies')).filter((one) => one.includes('before-taking-in'))).toHaveLength(
        1,
      );
      expect(readdirSync(dataFolder()).filter((one) => one.startsWith('incoming'))).toEqual([]);
    });
  });

  it('lets a keymap and a list go on that only went further there, and tells where something else would happen', async () => {
    const copy = await on(computer, everythingAsFile);
    await on('fourth', () => take(copy));
    const further = await on(computer, async () => {
      await edit(HOME, 'Mod+Alt+Shift+F9', 3);
      const { revision, program } = await loadProgramView(HOME[0]);
      const { contexts, rules, commands } = program;
      const own = { ...(commands[0] as (typeof commands)[0]), id: 'own', name: 'Own' };
      await editProgram(HOME[0], { revision }, 'One of my own', { contexts, rules, commands: [...commands, own] });
      return everythingAsFile();
    });
    await on('fourth', async () => {
      const shown = await look(further);
      expect(shown.view.programs.find((one) => one.name === 'Tarnlight at home')).toMatchObject({
        fate: 'goes on',
        lines: expect.arrayContaining([expect.objectContaining({ fate: 'twice', further: true })]),
      });
      const uid = shown.view.programs.flatMap((one) => one.lines).find((one) => one.further)?.uid ?? '';
      await expect(takeEverythingIn(blobOf(further), { ...wishes, goOn: [uid] }, shown.mark)).rejects.toMatchObject({
        code: 'changed elsewhere',
        details: { now: { mark: expect.not.stringContaining(shown.mark) } },
      });
      const revision = (await at(HOME)).revision;
      await take(further, { ...wishes, goOn: [uid] });
      expect((await at(HOME)).revision).toBe(revision + 1);
      expect((await loadProgramView(HOME[0])).lastStep).toBe('One of my own');
      const opened = (one: WholeProgram) => ({
        ...one,
        keymaps: one.keymaps.map((keymap) => ({ ...keymap, lastUsedAt: '' })),
      });
      const there = await on(computer, all);
      await on('fourth', async () => expect((await all()).map(opened)).toEqual(there.map(opened)));
      await discardDraft((await at(HOME)).id, revision + 1);
    });
  });

  it('takes a file that an older version wrote', async () => {
    const old = gunzipSync(readFileSync('src/server/testing/fixtures/before-008.sqlite.gz'));
    await on('fifth', async () => {
      await take(new Uint8Array(old));
      expect((await keymaps()).flat(2)).toEqual(
        expect.arrayContaining(['Sheet retouching', 'My painting hand', 'Label drawing']),
      );
      // A copy of it has the same marks.
      await duplicateKeymap((await at(HAND)).id, 'Mine alone', '');
      expect((await look(new Uint8Array(old))).view.changes).toBe(false);
    });
  });

  it('refuses what is none of ours, or would do something by itself, in a sentence; nothing is changed', async () => {
    await on('studio', async () => {
      const now = await all();
      const refuses = (bytes: Uint8Array<ArrayBuffer>, message: RegExp) =>
        expect(look(bytes)).rejects.toMatchObject({ name: 'Problem', message: expect.stringMatching(message) });
      const good = files.get('laptop') as Uint8Array<ArrayBuffer>;
      await refuses(new TextEncoder().encode('a list of keys'.repeat(99)), /no file that Gray Pin saved/);
      await refuses(good.slice(0, 90_000), /damaged/);
      const path = join(folder, 'hostile.sqlite');
      const hostile = async (sql: string, message: RegExp) => {
        writeFileSync(path, good);
        const file = await openPlainFile(path, 'to write');
        await file.run(sql);
        await file.close();
        await refuses(new Uint8Array(readFileSync(path)), message);
        rmSync(path);
      };
      await hostile(
        'CREATE TRIGGER more AFTER INSERT ON programs BEGIN DELETE FROM keymaps; END',
        /no file that Gray Pin saved/,
      );
      await hostile('CREATE VIEW another AS SELECT 1', /no file that Gray Pin saved/);
      await hostile("INSERT INTO migrations (name) VALUES ('999-tomorrow')", /newer Gray Pin/);
      await hostile(
        "UPDATE keymaps SET name = '' WHERE factory = 0",
        /“Nibshore” in this file can't be taken as it is/,
      );
      await hostile("UPDATE tickets SET changes = 'nonsense'", /no file that Gray Pin saved/);
      await hostile("UPDATE commands SET context = 'nowhere'", /is not there/);
      await hostile('DROP TABLE uses', /no file that Gray Pin saved/);
      expect(await all()).toEqual(now);
      expect(readdirSync(dataFolder()).filter((one) => one.startsWith('incoming'))).toEqual([]);
      await (await database()).query('SELECT 1');
    });
  });
});
