import { guessRoles, headOf } from './columnRoles';
import { jsonTree } from './forms/jsonTree';
import { indentOf, lineAt, refuseTooManyLines } from './forms/lines';
import { looksLikePage } from './forms/looksLikePage';
import { menuChoices } from './forms/menuChoices';
import { readAccelerators } from './forms/readAccelerators';
import { readBindings } from './forms/readBindings';
import { readColumns } from './forms/readColumns';
import { readLines } from './forms/readLines';
import { looksLikeManual, readManual } from './forms/readManual';
import { looksLikeMarkdown, nestsTooDeep, readMarkdown } from './forms/readMarkdown';
import { readPageLines } from './forms/readPageLines';
import { readProgram } from './forms/readProgram';
import { bracedTree, propertyTree, readProperties } from './forms/readPropertyList';
import { readRecords } from './forms/readRecords';
import { readSettings } from './forms/readSettings';
import { readTextTable } from './forms/readTextTable';
import { readPage, readWebPage, treeOf } from './forms/readWebPage';
import { tomlTree } from './forms/tomlTree';
import type { Tree } from './forms/tree';
import { isManual, manualTree } from './forms/xmlManual';
import { parsedXml, xmlTree } from './forms/xmlTree';
import { yamlTree } from './forms/yamlTree';
import { mannerOf } from './mannerOf';
import { readKeysCell } from './readKeysCell';
import { type FormRead, type RawTables, UnreadableList } from './tables';

/** So much of a text is read in every way there is, to see which makes most sense of it. */
const TRIED = 20_000;
const MOST_JUDGED = 300;
/** Words that begin a line of a program. */
const OF_PROGRAM = /^(?:export|module\.exports|import|const|let|var|local|return)\b/mu;
/** Keys with a modifier within other words. */
const HOLDS_KEYS = /(?:^|[\s([{<"'`])(?:ctrl|control|alt|shift|cmd|strg)[+-]\S/iu;
/** The line under the head of a table in Markdown. */
const RULED = /^\|? ?:?-{3,}:? ?\|[ :|-]*$/mu;

type Reader = {
  readonly form: FormRead;
  readonly fits: (text: string) => boolean;
  readonly read: (text: string) => RawTables | null;
  /** Whether a part of such a text is no such text. */
  readonly whole?: true;
  /** How much what it makes of a text counts, where the text looks more or less like one of its form. */
  readonly trust?: (text: string) => number;
};

/** How a text without a form of its own may be read; of two that make as much sense, the earlier is taken. */
const READERS: readonly Reader[] = [
  { form: 'accelerator map', fits: (text) => /^ {0,8};? {0,8}\([\w-]+ "/mu.test(text), read: readAccelerators },
  {
    form: 'YAML',
    fits: (text) => !OF_PROGRAM.test(text) && mostlyYaml(text) && !nestsTooDeep(text),
    read: (text) => records('YAML', yamlTree(text), text),
    whole: true,
  },
  { form: 'manual source', fits: looksLikeManual, read: readManual },
  { form: 'Markdown', fits: looksLikeMarkdown, read: readMarkdown, trust: (text) => (RULED.test(text) ? 3 : 1) },
  {
    form: 'table',
    fits: () => true,
    read: readTextTable,
    // Tabs in a row fill columns up; between the cells of a table stands one, and none before them.
    trust: (text) => (fillsWithTabs(text) || mostlySetIn(text) || mostlyTold(text) ? 0.6 : 1),
  },
  {
    form: 'TOML',
    fits: (text) => /^[ \t]*[\w."'-]+ ?= ?\S/mu.test(text),
    read: (text) => records('TOML', tomlTree(text), text),
    whole: true,
  },
  {
    form: 'program text',
    fits: (text) => /(?:=|\breturn|\bdefault|\()\s{0,20}[[{]/u.test(text),
    read: readProgram,
    whole: true,
  },
  {
    form: 'settings',
    fits: (text) => /[=:]/u.test(text),
    read: readSettings,
    // A list of tables is one of records, each with its name and keys in lines of their own.
    trust: (text) => (/^\[\[[\w."' -]{1,60}\]\][ \t]*$/mu.test(text) ? 0.3 : 1),
  },
  {
    form: 'bindings',
    fits: () => true,
    read: readBindings,
    // Lines that bind have one blank between their words, or few more; a list that is set in columns is one for people.
    trust: (text) => (mostlyTold(text) ? 0.5 : mostlyInColumns(text) ? 0.8 : 1),
  },
  { form: 'text in columns', fits: () => true, read: readColumns },
  // What another form explains as well is of that form.
  { form: 'lines', fits: () => true, read: readLines, trust: () => 0.8 },
];

/**
 * The tables a text holds, read by its content, whatever its file is called: as the form that makes most sense of it.
 * @param as the form it is read as in any case, unless it says itself what it is.
 * @throws UnreadableList with a plain sentence when there is no list to be found.
 */
export function findTables(text: string, as?: FormRead, places = true): RawTables {
  const reader = READERS.find(({ form }) => form === as);
  const found = (reader ? reader.read(text) : ofOneForm(text, places)) ?? bestOf(text);
  if (found.tables.length === 0) {
    throw new UnreadableList(
      found.format === 'web page'
        ? 'There are no tables or lists on this page.'
        : 'There is no list here: no row has anything in it.',
    );
  }
  return found;
}

/** What says itself what it is: a web page, JSON, XML. */
function ofOneForm(text: string, places: boolean): RawTables | null {
  const json = records('JSON', jsonTree(text), text);
  if (json) return json;
  const braced = bracedTree(text);
  if (braced) return { title: null, format: 'property list', tables: readProperties(braced, lineAt(text)) };
  const manual = looksLikeManual(text) ? readManual(text) : null;
  if (manual && manual.tables.length > 0) return manual;
  const xml = /^[\s\uFEFF]*<(?!!doctype html|html)/iu.test(text) ? parsedXml(text) : null;
  const properties = xml && propertyTree(xml);
  if (properties) return { title: null, format: 'property list', tables: readProperties(properties, lineAt(text)) };
  // A part of a web page is one, however well it is formed.
  const ofPage = /^(?:table|div|dl|ul|ol|body|main)$/iu.test(xml?.root?.name ?? '');
  if (xml && !ofPage && isManual(xml)) {
    const choices = menuChoices(xml);
    const page = readPage(manualTree(xml, choices.length > 0), () => false);
    const before = page.tables.reduce((sum, table) => sum + table.rows.length, 0);
    const behind = choices.map((table) => ({
      ...table,
      rows: table.rows.map((row) => ({ ...row, line: before + row.line })),
    }));
    return { ...page, tables: [...page.tables, ...behind], format: 'XML' };
  }
  if (xml && !ofPage && !/^(?:section|article)$/iu.test(xml.root?.name ?? ''))
    return records('XML', xmlTree(xml, text), text);
  return looksLikePage(text) ? pageOrLines(text, places) : null;
}

/** So many rows that make sense as commands tell that a page has a list. */
const FEW = 3;
/** A web page by its tables and lists, or by its lines, where only these make sense. */
function pageOrLines(text: string, places: boolean): RawTables {
  const parsed = treeOf(text, places);
  const page = readWebPage(parsed);
  if (makesSense(page)) return page;
  const lines = readPageLines(parsed.tree);
  return makesSense(lines) ? lines : page;
}

/** Whether some of its tables make sense as lists of commands; most tell so by the first. */
function makesSense(raw: RawTables): boolean {
  let sense = 0;
  return raw.tables.some((table) => {
    sense += senseOf({ ...raw, tables: [table] });
    return sense >= FEW;
  });
}

function records(format: FormRead, tree: Tree | null, text: string): RawTables | null {
  if (!tree) return null;
  return { title: null, format, tables: readRecords(tree, lineAt(text)) };
}

function bestOf(text: string): RawTables {
  refuseTooManyLines(text);
  const [from, to] = tellingPart(text);
  const tried = text.slice(from, to);
  const lines = tried.split('\n').filter((line) => line.trim() !== '').length;
  let best: { readonly reader: Reader; readonly sense: number; readonly tables: RawTables } | null = null;
  for (const reader of READERS) {
    if (!reader.fits(tried)) continue;
    // A part of a structured text is no such text.
    const tables = readOr(reader, reader.whole ? text : tried);
    if (!tables || tables.tables.length === 0) continue;
    const trust = reader.trust?.(tried) ?? 1;
    const sense = senseOf(tables) * trust * (reader.whole ? Math.min(1, (3 * tried.length) / text.length) : 1);
    // What has a form of its own is that, unless another makes far more of it.
    if (!best || sense > 1.1 * Math.max(0, best.sense) + 0.001) best = { reader, sense, tables };
    // No way of reading makes more of a text than a command of each line.
    if (best.sense >= (reader.whole ? 1 : 0.95) * lines) break;
  }
  if (!best) return readTextTable(text);
  return tried.length === text.length || best.reader.whole
    ? best.tables
    : (best.reader.read(text) ?? readTextTable(text));
}

/** What a reader makes of a text; null where that is more than a list may have, as it may be one of another form. */
function readOr({ read }: Reader, text: string): RawTables | null {
  try {
    return read(text);
  } catch (error) {
    if (error instanceof UnreadableList) return null;
    throw error;
  }
}

/** The part of a long text in which most words for keys stand, from the beginning of a line to the end of one. */
function tellingPart(text: string): readonly [number, number] {
  if (text.length <= TRIED) return [0, text.length];
  const step = TRIED / 2;
  const counts: number[] = [];
  for (const { index } of text.matchAll(
    /\b(?:ctrl|control|alt|shift|cmd|strg)\b|<\w{1,8}>|\bF\d{1,2}\b|[CMS]-\w|\^[A-Z]/giu,
  )) {
    const at = Math.floor(index / step);
    counts[at] = (counts[at] ?? 0) + 1;
  }
  let [best, most] = [0, -1];
  for (let at = 0; at * step < text.length; at++) {
    const count = (counts[at] ?? 0) + (counts[at + 1] ?? 0);
    if (count > most) [best, most] = [at, count];
  }
  const from = best === 0 ? 0 : text.indexOf('\n', best * step) + 1;
  const end = text.lastIndexOf('\n', Math.min(text.length, from + TRIED));
  return [from, end > from ? end : Math.min(text.length, from + TRIED)];
}

/** How much sense tables make as lists of commands: rows with a name and keys that can be read, for each row looked at. */
export function senseOf({ tables }: RawTables): number {
  let sense = 0;
  const written = new Map<string, number>();
  for (const table of tables) {
    const rows = table.rows.filter((row) => row.left === undefined && !row.heading);
    const head = headOf(table);
    const body = rows.filter((row) => row !== head.row).slice(0, MOST_JUDGED);
    if (body.length === 0) continue;
    const roles = guessRoles(head.cells, body);
    const [name, keys, path] = [
      roles.indexOf('name'),
      Math.max(roles.indexOf('keys'), roles.indexOf('Mac keys')),
      roles.indexOf('path'),
    ];
    if (name < 0) continue;
    const manner = mannerOf(keys < 0 ? [] : body.map((row) => row.cells[keys] ?? ''));
    let own = head.row && keys >= 0 ? 1 : 0;
    for (const row of head.row || keys < 0 ? [] : body) {
      const cell = row.cells[keys] ?? '';
      if (cell !== '') written.set(cell, (written.get(cell) ?? 0) + 1);
    }
    for (const row of body) {
      const called = row.cells[name] ?? '';
      if (!/\p{L}{2}/u.test(called)) continue;
      if (keys < 0) {
        own += 0.01;
        continue;
      }
      if (path >= 0 && (row.cells[path] ?? '') !== '') own += 0.05;
      const { status, problems } = readKeysCell(row.cells[keys] ?? '', manner.dialect, manner);
      own +=
        status === 'none'
          ? 0.03
          : status === 'unread'
            ? head.row
              ? 0.02
              : -0.3
            : problems.length > 0
              ? 0.5
              : row.commentedOut
                ? 0.9
                : 1;
      // A name of many words is more likely a sentence that was cut in two.
      if (called.split(' ').length > 12) own -= 0.6;
      // Keys in a name belong beside it.
      if (HOLDS_KEYS.test(called)) own -= 0.8;
    }
    sense += own * (rows.length / body.length);
  }
  // One sign before everything is no key, but a mark.
  const all = [...written.values()].reduce((sum, count) => sum + count, 0);
  const most = Math.max(0, ...written.values());
  return (all > 8 && most > 0.5 * all) || (all > 2 && most === all) ? 0.2 * sense : sense;
}

/** Whether lines have several tabs side by side, and not all the same number of tabs. */
function fillsWithTabs(text: string): boolean {
  const lines = text.split('\n', 400).filter((line) => line.includes('\t'));
  const counts = new Set(lines.map((line) => line.split('\t').length));
  return counts.size > 2 && lines.filter((line) => line.includes('\t\t')).length > 0.4 * lines.length;
}

/** Whether most lines begin with a blank. */
function mostlySetIn(text: string): boolean {
  const lines = text.split('\n', 400).filter((line) => line.trim() !== '');
  return lines.filter((line) => /^ \s*[^\s|]/u.test(line)).length > 0.6 * lines.length;
}

/** Whether most lines are said to people: in a sentence that tells to press something, or with a colon behind their keys. */
function mostlyTold(text: string): boolean {
  const lines = text.split('\n', 400).filter((line) => line.trim() !== '');
  return (
    lines.filter((line) => /(?:^\s*|[,;] )(?:press|hit|type|use) \S|^\s*\S{1,24}: \S/iu.test(line)).length >
    0.6 * lines.length
  );
}

const WIDEST_KEYS = 42;
/** Whether most lines have what stands second in them in one column, behind several blanks. */
function mostlyInColumns(text: string): boolean {
  const lines = text.split('\n', 400).filter((line) => line.trim().includes(' '));
  const counts = new Map<number, number>();
  const words = new Map<string, number>();
  for (const line of lines) {
    const [word = ''] = line.split(/\s/u, 1);
    words.set(word, (words.get(word) ?? 0) + 1);
    // A word that most lines begin with binds.
    if ((words.get(word) ?? 0) > 0.5 * lines.length) return false;
    const gap = line.indexOf('  ');
    if (gap < 1 || gap > WIDEST_KEYS) continue;
    const at = gap + indentOf(line.slice(gap));
    counts.set(at, (counts.get(at) ?? 0) + 1);
  }
  return Math.max(0, ...counts.values()) > 0.6 * lines.length;
}

/** A name of several words before a value in quotes or brackets. */
const NAMED_VALUE = /^[\p{L}\p{N} _./-]{1,60}: ["'[]/u;
/** Whether most lines can be of YAML: names with a colon behind them, items, comments, what is set in from them. */
function mostlyYaml(text: string): boolean {
  const lines = text.split('\n', 400).filter((line) => line.trim() !== '');
  const like = lines.filter(
    (line) =>
      /^\s*(?:#|- |---|[\w"'<>.,:;/?!$^*(){}[\]+=@~`%&|\\-]{1,60}:(?:\s|$))|^\s{2}/u.test(line) ||
      NAMED_VALUE.test(line),
  );
  return lines.length > 0 && like.length >= 0.8 * lines.length;
}
