import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { ProgramFile } from '../core/file/programFile';
import { hidePanel, sizeDock } from '../core/workspace/changePanels';
import { hideLines, markLines, PLAIN_MENUS } from '../core/workspace/dressing';
import { placePanel } from '../core/workspace/placePanel';
import type { Workspace } from '../core/workspace/room';
import type { RoomState } from '../core/workspace/roomView';
import { USUAL_ICONS, usualIcon } from '../core/workspace/usualIcon';
import type { Problem } from '../schemas/problem';
import { closeDatabase } from './database';
import { findIcons, iconsNamed } from './icons';
import { readProgramFile } from './reading/understand';
import { onOwnData } from './testing/onOwnData';
import { bringIn, exportProgram } from './useCases/bringIn';
import { saveSettings } from './useCases/settings';
import { exportWorkspace, importWorkspaces } from './useCases/workspaceFiles';
import {
  backToVersion,
  changeWorkspace,
  duplicateWorkspace,
  editRoom,
  keepOver,
  keepWorkspace,
  listPersons,
  loadRoom,
  moveInSteps,
  switchTo,
} from './useCases/workspaces';

onOwnData();

const demo = readFileSync('demo/tarnlight.json', 'utf8');
const file = JSON.parse(demo) as ProgramFile;
const id = (name: string): string => file.program.commands.find((one) => one.name === name)?.id ?? '';
const [layers, notes] = [id('Layers'), id('Notes')];
const problem = (code: Problem['code']) => expect.objectContaining({ name: 'Problem', code });
const at = ({ person, revision }: RoomState) => ({ person, revision });
const ASKER = { window: 'one', gone: new AbortController().signal };
let made = 0;
/** The demo's first program under a name of its own. */
async function fresh(): Promise<string> {
  const contents = readProgramFile(demo);
  return bringIn({ ...contents, program: { ...contents.program, name: `Tarnlight ${++made}` } });
}
const now = async (slug: string): Promise<RoomState> => (await loadRoom(slug)).state;

describe('usual icons', () => {
  it('are all in the set, and most tools and panels of the demo programs have one that says what they do', () => {
    expect(Object.keys(iconsNamed(USUAL_ICONS)).sort()).toEqual([...USUAL_ICONS].sort());
    const shown = file.program.commands.filter((one) => one.kind === 'tool' || one.kind === 'panel');
    expect(shown.filter((one) => usualIcon(one) !== null).length).toBeGreaterThan(0.9 * shown.length);
    const named = ['Crop tool', 'Clone', 'Layers', 'Pick color', 'Zoom', 'Eraser', 'Frobnicate'];
    expect(named.map((name) => usualIcon({ name }))).toEqual([
      'crop',
      'copy-plus',
      'layers',
      'pipette',
      'zoom-in',
      'eraser',
      null,
    ]);
  });
});

describe('a room', () => {
  it('is changed in steps that undo and redo exactly, and is there after a restart', async () => {
    const slug = await fresh();
    const start = await now(slug);
    expect(start).toMatchObject({ revision: 0, cursor: 0, steps: [], workspace: null });
    const panels = placePanel(start.room.panels, notes, { kind: 'between', side: 'left', after: null });
    const one = await editRoom(slug, at(start), 'Notes to the left dock', { panels });
    const menus = markLines(hideLines(PLAIN_MENUS, [id('Soften')]), [id('Levels')], 'woad');
    const two = await editRoom(slug, at(one), 'Hide Soften', { menus });
    expect(two).toMatchObject({ revision: 2, cursor: 2, steps: ['Notes to the left dock', 'Hide Soften'] });
    const back = await moveInSteps(slug, at(two), 0);
    expect(back.room).toEqual(start.room);
    await closeDatabase();
    expect((await now(slug)).cursor).toBe(0);
    const forth = await moveInSteps(slug, at(await now(slug)), 2);
    expect(forth.room).toEqual({ ...start.room, panels, menus });
    // What would change nothing is no step; a step after undoing drops what was undone.
    expect((await editRoom(slug, at(forth), 'Again', { menus })).cursor).toBe(2);
    const less = await moveInSteps(slug, at(await now(slug)), 1);
    const other = await editRoom(slug, at(less), 'Hide Layers', { panels: hidePanel(panels, layers) });
    expect(other.steps).toEqual(['Notes to the left dock', 'Hide Layers']);
    expect(await now(slug)).toEqual(other);
  });

  it('refuses what was made on an older state, and drops commands that are not there', async () => {
    const slug = await fresh();
    const start = await now(slug);
    const next = await editRoom(slug, at(start), 'Hide two', {
      menus: hideLines(PLAIN_MENUS, [id('Soften'), 'no-such']),
    });
    expect(next.room.menus.hidden).toEqual([id('Soften')]);
    await expect(editRoom(slug, at(start), 'Late', { menus: PLAIN_MENUS })).rejects.toEqual(
      problem('changed elsewhere'),
    );
    await expect(editRoom(slug, at(next), 'Foreign', { keymap: 9999 })).rejects.toEqual(problem('not valid'));
    await expect(moveInSteps(slug, at(next), 7)).rejects.toEqual(problem('not valid'));
  });

  it('is each person’s own, and theirs come first', async () => {
    const slug = await fresh();
    await saveSettings({ person: 'Packet painter' });
    const theirs = await loadRoom(slug);
    expect(theirs.workspaces[0]?.owner).toBe('Packet painter');
    await editRoom(slug, at(theirs.state), 'Hide Layers', { panels: hidePanel(theirs.state.room.panels, layers) });
    await saveSettings({ person: 'Plate retoucher' });
    const mine = await loadRoom(slug);
    expect(mine.state.steps).toEqual([]);
    expect(mine.workspaces[0]?.owner).toBe('Plate retoucher');
    expect(await listPersons()).toEqual(['Packet painter', 'Plate retoucher']);
    await saveSettings({ person: '' });
  });
});

describe('a workspace', () => {
  it('is kept with only its parts, and a switch applies those and nothing else, to be undone', async () => {
    const slug = await fresh();
    const start = await now(slug);
    const { room } = start;
    const panels = sizeDock(hidePanel(room.panels, layers), 'right', 0.31);
    const appearance = { ...room.appearance, brightness: 20 };
    const arranged = await editRoom(slug, at(start), 'Arranged', { panels, appearance });
    const kept = await keepWorkspace(slug, at(arranged), {
      name: 'Dark',
      owner: 'Plate retoucher',
      parts: ['appearance'],
    });
    const all = await loadRoom(slug);
    const dark = all.workspaces.find((one) => one.name === 'Dark');
    expect(dark?.versions[0]?.contents).toEqual({ appearance });
    expect(kept.workspace).toBe(dark?.id);
    const back = await moveInSteps(slug, at(kept), 0);
    const switched = await switchTo(dark?.id ?? 0, at(back));
    expect(switched.room).toEqual({ ...room, appearance });
    expect(switched.steps).toEqual(['Switch to Dark']);
    const undone = await moveInSteps(slug, at(switched), 0);
    expect([undone.room, undone.workspace]).toEqual([room, null]);
    // The demo's own workspaces apply exactly what stands in the file.
    const mending = all.workspaces.find((one) => one.name === 'Mending');
    const there = await switchTo(mending?.id ?? 0, at(undone));
    const keymap = all.keymaps.find((one) => one.name === 'Sheet retouching')?.id;
    const { name: _, owner: __, keymap: ___, ...parts } = file.workspaces?.[0] ?? { name: '', owner: '' };
    expect(there.room).toEqual({ ...(parts as Workspace), keymap });
  });

  it('keeps what it was as a version when kept over, and goes back to it', async () => {
    const slug = await fresh();
    const start = await now(slug);
    const kept = await keepWorkspace(slug, at(start), { name: 'Mine', owner: '', parts: ['panels', 'menus'] });
    const number = kept.workspace ?? 0;
    const hidden = await editRoom(slug, at(kept), 'Hide', { menus: hideLines(PLAIN_MENUS, [id('Soften')]) });
    await keepOver(number, at(hidden), ['menus']);
    const versions = async () =>
      (await loadRoom(slug)).workspaces.find((one) => one.id === number)?.versions.map((one) => one.contents);
    const first = { panels: start.room.panels, menus: PLAIN_MENUS };
    expect(await versions()).toEqual([{ menus: hidden.room.menus }, first]);
    await backToVersion(number, 1);
    expect(await versions()).toEqual([first, { menus: hidden.room.menus }, first]);
    await expect(backToVersion(number, 9)).rejects.toEqual(problem('not found'));
  });

  it('is duplicated, renamed, put away and brought back', async () => {
    const slug = await fresh();
    const kept = await keepWorkspace(slug, at(await now(slug)), { name: 'Mine', owner: '', parts: ['panels'] });
    const number = kept.workspace ?? 0;
    const copy = await duplicateWorkspace(number, 'Mine', 'Packet painter');
    expect(copy.slug).toBe('mine-2');
    await changeWorkspace(number, { name: 'Old', putAway: true });
    const find = async () => (await loadRoom(slug)).workspaces.find((one) => one.id === number);
    expect(await find()).toMatchObject({ name: 'Old', putAway: true });
    await changeWorkspace(number, { putAway: false });
    expect(await find()).toMatchObject({ putAway: false });
    await expect(changeWorkspace(9999, { name: 'x' })).rejects.toEqual(problem('not found'));
  });

  it('goes out as a file and comes in again, its keymap once, and only into its own program', async () => {
    const slug = await fresh();
    const all = await loadRoom(slug);
    const mending = all.workspaces.find((one) => one.name === 'Mending');
    const { file: out } = await exportWorkspace(mending?.id ?? 0);
    const text = JSON.stringify(out);
    expect(await importWorkspaces(slug, text, ASKER)).toEqual({ names: ['Mending'] });
    const after = await loadRoom(slug);
    const both = after.workspaces.filter((one) => one.name === 'Mending').map((one) => one.versions[0]?.contents);
    expect(both[1]).toEqual(both[0]);
    expect(after.keymaps).toEqual(all.keymaps);
    await expect(importWorkspaces(await fresh(), text, ASKER)).rejects.toEqual(problem('not valid'));
    await expect(importWorkspaces(slug, '{"format": "x"}', ASKER)).rejects.toEqual(problem('unreadable'));
    await expect(importWorkspaces(slug, '{', ASKER)).rejects.toEqual(problem('unreadable'));
    const broken = { ...out, workspaces: [{ ...out.workspaces[0], appearance: { brightness: 300 } }] };
    await expect(importWorkspaces(slug, JSON.stringify(broken), ASKER)).rejects.toEqual(problem('not valid'));
    // A whole program takes its workspaces along.
    const whole = await exportProgram(slug);
    expect(whole.workspaces?.map((one) => one.name)).toEqual(['Mending', 'Plain desk', 'Packets', 'Mending']);
  });
});

describe('icons', () => {
  it('are found by words of their names and by what they are filed under, the best first', () => {
    expect(Object.keys(findIcons('brush'))[0]).toBe('brush');
    expect(Object.keys(findIcons('zoom in'))[0]).toBe('zoom-in');
    expect(Object.keys(findIcons('paint'))).toContain('brush');
    expect(findIcons('qqqq')).toEqual({});
  });
});
