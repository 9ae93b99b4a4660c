import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { NO_WISHES } from '../core/advice/wishList';
import { type Said, withSaid } from '../core/counterpart/knownPairs';
import { toProgramFile } from '../core/file/programFile';
import { keymapOf, type Row, rowsOf } from '../core/keymap/keymap';
import { putBack } from '../core/keymap/putBack';
import type { Ticket } from '../core/keymap/ticket';
import { DEFAULT_FORMS } from '../core/program/program';
import { DEFAULT_SHEET } from '../core/sheet/sheetSpec';
import { sampleProgram } from '../core/testing/sampleProgram';
import { EMPTY_PLAN } from '../core/transfer/matchPlan';
import { unpack } from '../core/view/packed';
import { Problem } from '../schemas/problem';
import { closeDatabase, database, inOneMoment, openDatabaseFile } from './database';
import { seedDemo } from './demo/seedDemo';
import { readProgramFile, understand } from './reading/understand';
import { bindingsOfRow, findKeymap, keymapById, listKeymaps, loadBindings } from './repositories/keymaps';
import { findProgram, listPrograms } from './repositories/programs';
import { discardDraft, editKeymap, keepAsNew, keepKeymap, moveOnTape } from './testing/draftSteps';
import { onOwnData } from './testing/onOwnData';
import { loadWishes, saveUses, saveWishList } from './useCases/advice';
import { bringIn, changeProgram, exportProgram, programFromList } from './useCases/bringIn';
import { saveTicks } from './useCases/changeList';
import { changeKeymap, duplicateKeymap } from './useCases/editKeymap';
import { editProgram, loadProgramView, undoProgramStep } from './useCases/editProgram';
import { chosenIn, saveChosen } from './useCases/finder';
import { deriveKeymap, loadMatch, saveDerivation, savePlan, sayCounterpart } from './useCases/match';
import { commandList, packScreen } from './useCases/packScreen';
import { listLinks, loadHistory, loadKeymapView, loadNames, loadShelf } from './useCases/screens';
import { keepSheet, loadSheets } from './useCases/sheets';

const folder = onOwnData();

const give = (command: string, chord: string, before: string[] = []) => ({
  title: command,
  changes: [{ command, before: before.map((one) => ({ chord: one })), after: [{ chord }] }],
});
const problem = (code: Problem['code']) => expect.objectContaining({ name: 'Problem', code });
let made = 0;
/** A fresh program with its factory keymap and one keymap of somebody's own. */
async function fresh() {
  const program = { ...sampleProgram, name: `Sample ${++made}` };
  const factory = keymapOf([
    ['undo', 'Mod+Z', true],
    ['stain-mask', 'Alt+W'],
    ['clone', 'S'],
    ['patch', 'S'],
  ]);
  const slug = await bringIn({ program, factory, keymaps: [{ name: 'Mine', owner: 'Retoucher', keymap: factory }] });
  const row = await findProgram(slug);
  return {
    slug,
    factory: await findKeymap(row.id, 'factory-keys'),
    mine: await findKeymap(row.id, 'mine'),
    programId: row.id,
  };
}
const stored = async (id: number): Promise<readonly Row[]> => {
  const rows = rowsOf(await loadBindings(id));
  // What is remembered of the draft is what is stored, whatever became of it.
  const remembered = await inOneMoment(async () => rowsOf(await bindingsOfRow(await keymapById(id))));
  expect(remembered).toEqual(rows);
  return rows;
};

describe('a keymap on disk', () => {
  it('takes edits, undoes and redoes them after the file was closed, and drops what was undone when a new edit comes', async () => {
    const { mine } = await fresh();
    const one = await editKeymap(mine.id, 1, give('lift-stain', 'F2'));
    const two = await editKeymap(mine.id, one.revision, give('trim', 'F3'));
    await closeDatabase();
    const back = await moveOnTape(mine.id, two.revision, 1);
    expect((await stored(mine.id)).map(([command]) => command)).not.toContain('trim');
    const again = await moveOnTape(mine.id, back.revision, 2);
    expect(await stored(mine.id)).toContainEqual(['trim', 'F3']);
    const undone = await moveOnTape(mine.id, again.revision, 0);
    expect(await stored(mine.id)).toEqual([
      ['undo', 'Mod+Z', true],
      ['stain-mask', 'Alt+W'],
      ['clone', 'S'],
      ['patch', 'S'],
    ]);
    const other = await editKeymap(mine.id, undone.revision, give('fill', 'F9'));
    expect(other.cursor).toBe(1);
    await expect(moveOnTape(mine.id, other.revision, 2)).rejects.toEqual(problem('not valid'));
  });

  it('leads back and on along a tape that no longer fits what is stored', async () => {
    const { mine } = await fresh();
    const one = await editKeymap(mine.id, 1, give('lift-stain', 'F2'));
    const two = await editKeymap(mine.id, one.revision, give('lift-stain', 'F3', ['F2']));
    // As a file may hold it that was changed by hand, or written by a Gray Pin that kept a hook otherwise.
    await (await database()).query(`UPDATE bindings SET chord = 'F8' WHERE keymap_id = ${mine.id} AND chord = 'F3'`);
    const back = await moveOnTape(mine.id, two.revision, 1);
    expect(await stored(mine.id)).toContainEqual(['lift-stain', 'F2']);
    const start = await moveOnTape(mine.id, back.revision, 0);
    expect((await stored(mine.id)).map(([command]) => command)).not.toContain('lift-stain');
    const again = await moveOnTape(mine.id, start.revision, 2);
    expect(await stored(mine.id)).toContainEqual(['lift-stain', 'F3']);
    expect(again.cursor).toBe(2);
  });

  it('refuses an edit made on an older state, and one that does not fit, and changes nothing', async () => {
    const { mine } = await fresh();
    await editKeymap(mine.id, 1, give('trim', 'F3'));
    const before = await stored(mine.id);
    await expect(editKeymap(mine.id, 1, give('fill', 'F4'))).rejects.toEqual(problem('changed elsewhere'));
    await expect(editKeymap(mine.id, 2, give('trim', 'F5', ['F9']))).rejects.toEqual(problem('changed elsewhere'));
    await expect(editKeymap(mine.id, 2, give('no-such', 'F5'))).rejects.toEqual(problem('not valid'));
    await expect(editKeymap(mine.id, 2, give('fill', 'Escape'))).rejects.toEqual(problem('not allowed'));
    await expect(editKeymap(99999, 1, give('fill', 'F4'))).rejects.toEqual(problem('not found'));
    expect(await stored(mine.id)).toEqual(before);
  });

  it('lets only one of many edits made at once on the same state through', async () => {
    const { mine } = await fresh();
    const tries = await Promise.allSettled(
      ['F2', 'F3', 'F4', 'F5', 'F6'].map((key) => editKeymap(mine.id, 1, give('trim', key))),
    );
    expect(tries.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
    expect((await keymapById(mine.id)).revision).toBe(2);
  });

  it('never changes the factory keymap: an edit there starts a keymap of one’s own, and the file itself refuses', async () => {
    const { factory, programId } = await fresh();
    const before = await stored(factory.id);
    const draft = await editKeymap(factory.id, 1, give('trim', 'F3'));
    expect(draft).toMatchObject({ unnamed: true, factory: false, cursor: 1 });
    expect(draft.id).not.toBe(factory.id);
    const named = await keepAsNew(draft.id, draft.revision, 'Night desk', 'Painter');
    expect(named).toMatchObject({
      id: draft.id,
      name: 'Night desk',
      slug: 'night-desk',
      unnamed: false,
      keptCursor: 1,
    });
    expect(await stored(factory.id)).toEqual(before);
    expect((await listKeymaps(programId)).map((row) => row.name)).toEqual(['Factory keys', 'Mine', 'Night desk']);
    const sequelize = await database();
    await expect(sequelize.query(`DELETE FROM bindings WHERE keymap_id = ${factory.id}`)).rejects.toMatchObject({
      parent: { message: expect.stringContaining('factory keymap cannot be changed') },
    });
    await expect(sequelize.query(`UPDATE bindings SET chord = 'Q' WHERE keymap_id = ${factory.id}`)).rejects.toThrow();
    await expect(sequelize.query(`DELETE FROM keymaps WHERE id = ${factory.id}`)).rejects.toThrow();
    await expect(changeKeymap(factory.id, { name: 'x' })).rejects.toEqual(problem('not allowed'));
    await expect(keepKeymap(factory.id, 1)).rejects.toEqual(problem('not allowed'));
  });

  it('keeps, discards and brings the discarded back; discards also where the tape has left what was kept', async () => {
    const { mine } = await fresh();
    const one = await editKeymap(mine.id, 1, give('trim', 'F3'));
    const kept = await keepKeymap(mine.id, one.revision);
    expect(kept.keptCursor).toBe(1);
    const two = await editKeymap(mine.id, kept.revision, give('fill', 'F4'));
    const gone = await discardDraft(mine.id, two.revision);
    expect([gone.cursor, (await stored(mine.id)).length]).toEqual([1, 5]);
    const back = await moveOnTape(mine.id, gone.revision, 2);
    expect(await stored(mine.id)).toContainEqual(['fill', 'F4']);
    const start = await moveOnTape(mine.id, back.revision, 0);
    const away = await editKeymap(mine.id, start.revision, give('dab', 'F7'));
    expect(away.keptCursor).toBeNull();
    const discarded = await discardDraft(mine.id, away.revision);
    expect(await stored(mine.id)).toEqual(
      expect.arrayContaining([
        ['trim', 'F3'],
        ['undo', 'Mod+Z', true],
      ]),
    );
    const undone = await moveOnTape(mine.id, discarded.revision, discarded.cursor - 1);
    expect(await stored(mine.id)).toContainEqual(['dab', 'F7']);
    expect(undone.cursor).toBe(1);
  });

  it('kept as new leaves the old keymap as it was kept, and takes the tape along', async () => {
    const { slug, mine } = await fresh();
    const one = await editKeymap(mine.id, 1, give('trim', 'F3'));
    const made = await keepAsNew(mine.id, one.revision, 'Mine', 'Retoucher');
    expect(made.slug).toBe('mine-2');
    expect(await stored(mine.id)).not.toContainEqual(['trim', 'F3']);
    expect(await stored(made.id)).toContainEqual(['trim', 'F3']);
    expect((await loadKeymapView(slug, 'mine-2')).tape).toHaveLength(1);
    const undone = await moveOnTape(made.id, made.revision, 0);
    expect(await stored(undone.id)).not.toContainEqual(['trim', 'F3']);
    const copy = await duplicateKeymap(made.id, 'Copy', '');
    expect(await stored(copy.id)).toEqual(await stored(made.id));
    await changeKeymap(copy.id, { name: 'Spare copy', putAway: true });
    const shelf = await loadShelf();
    const program = shelf.find((one) => one.slug === slug);
    expect(program?.keymaps.find((one) => one.id === copy.id)).toMatchObject({ name: 'Spare copy', putAway: true });
    await changeKeymap(copy.id, { putAway: false });
    expect((await keymapById(copy.id)).putAwayAt).toBeNull();
  });
});

describe('marks, pulled tickets, history and locks', () => {
  it('are on disk with the keys: keepers, hooks and spares, undone and kept and exported with them', async () => {
    const { mine, slug } = await fresh();
    const before = [{ chord: 'Alt+W' }];
    const after = [{ chord: 'Alt+W', keeper: true as const, hook: 'W for wash' }];
    const one = await editKeymap(mine.id, 1, {
      title: 'Stain mask',
      changes: [{ command: 'stain-mask', before, after, spare: [false, true] }],
    });
    expect(await stored(mine.id)).toContainEqual(['stain-mask', 'Alt+W', true, 'W for wash']);
    expect([...(await loadBindings(mine.id)).spares]).toEqual(['stain-mask']);
    const kept = await keepKeymap(mine.id, one.revision);
    const undone = await moveOnTape(mine.id, kept.revision, 0);
    expect(await stored(mine.id)).toContainEqual(['stain-mask', 'Alt+W']);
    expect((await loadBindings(mine.id)).spares.size).toBe(0);
    const view = await loadKeymapView(slug, 'mine');
    expect(view.toKept).toEqual([{ command: 'stain-mask', before, after, spare: [false, true] }]);
    await moveOnTape(mine.id, undone.revision, 1);
    const read = readProgramFile(JSON.stringify(await exportProgram(slug)));
    expect([...(read.keymaps[0]?.keymap.spares ?? [])]).toEqual(['stain-mask']);
  });

  it('a pulled ticket is remembered as pulled, and kept versions say what each changed', async () => {
    const { mine, slug } = await fresh();
    const one = await editKeymap(mine.id, 1, give('trim', 'F3'));
    const two = await keepKeymap(mine.id, one.revision);
    const three = await editKeymap(mine.id, two.revision, {
      title: 'Pull out trim',
      changes: [{ command: 'trim', before: [{ chord: 'F3' }], after: [] }],
      pulled: [1],
    });
    await keepKeymap(mine.id, three.revision);
    expect((await loadKeymapView(slug, 'mine')).tape.map((ticket) => ticket.pulled)).toEqual([undefined, [1]]);
    const { versions: history } = await loadHistory(mine.id);
    expect(history.map(({ number, changes, toHere }) => [number, changes.length, toHere.length])).toEqual([
      [3, 1, 0],
      [2, 1, 1],
      [1, 0, 0],
    ]);
  });

  it('what was undone and passed over is left aside until the keymap is kept, a lot at a time', async () => {
    const { mine } = await fresh();
    const two = await editKeymap(
      mine.id,
      (await editKeymap(mine.id, 1, give('trim', 'F3'))).revision,
      give('fill', 'F4'),
    );
    const undone = await moveOnTape(mine.id, two.revision, 0);
    const other = await editKeymap(mine.id, undone.revision, give('dab', 'F7'));
    const again = await editKeymap(
      mine.id,
      (await moveOnTape(mine.id, other.revision, 0)).revision,
      give('trim', 'F8'),
    );
    expect([undone.leftAside, other.leftAside, again.leftAside]).toEqual([0, 2, 3]);
    const { leftAside } = await loadHistory(mine.id);
    expect(leftAside.map(({ tickets }) => tickets.map(({ changes }) => changes[0]?.command))).toEqual([
      ['dab'],
      ['trim', 'fill'],
    ]);
    // Put back, the commands get what they had, whatever came since; the last of them, as it is now.
    const lot = putBack(await loadBindings(mine.id), leftAside[1]?.tickets ?? []);
    const back = await editKeymap(mine.id, again.revision, lot as Ticket);
    expect(await stored(mine.id)).toEqual(
      expect.arrayContaining([
        ['trim', 'F3'],
        ['fill', 'F4'],
      ]),
    );
    expect(putBack(await loadBindings(mine.id), leftAside[1]?.tickets ?? [])).toBeNull();
    expect((await keepKeymap(mine.id, back.revision)).leftAside).toBe(0);
    expect((await loadHistory(mine.id)).leftAside).toEqual([]);
  });

  it('a locked keymap takes no edit until it is unlocked', async () => {
    const { mine } = await fresh();
    await changeKeymap(mine.id, { locked: true });
    await expect(editKeymap(mine.id, 1, give('trim', 'F3'))).rejects.toEqual(problem('not allowed'));
    await changeKeymap(mine.id, { locked: false });
    expect((await editKeymap(mine.id, 1, give('trim', 'F3'))).cursor).toBe(1);
  });
});

describe('what a program allows', () => {
  it('is changed in steps that can be undone, refused where it contradicts itself, and holds for new keys', async () => {
    const { slug, mine } = await fresh();
    const { program, revision } = await loadProgramView(slug);
    const { contexts, rules, commands } = program;
    const added = {
      id: 'my-script',
      name: 'My script',
      kind: 'script' as const,
      path: ['Scripts'],
      context: 'everywhere',
    };
    const strict = { ...rules, sequences: false, forms: DEFAULT_FORMS };
    const facts = { contexts, rules: strict, commands: [...commands, added] };
    const next = await editProgram(slug, { revision }, 'Forms', facts);
    expect([next.program.commands.at(-1), next.lastStep, next.revision]).toEqual([added, 'Forms', revision + 1]);
    await expect(editProgram(slug, { revision }, 'Late', facts)).rejects.toEqual(problem('changed elsewhere'));
    await expect(editKeymap(mine.id, 1, give('trim', 'W'))).rejects.toEqual(problem('not allowed'));
    await expect(editKeymap(mine.id, 1, give('trim', 'Mod+K Mod+S'))).rejects.toEqual(problem('not allowed'));
    expect((await editKeymap(mine.id, 1, give('my-script', 'F8'))).cursor).toBe(1);
    // Taken back, the command is gone, and what a keymap gave it is taken from it by a ticket.
    await undoProgramStep(slug, { revision: next.revision });
    const { bindings, tape, draft } = await loadKeymapView(slug, 'mine');
    expect(bindings.filter(([command]) => command === 'my-script')).toEqual([]);
    expect([draft.cursor, tape.map((ticket) => ticket.title)]).toEqual([
      2,
      ['my-script', 'Taken off the list: My script'],
    ]);
    const back = await loadProgramView(slug);
    expect([back.program, back.lastStep]).toEqual([program, null]);
    // One that has keys somewhere can't be taken out; one context contains all others.
    await expect(
      editProgram(slug, { revision: back.revision }, 'x', {
        contexts,
        rules,
        commands: commands.filter((one) => one.id !== 'undo'),
      }),
    ).rejects.toEqual(problem('not allowed'));
    await expect(
      editProgram(slug, { revision: back.revision }, 'x', {
        contexts: [...contexts, { id: 'x', name: 'x', parent: null }],
        rules,
        commands,
      }),
    ).rejects.toEqual(problem('not valid'));
    await expect(undoProgramStep(slug, { revision: back.revision })).rejects.toEqual(problem('not valid'));
  });
});

describe('a command taken off the list', () => {
  it('loses its keys by a ticket on each keymap, and has them again when that is undone; the factory’s can’t be', async () => {
    const { slug, mine } = await fresh();
    const { program, revision } = await loadProgramView(slug);
    const { contexts, rules, commands } = program;
    await editKeymap(mine.id, 1, {
      title: 'two',
      changes: [{ command: 'fold-row', before: [], after: [{ chord: 'F8', hook: 'eight' }], spare: [false, true] }],
    });
    const without = (id: string) => ({ contexts, rules, commands: commands.filter((one) => one.id !== id) });
    const had = await loadBindings(mine.id);
    const off = await editProgram(slug, { revision }, 'Removed: Fold row', without('fold-row'));
    const now = await keymapById(mine.id);
    expect([now.cursor, (await loadBindings(mine.id)).bindings.has('fold-row')]).toEqual([2, false]);
    expect(readProgramFile(JSON.stringify(await exportProgram(slug))).program.commands).toHaveLength(
      commands.length - 1,
    );
    const back = await undoProgramStep(slug, { revision: off.revision });
    expect([await loadBindings(mine.id), (await keymapById(mine.id)).cursor]).toEqual([had, 1]);
    await changeKeymap(mine.id, { locked: true });
    await expect(editProgram(slug, { revision: back.revision }, 'x', without('fold-row'))).rejects.toThrow(/locked/);
    await expect(editProgram(slug, { revision: back.revision }, 'x', without('undo'))).rejects.toThrow(/new version/);
    expect((await loadProgramView(slug)).program).toEqual(program);
  });
});

describe('bringing in', () => {
  it('carries a program with its keymaps out and in again unchanged', async () => {
    const { slug, mine } = await fresh();
    await editKeymap(mine.id, 1, give('trim', 'F3'));
    const file = await exportProgram(slug);
    const read = readProgramFile(JSON.stringify(file));
    expect(toProgramFile(read)).toEqual(file);
    const again = await bringIn(read);
    expect(await exportProgram(again)).toEqual(file);
  });

  it('carries all that belongs to a program along: tapes, drafts, what was kept, sheets, wishes, ticks, counterparts', async () => {
    const { slug, mine } = await fresh();
    const other = await fresh();
    const factory = (await findKeymap((await findProgram(slug)).id, 'factory-keys')).id;
    const one = await editKeymap(mine.id, 1, give('trim', 'F3'));
    const two = await keepKeymap(mine.id, one.revision);
    const three = await editKeymap(mine.id, two.revision, give('trim', 'F4', ['F3']));
    const back = await moveOnTape(mine.id, three.revision, 1);
    const four = await editKeymap(mine.id, back.revision, give('trim', 'F5', ['F3']));
    await moveOnTape(mine.id, four.revision, 1);
    await keepSheet(mine.id, 'Against the factory’s', { ...DEFAULT_SHEET, form: 'difference', base: 'factory-keys' });
    await keepSheet(factory, 'Against mine', { ...DEFAULT_SHEET, base: 'mine' });
    await saveWishList(mine.id, { ...NO_WISHES, wishes: ['trim'] });
    await saveTicks(mine.id, factory, ['a step']);
    await changeProgram(other.slug, { name: 'Sample 901' });
    await sayCounterpart(slug, 'trim', other.slug, 'stain-mask');
    await sayCounterpart(other.slug, 'trim', slug, 'stain-mask');
    const file = await exportProgram(slug);
    expect(file.counterparts).toEqual([
      { command: 'trim', program: { name: 'Sample 901', version: '1' }, counterpart: 'stain-mask' },
      { command: 'stain-mask', program: { name: 'Sample 901', version: '1' }, counterpart: 'trim' },
    ]);
    const read = readProgramFile(JSON.stringify(file));
    const again = await bringIn({ ...read, program: { ...read.program, name: 'Sample 900' } });
    expect(await exportProgram(again)).toEqual({ ...file, program: { ...file.program, name: 'Sample 900' } });
    const came = await loadKeymapView(again, 'mine');
    expect([came.draft.cursor, came.tape.map((ticket) => ticket.title)]).toEqual([1, ['trim', 'trim']]);
    const { versions, leftAside } = await loadHistory(came.draft.id);
    expect([versions.length, leftAside.length]).toEqual([2, 1]);
    // It goes on as it would have there.
    const redone = await moveOnTape(came.draft.id, came.draft.revision, 2);
    expect(redone.cursor).toBe(2);
    expect((await loadSheets(again, 'factory-keys')).sheets.value.map((sheet) => sheet.spec.base)).toEqual(['mine']);
  });

  it('tells two programs of one name apart, on the Shelf, in the pickers and in the titles of pages', async () => {
    const { slug } = await fresh();
    const again = await bringIn(readProgramFile(JSON.stringify(await exportProgram(slug))));
    const own = (await loadShelf()).filter((one) => one.slug === slug || one.slug === again);
    expect(new Set(own.map((one) => one.name)).size).toBe(1);
    const labels = own.map((one) => one.label);
    expect(new Set(labels).size).toBe(2);
    const links = (await listLinks()).filter((one) => one.program === again);
    expect(new Set(links.map((one) => one.programName))).toEqual(
      new Set([own.find((one) => one.slug === again)?.label]),
    );
    expect(await loadNames(again, null)).toEqual([own.find((one) => one.slug === again)?.label]);
  });

  it('recognizes files by content and refuses bad ones in words', () => {
    const bytes = (text: string) => new TextEncoder().encode(text);
    const read = understand(bytes('Command,Keys\nLift,F9\n'));
    if (read.kind !== 'list') throw new Error(`Read as ${read.kind}.`);
    expect(programFromList(read.reading, 'X', '1').program.commands).toHaveLength(1);
    expect(() => understand(bytes('{"format": "something"}'))).toThrow(/not one that was exported here/);
    expect(() => understand(bytes('{"format": "gray-pin-program", "formatVersion": 1'))).toThrow(/damaged/);
    expect(() => understand(new Uint8Array(5 * 1024 * 1024 + 1))).toThrow(/larger than 5 MB/);
    const demo = readFileSync('demo/quillmoor.json', 'utf8');
    const file = JSON.parse(demo) as { program: { commands: { context: string; id: string; keys?: string[] }[] } };
    for (const damage of [
      () => {
        file.program.commands[0]!.context = 'nowhere';
      },
      () => {
        file.program.commands[1]!.id = file.program.commands[2]!.id;
      },
      () => {
        file.program.commands[3]!.keys = ['ctrl-x'];
      },
    ]) {
      damage();
      expect(() => readProgramFile(JSON.stringify(file))).toThrow(Problem);
      Object.assign(file, JSON.parse(demo));
    }
    expect(readProgramFile(demo.replace('"format"', '"__proto__": {"a": 1}, "format"'))).toEqual(readProgramFile(demo));
    expect(({} as { a?: number }).a).toBeUndefined();
  });

  it('seeds the demo at full size once, and opens an old file after keeping a copy of it', async () => {
    await closeDatabase();
    const other = mkdtempSync(join(tmpdir(), 'gray-pin-'));
    process.env.GRAY_PIN_DATA = other;
    try {
      expect(await seedDemo('demo')).toBe(true);
      expect(await seedDemo('demo')).toBe(false);
      const shelf = await loadShelf();
      expect(shelf.map((one) => [one.name, one.commands >= 250, one.keymaps.length]).sort()).toEqual([
        ['Nibshore', true, 2],
        ['Quillmoor', true, 2],
        ['Tarnlight', true, 3],
      ]);
      const sequelize = await database();
      const one = (pragma: string) => sequelize.query(pragma, { type: QueryTypes.SELECT });
      expect(await one('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
      expect(await one('PRAGMA synchronous')).toEqual([{ synchronous: 2 }]);
      expect(await one('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    } finally {
      await closeDatabase();
      process.env.GRAY_PIN_DATA = folder;
      rmSync(other, { recursive: true, force: true });
    }
    const damaged = join(folder, 'not-a-database.sqlite');
    writeFileSync(damaged, 'plain text, not a database at all'.repeat(40));
    await expect(openDatabaseFile(damaged)).rejects.toThrow(/not a database/);
  });
});

describe('advice', () => {
  it('keeps uses for each person and wish lists for each keymap', async () => {
    const { slug, mine, factory } = await fresh();
    await saveUses(mine.id, { undo: 90, clone: 4 }, false);
    await saveUses(mine.id, { clone: null, patch: 2.5 }, false);
    expect((await loadWishes(slug, 'mine')).uses.value).toEqual({ undo: 90, patch: 2.5 });
    expect((await loadWishes(slug, factory.slug)).uses.value).toEqual({});
    await saveUses(mine.id, { trim: 1 }, true);
    const list = { ...NO_WISHES, wishes: ['undo'], pins: [['undo', 'Mod+Z']] as [string, string][] };
    await saveWishList(mine.id, list);
    await saveWishList(mine.id, { ...list, spendBelow: 3 });
    expect(await loadWishes(slug, 'mine')).toMatchObject({
      uses: { value: { trim: 1 } },
      list: { value: { ...list, spendBelow: 3 } },
    });
    expect((await loadWishes(slug, factory.slug)).list.value).toBeNull();
  });

  it('remembers what was chosen for words in a program, of its commands alone', async () => {
    const { mine, factory } = await fresh();
    const { mine: other } = await fresh();
    await saveChosen(mine.id, { words: 'zap', command: 'undo' });
    await saveChosen(mine.id, { words: 'zap', command: 'clone' });
    await expect(saveChosen(mine.id, { words: 'zap', command: 'no-such' })).rejects.toEqual(problem('not valid'));
    expect(await chosenIn(factory.id)).toMatchObject({ revision: 2, value: { zap: 'clone' } });
    expect((await chosenIn(other.id)).value).toEqual({});
  });

  it('knows the keys of the other programs, not its own', async () => {
    await fresh();
    const { slug } = await fresh();
    const { elsewhere } = await loadWishes(slug, 'mine');
    const undo = elsewhere.find((one) => one.command === 'Undo');
    expect(undo).toMatchObject({ chord: 'Mod+Z', program: expect.stringMatching(/^Sample \d+$/) });
    expect(elsewhere.map((one) => one.program)).not.toContain((await findProgram(slug)).name);
    // Only where the two surely do the same: once it is said that they don't, their keys are no reason.
    const other = (await listPrograms()).find(({ name }) => name === undo?.program)?.slug ?? '';
    await sayCounterpart(slug, undo?.of ?? '', other, null);
    const after = (await loadWishes(slug, 'mine')).elsewhere;
    expect(after.filter(({ program, of }) => program === undo?.program && of === undo?.of)).toEqual([]);
    expect(after.length).toBeGreaterThan(0);
  });
});

describe('match', () => {
  it('remembers counterparts both ways, the latest word alone', async () => {
    const [one, other] = [await fresh(), await fresh()];
    const said = async () =>
      (await loadMatch(one.slug, 'factory-keys', null)).said.value.filter(
        (row) => row.program === one.slug || row.other === one.slug,
      );
    await sayCounterpart(one.slug, 'clone', other.slug, 'patch');
    await sayCounterpart(other.slug, 'patch', one.slug, 'fill');
    expect(await said()).toEqual([{ program: other.slug, command: 'patch', other: one.slug, counterpart: 'fill' }]);
    await sayCounterpart(one.slug, 'fill', other.slug, null);
    expect(await said()).toEqual([{ program: one.slug, command: 'fill', other: other.slug, counterpart: null }]);
    await sayCounterpart(one.slug, 'fill', other.slug, undefined);
    expect(await said()).toEqual([]);
    await expect(sayCounterpart(one.slug, 'fill', one.slug, 'clone')).rejects.toEqual(problem('not valid'));
  });

  it('knows after any number of sayings what the page knows that follows them', async () => {
    const [one, other] = [await fresh(), await fresh()];
    const slugs = [one.slug, other.slug] as const;
    const commands = ['clone', 'patch', 'fill'];
    let known: readonly Said[] = [];
    // A fixed walk through sayings, denials and second thoughts, from either side.
    for (let step = 0; step < 40; step++) {
      const [program, there] = step % 3 === 0 ? [slugs[1], slugs[0]] : slugs;
      const command = commands[(step * 7) % 3] as string;
      const counterpart = step % 5 === 4 ? undefined : step % 7 === 6 ? null : (commands[(step * 5 + 1) % 3] as string);
      await sayCounterpart(program, command, there, counterpart);
      known = withSaid(known, { program, command, other: there }, counterpart);
      const { said } = await loadMatch(one.slug, 'mine', null);
      const own = said.value.filter((row) => slugs.includes(row.program) && slugs.includes(row.other));
      expect(own).toEqual(known);
    }
  });

  it('keeps what was settled for each two keymaps, and goes on with the one matched last', async () => {
    const [one, other] = [await fresh(), await fresh()];
    const source = await loadKeymapView(other.slug, 'factory-keys');
    const plan = {
      ...EMPTY_PLAN,
      choices: [['clone', { kind: 'keep' }] as const],
      instead: [['patch', null] as const],
    };
    await savePlan(one.mine.id, source.draft.id, plan);
    const match = await loadMatch(one.slug, 'mine', null);
    expect(match.theirs?.draft.id).toBe(source.draft.id);
    expect(match.plan.value).toEqual(plan);
    expect((await loadMatch(one.slug, 'mine', { program: 'nowhere', keymap: 'x' }).catch((error) => error)).code).toBe(
      'not found',
    );
  });

  it('derives a keymap in one step, and knows where it came from and what it was then', async () => {
    const [one, other] = [await fresh(), await fresh()];
    const source = await loadKeymapView(other.slug, 'factory-keys');
    const ticket = give('patch', 'Q', ['S']);
    const made = await deriveKeymap(
      one.mine.id,
      { name: 'Feels like it', owner: '', source: source.draft.id, ticket },
      EMPTY_PLAN,
    );
    const match = await loadMatch(one.slug, made.slug, null);
    expect(match.view.bindings).toContainEqual(['patch', 'Q']);
    expect(match.view.tape).toEqual([ticket]);
    expect(match.theirs?.draft.id).toBe(source.draft.id);
    expect(match.derivation.value?.derived).toEqual(match.view.bindings);
    expect(match.derivation.value?.theirs).toEqual(source.bindings);
    // The one it was made from is as it was.
    expect((await loadKeymapView(one.slug, 'mine')).bindings).not.toContainEqual(['patch', 'Q']);
    await saveDerivation(made.id, { plan: EMPTY_PLAN, derived: [], theirs: [] });
    expect((await loadMatch(one.slug, made.slug, null)).derivation.value?.derived).toEqual([]);
    await expect(saveDerivation(one.mine.id, { plan: EMPTY_PLAN, derived: [], theirs: [] })).rejects.toEqual(
      problem('not found'),
    );
    await expect(
      deriveKeymap(
        one.mine.id,
        { name: 'No', owner: '', source: source.draft.id, ticket: give('nobody', 'Q') },
        EMPTY_PLAN,
      ),
    ).rejects.toEqual(problem('not valid'));
    await expect(
      deriveKeymap(
        one.mine.id,
        { name: 'No', owner: '', source: source.draft.id, ticket: give('patch', 'Q') },
        EMPTY_PLAN,
      ),
    ).rejects.toEqual(problem('changed elsewhere'));
  });
});

describe('the commands of a program, set apart', () => {
  it('are to be had by the mark of what they are, until they are others', async () => {
    const { slug } = await fresh();
    const shown = async () => packScreen({ view: await loadKeymapView(slug, 'mine') });
    const packed = await shown();
    const [address = ''] = packed.apart;
    const [, version = '', mark = ''] = /^\/api\/versions\/(\d+)\/commands\?mark=(.+)$/.exec(address) ?? [];
    const text = await commandList(Number(version), mark);
    expect(unpack(packed, new Map([[address, JSON.parse(text)]]))).toEqual({
      view: await loadKeymapView(slug, 'mine'),
    });
    expect((await shown()).apart).toEqual([address]);
    const { program, revision } = await loadProgramView(slug);
    const { contexts, rules, commands } = program;
    const facts = {
      contexts,
      rules,
      commands: commands.map((one, i) => (i === 0 ? { ...one, name: 'Otherwise' } : one)),
    };
    await editProgram(slug, { revision }, 'Renamed', facts);
    await expect(commandList(Number(version), mark)).rejects.toEqual(problem('not found'));
    expect((await shown()).apart).not.toEqual([address]);
  });
});
