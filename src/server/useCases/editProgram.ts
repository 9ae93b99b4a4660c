import type { Transaction } from 'sequelize';
import { outsideTree } from '../../core/program/contextsOverlap';
import type { ProgramView } from '../../core/program/programView';
import type { EditMark } from '../../core/sync/versioned';
import { changedElsewhere, Problem } from '../../schemas/problem';
import { inTransaction, ofOneMoment } from '../database';
import type { Facts } from '../models/programs';
import { doneBefore, noteDone } from '../repositories/inStep';
import { bindingsOfRow, factoryRow, listKeymaps, loadBindings } from '../repositories/keymaps';
import {
  appendStep,
  findProgram,
  lastStep,
  loadProgram,
  type StoredProgram,
  undoStep,
  writeFacts,
} from '../repositories/programs';

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
 * @throws Problem when it was changed elsewhere meanwhile, contradicts itself, or drops a command that has keys.
 */
export async function editProgram(slug: string, mark: EditMark, title: string, facts: Facts): Promise<ProgramView> {
  refuseContradictions(facts);
  return editFacts(slug, mark, async ({ id, versionId, program }, transaction) => {
    const { contexts, rules, commands } = program;
    const left = new Set(facts.commands.map((one) => one.id));
    const gone = commands.filter((one) => !left.has(one.id));
    if (gone.length > 0) {
      for (const keymap of await listKeymaps(id, transaction)) {
        const { bindings } = await loadBindings(keymap.id, transaction);
        const used = gone.find((one) => bindings.has(one.id));
        if (used)
          throw new Problem(
            'not allowed',
            `“${used.name}” has keys in “${keymap.name}”, so it can't be taken off the list. Take its keys away first.`,
          );
      }
    }
    const step = { title, before: { contexts, rules, commands }, after: facts };
    await writeFacts(versionId, facts, transaction);
    await appendStep(versionId, step, transaction);
  });
}

/** Takes the last step back. */
export function undoProgramStep(slug: string, mark: EditMark): Promise<ProgramView> {
  return editFacts(slug, mark, async ({ versionId }, transaction) => {
    const step = await lastStep(versionId, transaction);
    if (!step) throw new Problem('not valid', 'There is nothing left to undo here.');
    await writeFacts(versionId, step.before, transaction);
    await undoStep(versionId, step.number, transaction);
  });
}

/** @throws Problem when contexts are no tree, or commands and rules speak of what is not there. */
function refuseContradictions({ contexts, commands }: Facts): void {
  const roots = contexts.filter((one) => one.parent === null);
  if (roots.length !== 1) throw new Problem('not valid', 'One place has to contain all others.');
  const [lost] = outsideTree(contexts);
  if (lost) throw new Problem('not valid', `“${lost.name}” lies in no other place.`);
  const known = new Set(contexts.map((one) => one.id));
  const homeless = commands.find((one) => !known.has(one.context));
  if (homeless) throw new Problem('not valid', `“${homeless.name}” is listened for in a place that is not there.`);
}
