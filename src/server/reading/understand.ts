import { InconsistentFile } from '../../core/file/keymapFile';
import { fromProgramFile, type ProgramWithKeymaps } from '../../core/file/programFile';
import type { WorkspaceFile } from '../../core/file/workspaceFile';
import type { Role } from '../../core/reading/columnRoles';
import { decodeText } from '../../core/reading/decodeText';
import { type Reading, readCommandList } from '../../core/reading/readCommandList';
import { UnreadableList } from '../../core/reading/tables';
import { programFile } from '../../schemas/files';
import { Problem } from '../../schemas/problem';
import { check } from '../../schemas/schemas';
import { workspaceFile } from '../../schemas/workspaces';

export const MOST_BYTES = 5 * 1024 * 1024;

/** What a file turned out to be. */
export type Understood =
  | { readonly kind: 'list'; readonly reading: Reading; readonly encoding: string }
  | { readonly kind: 'program file'; readonly contents: ProgramWithKeymaps };

/**
 * Understands a file by its content, whatever it is called: our own JSON file, or a list of commands in any form that is read.
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
  const isJson = /^\s*\{/.test(decoded.text);
  if (isJson && decoded.text.includes('"gray-pin-'))
    return { kind: 'program file', contents: readProgramFile(decoded.text) };
  try {
    const reading = readCommandList(decoded.text, roles);
    // What is JSON and no list of keys was more likely meant as a file of ours.
    if (isJson && !reading.rows.some(({ command }) => command && command.keys.length > 0))
      return { kind: 'program file', contents: readProgramFile(decoded.text) };
    return { kind: 'list', reading, encoding: decoded.encoding };
  } catch (error) {
    if (error instanceof UnreadableList && isJson)
      return { kind: 'program file', contents: readProgramFile(decoded.text) };
    if (error instanceof UnreadableList) throw new Problem('unreadable', error.message);
    throw error;
  }
}

/** Reads our own JSON file. @throws Problem when it is not one, or contradicts itself. */
export function readProgramFile(text: string): ProgramWithKeymaps {
  const json = ofFormat(text, 'gray-pin-program', {
    damaged: 'This looks like a JSON file but breaks off or is damaged. Export it again and try that one.',
    other:
      'This is a JSON file, but not one that was exported here. A list as CSV or as a web page can be read as well.',
  });
  try {
    return fromProgramFile(check(programFile, json, 'This file'));
  } catch (error) {
    if (error instanceof InconsistentFile) throw new Problem('unreadable', error.message);
    throw error;
  }
}

/** Reads a file of workspaces. @throws Problem when it is not one. */
export function readWorkspaceFile(text: string): WorkspaceFile {
  const json = ofFormat(text, 'gray-pin-workspaces', {
    damaged: 'This file breaks off or is damaged. Export it again and try that one.',
    other: 'This is not a file with workspaces. Export one from the list of workspaces first.',
  });
  return workspaceFile(json);
}

/** What a file of ours holds. @throws Problem in one of two sentences. */
function ofFormat(text: string, format: string, says: { readonly damaged: string; readonly other: string }): unknown {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new Problem('unreadable', says.damaged);
  }
  if ((json as { format?: unknown } | null)?.format !== format) throw new Problem('unreadable', says.other);
  return json;
}
