import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { emptyList } from '../../core/advice/emptyList';
import { choices } from '../../core/clash/choices';
import { buildClashIndex, programFacts } from '../../core/clash/clashIndex';
import { verdict } from '../../core/clash/verdict';
import { DEFAULT_KEYBOARD } from '../../core/keyboard/usKeyboard';
import { whereOf } from '../../core/keyboard/where';
import { NO_CHOICES } from '../../core/reading/choices';
import { inTransaction } from '../database';
import { readProgramFile } from '../reading/understand';
import { findKeymap, keymapById, loadBindings } from '../repositories/keymaps';
import { findProgram, listPrograms, loadProgram } from '../repositories/programs';
import { insertSourceFile } from '../repositories/sourceFiles';
import { saveUses, saveWishList } from '../useCases/advice';
import { bringIn } from '../useCases/bringIn';
import { editKeymap } from '../useCases/editKeymap';
import { noteUse } from '../useCases/screens';

type DraftSteps = {
  program: string;
  keymap: string;
  steps: { command: string; chord: string }[];
  /** How often a day its owner uses what, and what they wish for. */
  uses: Record<string, number>;
  wishes: string[];
};

/**
 * Fills a new database with the demo programs, read as anyone's files are, and takes a few steps on a draft.
 * @returns whether there was anything to do: a Shelf that has programs is left as it is.
 */
export async function seedDemo(folder: string): Promise<boolean> {
  if ((await listPrograms()).length > 0) return false;
  const files = readdirSync(folder).filter((name) => name.endsWith('.json') && name !== 'draft.json');
  for (const name of files.sort()) await bringIn(readProgramFile(readFileSync(join(folder, name), 'utf8')));
  await keepFile('tarnlight', 'tarnlight-keys.conf', folder);
  await takeSteps(JSON.parse(readFileSync(join(folder, 'draft.json'), 'utf8')) as DraftSteps);
  return true;
}

/** Keeps the file a program of the demo reads its keys from, so that keymaps can be written into it. */
async function keepFile(slug: string, name: string, folder: string): Promise<void> {
  const { id } = await findProgram(slug);
  const { versionId } = await findKeymap(id, 'factory-keys');
  const file = { name, bytes: readFileSync(join(folder, name)), choices: NO_CHOICES, corrections: {}, given: false };
  await inTransaction((transaction) => insertSourceFile({ programId: id, versionId }, file, transaction));
}

async function takeSteps({ program: programSlug, keymap: keymapSlug, steps, uses, wishes }: DraftSteps): Promise<void> {
  const programRow = await findProgram(programSlug);
  const { id, versionId } = await findKeymap(programRow.id, keymapSlug);
  const { program } = await loadProgram(programRow, versionId);
  const facts = programFacts(program);
  const where = whereOf(DEFAULT_KEYBOARD);
  for (const step of steps) {
    const keymap = await loadBindings(id);
    const command = facts.commands.get(step.command);
    if (!command) throw new Error(`The demo has no command “${step.command}”.`);
    const index = buildClashIndex(facts, keymap, where.place);
    const choice = choices(index, where, command, verdict(index, where, command, step.chord), false).at(-1);
    if (!choice) throw new Error(`The demo can't give ${step.chord} to “${step.command}”.`);
    await editKeymap(id, { revision: (await keymapById(id)).revision }, choice.ticket);
  }
  await saveUses(id, uses, true);
  await saveWishList(id, { ...emptyList(where), wishes });
  await noteUse(id);
}
