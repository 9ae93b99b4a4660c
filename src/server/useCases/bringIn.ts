import { InconsistentFile } from '../../core/file/keymapFile';
import { fromProgramFile, type ProgramFile, type ProgramWithKeymaps, toProgramFile } from '../../core/file/programFile';
import type { Role } from '../../core/reading/columnRoles';
import { decodeText } from '../../core/reading/decodeText';
import { programFromReading } from '../../core/reading/programFromReading';
import { type Reading, readCommandList } from '../../core/reading/readCommandList';
import { UnreadableList } from '../../core/reading/tables';
import { cutText } from '../../core/text/cutText';
import type { Preview } from '../../core/view/views';
import { inTransaction, ofOneMoment } from '../database';
import { Problem } from '../problem';
import { factoryRow, insertKeymap, listKeymaps, loadBindings } from '../repositories/keymaps';
import { findProgram, insertProgram, loadProgram, updateProgram } from '../repositories/programs';
import { programFile } from '../schemas/files';
import { check } from '../schemas/schemas';
import type { Upload } from '../upload';
import { insertNamed, namedWorkspaces } from './workspaceFiles';

export const MOST_BYTES = 5 * 1024 * 1024;

/** What a file turned out to be. */
export type Understood =
  | { readonly kind: 'list'; readonly reading: Reading; readonly encoding: string }
  | { readonly kind: 'program file'; readonly contents: ProgramWithKeymaps };

/**
 * Understands a file by its content, whatever it is called: our own JSON file, a web page with tables, separated text.
 * @throws Problem in a plain sentence; nothing is changed either way.
 */
export function understand(bytes: Uint8Array, roles: readonly (readonly Role[] | null)[]): Understood {
  if (bytes.length > MOST_BYTES)
    throw new Problem(
      'too large',
      'This file is larger than 5 MB, more than a list of commands needs. Save only the list and try again.',
    );
  const decoded = decodeText(bytes);
  if (!decoded.ok) throw new Problem('unreadable', decoded.message);
  if (/^\s*\{/.test(decoded.text)) return { kind: 'program file', contents: readProgramFile(decoded.text) };
  try {
    const reading = readCommandList(decoded.text, roles);
    return { kind: 'list', reading, encoding: decoded.encoding };
  } catch (error) {
    if (error instanceof UnreadableList) throw new Problem('unreadable', error.message);
    throw error;
  }
}

/** Reads our own JSON file. @throws Problem when it is not one, or contradicts itself. */
export function readProgramFile(text: string): ProgramWithKeymaps {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new Problem(
      'unreadable',
      'This looks like a JSON file but breaks off or is damaged. Export it again and try that one.',
    );
  }
  if ((json as { format?: unknown }).format !== 'gray-pin-program') {
    throw new Problem(
      'unreadable',
      'This is a JSON file, but not one that was exported here. A list as CSV or as a web page can be read as well.',
    );
  }
  try {
    return fromProgramFile(check<ProgramFile>(programFile, json, 'This file'));
  } catch (error) {
    if (error instanceof InconsistentFile) throw new Problem('unreadable', error.message);
    throw error;
  }
}

/** Puts a program on the Shelf with its factory keymap and the keymaps that came with it. @returns its address. */
export function bringIn(contents: ProgramWithKeymaps): Promise<string> {
  const { program, factory, keymaps, workspaces = [] } = contents;
  return inTransaction(async (transaction) => {
    const now = new Date().toISOString();
    const { id, slug, versionId } = await insertProgram(program, now, transaction);
    const base = { programId: id, versionId };
    await insertKeymap({ ...base, name: 'Factory keys', owner: '', factory: true, keymap: factory }, now, transaction);
    const numbers = new Map<string, number>();
    for (const one of keymaps) numbers.set(one.name, (await insertKeymap({ ...base, ...one }, now, transaction)).id);
    for (const one of workspaces) await insertNamed(id, one, numbers, transaction);
    return slug;
  });
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
  const versionId = rows.find((one) => one.factory === 1)?.version_id ?? 0;
  const { program } = await loadProgram(row, versionId);
  const factory = await loadBindings((await factoryRow(versionId)).id);
  const own = rows.filter((one) => one.factory === 0 && one.put_away_at === null);
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
        ...(wish.putAway === undefined ? {} : { putAwayAt: wish.putAway ? new Date().toISOString() : null }),
      },
      transaction,
    ),
  );
}

/** Says what a file holds, without changing anything. */
export function previewUpload({ bytes, roles }: Upload): Preview {
  const found = understand(bytes, roles);
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
export async function bringInUpload({ bytes, roles, name, version }: Upload): Promise<string> {
  const found = understand(bytes, roles);
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
