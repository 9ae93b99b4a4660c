import { compareKeymaps } from '../../core/keymap/compareKeymaps';
import { inBrief } from '../../core/keymap/inBrief';
import { type Row, rowsOf } from '../../core/keymap/keymap';
import type { History, KeymapSummary, KeymapView } from '../../core/keymap/keymapView';
import type { Ticket } from '../../core/keymap/ticket';
import type { KeymapLink, ProgramSummary } from '../../core/view/shelf';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { inOneMoment, inTransaction, ofOneMoment } from '../database';
import {
  bindingsOfRow,
  findKeymap,
  type KeymapRow,
  keymapById,
  listKept,
  listLeftAside,
  loadKept,
  loadTape,
  tallyOfRow,
  tapeLength,
  updateKeymap,
} from '../repositories/keymaps';
import {
  findProgram,
  listPrograms,
  loadProgram,
  type ProgramRow,
  programById,
  programLabels,
  versionsInBrief,
} from '../repositories/programs';
import {
  type KeymapWithSummary,
  keymapsOnShelf,
  listWithSummaries,
  type Summary,
  usedLast,
  writeSummaries,
} from '../repositories/shelf';
import { listSuccessions } from '../repositories/successions';
import { draftState, factoryOf } from './editKeymap';
import { loadSettings } from './settings';

/** Everything on the Shelf. What is worked out of a keymap anew is kept for the next time. */
export async function loadShelf(): Promise<ProgramSummary[]> {
  const fresh: Summary[] = [];
  const shelf = await inOneMoment(() => shelfOfNow(fresh));
  if (fresh.length > 0) await keepSummaries(fresh);
  return shelf;
}

async function shelfOfNow(fresh: Summary[]): Promise<ProgramSummary[]> {
  const { person } = await loadSettings();
  const labels = await programLabels();
  const [programs, keymaps] = [await listPrograms(), await listWithSummaries()];
  const versions = await versionsInBrief();
  const cameFrom = await listSuccessions();
  const shelf: ProgramSummary[] = [];
  for (const program of programs) {
    const all = keymaps.filter((one) => one.programId === program.id);
    // Whoever sits here finds their own first, after the factory's.
    const theirs = (one: KeymapRow): boolean => one.factory || one.owner === person;
    const rows = person === '' ? all : [...all.filter(theirs), ...all.filter((one) => !theirs(one))];
    const version = versions.get(rows[0]?.versionId ?? 0);
    const summaries: KeymapSummary[] = [];
    for (const row of rows) summaries.push(await keymapSummary(row, fresh));
    shelf.push({
      slug: program.slug,
      name: program.name,
      label: labels.get(program.slug) ?? program.name,
      version: version?.label ?? '',
      commands: version?.commands ?? 0,
      putAway: program.putAwayAt !== null,
      cameFrom: programs.find((one) => one.id === cameFrom.get(program.id))?.slug ?? null,
      keymaps: summaries,
    });
  }
  return shelf;
}

/** What is kept of a keymap at a glance, where it tells of the draft as it stands; else it is worked out. */
async function keymapSummary(row: KeymapWithSummary, fresh: Summary[]): Promise<KeymapSummary> {
  let { brief } = row;
  if (!brief) {
    const { tally, counted } = await tallyOfRow(row);
    brief = inBrief(tally);
    // What an edit leaves is remembered; only what took a while to count is worth a writing.
    if (counted) fresh.push({ keymapId: row.id, revision: row.revision, contents: brief });
  }
  return {
    ...brief,
    id: row.id,
    slug: row.slug,
    name: row.name,
    owner: row.owner,
    factory: row.factory,
    unnamed: row.unnamed,
    locked: row.locked,
    putAway: row.putAwayAt !== null,
    lastUsed: row.lastUsedAt,
  };
}

/** What can't be kept for the next time is worked out then; it keeps nobody from the Shelf. */
async function keepSummaries(fresh: readonly Summary[]): Promise<void> {
  try {
    await inTransaction((transaction) => writeSummaries(fresh, transaction));
  } catch (error) {
    console.error('What the Shelf tells of keymaps could not be kept.', error);
  }
}

/** Every keymap that is not put away, for the pickers; those of who sits here before other people's. */
export async function listLinks(): Promise<KeymapLink[]> {
  const { person } = await loadSettings();
  const labels = await programLabels();
  return (await keymapsOnShelf(person)).map((one) => ({
    ...one,
    programName: labels.get(one.program) ?? one.programName,
  }));
}

/**
 * The keymap used last by who sits here, the first of a person's own if none was used yet, or null on an empty Shelf.
 */
export async function lastUsed(): Promise<{ program: string; keymap: string } | null> {
  const { person } = await loadSettings();
  return usedLast(person);
}

/** Loads a keymap by its address. @throws Problem when there is none. */
export const loadKeymapView = ofOneMoment(async function loadKeymapView(
  programSlug: string,
  keymapSlug: string,
): Promise<KeymapView> {
  const program = await findProgram(programSlug);
  return viewOf(program, await findKeymap(program.id, keymapSlug));
});

/** What a keymap holds as its draft stands. @throws Problem when there is no such keymap. */
export const loadRows = ofOneMoment(async function loadRows(id: number): Promise<readonly Row[]> {
  return rowsOf(await bindingsOfRow(await keymapById(id)));
});

/** The names of a program and of one of its keymaps, as far as they are there, for people to tell pages apart by. */
export const loadNames = ofOneMoment(async function loadNames(
  programSlug: string,
  keymapSlug: string | null,
): Promise<readonly string[]> {
  const program = await orMissing(findProgram(programSlug));
  if (!program) return [];
  const keymap = keymapSlug === null ? null : await orMissing(findKeymap(program.id, keymapSlug));
  const label = (await programLabels()).get(programSlug) ?? program.name;
  return keymap ? [label, keymap.name] : [label];
});

/** Loads a keymap by its number. @throws Problem when there is none. */
export const loadKeymapViewById = ofOneMoment(async function loadKeymapViewById(id: number): Promise<KeymapView> {
  const row = await keymapById(id);
  return viewOf(await programById(row.programId), row);
});

async function viewOf(programRow: ProgramRow, row: KeymapRow): Promise<KeymapView> {
  const [{ program }, keymap, kept, factory, tape] = await Promise.all([
    loadProgram(programRow, row.versionId),
    bindingsOfRow(row),
    loadKept(row.id),
    factoryOf(row),
    newestTickets(row.id),
  ]);
  return {
    programSlug: programRow.slug,
    program,
    draft: draftState(row, kept.cursor),
    bindings: rowsOf(keymap),
    spares: [...keymap.spares],
    toKept: compareKeymaps(keymap, kept.keymap),
    toFactory: compareKeymaps(keymap, factory),
    ...tape,
  };
}

/** So many tickets of a tape a page is given at first. */
const NEWEST = 200;

async function newestTickets(id: number): Promise<Pick<KeymapView, 'tape' | 'earlier'>> {
  const earlier = Math.max(0, (await tapeLength(id)) - NEWEST);
  return { tape: await loadTape(id, undefined, earlier), earlier };
}

/** The whole tape of a keymap. @throws Problem when there is no such keymap. */
export const loadWholeTape = ofOneMoment(async function loadWholeTape(id: number): Promise<readonly Ticket[]> {
  return loadTape((await keymapById(id)).id);
});

/** Every kept version of a keymap, the newest first, with what each changed, and what was left aside since the last. */
export const loadHistory = ofOneMoment(async function loadHistory(id: number): Promise<History> {
  const now = await bindingsOfRow(await keymapById(id));
  const kept = await listKept(id);
  const versions = kept.map((one, i) => ({
    number: one.number,
    keptAt: one.keptAt,
    bindings: rowsOf(one.keymap).length,
    changes: compareKeymaps(kept[i + 1]?.keymap ?? one.keymap, one.keymap),
    toHere: compareKeymaps(now, one.keymap),
  }));
  return { versions, leftAside: await listLeftAside(id) };
});

/** Notes that a keymap was opened, so that the next start begins there. That it can't be noted keeps nobody from it. */
export async function noteUse(id: number): Promise<void> {
  try {
    await inTransaction((transaction) => updateKeymap(id, { lastUsedAt: now() }, transaction));
  } catch (error) {
    console.error(`When keymap ${id} was opened could not be noted.`, error);
  }
}

/** Runs a screen's loading; null where what it asks for does not exist, so that the page can say so. */
export async function orMissing<T>(load: Promise<T>): Promise<T | null> {
  try {
    return await load;
  } catch (error) {
    if (error instanceof Problem && error.code === 'not found') return null;
    throw error;
  }
}
