import { MEDIA_KEY } from '../columnRoles';
import { readKeysCell } from '../readKeysCell';
import { MOST_ROWS, type RawRow, type RawTables, UnreadableList } from '../tables';
import { bracedRows } from './bracedRows';
import { leftLine, partOf, rowWith, unquoted, type Written } from './cells';
import { keysAbove } from './keysAbove';
import { type Line, linesOf } from './lines';
import { tooMany } from './tooMany';

const COMMENT = /^\s*(?:#+|"|;+|\/\/|--|!)\s*/u;
/** One word of a line, or what stands in quotes. */
const WORD = /"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*'|\S+/gu;
const HEADER = ['Context', 'Name', 'Keys'];
/** So many lines tell how a file binds. */
const LOOKED_AT = 600;

/** How lines bind: the word they begin with, if any, and which of the words after it are the keys. */
type Way = { readonly word: string; readonly at: number };
type Words = readonly Written[];
/** How the lines of a file bind: by their words, or keys with blanks between them before a colon. */
type Ways = ReadonlyMap<string, number> | 'colon';

/**
 * Lines in which keys are bound to commands by a word (`bind KEY COMMAND`, `map -n KEY COMMAND`) or by standing first
 * (`KEY COMMAND`). What is between the word and the keys is the place. @returns no tables where lines don't bind so.
 */
export function readBindings(text: string): RawTables {
  const lines = withoutCaller(withoutCalls(linesOf(text).filter((line) => line.text.trim() !== '')));
  const variables = variablesIn(lines);
  if (lines.length > MOST_ROWS) throw new UnreadableList(tooMany);
  const above = bracedRows(lines) ?? keysAbove(lines);
  if (above) return { title: null, format: 'bindings', tables: [{ headings: [], header: HEADER, rows: above }] };
  const ways: Ways = behindColons(lines) ? 'colon' : waysOf(lines, variables);
  if (ways !== 'colon' && ways.size === 0) return { title: null, format: 'bindings', tables: [] };
  const strokes = ways !== 'colon' && lines.some((line) => hasStrokes(line, ways));
  const rows: RawRow[] = [];
  for (const line of lines) {
    const row = rowOf(line, ways, strokes);
    const above = rows.at(-1);
    rows.push(row.left !== undefined && above ? (underKeys(line, above) ?? row) : row);
  }
  const told = variables.size === 0 ? rows : rows.map((row) => withVariables(row, variables));
  const bound = told.filter((row) => row.left === undefined).length;
  if (bound === 0) return { title: null, format: 'bindings', tables: [] };
  return {
    title: null,
    format: 'bindings',
    tables: [{ headings: [], header: HEADER, rows: told }],
  };
}

/** A line of a program that calls what binds: `bind("Ctrl+Z", "undo");`, `(define-key map (kbd "C-z") 'undo)`. */
const CALLS = /^[ \t]{0,40}(?:\([\w-]{1,40} .*\)|[\w.:]{1,40}[({].*[)}][;,]?)[ \t]{0,40}$/u;
/** Lines that mostly call something, with blanks for the signs of that, so that all stands where it stood. */
function withoutCalls(lines: readonly Line[]): readonly Line[] {
  const calls = lines.filter(({ text }) => CALLS.test(text)).length;
  if (calls < 3 || calls < 0.6 * lines.length) return lines;
  return lines.map((line) => ({
    ...line,
    text: line.text.replace(/"[^"]*"|'[^']*'|[(){},;]|(?<=\s)'(?=[\w-])|\b(?:kbd|global-map)\b/gu, (part) =>
      /^["'][^"']*["']$/u.test(part) && part.length > 1 ? part : ' '.repeat(part.length),
    ),
  }));
}

/** What a word before one that binds is called by: `desk keybind Mod4-h focus left`. */
const CALLED = /^\s*(?:#+\s*)?([\p{L}_-]{1,16})\s+(?:key-?bind|bind-?key|bind-?sym|bind|map)\s+\S/iu;
/** Lines without a word that only calls what binds, with blanks in its place, so that all stands where it stood. */
function withoutCaller(lines: readonly Line[]): readonly Line[] {
  const counts = new Map<string, number>();
  for (const { text } of lines) {
    const word = CALLED.exec(text)?.[1];
    if (word !== undefined) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  const [caller] = [...counts].find(([, count]) => count >= 3) ?? [];
  if (caller === undefined) return lines;
  return lines.map((line) =>
    CALLED.exec(line.text)?.[1] === caller
      ? { ...line, text: line.text.replace(caller, ' '.repeat(caller.length)) }
      : line,
  );
}

/** A line that only gives a word a meaning, as in `set $left h`. */
const SETS = /^\s*set\s+\$\w{1,30}\s/u;
const MODIFIERS =
  /^(?:ctrl|control|alt|shift|cmd|super|meta|mod\d)(?:\+(?:ctrl|control|alt|shift|cmd|super|meta|mod\d)){0,4}$/iu;

/** Words that stand for modifiers or a key, as in `set $mod Mod4`, `set $left h` or `our_mod ctrl+shift`, where lines say nothing else. */
function variablesIn(lines: readonly Line[]): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const { text } of lines) {
    if (text.length > 80) continue;
    const [word = '', held = '', ...more] = text
      .split(/[\s=]+/u)
      .filter((part) => part !== '' && !/^(?:[#;"]+|set(?:-option)?)$/u.test(part));
    if (more.length > 0 || !/^\$?[\p{L}_]{2,30}$/u.test(word)) continue;
    if (MODIFIERS.test(held) ? word !== '$mod' : word.startsWith('$') && SETS.test(text) && isKeys(held))
      found.set(word, held);
  }
  return found;
}

/** Keys with what their words stand for. */
const resolved = (keys: string, variables: ReadonlyMap<string, string>): string =>
  variables.size === 0
    ? keys
    : keys
        .split('+')
        .map((word) => variables.get(word) ?? word)
        .join('+');

function withVariables(row: RawRow, variables: ReadonlyMap<string, string>): RawRow {
  const [place = '', name = '', keys = ''] = row.cells;
  return row.left !== undefined ? row : { ...row, cells: [place, name, resolved(keys, variables)] };
}

/** Keys that stand alone in a line, with what they do set in below; each such line is a command. */
function underKeys(line: Line, above: RawRow): RawRow | null {
  const [keys, keysAt] = above.keysAbove ?? [];
  const sign = COMMENT.exec(line.text)?.[0] ?? '';
  if (keys === undefined || keysAt === undefined || !/^(?:#|;|\/\/)?[ \t]+\S/u.test(line.text)) return null;
  const name = partOf(line, sign.length);
  return {
    ...rowWith(line.number, [{ text: '', span: [keysAt[0], keysAt[0]] }, name, { text: keys, span: keysAt }]),
    keysAbove: [keys, keysAt],
    ...(sign.trim() === '' ? {} : { commentedOut: true }),
  };
}

/** Where what is bound stands behind its colon, as in `Mod1 Shift Tab :PrevWindow`; 0 where nothing does. */
const behindColon = (text: string): number => {
  const at = text.search(/\s:[\p{L}\p{N}]/u);
  return at > 0 && at <= LONGEST_KEYS && text.slice(0, at).trim() !== '' ? at + 2 : 0;
};
const LONGEST_KEYS = 80;
const MOUSE_WORD = /\b(?:mouse|button|move|click)\d/iu;

/** Whether most lines bind behind a colon. */
function behindColons(lines: readonly Line[]): boolean {
  const bound = lines.slice(0, LOOKED_AT).filter(({ text }) => !/^\s*[#!;]/u.test(text));
  const some = bound.flatMap(({ text }) => {
    const at = behindColon(text);
    return at > 0 ? [text.slice(0, at - 2).trim()] : [];
  });
  const keys = some.filter((one) => isKeys(one)).length;
  return (
    keys >= 3 &&
    some.length >= 0.6 * bound.length &&
    keys + some.filter((one) => MOUSE_WORD.test(one)).length >= 0.8 * some.length
  );
}

function rowOf(line: Line, ways: Ways, strokes: boolean): RawRow {
  if (ways === 'colon') {
    const at = behindColon(line.text);
    if (at === 0 || /^\s*[#!;]/u.test(line.text)) return leftLine(line, at > 0 ? 'A comment.' : 'Binds no keys.');
    const keys = partOf(line, 0, at - 2);
    const empty = { text: '', span: [keys.span[0], keys.span[0]] } as const;
    return rowWith(line.number, [empty, partOf(line, at), keys]);
  }
  // A row of a table binds nothing, nor does what gives a word its meaning.
  if (SETS.test(line.text)) return leftLine(line, 'Gives a word its meaning.');
  if (/^\s*\|.*\|\s*$/u.test(line.text)) return leftLine(line, 'Binds no keys.');
  const sign = COMMENT.exec(line.text)?.[0] ?? '';
  const commentedOut = sign.trim() !== '';
  // A sign of comments may be a key as well, as in `# toggle`: where the line binds as it stands, it does.
  for (const skipped of commentedOut ? ['', sign] : ['']) {
    const words = wordsOf(line, skipped.length);
    const way = wayFor(words, ways);
    if (!way || (skipped !== '' && /^\s*#+\s/u.test(sign) && !ways.has(words[0]?.text ?? ''))) continue;
    let upTo = way.at + (strokes ? strokesIn(words.slice(way.at)) : 1);
    // A plus with blanks around it joins.
    while (words[upTo]?.text === '+' && words[upTo + 1] !== undefined) upTo += 2;
    const keys = joined(line, words.slice(way.at, upTo)) ?? words[way.at];
    const behind = words.slice(upTo);
    // A sign that only leads from the keys to what they do is no part of its name.
    const after =
      LEADS.test(behind[0]?.text ?? '') || (way.word !== '' && behind[0]?.text === '=') ? behind.slice(1) : behind;
    // An assignment is for whoever reads those; a comment sign is no key where it begins a comment.
    const remarks = /^(?:#+|\/\/|--)$/u.test(keys?.text ?? '') || (skipped === '' && commentedOut && after.length > 2);
    if (/^:?=$/u.test(after[0]?.text ?? '') || (way.word === '' && remarks)) continue;
    const between = words.slice(way.word === '' ? 0 : 1, way.at);
    const named = after.length > 0 ? after : between;
    if (keys && named.length === 0) {
      const bare = unquoted(keys);
      return { ...leftLine(line, 'Keys for what stands below.'), keysAbove: [bare.text, bare.span] };
    }
    if (!keys) continue;
    const place = after.length > 0 ? between.filter((one) => !/^-+\w*$/u.test(one.text)) : [];
    const empty = { text: '', span: [keys.span[0], keys.span[0]] } as const;
    const row = rowWith(line.number, [joined(line, place) ?? empty, joined(line, named) ?? empty, keys].map(unquoted));
    return skipped === '' ? row : { ...row, commentedOut: true };
  }
  return leftLine(line, commentedOut ? 'A comment.' : 'Binds no keys.');
}

const LEADS = /^(?:=>|->|[→⇒➜])$/u;

/** The words of a line, without what is remarked at its end. */
function wordsOf(line: Line, from: number): Words {
  const words: Written[] = [];
  for (const found of line.text.slice(from).matchAll(WORD)) {
    if (words.length > 1 && /^(?:#+|\/\/)$/u.test(found[0])) break;
    if (words.length > 1 && /^#[^\s#]/u.test(found[0]) && line.text.slice(0, from + found.index).endsWith('\t')) break;
    const start = line.from + from + found.index;
    words.push({ text: found[0], span: [start, start + found[0].length] });
  }
  return words;
}

/** Several words as they stand in the line. */
function joined(line: Line, words: Words): Written | null {
  const [first, last] = [words[0], words.at(-1)];
  return first && last ? partOf(line, first.span[0] - line.from, last.span[1] - line.from) : null;
}

/** Keys with a modifier, by how they are written. */
const isHeld = ({ text }: Written): boolean =>
  /^(?:<\S{2,}>|\^\S|[CMSA]-\S+|[^\s+]+\+\S+)$/u.test(text) && isKeys(text);
/** Whether two strokes with a modifier each stand where a line binds keys, with what they do behind them. */
function hasStrokes(line: Line, ways: ReadonlyMap<string, number>): boolean {
  const words = wordsOf(line, 0);
  const [first, second, name] = words.slice(wayFor(words, ways)?.at ?? words.length);
  return first !== undefined && second !== undefined && name !== undefined && isHeld(first) && isHeld(second);
}
/** How many of these words are strokes one after the other; the last is what they do. */
function strokesIn(words: Words): number {
  const [first, ...rest] = words;
  if (!first || !isHeld(first)) return 1;
  const end = rest.findIndex(
    (one, i) => i === rest.length - 1 || i > 2 || !(isHeld(one) || ([...one.text].length === 1 && one.text !== '=')),
  );
  return end < 0 ? 1 : end + 1;
}

function wayFor(words: Words, ways: ReadonlyMap<string, number>): Way | null {
  const word = words[0]?.text ?? '';
  const at = ways.get(word);
  if (at !== undefined) {
    // Switches such as `-f` push the keys on by one.
    const switches = words.slice(1, at + 1).filter((one) => /^-+[a-z]+$/iu.test(one.text)).length;
    return { word, at: at + switches };
  }
  // What is written like the names of keys beside it is one that we don't know.
  const first = words[0];
  if (!ways.has('') || !first) return null;
  const keys = words.length > 1 ? isKeys(word) || /^[A-Z][A-Z\d]*(?:_[A-Z\d]+)*$/u.test(word) : isHeld(first);
  return keys ? { word: '', at: 0 } : null;
}

const isKeys = (text: string): boolean => {
  // A variable that holds modifiers.
  if (/^\$?[\p{L}]{2,20}_?mod\+\S/iu.test(text)) return true;
  const bare = text.replace(/^(["'])(.*)\1$/su, '$2');
  return bare !== '' && readKeysCell(bare, 'windows').status === 'keys';
};

/** A sign or a few, or a key in brackets: what is hardly ever the name of a command. */
const isKeyLike = (text: string): boolean =>
  MEDIA_KEY.test(text) || (/^(?:<[^<>\s]+>|[^\s<>]){1,4}$/u.test(text) && (text.length <= 3 || text.includes('<')));

/** The words that bind in these lines, each with the place of its keys. */
function waysOf(lines: readonly Line[], variables: ReadonlyMap<string, string>): ReadonlyMap<string, number> {
  const byWord = new Map<string, Words[]>();
  let bare = 0;
  let told = 0;
  for (const line of lines.slice(0, LOOKED_AT * 4)) {
    const comment = COMMENT.exec(line.text)?.[0] ?? '';
    // A sentence behind a comment sign binds nothing.
    const words = wordsOf(line, comment.length).map((one) => ({ ...one, text: resolved(one.text, variables) }));
    const first = words[0]?.text ?? '';
    if (words.length < 2) continue;
    if (comment !== '' && /\s$/u.test(comment)) continue;
    if (SETS.test(line.text)) continue;
    told++;
    // A number with a dot behind it counts the lines.
    if (isKeys(first) && !/^:?=$/u.test(words[1]?.text ?? '') && !/^\d{1,3}[.):]$/u.test(first)) bare++;
    const rest = words.slice(1).filter((one) => !/^-+[a-z]+$/iu.test(one.text));
    const some = byWord.get(first);
    if (some && some.length < LOOKED_AT) some.push(rest);
    else if (!some && /^[\\\p{L}][\p{L}_-]*$/u.test(first)) byWord.set(first, [rest]);
  }
  const ways = new Map<string, number>();
  for (const [word, all] of byWord) {
    if (all.length < 2 || isKeys(word)) continue;
    for (const at of [0, 1, 2]) {
      // A word alone binds nothing, but may turn something on.
      const some = all.filter((rest) => rest.length > 0);
      const sure = some.filter((rest) => isKeys(rest[at]?.text ?? '')).length;
      // Strokes side by side, such as `gg`, are no keys by themselves, but stand among such.
      const like = some.filter((rest) => isKeys(rest[at]?.text ?? '') || isKeyLike(rest[at]?.text ?? '')).length;
      const keys = sure >= 0.3 * some.length ? like : sure;
      const named = some.filter((rest) => rest.length > at + 1 || (rest.length === at + 1 && at > 0)).length;
      const alone = some.filter((rest) => rest.length === 1 && at === 0).length;
      if (keys < 0.6 * some.length || Math.max(named, alone) < 0.6 * some.length) continue;
      // Words that only begin a name, such as “Lift stain Ctrl+K”, bind nothing: one that does begins most lines.
      const last = some.filter((rest) => rest.length === at + 1 && at > 0).length;
      if (last > 0.5 * some.length && all.length < 0.6 * told) continue;
      // Keys that stand for keys bind nothing by themselves.
      const keysOnly = some.filter(
        (rest) =>
          rest.length > at + 1 && rest.slice(at + 1).every((one) => one.text.length < 16 && isKeyLike(one.text)),
      );
      if (keysOnly.length >= 0.8 * some.length) break;
      // What is the same on most lines is where they belong, not their keys.
      if (new Set(some.map((rest) => rest[at]?.text)).size < Math.min(3, 0.3 * some.length)) continue;
      ways.set(word, at + 1);
      break;
    }
  }
  const bound = [...ways.keys()].reduce((sum, word) => sum + (byWord.get(word)?.length ?? 0), 0);
  if (bare >= 3 && bare > bound && bare >= 0.6 * told) return new Map([['', 0]]);
  return bound >= 3 || (bound >= 2 && bound >= 0.6 * told) ? ways : new Map();
}
