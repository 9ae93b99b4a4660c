import type { Transaction } from 'sequelize';
import type { DraftState } from '../../core/keymap/keymapView';
import {
  type Along,
  along,
  saidAlong,
  sheetAlong,
  ticksAlong,
  toldAlong,
  wishesAlong,
  workspaceAlong,
} from '../../core/succession/goAlong';
import type { Link, SaidLink } from '../../core/succession/link';
import type { Follows, NewVersionView, OldKeymap } from '../../core/succession/newVersionView';
import { nameKey, sameProgram } from '../../core/succession/sameProgram';
import type { Answers } from '../../core/succession/succeed';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { fitWorkspace } from '../../core/workspace/room';
import { Problem } from '../../schemas/problem';
import type { MoveWish } from '../../schemas/successions';
import { now } from '../clock';
import { inTransaction, ofOneMoment } from '../database';
import { loadUses, loadWishList, writeUses, writeWishList } from '../repositories/advice';
import { doneBefore, noteDone } from '../repositories/inStep';
import {
  factoryRow,
  insertKeymap,
  type KeymapRow,
  keymapById,
  listKeymaps,
  loadBindings,
  updateKeymap,
} from '../repositories/keymaps';
import { loadSaid, writeSaid } from '../repositories/match';
import {
  commandNames,
  findProgram,
  loadProgram,
  type ProgramRow,
  programById,
  programLabels,
} from '../repositories/programs';
import { insertSheet, listSheets, loadTicks, writeTicks } from '../repositories/sheets';
import { loadMove, loadSuccession, movesTo, writeMove, writeSaidLinks } from '../repositories/successions';
import { findRoom, insertRoom, insertWorkspace, listWorkspaces, loadVersion } from '../repositories/workspaces';
import { draftState, mustFit } from './editKeymap';
import { editInStep, versioned } from './inStep';
import { loadKeymapViewById } from './screens';
import { loadSettings } from './settings';

/** The program on the Shelf that a list is another version of, by the names of its commands; null for none. */
export async function whoseVersion(names: readonly string[]): Promise<Follows | null> {
  const own = new Set(names.map(nameKey));
  const labels = await programLabels();
  const found = (await commandNames()).flatMap(({ slug, version, names: others }): Follows[] => {
    const shared = sameProgram(own, others);
    return shared === null ? [] : [{ slug, label: labels.get(slug) ?? slug, version, shared, of: others.length }];
  });
  // Of several versions the one that has most in common, and of those the newest.
  return found.sort((a, b) => b.shared - a.shared)[0] ?? null;
}

const saidOf = (programId: number) => ({
  thing: `succession ${programId}`,
  what: 'What became of the commands was',
  read: async (): Promise<readonly SaidLink[]> => (await loadSuccession(programId))?.said ?? [],
});
const answersOf = (keymapId: number, programId: number) => ({
  thing: `move ${keymapId} ${programId}`,
  what: 'What is chosen for this keymap was',
  read: async (): Promise<Answers> => (await loadMove(keymapId, programId)).answers,
});

/**
 * What becomes of a keymap in the next version of its program.
 * @param slug the new version. @param keymapSlug a keymap of the version before; the first of a person's own otherwise.
 * @throws Problem when there is no such program, or it came from none.
 */
export const loadNewVersion = ofOneMoment(async function loadNewVersion(
  slug: string,
  keymapSlug: string | null,
): Promise<NewVersionView> {
  const program = await findProgram(slug);
  const { fromId } = await successionOf(program);
  const rows = (await listKeymaps(fromId)).filter((one) => one.putAwayAt === null || one.factory);
  const there = await listKeymaps(program.id);
  const moved = await movesTo(program.id);
  const { person } = await loadSettings();
  const own = rows.filter((one) => !one.factory);
  const usual = own.find((one) => one.owner === person) ?? own[0] ?? rows[0];
  const chosen = rows.find((one) => one.slug === keymapSlug) ?? (keymapSlug === null ? usual : undefined);
  const factory = there.find((one) => one.factory);
  if (!chosen || !factory)
    throw new Problem('not found', 'This keymap is no longer there. Choose another on the Shelf.');
  const nameOf = (one: KeymapRow): OldKeymap => {
    const made = there.find((other) => other.id === moved.get(one.id) && other.putAwayAt === null);
    return { slug: one.slug, name: one.name, owner: one.owner, moved: made?.slug ?? null };
  };
  return {
    before: await loadKeymapViewById(chosen.id),
    after: await loadKeymapViewById(factory.id),
    said: await versioned(saidOf(program.id)),
    answers: await versioned(answersOf(chosen.id, program.id)),
    keymaps: (own.length > 0 ? own : rows).map(nameOf),
  };
});

async function successionOf(program: ProgramRow) {
  const succession = await loadSuccession(program.id);
  if (!succession)
    throw new Problem('not found', `${program.name} was not brought in as the next version of another program.`);
  return succession;
}

/** Stores what a person says of what became of the commands. */
export async function sayLinks(
  slug: string,
  said: readonly SaidLink[],
  mark: EditMark = {},
): Promise<Versioned<readonly SaidLink[]>> {
  const program = await findProgram(slug);
  await successionOf(program);
  return editInStep(saidOf(program.id), mark, (transaction) => writeSaidLinks(program.id, said, transaction));
}

/** Stores what is chosen where a keymap and the next version meet. */
export async function saveAnswers(
  keymapId: number,
  slug: string,
  answers: Answers,
  mark: EditMark = {},
): Promise<Versioned<Answers>> {
  const program = await findProgram(slug);
  await keymapById(keymapId);
  return editInStep(answersOf(keymapId, program.id), mark, (transaction) =>
    writeMove(keymapId, program.id, { answers }, transaction),
  );
}

/**
 * Makes of a keymap one of the next version: its factory keys, and one ticket with what is mine. The keymap stays where it
 * is, as it is; what belongs to it goes along: uses, what was said of counterparts, its wish list, sheets, ticks, workspaces,
 * the room of whose it is. Done once, however often it is sent.
 */
export async function moveKeymap(
  keymapId: number,
  { to, ticket, links }: MoveWish,
  { key }: Pick<EditMark, 'key'> = {},
): Promise<DraftState> {
  const row = await keymapById(keymapId);
  const program = await findProgram(to);
  const { fromId } = await successionOf(program);
  if (row.programId !== fromId)
    throw new Problem('not valid', 'This keymap is of another program. Choose one of the version before.');
  const there = (await listKeymaps(program.id)).find((one) => one.factory);
  if (!there) throw new Problem('not found', 'The factory keys of this version are no longer there.');
  const { commands } = (await loadProgram(program, there.versionId)).program;
  const known = new Set(commands.map((one) => one.id));
  const strange = ticket?.changes.find((one) => !known.has(one.command));
  if (strange) throw new Problem('not valid', `This version has no command “${strange.command}”.`);
  const factory = await loadBindings(there.id);
  const origin = await programById(fromId);
  return inTransaction(async (transaction) => {
    const before = await doneBefore(key, transaction);
    if (before?.doneOn) {
      const stands = await keymapById(before.doneOn, transaction);
      return draftState(stands, stands.cursor);
    }
    const made = await insertKeymap(
      {
        programId: program.id,
        versionId: there.versionId,
        name: row.factory ? 'Unnamed keymap' : row.name,
        owner: row.owner,
        keymap: ticket ? mustFit(there, factory, ticket) : factory,
        tape: ticket ? [ticket] : [],
      },
      transaction,
    );
    await writeMove(keymapId, program.id, { madeId: made.id }, transaction);
    await updateKeymap(made.id, { lastUsedAt: now() }, transaction);
    const became = links.map(([before, after]): Link => ({ before, after, confidence: 'said', figure: 1 }));
    await takeAlong(row, made, origin, program, became, commands, transaction);
    await noteDone(key, transaction, made.id);
    return draftState(made, made.cursor);
  });
}

/** What belongs to a keymap, and what is said of its program, in the next version; what is there already stays. */
async function takeAlong(
  row: KeymapRow,
  made: KeymapRow,
  origin: ProgramRow,
  program: ProgramRow,
  links: readonly Link[],
  commands: NewVersionView['after']['program']['commands'],
  transaction: Transaction,
): Promise<void> {
  const to = along(links);
  if ((await loadUses(program.id, row.owner)).size === 0)
    await writeUses(program.id, row.owner, toldAlong(await loadUses(origin.id, row.owner), to), false, transaction);
  const wishes = await loadWishList(row.id);
  if (wishes) await writeWishList(made.id, wishesAlong(wishes, to), transaction);
  const menus = new Set(commands.flatMap((one) => one.path[0] ?? []));
  for (const { name, contents, putAwayAt } of await listSheets(row.id, transaction))
    if (putAwayAt === null) await insertSheet(made.id, name, sheetAlong(contents, to, menus), transaction);
  // What is ticked off of the way from the factory's keys.
  const [factoryThen, factoryNow] = [
    await factoryRow(row.versionId, transaction),
    await factoryRow(made.versionId, transaction),
  ];
  const ticks = await loadTicks(row.id, factoryThen.id);
  if (ticks.length > 0) await writeTicks(made.id, factoryNow.id, ticksAlong(ticks, to), transaction);
  const names = new Set((await listWorkspaces(program.id, transaction)).map((one) => one.name));
  for (const one of await listWorkspaces(origin.id, transaction)) {
    if (one.putAwayAt !== null || names.has(one.name)) continue;
    const { contents } = await loadVersion(one.id, null, transaction);
    // A workspace goes along with the keymap it has; one without goes with the first.
    if (typeof contents.keymap === 'number' && contents.keymap !== row.id) continue;
    const keymap = contents.keymap === row.id ? made.id : null;
    const own = fitWorkspace(workspaceAlong(contents, to, keymap), { commands });
    await insertWorkspace({ programId: program.id, name: one.name, owner: one.owner, contents: own }, transaction);
  }
  await roomAlong(row, made, origin, program, { to, commands }, transaction);
  for (const { command, other, counterpart } of saidAlong(await loadSaid(), origin.slug, program.slug, to))
    await writeSaid(program.id, command, (await findProgram(other, transaction)).id, counterpart, transaction);
}

/** The room of whose keymap it is, where they have none there yet. */
async function roomAlong(
  row: KeymapRow,
  made: KeymapRow,
  origin: ProgramRow,
  program: ProgramRow,
  { to, commands }: { readonly to: Along; readonly commands: NewVersionView['after']['program']['commands'] },
  transaction: Transaction,
): Promise<void> {
  const room = await findRoom(origin.id, row.owner, transaction);
  if (!room || (await findRoom(program.id, row.owner, transaction))) return;
  const keymap = room.contents.keymap === row.id ? made.id : null;
  const contents = fitWorkspace(workspaceAlong(room.contents, to, keymap), { commands });
  await insertRoom(program.id, row.owner, contents, transaction);
}
