import type { Transaction } from 'sequelize';
import type { FileBelongings, FileSaid } from '../../core/file/belongings';
import type { Uid, WholeKeymap } from '../../core/whole/whole';
import { momentNow } from '../database';
import { models } from '../models/models';
import { writeWishList } from '../repositories/advice';
import { type KeymapRow, listKeymaps } from '../repositories/keymaps';
import { loadSaid, writeSaid } from '../repositories/match';
import { hasCommand, listPrograms, type ProgramRow, versionLabels } from '../repositories/programs';
import { insertSheet, listSheets, writeTicks } from '../repositories/sheets';
import { readWholeKeymaps } from '../whole/readWhole';

/** What belongs to the keymaps of a program besides their keys, by their numbers, as its own file carries it. */
export async function belongingsOf(
  program: ProgramRow,
  keymaps: readonly KeymapRow[],
): Promise<ReadonlyMap<number, FileBelongings>> {
  const all = await readWholeKeymaps({ models: await models(), transaction: momentNow() }, program);
  const whole = new Map(all.map((one) => [one.uid, one]));
  const names = new Map(keymaps.map((one) => [one.uid, one.factory ? null : one.name]));
  const named = new Map(keymaps.map((one) => [one.slug, one.factory ? '' : one.name]));
  const belongings = new Map<number, FileBelongings>();
  for (const row of keymaps) {
    const keymap = whole.get(row.uid);
    if (!keymap) continue;
    const sheets = (await listSheets(row.id)).map(({ name, contents, putAwayAt, createdAt }) => {
      return { name, contents: { ...contents, base: named.get(contents.base) ?? '' }, putAwayAt, createdAt };
    });
    belongings.set(row.id, {
      ...historyOf(keymap),
      ...restOf(keymap, names),
      ...(sheets.length > 0 ? { sheets } : {}),
    });
  }
  return belongings;
}

/** How a keymap became what it is, where that is more than being brought in. */
function historyOf({ factory, tape, cursor, kept, leftAside }: WholeKeymap): Pick<FileBelongings, 'draft'> {
  const plain = factory || (tape.length === 0 && kept.length === 1);
  return plain ? {} : { draft: { tape, cursor, kept, leftAside } };
}

function restOf({ wishes, ticks }: WholeKeymap, names: ReadonlyMap<Uid, string | null>): FileBelongings {
  const ticked = ticks.flatMap(({ from, ticks: steps }) => {
    const name = names.get(from);
    return name === undefined ? [] : [{ from: name, ticks: steps }];
  });
  return { ...(wishes === null ? {} : { wishes }), ...(ticked.length > 0 ? { ticks: ticked } : {}) };
}

/** What was said of counterparts of a program's commands, from either side. */
export async function saidOf(slug: string): Promise<readonly FileSaid[]> {
  const programs = new Map((await listPrograms()).map((one) => [one.slug, one]));
  const labels = await versionLabels();
  const other = (address: string): FileSaid['program'] => {
    const one = programs.get(address);
    return { name: one?.name ?? address, version: labels.get(one?.id ?? 0) ?? '1' };
  };
  return (await loadSaid()).flatMap(({ program, command, other: to, counterpart }): FileSaid[] => {
    if (program === slug) return [{ command, program: other(to), counterpart }];
    return to === slug && counterpart !== null
      ? [{ command: counterpart, program: other(program), counterpart: command }]
      : [];
  });
}

/** Stores what belongs to keymaps that were just made, by the names they have in their file; the factory's by null. */
export async function insertBelongings(
  all: readonly (readonly [name: string | null, belongings: FileBelongings])[],
  made: ReadonlyMap<string | null, KeymapRow>,
  transaction: Transaction,
): Promise<void> {
  for (const [name, { wishes, sheets = [], ticks = [] }] of all) {
    const keymap = made.get(name)?.id ?? 0;
    if (wishes) await writeWishList(keymap, wishes, transaction);
    for (const { name: called, contents, ...times } of sheets) {
      const base = contents.base === '' ? '' : (made.get(contents.base)?.slug ?? '');
      await insertSheet(keymap, called, { ...contents, base }, transaction, times);
    }
    for (const { from, ticks: steps } of ticks) {
      const other = made.get(from)?.id;
      if (other !== undefined) await writeTicks(keymap, other, steps, transaction);
    }
  }
}

/** Stores what was said of counterparts, where the other program is here and has the command. */
export async function insertSaid(
  programId: number,
  said: readonly FileSaid[],
  transaction: Transaction,
): Promise<void> {
  if (said.length === 0) return;
  const [programs, labels] = [await listPrograms(), await versionLabels()];
  for (const { command, program, counterpart } of said) {
    const called = programs.filter((one) => one.name === program.name && one.id !== programId);
    const other = called.find((one) => labels.get(one.id) === program.version) ?? called[0];
    if (!other) continue;
    const factory = (await listKeymaps(other.id, transaction)).find((one) => one.factory);
    if (counterpart !== null && !(await hasCommand(factory?.versionId ?? 0, counterpart))) continue;
    await writeSaid(programId, command, other.id, counterpart, transaction);
  }
}
