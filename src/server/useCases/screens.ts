import { compareKeymaps } from '../../core/keymap/compareKeymaps';
import { rowsOf, sameKeys } from '../../core/keymap/keymap';
import type { KeptVersion, KeymapLink, KeymapSummary, KeymapView, ProgramSummary } from '../../core/view/views';
import { Problem } from '../../schemas/problem';
import { inTransaction, ofOneMoment } from '../database';
import {
  findKeymap,
  type KeymapRow,
  keymapById,
  listKept,
  listKeymaps,
  loadBindings,
  loadKept,
  loadTape,
  updateKeymap,
} from '../repositories/keymaps';
import { findProgram, listPrograms, loadProgram, type ProgramRow, programLabels } from '../repositories/programs';
import { select } from '../repositories/rows';
import { draftState, factoryOf } from './editKeymap';
import { loadSettings } from './settings';

/** Everything on the Shelf. */
export const loadShelf = ofOneMoment(async function loadShelf(): Promise<ProgramSummary[]> {
  const programs = await listPrograms();
  const labels = await programLabels();
  const { person } = await loadSettings();
  return Promise.all(
    programs.map(async (program): Promise<ProgramSummary> => {
      const all = await listKeymaps(program.id);
      // Whoever sits here finds their own first, after the factory's.
      const theirs = (one: KeymapRow): boolean => one.factory === 1 || one.owner === person;
      const rows = person === '' ? all : [...all.filter(theirs), ...all.filter((one) => !theirs(one))];
      const versionId = rows[0]?.version_id ?? 0;
      const [count] = await select<{ label: string; n: number }>(
        'SELECT label, (SELECT count(*) FROM commands WHERE version_id = versions.id) AS n FROM versions WHERE id = :versionId',
        { versionId },
      );
      const keymaps = await Promise.all(rows.map(keymapSummary));
      return {
        slug: program.slug,
        name: program.name,
        label: labels.get(program.slug) ?? program.name,
        version: count?.label ?? '',
        commands: count?.n ?? 0,
        putAway: program.put_away_at !== null,
        keymaps,
      };
    }),
  );
});

async function keymapSummary(row: KeymapRow): Promise<KeymapSummary> {
  const keymap = await loadBindings(row.id);
  const factory = await factoryOf(row);
  const yours = compareKeymaps(factory, keymap).filter((change) => !sameKeys(change.before, change.after));
  const kept = await loadKept(row.id);
  const mine = new Set(
    yours.flatMap((change) =>
      change.after.filter((a) => !change.before.some((b) => b.chord === a.chord)).map((a) => a.chord),
    ),
  );
  const chords = [...new Set(rowsOf(keymap).map(([, chord]) => chord))];
  return {
    id: row.id,
    slug: row.slug,
    name: row.name,
    owner: row.owner,
    factory: row.factory === 1,
    unnamed: row.unnamed === 1,
    locked: row.locked === 1,
    putAway: row.put_away_at !== null,
    lastUsed: row.last_used_at,
    bindings: rowsOf(keymap).length,
    yours: yours.length,
    draftChanges: compareKeymaps(kept.keymap, keymap).length,
    chords: chords.map((chord) => [chord, mine.has(chord)] as const),
  };
}

/** Every keymap that is not put away, for the pickers; those of who sits here before other people's. */
export async function listLinks(): Promise<KeymapLink[]> {
  const { person } = await loadSettings();
  const labels = await programLabels();
  return select<{ program: string; programName: string; keymap: string; name: string; owner: string; factory: number }>(
    `SELECT p.slug AS program, p.name AS programName, k.slug AS keymap, k.name, k.owner, k.factory FROM keymaps k
     JOIN programs p ON p.id = k.program_id WHERE p.put_away_at IS NULL AND k.put_away_at IS NULL
     ORDER BY p.name, k.factory DESC, (:person = '' OR k.owner = :person) DESC, k.id`,
    { person },
  ).then((rows) =>
    rows.map((row) => ({
      ...row,
      programName: labels.get(row.program) ?? row.programName,
      factory: row.factory === 1,
    })),
  );
}

/**
 * The keymap used last by who sits here, the first of a person's own if none was used yet, or null on an empty Shelf.
 */
export async function lastUsed(): Promise<{ program: string; keymap: string } | null> {
  const { person } = await loadSettings();
  const [row] = await select<{ program: string; keymap: string }>(
    `SELECT p.slug AS program, k.slug AS keymap FROM keymaps k JOIN programs p ON p.id = k.program_id
     WHERE p.put_away_at IS NULL AND k.put_away_at IS NULL
     ORDER BY (k.owner = :person AND :person <> '') DESC, k.last_used_at DESC NULLS LAST, k.factory, p.name DESC, k.id LIMIT 1`,
    { person },
  );
  return row ?? null;
}

/** Loads a keymap by its address. @throws Problem when there is none. */
export const loadKeymapView = ofOneMoment(async function loadKeymapView(
  programSlug: string,
  keymapSlug: string,
): Promise<KeymapView> {
  const program = await findProgram(programSlug);
  return viewOf(program, await findKeymap(program.id, keymapSlug));
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
  const program = (await listPrograms()).find((one) => one.id === row.program_id);
  if (!program) throw new Problem('not found', 'The program of this keymap is no longer there.');
  return viewOf(program, row);
});

async function viewOf(programRow: ProgramRow, row: KeymapRow): Promise<KeymapView> {
  const [{ program }, keymap, kept, factory, tape] = await Promise.all([
    loadProgram(programRow, row.version_id),
    loadBindings(row.id),
    loadKept(row.id),
    factoryOf(row),
    loadTape(row.id),
  ]);
  return {
    programSlug: programRow.slug,
    program,
    draft: draftState(row, kept.cursor, []),
    bindings: rowsOf(keymap),
    spares: [...keymap.spares],
    toKept: compareKeymaps(keymap, kept.keymap),
    toFactory: compareKeymaps(keymap, factory),
    tape,
  };
}

/** Every kept version of a keymap, the newest first, with what each changed. */
export const loadHistory = ofOneMoment(async function loadHistory(id: number): Promise<KeptVersion[]> {
  await keymapById(id);
  const now = await loadBindings(id);
  const kept = await listKept(id);
  return kept.map((one, i) => ({
    number: one.number,
    keptAt: one.keptAt,
    bindings: rowsOf(one.keymap).length,
    changes: compareKeymaps(kept[i + 1]?.keymap ?? one.keymap, one.keymap),
    toHere: compareKeymaps(now, one.keymap),
  }));
});

/** Notes that a keymap was opened, so that the next start begins there. That it can't be noted keeps nobody from it. */
export async function noteUse(id: number): Promise<void> {
  try {
    await inTransaction((transaction) => updateKeymap(id, { last_used_at: new Date().toISOString() }, transaction));
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
