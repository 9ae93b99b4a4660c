import { buildClashIndex, findClashes, programFacts } from '../../core/clash/clashIndex';
import { type ProgramFile, type ProgramWithKeymaps, toProgramFile } from '../../core/file/programFile';
import { buildKeyboard } from '../../core/keyboard/buildKeyboard';
import { placeOf } from '../../core/keyboard/placeOf';
import type { Preview } from '../../core/reading/preview';
import { programFromReading } from '../../core/reading/programFromReading';
import type { Reading } from '../../core/reading/readCommandList';
import { cutText } from '../../core/text/cutText';
import { Problem } from '../../schemas/problem';
import { now } from '../clock';
import { inTransaction, ofOneMoment } from '../database';
import { readApart } from '../reading/readApart';
import { factoryRow, insertKeymap, listKeymaps, loadBindings } from '../repositories/keymaps';
import { findProgram, insertProgram, loadProgram, updateProgram } from '../repositories/programs';
import type { Upload } from '../upload';
import { loadSettings } from './settings';
import { insertNamed, namedWorkspaces } from './workspaceFiles';

/** Puts a program on the Shelf with its factory keymap and the keymaps that came with it. @returns its address. */
export function bringIn(contents: ProgramWithKeymaps): Promise<string> {
  const { program, factory, keymaps, workspaces = [] } = contents;
  return inTransaction(async (transaction) => {
    const { id, slug, versionId } = await insertProgram(program, transaction);
    const base = { programId: id, versionId };
    await insertKeymap({ ...base, name: 'Factory keys', owner: '', factory: true, keymap: factory }, transaction);
    const numbers = new Map<string, number>();
    for (const one of keymaps) numbers.set(one.name, (await insertKeymap({ ...base, ...one }, transaction)).id);
    for (const one of workspaces) await insertNamed(id, one, numbers, transaction);
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

/** A program with all keymaps that are not put away, as a file of ours. */
export const exportProgram = ofOneMoment(async function exportProgram(slug: string): Promise<ProgramFile> {
  const row = await findProgram(slug);
  const rows = await listKeymaps(row.id);
  const versionId = rows.find((one) => one.factory)?.versionId ?? 0;
  const { program } = await loadProgram(row, versionId);
  const factory = await loadBindings((await factoryRow(versionId)).id);
  const own = rows.filter((one) => !one.factory && one.putAwayAt === null);
  const keymaps = await Promise.all(
    own.map(async (one) => ({ name: one.name, owner: one.owner, keymap: await loadBindings(one.id) })),
  );
  return toProgramFile({ program, factory, keymaps, workspaces: await namedWorkspaces(row.id) });
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

const read = ({ bytes, roles, asker }: Upload) => readApart({ as: 'program', bytes, roles }, asker);

/** Says what a file holds, without changing anything. */
export async function previewUpload(upload: Upload): Promise<Preview> {
  const found = await read(upload);
  if (found.kind === 'list') {
    return { kind: 'list', reading: found.reading, encoding: found.encoding, name: nameFrom(found.reading) };
  }
  const { program, keymaps } = found.contents;
  return {
    kind: 'program file',
    name: program.name,
    version: program.version,
    commands: program.commands.length,
    keymaps: keymaps.map(({ name, owner }) => ({ name, owner })),
  };
}

/** Brings a file in, under the name given or its own. @returns the program's address. */
export async function bringInUpload(upload: Upload): Promise<string> {
  const { name, version } = upload;
  const found = await read(upload);
  if (found.kind === 'list') {
    return bringIn(programFromList(found.reading, name || nameFrom(found.reading), version || '1'));
  }
  const { program } = found.contents;
  return bringIn({
    ...found.contents,
    program: { ...program, name: name || program.name, version: version || program.version },
  });
}

/** A page's title without the words every such page has. */
function nameFrom(reading: Reading): string {
  const name = (reading.title ?? '')
    .replace(/\b(keyboard|shortcuts?|keys|hotkeys?|list|of|reference|cheat\s?sheet)\b|[|:–—-]/gi, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return cutText(name, 60) || 'New program';
}
