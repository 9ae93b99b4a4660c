import { manualWords } from '../reading/manualWords';
import type { FormRead, Span } from '../reading/tables';

/** How the text of keys is written within a file's own form: escaped, as it has to be behind what stands before it. */
export type CellForm = {
  /** What is meant by what is written; what can't be told as itself. */
  readonly textOf: (raw: string, before: string) => string;
  readonly rawOf: (text: string, before: string) => string;
};

const PLAIN: CellForm = { textOf: (raw) => raw, rawOf: (text) => text };
const quoteAt = (before: string): string => /["'`][^"'`]*$/u.exec(before)?.[0][0] ?? '';

const backslashed = (raw: string): string => raw.replace(/\\(["'\\])/gu, '$1');
const withBackslashes = (text: string): string => text.replace(/["\\]/gu, '\\$&');

/** As JSON writes texts; YAML and TOML do so within double quotes, too. */
const JSON_TEXT: CellForm = {
  textOf: (raw, before) => {
    if (quoteAt(before) !== '"') return raw;
    try {
      return String(JSON.parse(`"${raw}"`));
    } catch {
      return raw;
    }
  },
  rawOf: (text, before) => (quoteAt(before) === '"' ? JSON.stringify(text).slice(1, -1) : text),
};
const YAML_TEXT: CellForm = {
  textOf: (raw, before) => (quoteAt(before) === "'" ? raw.replaceAll("''", "'") : JSON_TEXT.textOf(raw, before)),
  rawOf: (text, before) => (quoteAt(before) === "'" ? text.replaceAll("'", "''") : JSON_TEXT.rawOf(text, before)),
};

const ENTITIES: Readonly<Record<string, string>> = { lt: '<', gt: '>', amp: '&', quot: '"', apos: "'", nbsp: '\u00A0' };
const entitiesRead = (raw: string): string =>
  raw.replace(/&(?:#(\d{1,6})|#[xX]([\dA-Fa-f]{1,5})|([a-z]{2,5}));/gu, (all, decimal, hex, name) => {
    if (name !== undefined) return ENTITIES[`${name}`] ?? all;
    const code = decimal === undefined ? Number.parseInt(`${hex}`, 16) : Number(decimal);
    return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : all;
  });
const ESCAPES: Readonly<Record<string, string>> = { '<': '&lt;', '>': '&gt;', '&': '&amp;', '"': '&quot;' };
const MARKED_UP: CellForm = {
  textOf: entitiesRead,
  rawOf: (text, before) =>
    text.replace(quoteAt(before) === '"' ? /[<>&"]/gu : /[<>&]/gu, (sign) => ESCAPES[sign] ?? sign),
};
/** On a page, tags are part of how keys are written: only what is no tag is escaped. */
const PAGE: CellForm = {
  textOf: entitiesRead,
  rawOf: (text) =>
    text
      .split(/(<\/?[a-z][^<>]{0,200}>)/iu)
      .map((part, i) => (i % 2 === 1 ? part : part.replace(/[<>&]/gu, (sign) => ESCAPES[sign] ?? sign)))
      .join(''),
};
const SEPARATED: CellForm = {
  textOf: (raw, before) => (before.startsWith('"') ? raw.replaceAll('""', '"') : raw),
  rawOf: (text, before) => (before.startsWith('"') ? text.replaceAll('"', '""') : text),
};
const QUOTED: CellForm = {
  textOf: (raw, before) => (before.endsWith('"') ? backslashed(raw) : raw),
  rawOf: (text, before) => (before.endsWith('"') ? withBackslashes(text) : text),
};

export const CELL_FORMS: Readonly<Record<FormRead, CellForm>> = {
  table: SEPARATED,
  'web page': PAGE,
  Markdown: PLAIN,
  settings: QUOTED,
  bindings: QUOTED,
  'text in columns': PLAIN,
  lines: PLAIN,
  'program text': QUOTED,
  'manual source': { textOf: manualWords, rawOf: (text) => text.replace(/\\/gu, '\\e') },
  'accelerator map': QUOTED,
  JSON: JSON_TEXT,
  XML: MARKED_UP,
  YAML: YAML_TEXT,
  TOML: JSON_TEXT,
  'property list': QUOTED,
  workbook: PLAIN,
  shown: PLAIN,
};

/** Forms in which a value in brackets is a list of keys. */
const LISTS: ReadonlySet<FormRead> = new Set(['JSON', 'YAML', 'TOML', 'settings', 'shown']);

/** A place with the quotes around it, and the brackets around these. */
export function widened(text: string, [from, to]: Span, format: FormRead): Span {
  let [a, b] = [from, to];
  const quote = text[a - 1] ?? '';
  if (quote !== '' && `"'\``.includes(quote) && text[b] === quote) [a, b] = [a - 1, b + 1];
  if (LISTS.has(format) && b > a) {
    const open = /\[\s{0,30}$/u.exec(text.slice(Math.max(0, a - 40), a))?.[0].length;
    const close = /^\s{0,30}(?:,\s{0,30})?\]/u.exec(text.slice(b, b + 40))?.[0].length;
    if (open !== undefined && close !== undefined) return [a - open, b + close];
  }
  return [a, b];
}
