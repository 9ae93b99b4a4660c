import type { Transaction } from 'sequelize';
import { bindingsOf } from '../../core/keymap/keymap';
import { type Change, invertTicket } from '../../core/keymap/ticket';
import type { Command } from '../../core/program/program';
import type { ProgramView } from '../../core/program/programView';
import type { EditMark } from '../../core/sync/versioned';
import { cutText } from '../../core/text/cutText';
import { changedElsewhere, Problem } from '../../schemas/problem';
import { inTransaction, ofOneMoment } from '../database';
import type { Facts } from '../models/programs';
import { refuseContradictions } from '../refuseContradictions';
import { doneBefore, noteDone } from '../repositories/inStep';
import {
  advance,
  bindingsOfRow,
  factoryRow,
  type KeymapRow,
  listKeymaps,
  loadBindings,
  loadTape,
  loadUndone,
  writeChanges,
} from '../repositories/keymaps';
import {
  appendStep,
  findProgram,
  lastStep,
  loadProgram,
  type StoredProgram,
  undoStep,
  writeFacts,
} from '../repositories/programs';
import { putOnTape } from './editKeymap';

/** What a program says of itself. @throws Problem when there is none at this address. */
export const loadProgramView = ofOneMoment(async function loadProgramView(slug: string): Promise<ProgramView> {
  const row = await findProgram(slug);
  const versionId = await versionOf(row.id);
  const { program, revision } = await loadProgram(row, versionId);
  const factory = await bindingsOfRow(await factoryRow(versionId));
  const step = await lastStep(versionId);
  return {
    slug,
    revision,
    program,
    factoryKeys: Object.fromEntries([...factory.bindings].map(([id, list]) => [id, list.map((one) => one.chord)])),
    lastStep: step?.title ?? null,
  };
});

async function versionOf(programId: number): Promise<number> {
  const factory = (await listKeymaps(programId)).find((one) => one.factory);
  if (!factory) throw new Problem('not found', 'This program has no factory keymap.');
  return factory.versionId;
}

/**
 * Does an edit of what a program says of itself if nobody has changed it since what the edit was made on, and once however
 * often it is sent. @throws Problem "changed elsewhere" with how it stands `now`.
 */
async function editFacts(
  slug: string,
  { revision, key }: EditMark,
  work: (stored: StoredProgram, transaction: Transaction) => Promise<void>,
): Promise<ProgramView> {
  await inTransaction(async (transaction) => {
    if (await doneBefore(key, transaction)) return;
    const row = await findProgram(slug, transaction);
    const stored = await loadProgram(row, await versionOf(row.id), transaction);
    if (stored.revision !== revision) {
      const value = await loadProgramView(slug);
      throw changedElsewhere(`What ${row.name} allows was`, { now: { revision: value.revision, value } });
    }
    await work(stored, transaction);
    await noteDone(key, transaction);
  });
  return loadProgramView(slug);
}

/**
 * Writes what a program says of itself, as one step that can be undone.
 * Keys of a command that is taken off the list are taken from it first, as a ticket on each keymap that gave it any.
 * @throws Problem when it was changed elsewhere meanwhile, contradicts itself, or drops a command the program gave keys.
 */
export async function editProgram(slug: string, mark: EditMark, title: string, facts: Facts): Promise<ProgramView> {
  refuseContradictions(facts);
  return editFacts(slug, mark, async ({ id, versionId, program }, transaction) => {
    const { contexts, rules, commands } = program;
    const left = new Set(facts.commands.map((one) => one.id));
    const gone = commands.filter((one) => !left.has(one.id));
    if (gone.length > 0) await takeKeysFrom(gone, await listKeymaps(id, transaction), transaction);
    const step = { title, before: { contexts, rules, commands }, after: facts };
    await writeFacts(versionId, facts, transaction);
    await appendStep(versionId, step, transaction);
  });
}

/** What a ticket is called that took keys from commands which were taken off the list. */
const removed = (commands: readonly Command[]): string =>
  cutText(`Taken off the list: ${commands.map((one) => one.name).join(', ')}`, 200);

async function takeKeysFrom(
  gone: readonly Command[],
  keymaps: readonly KeymapRow[],
  transaction: Transaction,
): Promise<void> {
  for (const row of keymaps) {
    const keymap = await loadBindings(row.id, transaction);
    const used = gone.filter((one) => keymap.bindings.has(one.id) || keymap.spares.has(one.id));
    const [first] = used;
    if (!first) continue;
    if (row.factory)
      throw new Problem(
        'not allowed',
        `“${first.name}” came with keys of the program’s own, so it can't be taken off its list. Bring in a list without it as a new version.`,
      );
    if (row.locked)
      throw new Problem(
        'not allowed',
        `“${first.name}” has keys in “${row.name}”, which is locked. Unlock it first, then take the command off the list.`,
      );
    const changes = used.map(({ id }): Change => {
      const change = { command: id, before: bindingsOf(keymap, id), after: [] };
      return keymap.spares.has(id) ? { ...change, spare: [true, false] } : change;
    });
    const undone = await loadUndone(row.id, row.cursor, transaction);
    await putOnTape(row, { title: removed(gone), changes }, transaction, undone);
  }
}

/** Gives commands that are on the list again the keys back that were taken with them, where that was the last step. */
async function giveKeysBack(
  back: readonly Command[],
  keymaps: readonly KeymapRow[],
  transaction: Transaction,
): Promise<void> {
  for (const row of keymaps) {
    if (row.factory || row.locked || row.cursor === 0) continue;
    const [ticket] = await loadTape(row.id, transaction, row.cursor - 1, row.cursor);
    if (ticket?.title !== removed(back)) continue;
    await advance(row, row.cursor - 1, transaction);
    await writeChanges(row.id, invertTicket(ticket).changes, transaction);
  }
}

/** Takes the last step back. */
export function undoProgramStep(slug: string, mark: EditMark): Promise<ProgramView> {
  return editFacts(slug, mark, async ({ id, versionId, program }, transaction) => {
    const step = await lastStep(versionId, transaction);
    if (!step) throw new Problem('not valid', 'There is nothing left to undo here.');
    const stays = new Set(step.before.commands.map((one) => one.id));
    const keymaps = await listKeymaps(id, transaction);
    // What was added since may have keys.
    const gone = program.commands.filter((one) => !stays.has(one.id));
    if (gone.length > 0) await takeKeysFrom(gone, keymaps, transaction);
    await writeFacts(versionId, step.before, transaction);
    await undoStep(versionId, step.number, transaction);
    const there = new Set(program.commands.map((one) => one.id));
    const back = step.before.commands.filter((one) => !there.has(one.id));
    if (back.length > 0) await giveKeysBack(back, await listKeymaps(id, transaction), transaction);
  });
}
