import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { expect, it } from 'vitest';
import { editKeymap } from './testing/draftSteps';
import { onOwnData } from './testing/onOwnData';
import { loadWishes } from './useCases/advice';
import { loadChangeList } from './useCases/changeList';
import { loadMatch } from './useCases/match';
import { loadHistory, loadKeymapView, loadShelf } from './useCases/screens';
import { loadVersionedSettings, saveSettings } from './useCases/settings';
import { loadSheets } from './useCases/sheets';
import { loadRoom } from './useCases/workspaces';

/** A file as it was before things had revisions of their own, with something of every kind in it. */
const OLD = 'src/server/testing/fixtures/before-008.sqlite.gz';
onOwnData((folder) => writeFileSync(join(folder, 'gray-pin.sqlite'), gunzipSync(readFileSync(OLD))));

it('opens a file that an older version wrote, whole, and goes on with it', async () => {
  const shelf = await loadShelf();
  expect(shelf.map((one) => [one.name, one.commands, one.keymaps.map((keymap) => keymap.name)])).toEqual([
    ['Tarnlight', 433, ['Factory keys', 'Sheet retouching', 'Packet pictures']],
    ['Nibshore', 306, ['Factory keys', 'My painting hand']],
    ['Quillmoor', 288, ['Factory keys', 'Label drawing']],
  ]);
  // What is kept of keymaps at a glance says the same the second time.
  expect(await loadShelf()).toEqual(shelf);
  const [program, keymap] = ['tarnlight', 'sheet-retouching'];
  const view = await loadKeymapView(program, keymap);
  expect(view.bindings.length).toBe(shelf[0]?.keymaps[1]?.bindings);
  expect([view.tape.length, view.program.contexts.length, (await loadHistory(view.draft.id)).versions.length]).toEqual([
    5, 4, 2,
  ]);
  expect((await loadVersionedSettings()).value).toMatchObject({ lamp: 'dim', person: 'Plate retoucher' });
  expect((await loadRoom(program)).state).toMatchObject({
    steps: ['Brighter'],
    room: { appearance: { brightness: 60 } },
  });
  expect((await loadChangeList(program, keymap, null)).ticks).toEqual({ revision: 0, value: ['one', 'two'] });
  const match = await loadMatch(program, keymap, null);
  expect(match.plan.value?.instead).toEqual([[view.program.commands[2]?.id, 'Alt+J']]);
  expect(match.said.value).toHaveLength(1);
  expect((await loadSheets(program, keymap)).sheets.value.map((one) => one.name)).toEqual(['On the desk']);
  const wishes = await loadWishes(program, keymap);
  expect([wishes.list.value?.wishes.length, Object.keys(wishes.uses.value).length]).toEqual([15, 30]);
  await saveSettings({ lamp: 'bright' }, { revision: 0, key: 'the-first-edit' });
  const { command, before } = view.tape[0]?.changes[0] ?? { command: '', before: [] };
  const has = view.bindings.flatMap(([id, chord]) => (id === command ? [{ chord }] : []));
  const ticket = { title: 'Back', changes: [{ command, before: has, after: before }] };
  const state = await editKeymap(view.draft.id, view.draft.revision, ticket);
  expect(state.cursor).toBe(view.draft.cursor + 1);
});
