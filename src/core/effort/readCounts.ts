import Papa from 'papaparse';
import type { Command, CommandId } from '../program/program';
import { fold } from '../text/fold';
import { MOST_USES } from './uses';

/** What was read from a list of counts, and what could not be, each with its line and why. */
export type CountsRead = {
  readonly uses: ReadonlyMap<CommandId, number>;
  readonly problems: readonly { readonly line: number; readonly text: string; readonly why: string }[];
};

/**
 * Reads how often a day commands are used from two columns, in either order: a command (by name, by path and name, or as
 * it is numbered in our files) and a count. Commas, semicolons or tabs between them; a first line of headings is passed.
 */
export function readCounts(text: string, commands: readonly Command[]): CountsRead {
  const byWords = new Map<string, Command[]>();
  const add = (words: string, command: Command): void => {
    const list = byWords.get(key(words));
    if (!list) byWords.set(key(words), [command]);
    else if (!list.includes(command)) list.push(command);
  };
  for (const command of commands) {
    add(command.id, command);
    add(command.name, command);
    add([...command.path, command.name].join(' '), command);
  }
  const uses = new Map<CommandId, number>();
  const problems: { line: number; text: string; why: string }[] = [];
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter: delimiterOf(text) });
  let seen = 0;
  data.forEach((row, i) => {
    const cells = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
    if (cells.length === 0) return;
    seen++;
    const line = i + 1;
    const say = (why: string) => problems.push({ line, text: cells.join(', '), why });
    const at = cells.findIndex((cell, place) => place < 2 && /^\d+([.,]\d+)?$/.test(cell));
    if (cells.length < 2 || at < 0) {
      if (seen > 1) say('There is no count beside it.');
      return;
    }
    const count = Number((cells[at] as string).replace(',', '.'));
    const found = byWords.get(key(cells[1 - at] as string)) ?? [];
    const [command] = found;
    if (!command) say('No command is called that here.');
    else if (found.length > 1) say(`${found.length} commands are called that; write the menu before the name.`);
    else if (count > MOST_USES) say(`More than ${MOST_USES} a day is not believed.`);
    else uses.set(command.id, (uses.get(command.id) ?? 0) + count);
  });
  return { uses, problems };
}

/** The first of tab, semicolon and comma that stands in half of the lines; a comma may be part of a figure. */
function delimiterOf(text: string): string {
  const lines = text.split('\n').filter((line) => line.trim() !== '');
  return ['\t', ';'].find((one) => 2 * lines.filter((line) => line.includes(one)).length >= lines.length) ?? ',';
}

function key(words: string): string {
  return (fold(words).match(/[\p{L}\p{N}%]+/gu) ?? []).join(' ');
}
