import { InconsistentFile } from '../../core/file/keymapFile';
import { fromProgramFile, type ProgramWithKeymaps } from '../../core/file/programFile';
import type { WorkspaceFile } from '../../core/file/workspaceFile';
import type { Program } from '../../core/program/program';
import { type Choices, NO_CHOICES } from '../../core/reading/choices';
import { decodeText } from '../../core/reading/decodeText';
import { findTables } from '../../core/reading/findTables';
import { isPacked, readWorkbook } from '../../core/reading/forms/readWorkbook';
import { type Reading, readCommandList, readTables } from '../../core/reading/readCommandList';
import { seenLines } from '../../core/reading/shown/readShown';
import { programFile } from '../../schemas/files';
import { Problem } from '../../schemas/problem';
import { check } from '../../schemas/schemas';
import { workspaceFile } from '../../schemas/workspaces';
import { orSay } from './orSay';

export const MOST_BYTES = 5 * 1024 * 1024;

/** What a file turned out to be. */
export type Understood =
  | {
      readonly kind: 'list';
      readonly reading: Reading;
      readonly encoding: string;
      /** The list as the next version of a program, where that was asked. */
      readonly next?: Program;
    }
  | { readonly kind: 'program file'; readonly contents: ProgramWithKeymaps };

/**
 * Understands a file by its content, whatever it is called: our own JSON file, or a list of commands in any form that is read.
 * @param printed whether it is the text of printed pages, which is in columns and never a file that a program reads.
 * @throws Problem in a plain sentence; nothing is changed either way.
 */
export function understand(bytes: Uint8Array, choices: Choices = NO_CHOICES, printed = false): Understood {
  if (bytes.length > MOST_BYTES)
    throw new Problem(
      'too large',
      'This file is larger than 5 MB, more than a list of commands needs. Save only the list and try again.',
    );
  if (isPacked(bytes))
    return { kind: 'list', reading: orSay(() => readTables(readWorkbook(bytes), choices)), encoding: 'packed' };
  const { text, encoding } = textOf(bytes);
  if (printed) return { kind: 'list', reading: orSay(() => readPrinted(text, choices)), encoding: 'PDF' };
  const isJson = /^\s*\{/.test(text);
  if (isJson && text.includes('"gray-pin-')) return { kind: 'program file', contents: readProgramFile(text) };
  const reading = orSay(() => readCommandList(text, choices), isJson ? (): null => null : undefined);
  // What is JSON and no list of keys was more likely meant as a file of ours.
  if (!reading || (isJson && !reading.rows.some(({ command }) => command && command.keys.length > 0)))
    return { kind: 'program file', contents: readProgramFile(text) };
  return { kind: 'list', reading, encoding };
}

const readPrinted = (text: string, choices: Choices): Reading =>
  choices.shown.length > 0 ? readCommandList(text, choices) : readTables(findTables(text, 'text in columns'), choices);

/** The text of a file. @throws Problem when it has none. */
function textOf(bytes: Uint8Array): { readonly text: string; readonly encoding: string } {
  const decoded = decodeText(bytes);
  if (!decoded.ok) throw new Problem('unreadable', decoded.message);
  return decoded;
}

/** The lines of a file as a person sees them, to show what is what in one of them. @throws Problem when it has none. */
export function linesIn(bytes: Uint8Array): string {
  if (isPacked(bytes))
    throw new Problem('unreadable', 'A workbook has no lines. Say what its columns hold instead, or save it as CSV.');
  const { text } = textOf(bytes);
  return orSay(() => seenLines(text).map((line) => line.text)).join('\n');
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
