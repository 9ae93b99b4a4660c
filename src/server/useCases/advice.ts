import type { AdviceView, WishesView } from '../../core/advice/adviceView';
import { aboutOf, type Elsewhere } from '../../core/advice/advisor';
import type { WishList } from '../../core/advice/wishList';
import { bindingsOf } from '../../core/keymap/keymap';
import type { KeymapView } from '../../core/keymap/keymapView';
import type { Command } from '../../core/program/program';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { ofOneMoment } from '../database';
import { loadUses, loadWishList, writeUses, writeWishList } from '../repositories/advice';
import { bindingsOfRow, keymapById, listKeymaps } from '../repositories/keymaps';
import { findProgram, listPrograms, loadProgram, type ProgramRow } from '../repositories/programs';
import { editInStep, versioned } from './inStep';
import { loadKeymapView } from './screens';

/** What advice on a keymap knows besides it. */
export const loadAdvice = ofOneMoment(async function loadAdvice(view: KeymapView): Promise<AdviceView> {
  const program = await findProgram(view.programSlug);
  return {
    uses: Object.fromEntries(await loadUses(program.id, view.draft.owner)),
    elsewhere: await loadElsewhere(view.program.commands, program),
  };
});

/** Which keys other programs give to what these commands are about. */
async function loadElsewhere(commands: readonly Command[], program: ProgramRow): Promise<readonly Elsewhere[]> {
  const others = (await listPrograms()).filter((one) => one.id !== program.id && one.putAwayAt === null);
  const elsewhere = (await Promise.all(others.map((one) => keysIn(one)))).flat();
  if (elsewhere.length === 0) return elsewhere;
  const wanted = allAbout(commands);
  return elsewhere.filter((one) => one.about !== '' && wanted.has(one.about));
}

const abouts = new WeakMap<readonly Command[], ReadonlySet<string>>();

/** What these commands are about; the same list is asked for with every page of a program. */
function allAbout(commands: readonly Command[]): ReadonlySet<string> {
  const about = abouts.get(commands) ?? new Set(commands.map((command) => aboutOf(command)));
  abouts.set(commands, about);
  return about;
}

const known = new Map<string, readonly Elsewhere[]>();

/** The commands with keys in the keymap of a program that was used last, with what they are about. */
async function keysIn(program: ProgramRow): Promise<readonly Elsewhere[]> {
  const keymaps = (await listKeymaps(program.id)).filter((one) => one.putAwayAt === null);
  const [last] = keymaps.sort(
    (a, b) =>
      (b.lastUsedAt ?? '').localeCompare(a.lastUsedAt ?? '') || Number(a.factory) - Number(b.factory) || a.id - b.id,
  );
  if (!last) return [];
  const id = `${last.id} ${last.revision} ${last.lastUsedAt}`;
  const before = known.get(id);
  if (before) return before;
  const { program: facts } = await loadProgram(program, last.versionId);
  const keymap = await bindingsOfRow(last);
  const found = facts.commands.flatMap((command) =>
    bindingsOf(keymap, command.id).map(
      ({ chord }): Elsewhere => ({ about: aboutOf(command), program: program.name, command: command.name, chord }),
    ),
  );
  if (known.size > 50) known.clear();
  known.set(id, found);
  return found;
}

/** The wish list of a keymap with all it is planned from. @throws Problem when there is no such keymap. */
export const loadWishes = ofOneMoment(async function loadWishes(
  programSlug: string,
  keymapSlug: string,
): Promise<WishesView> {
  const view = await loadKeymapView(programSlug, keymapSlug);
  const program = await findProgram(programSlug);
  return {
    elsewhere: await loadElsewhere(view.program.commands, program),
    view,
    list: await versioned(wishListOf(view.draft.id)),
    uses: await versioned(usesOf(program.id, view.draft.owner)),
  };
});

const wishListOf = (keymapId: number) => ({
  thing: `wishes ${keymapId}`,
  what: 'This wish list was',
  read: () => loadWishList(keymapId),
});
const usesOf = (programId: number, owner: string) => ({
  thing: `uses ${programId} ${owner}`,
  what: 'The counts were',
  read: async () => Object.fromEntries(await loadUses(programId, owner)),
});

/** Stores the wish list of a keymap. */
export async function saveWishList(
  keymapId: number,
  list: WishList,
  mark: EditMark = {},
): Promise<Versioned<WishList | null>> {
  await keymapById(keymapId);
  return editInStep(wishListOf(keymapId), mark, (transaction) => writeWishList(keymapId, list, transaction));
}

/** Stores how often a day the owner of a keymap uses commands of its program. */
export async function saveUses(
  keymapId: number,
  uses: Readonly<Record<string, number | null>>,
  all: boolean,
  mark: EditMark = {},
): Promise<Versioned<Readonly<Record<string, number>>>> {
  const { programId, owner } = await keymapById(keymapId);
  return editInStep(usesOf(programId, owner), mark, (transaction) =>
    writeUses(programId, owner, uses, all, transaction),
  );
}
