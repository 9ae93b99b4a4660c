import Papa from 'papaparse';
import type { SheetContents, SheetLine } from './sheet';

/** Keys as they are typed: the caps of each joined by a plus, alternatives by "or"; symbols and words without a joint. */
export function keysText({ keys, again = [] }: Pick<SheetLine, 'keys' | 'again'>): string {
  return [...keys, ...again].map(capsText).join(' or ');
}

function capsText(caps: readonly string[]): string {
  const held = caps.at(-1) === 'hold';
  const own = held ? caps.slice(0, -1) : caps;
  const strokes = own.join('\u0000').split('\u0000then\u0000');
  const text = strokes.map((one) => {
    const parts = one.split('\u0000');
    return parts.some((part) => /^[⌘⌃⌥⇧⊞]$/.test(part)) ? parts.join('') : parts.join('+');
  });
  return `${held ? 'hold ' : ''}${text.join(' then ')}`;
}

/** A sheet as Markdown: a heading a group, a table of names and keys. */
export function writeMarkdown({ title, notes, groups }: SheetContents): string {
  const cell = (text: string): string => text.replace(/[\\`*_[\]<>|]/g, (one) => `\\${one}`).replace(/\n/g, ' ');
  const parts = groups.map(({ title: group, lines }) => {
    const rows = lines.map((line) => {
      const more = line.notes?.length ? ` (${line.notes.join('; ')})` : '';
      return `| ${cell(`${line.name}${more}`)} | ${[...line.keys, ...(line.again ?? [])].map((one) => code(capsText(one))).join(' or ')} |`;
    });
    return [`## ${cell(group)}`, '', '| Command | Keys |', '| --- | --- |', ...rows].join('\n');
  });
  return `${[`# ${cell(title)}`, notes.map((one) => cell(one.replace(/^● ?/, ''))).join(' · '), ...parts].join('\n\n')}\n`;
}

/** A code span, whatever backticks are in it; a bar would end the cell of a table. */
function code(text: string): string {
  const safe = text.replaceAll('|', '\\|');
  return safe.includes('`') ? `\`\` ${safe} \`\`` : `\`${safe}\``;
}

/** The rows of a sheet as a table: group, command, keys, notes. */
export function sheetRows({ groups }: SheetContents): readonly (readonly [string, string, string, string])[] {
  return groups.flatMap((group) =>
    group.lines.map((line) => [group.title, line.name, keysText(line), (line.notes ?? []).join('; ')] as const),
  );
}
export const ROW_HEADS = ['Group', 'Command', 'Keys', 'Notes'] as const;

/**
 * A sheet as separated text (RFC 4180). What starts like a formula gets an apostrophe before it, so that a spreadsheet
 * takes it for text.
 */
export function writeCsv(contents: SheetContents): string {
  return `${Papa.unparse({ fields: [...ROW_HEADS], data: sheetRows(contents).map((one) => [...one]) }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
