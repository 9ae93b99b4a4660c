import type { AdviceView, WishesView } from '../../core/advice/adviceView';
import type { Elsewhere } from '../../core/advice/advisor';
import type { WishList } from '../../core/advice/wishList';
import type { Side } from '../../core/counterpart/counterpartsOf';
import { surePairs } from '../../core/counterpart/surePairs';
import { bindingsOf, rowsOf } from '../../core/keymap/keymap';
import type { KeymapView } from '../../core/keymap/keymapView';
import type { CommandId } from '../../core/program/program';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { ofOneMoment } from '../database';
import { loadUses, loadWishList, writeUses, writeWishList } from '../repositories/advice';
import { bindingsOfRow, factoryRow, type KeymapRow, keymapById, listKeymaps } from '../repositories/keymaps';
import { findProgram, listPrograms, loadProgram, type ProgramRow, type StoredProgram } from '../repositories/programs';
import { remembering } from '../repositories/remembering';
import { chosenIn } from './finder';
import { editInStep, versioned } from './inStep';
import { lessonsFrom, SAID } from './match';
import { loadKeymapView } from './screens';

/** What advice on a keymap knows besides it. */
export const loadAdvice = ofOneMoment(async function loadAdvice(view: KeymapView): Promise<AdviceView> {
  const program = await findProgram(view.programSlug);
  return {
    uses: Object.fromEntries(await loadUses(program.id, view.draft.owner)),
    elsewhere: await loadElsewhere(view, program),
    chosen: await chosenIn(view.draft.id),
  };
});

/** So many other programs are looked at, those used last. */
const MOST_PROGRAMS = 4;
/** Of more pairs of commands than these, counterparts are not looked for here: what was said of them alone counts. */
const MOST_PAIRS = 1000 * 1000;
const rememberSure = remembering<readonly (readonly [CommandId, CommandId])[]>('sure counterparts', 40);

/** Which keys the sure counterparts of a program's commands have in the keymaps used last of other programs. */
async function loadElsewhere({ draft }: KeymapView, program: ProgramRow): Promise<readonly Elsewhere[]> {
  const others = await lastUsed(program);
  if (others.length === 0) return [];
  const said = await versioned(SAID);
  const here = await loadProgram(program, (await keymapById(draft.id)).versionId);
  const side = async ({ slug, versionId, program: facts }: StoredProgram): Promise<Side> => ({
    slug,
    program: facts,
    factory: rowsOf(await bindingsOfRow(await factoryRow(versionId))),
  });
  const found = await Promise.all(
    others.map(async ({ row, keymap }) => {
      const names = Object.fromEntries([[row.slug, row.name]]);
      const there = await loadProgram(row, keymap.versionId);
      const at = [here.versionId, here.revision, there.versionId, there.revision, said.revision].join(' ');
      const pairs = await rememberSure.read(at, async () => {
        const [left, right] = [await side(here), await side(there)];
        const many = left.program.commands.length * right.program.commands.length > MOST_PAIRS;
        return surePairs(left, right, names, said.value, many, await lessonsFrom(said.value));
      });
      const keys = await bindingsOfRow(keymap);
      const nameOf = new Map(there.program.commands.map((one) => [one.id, one.name]));
      return pairs.flatMap(([of, counterpart]) =>
        bindingsOf(keys, counterpart).map(
          ({ chord }): Elsewhere => ({ of, program: row.name, command: nameOf.get(counterpart) ?? counterpart, chord }),
        ),
      );
    }),
  );
  return found.flat();
}

/** The other programs, each with its keymap that was used last; of many, those used last. */
async function lastUsed(program: ProgramRow): Promise<{ row: ProgramRow; keymap: KeymapRow }[]> {
  const others = (await listPrograms()).filter((one) => one.id !== program.id && one.putAwayAt === null);
  const all = await Promise.all(
    others.map(async (row) => {
      const keymaps = (await listKeymaps(row.id)).filter((one) => one.putAwayAt === null);
      const [keymap] = keymaps.sort(
        (a, b) => usedAt(b).localeCompare(usedAt(a)) || Number(a.factory) - Number(b.factory) || a.id - b.id,
      );
      return keymap ? [{ row, keymap }] : [];
    }),
  );
  return all
    .flat()
    .sort((a, b) => usedAt(b.keymap).localeCompare(usedAt(a.keymap)) || a.row.id - b.row.id)
    .slice(0, MOST_PROGRAMS);
}
const usedAt = (keymap: KeymapRow): string => keymap.lastUsedAt ?? '';

/** The wish list of a keymap with all it is planned from. @throws Problem when there is no such keymap. */
export const loadWishes = ofOneMoment(async function loadWishes(
  programSlug: string,
  keymapSlug: string,
): Promise<WishesView> {
  const view = await loadKeymapView(programSlug, keymapSlug);
  const program = await findProgram(programSlug);
  return {
    elsewhere: await loadElsewhere(view, program),
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
