import { buildClashIndex, findClashes, programFacts } from '../../core/clash/clashIndex';
import { type ProgramFile, type ProgramWithKeymaps, toProgramFile } from '../../core/file/programFile';
import { buildKeyboard } from '../../core/keyboard/buildKeyboard';
import { placeOf } from '../../core/keyboard/placeOf';
import { NO_CHOICES } from '../../core/reading/choices';
import type { Preview } from '../../core/reading/preview';
import { programFromReading } from '../../core/reading/programFromReading';
import type { Reading } from '../../core/reading/readCommandList';
import { cutText } from '../../core/text/cutText';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { inTransaction, ofOneMoment } from '../database';
import { readApart } from '../reading/readApart';
import { insertKeymap, type KeymapRow, listKeymaps, loadBindings } from '../repositories/keymaps';
import { findProgram, insertProgram, loadProgram, updateProgram } from '../repositories/programs';
import { insertSourceFile, rememberedChoices, type SourceFile } from '../repositories/sourceFiles';
import { insertSuccession } from '../repositories/successions';
import type { Upload } from '../upload';
import { belongingsOf, insertBelongings, insertSaid, saidOf } from './fileBelongings';
import { whoseVersion } from './newVersions';
import { loadSettings } from './settings';
import { factoryOf, insertNamed, namedWorkspaces } from './workspaceFiles';

/**
 * Puts a program on the Shelf with its factory keymap and the keymaps that came with it.
 * @param source the file it was read from, which is kept as it came.
 * @param from the program of which it is the next version.
 * @returns its address.
 */
export function bringIn(contents: ProgramWithKeymaps, source?: SourceFile, from?: number): Promise<string> {
  const { program, factory, keymaps, workspaces = [], belongings = {}, counterparts = [] } = contents;
  return inTransaction(async (transaction) => {
    const called = from === undefined ? program.name : `${program.name} ${program.version}`;
    const { id, slug, versionId } = await insertProgram(program, transaction, called);
    if (from !== undefined) await insertSuccession(id, from, transaction);
    const base = { programId: id, versionId };
    if (source) await insertSourceFile(base, source, transaction);
    const own = { ...base, name: 'Factory keys', owner: '', factory: true, keymap: factory };
    const made = new Map<string | null, KeymapRow>([[null, await insertKeymap(own, transaction)]]);
    for (const one of keymaps) {
      const { draft } = one.belongings ?? {};
      made.set(one.name, await insertKeymap({ ...base, ...one, ...(draft ? { draft } : {}) }, transaction));
    }
    const numbers = new Map([...made].flatMap(([name, row]) => (name === null ? [] : [[name, row.id] as const])));
    for (const one of workspaces) await insertNamed(id, one, numbers, transaction);
    const kept = keymaps.map((one) => [one.name, one.belongings ?? {}] as const);
    await insertBelongings([[null, belongings], ...kept], made, transaction);
    await insertSaid(id, counterparts, transaction);
    return slug;
  });
}

/** Where keys of what was brought in clash: the keymap in which most do, and on how many chords; null where none do. */
export async function clashesIn(slug: string): Promise<{ readonly keymap: string; readonly chords: number } | null> {
  const row = await findProgram(slug);
  const place = placeOf(buildKeyboard(await loadSettings()));
  const keymaps = await listKeymaps(row.id);
  const counts = await Promise.all(
    keymaps.map(async (one) => {
      const facts = programFacts((await loadProgram(row, one.versionId)).program);
      const index = buildClashIndex(facts, await loadBindings(one.id), place);
      return { keymap: one.slug, chords: findClashes(index).length };
    }),
  );
  const [most] = counts.sort((a, b) => b.chords - a.chords);
  return most && most.chords > 0 ? most : null;
}

/** The program a list makes; @throws Problem when no row of it could be used. */
export function programFromList(reading: Reading, name: string, version: string): ProgramWithKeymaps {
  if (!reading.rows.some((row) => row.command)) {
    throw new Problem(
      'unreadable',
      'No row of this list could be read as a command. Choose which column holds the names and try again.',
    );
  }
  return { ...programFromReading(reading, name, version), keymaps: [] };
}

/** A program with all keymaps that are not put away, and all that belongs to them, as a file of ours. */
export const exportProgram = ofOneMoment(async function exportProgram(slug: string): Promise<ProgramFile> {
  const row = await findProgram(slug);
  const { program, factory, keymaps: rows } = await factoryOf(row);
  const own = rows.filter((one) => !one.factory && one.putAwayAt === null);
  const plain = rows.filter((one) => one.factory);
  const all = await belongingsOf(row, [...plain, ...own]);
  const keymaps = await Promise.all(
    own.map(async ({ id, name, owner }) => {
      return { name, owner, keymap: await loadBindings(id), belongings: all.get(id) ?? {} };
    }),
  );
  return toProgramFile({
    ...{ program, factory, keymaps },
    workspaces: await namedWorkspaces(row.id),
    belongings: all.get(plain[0]?.id ?? 0) ?? {},
    counterparts: await saidOf(slug),
  });
});

/** Renames a program, or puts it away with its keymaps or back. */
export async function changeProgram(slug: string, wish: { name?: string; putAway?: boolean }): Promise<void> {
  const row = await findProgram(slug);
  await inTransaction((transaction) =>
    updateProgram(
      row.id,
      {
        ...(wish.name === undefined ? {} : { name: wish.name }),
        ...(wish.putAway === undefined ? {} : { putAwayAt: wish.putAway ? now() : null }),
      },
      transaction,
    ),
  );
}

/** What a file holds, and the rows of a list as pages of JSON. */
export type PreviewInPages = { readonly preview: Preview; readonly pages: readonly string[] };

/** The lines of a file as a person sees them, one text a line. */
export const linesOfUpload = ({ bytes, asker }: Upload): Promise<string> => readApart({ as: 'lines', bytes }, asker);

/** Says what a file holds, without changing anything. */
export async function previewUpload({ bytes, choices, asker }: Upload): Promise<PreviewInPages> {
  const remembered = choices === null ? await rememberedChoices() : [];
  const found = await readApart({ as: 'preview', bytes, choices, remembered }, asker);
  if (found.kind === 'list') {
    const { pages, names, ...read } = found;
    const follows = await whoseVersion(names);
    return { preview: { ...read, follows, name: read.asFor ?? nameFrom(read.reading) }, pages };
  }
  const { program, keymaps } = found.contents;
  return {
    preview: {
      kind: 'program file',
      name: program.name,
      version: program.version,
      commands: program.commands.length,
      keymaps: keymaps.map(({ name, owner }) => ({ name, owner })),
      follows: await whoseVersion(program.commands.map((one) => one.name)),
    },
    pages: [],
  };
}

/** Brings a file in, under the name given or its own. @returns the program's address. */
export async function bringInUpload(upload: Upload): Promise<string> {
  const { name, version, follows, fileName, bytes, choices, corrections, asker } = upload;
  const origin = follows === '' ? null : await findProgram(follows);
  const before = origin && (await factoryOf(origin));
  if (before && (version === '' || version === before.program.version))
    throw new Problem('not valid', `Say which version this is. The one on the Shelf is ${before.program.version}.`);
  const question = { as: 'program', bytes, choices, corrections } as const;
  const side = before && { program: before.program, factory: before.factory };
  const found = await readApart({ ...question, ...(side ? { before: side } : {}) }, asker);
  if (found.kind === 'list') {
    const contents = programFromList(found.reading, name || nameFrom(found.reading), version || '1');
    const source = { name: fileName, bytes, choices: choices ?? NO_CHOICES, corrections, given: false };
    // What a list does not say goes along from the version before.
    const program = found.next ? { ...found.next, version } : contents.program;
    return bringIn({ ...contents, program }, source, origin?.id);
  }
  const { program } = found.contents;
  const called = before ? before.program.name : name || program.name;
  return bringIn(
    { ...found.contents, program: { ...program, name: called, version: version || program.version } },
    undefined,
    origin?.id,
  );
}

/** A page's title without the words every such page has. */
function nameFrom(reading: Pick<Reading, 'title'>): string {
  const name = (reading.title ?? '')
    .replace(/\b(keyboard|shortcuts?|keys|hotkeys?|list|of|reference|cheat\s?sheet)\b|[|:–—-]/gi, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return cutText(name, 60) || 'New program';
}
