import Papa from 'papaparse';
import type { SheetContents, SheetLine } from './sheet';

/** Keys as they are typed: the caps of each joined by a plus, alternatives by "or"; symbols and words without a joint. */
export function keysText({ keys, again = [] }: Pick<SheetLine, 'keys' | 'again'>): string {
  return [...keys, ...again].map(capsText).join(' or ');
}

/** The keys of a line, one text a column: one, or one for each of several programs. */
function columnTexts({ keys, again, columns }: SheetLine): readonly string[] {
  return columns ? columns.map((one) => keysText({ keys: one })) : [keysText({ keys, ...(again ? { again } : {}) })];
}
/** The heads of the columns of keys. */
const keyHeads = ({ heads }: SheetContents): readonly string[] => heads ?? ['Keys'];

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
export function writeMarkdown(contents: SheetContents): string {
  const { title, notes, groups } = contents;
  const heads = keyHeads(contents);
  const cell = (text: string): string => text.replace(/[\\`*_[\]<>|&]/g, (one) => `\\${one}`).replace(/\n/g, ' ');
  const parts = groups.map(({ title: group, lines }) => {
    const rows = lines.map((line) => {
      const more = line.notes?.length ? ` (${line.notes.join('; ')})` : '';
      const columns = line.columns ?? [[...line.keys, ...(line.again ?? [])]];
      const keys = columns.map((one) => one.map((caps) => code(capsText(caps))).join(' or '));
      return `| ${[cell(`${line.name}${more}`), ...keys].join(' | ')} |`;
    });
    const head = `| ${['Command', ...heads.map(cell)].join(' | ')} |`;
    return [`## ${cell(group)}`, '', head, `| --- |${' --- |'.repeat(heads.length)}`, ...rows].join('\n');
  });
  return `${[`# ${cell(title)}`, notes.map((one) => cell(one.replace(/^● ?/, ''))).join(' · '), ...parts].join('\n\n')}\n`;
}

/** A code span, whatever backticks are in it; a bar would end the cell of a table. */
function code(text: string): string {
  const safe = text.replaceAll('|', '\\|');
  return safe.includes('`') ? `\`\` ${safe} \`\`` : `\`${safe}\``;
}

/** The rows of a sheet as a table: group, command, keys in each program, notes. */
export function sheetRows({ groups }: SheetContents): readonly (readonly string[])[] {
  return groups.flatMap((group) =>
    group.lines.map((line) => [group.title, line.name, ...columnTexts(line), (line.notes ?? []).join('; ')]),
  );
}

/** The heads of those rows. */
export function rowHeads(contents: SheetContents): readonly string[] {
  return ['Group', 'Command', ...keyHeads(contents), 'Notes'];
}

/**
 * A sheet as separated text (RFC 4180). What starts like a formula gets an apostrophe before it, so that a spreadsheet
 * takes it for text.
 */
export function writeCsv(contents: SheetContents): string {
  return `${Papa.unparse({ fields: [...rowHeads(contents)], data: sheetRows(contents).map((one) => [...one]) }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
