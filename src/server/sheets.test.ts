import { describe, expect, it } from 'vitest';
import { draftOf } from '../core/keymap/draft';
import { bindingsOf } from '../core/keymap/keymap';
import { sheetQuery } from '../core/sheet/sheetQuery';
import { DEFAULT_SHEET, type SheetSpec } from '../core/sheet/sheetSpec';
import { markLines } from '../core/workspace/dressing';
import type { Problem } from '../schemas/problem';
import { FILE_KINDS } from '../schemas/sheets';
import { closeDatabase } from './database';
import { onDemoDatabase } from './testing/onDemoDatabase';
import { saveUses } from './useCases/advice';
import { loadChangeList, saveTicks } from './useCases/changeList';
import { changeSheet, keepSheet, loadSheets, loadSideBySide, sheetFile } from './useCases/sheets';
import { editRoom, loadRoom } from './useCases/workspaces';

onDemoDatabase();

const [PROGRAM, KEYMAP] = ['tarnlight', 'sheet-retouching'];
const problem = (code: Problem['code'], message: RegExp) =>
  expect.objectContaining({ name: 'Problem', code, message: expect.stringMatching(message) });
const kept = async () => (await loadSheets(PROGRAM, KEYMAP)).sheets.value;
const csv = async (spec: Partial<SheetSpec>, keymap = KEYMAP): Promise<string[]> => {
  const query = sheetQuery({ ...DEFAULT_SHEET, ...spec });
  const { bytes } = await sheetFile({ ...query, program: PROGRAM, keymap, as: 'csv' });
  return bytes.toString('utf8').trim().split('\r\n');
};

describe('a sheet kept with a keymap', () => {
  it('is renamed, changed, put away and back, and is there after a restart; its name twice has two addresses', async () => {
    const { view } = await loadSheets(PROGRAM, KEYMAP);
    const spec: SheetSpec = { ...DEFAULT_SHEET, form: 'card', notation: 'mac', groupNames: [['File', 'Files']] };
    await keepSheet(view.draft.id, 'For the bag', spec);
    const [one, two] = (await keepSheet(view.draft.id, 'For the bag', DEFAULT_SHEET)).value;
    expect(one?.slug).toBe('for-the-bag');
    expect(two?.slug).not.toBe(one?.slug);
    await closeDatabase();
    const [first, second] = await kept();
    expect(first).toMatchObject({ name: 'For the bag', putAway: false, spec });
    await changeSheet(first?.id ?? 0, { name: 'For the wall', spec: { ...spec, form: 'poster' } });
    expect((await changeSheet(second?.id ?? 0, { putAway: true })).value).toEqual(await kept());
    expect((await kept()).map(({ name, putAway, spec: { form } }) => [name, putAway, form])).toEqual([
      ['For the wall', false, 'poster'],
      ['For the bag', true, 'desk'],
    ]);
    await changeSheet(second?.id ?? 0, { putAway: false });
    expect((await kept())[1]).toMatchObject({ slug: two?.slug, putAway: false, spec: DEFAULT_SHEET });
    expect((await loadSheets(PROGRAM, 'factory-keys')).sheets.value).toEqual([]);
  });

  it('is refused where there is no such keymap or sheet', async () => {
    await expect(keepSheet(987654, 'For nobody', DEFAULT_SHEET)).rejects.toEqual(problem('not found', /keymap/));
    await expect(changeSheet(987654, { name: 'x' })).rejects.toEqual(problem('not found', /sheet is no longer there/));
    await expect(loadSheets(PROGRAM, 'none')).rejects.toEqual(problem('not found', /./));
  });
});

describe('a sheet as a file', () => {
  it('is of each kind what it says it is, and holds the same lines', async () => {
    const { view } = await loadSheets(PROGRAM, KEYMAP);
    const { keymap } = draftOf(view);
    const named = view.program.commands.filter(({ id }) => bindingsOf(keymap, id).length > 0);
    const rows = await csv({ contents: 'all', group: 'modifier' });
    // Tools that take turns share a row.
    for (const { name } of named) expect(rows.join('\n'), name).toContain(name);
    const starts: Readonly<Record<(typeof FILE_KINDS)[number], [type: string, start: string]>> = {
      pdf: ['application/pdf', '%PDF-'],
      svg: ['image/svg+xml; charset=utf-8', '<?xml'],
      html: ['text/html; charset=utf-8', '<!doctype html>'],
      fragment: ['text/html; charset=utf-8', '<'],
      markdown: ['text/markdown; charset=utf-8', '# Tarnlight — Sheet retouching'],
      csv: ['text/csv; charset=utf-8', '\uFEFF'],
      xlsx: ['application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', 'PK'],
    };
    for (const as of FILE_KINDS) {
      const file = await sheetFile({ program: PROGRAM, keymap: KEYMAP, as, contents: 'all' });
      const text = file.bytes.toString('utf8');
      expect(file.name).toBe('Tarnlight — Sheet retouching');
      expect(file.type).toBe(starts[as][0]);
      expect(text.toLowerCase().startsWith(starts[as][1].toLowerCase()), `${as}: ${text.slice(0, 30)}`).toBe(true);
      if (as !== 'pdf' && as !== 'xlsx') expect(text).toContain('Dust sweep');
    }
  });

  it('knows how often commands are used, which lines are marked, and the keymap compared with', async () => {
    const { view } = await loadSheets(PROGRAM, KEYMAP);
    const { keymap } = draftOf(view);
    const two = view.program.commands.filter((one) => one.path.length > 0 && bindingsOf(keymap, one.id).length > 0);
    const [often, seldom] = two.slice(-2);
    await saveUses(view.draft.id, { [often?.id ?? '']: 90, [seldom?.id ?? '']: 2 }, true);
    expect((await csv({ contents: 'used', most: 1 })).slice(1)).toHaveLength(1);
    expect((await csv({ contents: 'used', most: 1 })).at(-1)).toContain(often?.name);

    const { state } = await loadRoom(PROGRAM);
    const menus = markLines(state.room.menus, [often?.id ?? ''], 'woad');
    await editRoom(PROGRAM, { person: state.person, revision: state.revision }, 'Marked', { menus });
    const svg = async (extras: SheetSpec['extras']) => {
      const query = sheetQuery({ ...DEFAULT_SHEET, contents: 'used', most: 1, extras });
      return (await sheetFile({ ...query, program: PROGRAM, keymap: KEYMAP, as: 'svg' })).bytes.toString('utf8');
    };
    const marks = (text: string): number => text.split('fill-rule="evenodd"').length - 1;
    expect([marks(await svg(['marks'])), marks(await svg([]))]).toEqual([1, 0]);

    const against = await csv({ form: 'difference', base: 'factory-keys' });
    const yours = view.program.commands.filter(
      ({ id }) =>
        JSON.stringify(bindingsOf(keymap, id).map((one) => one.chord)) !==
        JSON.stringify(bindingsOf(draftOf(view).factory, id).map((one) => one.chord)),
    );
    expect(against.slice(1)).toHaveLength(yours.length);
    expect(await csv({ form: 'difference', base: KEYMAP }, KEYMAP)).toEqual(await csv({ form: 'difference' }));
  });

  it('sets programs side by side by what they do, the own keymap once', async () => {
    const others = ['nibshore/factory-keys', 'quillmoor/factory-keys', `${PROGRAM}/${KEYMAP}`];
    const { heads, rows } = await loadSideBySide(PROGRAM, KEYMAP, others);
    expect(heads.map((one) => one.split(' · ')[0])).toEqual(['Tarnlight', 'Nibshore', 'Quillmoor']);
    expect(rows.length).toBeGreaterThan(40);
    const { bytes } = await sheetFile({
      ...sheetQuery({ ...DEFAULT_SHEET, form: 'programs', programs: others.slice(0, 2) }),
      program: PROGRAM,
      keymap: KEYMAP,
      as: 'csv',
    });
    expect(bytes.toString('utf8').split('\r\n')[0]).toContain('Nibshore · Factory keys,Quillmoor · Factory keys');
    await expect(loadSideBySide(PROGRAM, KEYMAP, ['nowhere/none'])).rejects.toEqual(problem('not found', /./));
    await expect(loadSideBySide(PROGRAM, KEYMAP, [''])).rejects.toEqual(problem('not found', /./));
  });
});

describe('a change list', () => {
  it('leads from the factory keymap or another, and remembers for each which steps are done', async () => {
    const list = await loadChangeList(PROGRAM, KEYMAP, null);
    expect(list.from.draft.factory).toBe(true);
    const [to, from] = [list.view.draft.id, list.from.draft.id];
    await saveTicks(to, from, ['one', 'two']);
    await saveTicks(to, from, ['two']);
    await closeDatabase();
    expect((await loadChangeList(PROGRAM, KEYMAP, 'factory-keys')).ticks.value).toEqual(['two']);
    const other = list.keymaps.find((one) => ![KEYMAP, 'factory-keys'].includes(one.slug));
    expect((await loadChangeList(PROGRAM, KEYMAP, other?.slug ?? KEYMAP)).ticks.value).toEqual([]);
    expect((await loadChangeList(PROGRAM, 'factory-keys', KEYMAP)).ticks.value).toEqual([]);
  });

  it('is refused between keymaps of two programs, and from one that is not there', async () => {
    const here = (await loadChangeList(PROGRAM, KEYMAP, null)).view.draft.id;
    const there = (await loadChangeList('nibshore', 'factory-keys', null)).view.draft.id;
    await expect(saveTicks(here, there, [])).rejects.toEqual(problem('not valid', /of the same/));
    await expect(saveTicks(here, 987654, [])).rejects.toEqual(problem('not found', /./));
    await expect(loadChangeList(PROGRAM, KEYMAP, 'none')).rejects.toEqual(problem('not found', /./));
  });
});
