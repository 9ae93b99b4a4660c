import type { KeymapView } from '../../core/keymap/keymapView';
import type { CommandId } from '../../core/program/program';
import { ofOneMoment } from '../database';
import { loadUses } from '../repositories/advice';
import { findProgram } from '../repositories/programs';
import { loadKeymapView } from './screens';

/** What packs of a keymap are made from and put on. @param from another keymap of the program to compare it with. */
export const loadPacks = ofOneMoment(async function loadPacks(
  programSlug: string,
  keymapSlug: string,
  from: string | null,
): Promise<{
  readonly view: KeymapView;
  readonly from: KeymapView | null;
  readonly uses: Readonly<Record<CommandId, number>>;
}> {
  const view = await loadKeymapView(programSlug, keymapSlug);
  const { id } = await findProgram(programSlug);
  return {
    view,
    from: from === null || from === keymapSlug ? null : await loadKeymapView(programSlug, from),
    uses: Object.fromEntries(await loadUses(id, view.draft.owner)),
  };
});
