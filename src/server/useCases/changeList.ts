import type { ChangeListView } from '../../core/changeList/changeListView';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { Problem } from '../../schemas/problem';
import { ofOneMoment } from '../database';
import { findKeymap, keymapById, listKeymaps } from '../repositories/keymaps';
import { findProgram } from '../repositories/programs';
import { loadTicks, writeTicks } from '../repositories/sheets';
import { editInStep, versioned } from './inStep';
import { loadKeymapView } from './screens';

/**
 * What a change list needs: the keymap wanted, the one the program has in it now (the factory's unless another is named),
 * and which steps are ticked off. @throws Problem when there is no such keymap.
 */
export const loadChangeList = ofOneMoment(async function loadChangeList(
  programSlug: string,
  keymapSlug: string,
  fromSlug: string | null,
): Promise<ChangeListView> {
  const program = await findProgram(programSlug);
  const keymaps = await listKeymaps(program.id);
  const factory = keymaps.find((one) => one.factory);
  const from = fromSlug === null ? factory : await findKeymap(program.id, fromSlug);
  if (!from) throw new Problem('not found', 'The factory keymap of this program is missing.');
  const view = await loadKeymapView(programSlug, keymapSlug);
  return {
    view,
    from: await loadKeymapView(programSlug, from.slug),
    keymaps: keymaps.filter((one) => one.putAwayAt === null).map(({ slug, name, owner }) => ({ slug, name, owner })),
    ticks: await versioned(ticksOf(view.draft.id, from.id)),
  };
});

const ticksOf = (keymapId: number, fromId: number) => ({
  thing: `ticks ${keymapId} ${fromId}`,
  what: 'The ticks were',
  read: () => loadTicks(keymapId, fromId),
});

/** Remembers which steps are ticked off. */
export async function saveTicks(
  keymapId: number,
  fromId: number,
  ticks: readonly string[],
  mark: EditMark = {},
): Promise<Versioned<readonly string[]>> {
  const [to, from] = [await keymapById(keymapId), await keymapById(fromId)];
  if (to.programId !== from.programId)
    throw new Problem('not valid', 'A change list leads from one keymap of a program to another of the same.');
  return editInStep(ticksOf(keymapId, fromId), mark, (transaction) => writeTicks(keymapId, fromId, ticks, transaction));
}
