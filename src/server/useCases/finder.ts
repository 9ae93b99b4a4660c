import type { Chosen, ChosenEdit } from '../../core/finder/chosen';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { Problem } from '../../schemas/problem';
import { loadChosen, writeChosen } from '../repositories/finder';
import { keymapById } from '../repositories/keymaps';
import { hasCommand } from '../repositories/programs';
import { editInStep, versioned } from './inStep';
import { loadSettings } from './settings';

const chosenOf = (programId: number, person: string) => ({
  thing: `chosen ${programId} ${person}`,
  what: 'What is chosen for which words was',
  read: () => loadChosen(programId, person),
});

/** What who sits here chose for words typed into the finder of a keymap's program. */
export async function chosenIn(keymapId: number): Promise<Versioned<Chosen>> {
  const [{ programId }, { person }] = await Promise.all([keymapById(keymapId), loadSettings()]);
  return versioned(chosenOf(programId, person));
}

/** Remembers which command who sits here chose for words. @throws Problem when the program has no such command. */
export async function saveChosen(keymapId: number, edit: ChosenEdit, mark: EditMark = {}): Promise<Versioned<Chosen>> {
  const [{ programId, versionId }, { person }] = await Promise.all([keymapById(keymapId), loadSettings()]);
  if (!(await hasCommand(versionId, edit.command)))
    throw new Problem('not valid', `This program has no command “${edit.command}”.`);
  return editInStep(chosenOf(programId, person), mark, (transaction) =>
    writeChosen(programId, person, edit, transaction),
  );
}
