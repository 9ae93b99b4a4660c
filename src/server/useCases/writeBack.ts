import { bindingsOf, sameKeys } from '../../core/keymap/keymap';
import { type Choices, NO_CHOICES } from '../../core/reading/choices';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { slug as slugOf } from '../../core/text/slug';
import type { Wanted } from '../../core/writeBack/sourceText';
import type { Said } from '../../core/writeBack/spelling';
import type { FileLink, FilesView, WriteBackView } from '../../core/writeBack/writeBackView';
import type { FileWritten } from '../../core/writeBack/writeFile';
import { Problem } from '../../schemas/problem';
import { inTransaction, ofOneMoment } from '../database';
import { type Asker, readApart } from '../reading/readApart';
import { factoryRow, keymapById, listKeymaps, loadBindings } from '../repositories/keymaps';
import { findProgram, loadProgram, programById } from '../repositories/programs';
import { fileById, filesOfVersion, insertSourceFile, loadSaid, writeSaid } from '../repositories/sourceFiles';
import type { Upload } from '../upload';
import { editInStep, versioned } from './inStep';

/** So much of a file's commands has to be known for it to be one of the program. */
const LEAST_KNOWN = 0.2;

const spellingOf = (fileId: number) => ({
  thing: `spelling ${fileId}`,
  what: 'How this file writes keys was',
  read: () => loadSaid(fileId),
});

/** The files that a program may read its keys from: none reads them from what was printed. */
const writable = (files: Awaited<ReturnType<typeof filesOfVersion>>): FileLink[] =>
  files.flatMap(({ printed, ...file }) => (printed ? [] : [file]));

/** The files a keymap can be written into. @throws Problem when there is no such keymap. */
export const filesOfKeymap = ofOneMoment(async function filesOfKeymap(keymapId: number): Promise<FilesView> {
  const all = await filesOfVersion((await keymapById(keymapId)).versionId);
  const files = writable(all);
  const [first] = files;
  // All copies of a file write keys alike, so that what is said of one is said of all.
  const spelling = first ? { file: first.id, said: await versioned(spellingOf(first.id)) } : null;
  return { files: files.reverse(), spelling, printed: files.length === 0 && all.length > 0 };
});

/** Remembers what a person said of how a file writes keys. @throws Problem when there is no such file. */
export async function saySpelling(fileId: number, said: Said, mark: EditMark = {}): Promise<Versioned<Said>> {
  await loadSaid(fileId);
  return editInStep(spellingOf(fileId), mark, (transaction) => writeSaid(fileId, said, transaction));
}

/** What is needed to write a keymap into a file. */
const prepare = ofOneMoment(async function prepare(keymapId: number, fileId: number | null) {
  const row = await keymapById(keymapId);
  const files = writable(await filesOfVersion(row.versionId));
  const link = fileId === null ? files.at(-1) : files.find((one) => one.id === fileId);
  const [first] = files;
  if (!link || !first) throw new Problem('not found', 'No file of this program is kept here. Give one first.');
  const { program } = await loadProgram(await programById(row.programId), row.versionId);
  const { bindings } = await loadBindings(keymapId);
  const factory = await loadBindings((await factoryRow(row.versionId)).id);
  const wanted = program.commands.map(({ id, name, path }): Wanted => {
    const own = bindings.get(id) ?? [];
    return { id, name, path, keys: own.map((one) => one.chord), usual: sameKeys(own, bindingsOf(factory, id)) };
  });
  // Keys are spelled as in the first file, whichever copy of it they are written into.
  const source = await fileById(first.id);
  const into = link.id === first.id ? null : await fileById(link.id);
  return { source, into, wanted, name: link.name || `${program.name} keys.txt` };
});

function writtenOf(
  { source: { said, ...source }, into, wanted }: Awaited<ReturnType<typeof prepare>>,
  asker: Asker,
): Promise<FileWritten> {
  return readApart({ as: 'written', source, into, wanted, said }, asker);
}

/** Writes a keymap into a file of its program and says what becomes of that; nothing is changed. */
export async function writeBackInto(keymapId: number, fileId: number | null, asker: Asker): Promise<WriteBackView> {
  const { bytes: _, ...view } = await writtenOf(await prepare(keymapId, fileId), asker);
  return view;
}

/** A file with a keymap in it, to be carried away, and what it is called. */
export async function writtenFile(keymapId: number, fileId: number | null, asker: Asker) {
  const given = await prepare(keymapId, fileId);
  const { bytes } = await writtenOf(given, asker);
  return { bytes, name: given.name };
}

/** Keeps a file for a program, such as a newer copy of the one it came from. @returns its number. */
export async function addFile(slug: string, upload: Upload): Promise<{ readonly file: number }> {
  const program = await findProgram(slug);
  const version = (await listKeymaps(program.id)).find((one) => one.factory)?.versionId;
  if (version === undefined) throw new Problem('not found', 'The factory keymap of this program is missing.');
  const known = new Set((await loadProgram(program, version)).program.commands.map((one) => slugOf(one.name)));
  const [first] = writable(await filesOfVersion(version));
  const asFirst = first ? (await fileById(first.id)).choices : NO_CHOICES;
  // A newer copy is read as the first was; another file of the program as it looks.
  for (const choices of [asFirst, NO_CHOICES]) {
    if (!(await namesCommands(upload, choices, known))) continue;
    const file = { name: upload.fileName, bytes: upload.bytes, choices, corrections: {}, given: true };
    const of = { programId: program.id, versionId: version };
    return { file: await inTransaction((transaction) => insertSourceFile(of, file, transaction)) };
  }
  throw new Problem(
    'unreadable',
    `This file names hardly any command of ${program.name}, so its keys can't be put there. Give the file it reads its keys from.`,
  );
}

/** Whether a file, read in a way, is a list of commands of a program. */
async function namesCommands({ bytes, asker }: Upload, choices: Choices, known: ReadonlySet<string>): Promise<boolean> {
  const understood = await readApart({ as: 'program', bytes, choices, corrections: {} }, asker);
  const listed = understood.kind === 'list' ? understood.reading.rows.flatMap((row) => row.command ?? []) : [];
  const own = listed.filter((one) => known.has(slugOf(one.name))).length;
  return own > 0 && own >= LEAST_KNOWN * listed.length;
}
