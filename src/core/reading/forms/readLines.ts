import { trimEnd } from '../../text/trimEnd';
import { mayBegin, mayEnd } from '../mayBeKeys';
import { HEADS, type RawTable, type RawTables, type Span } from '../tables';
import { leftLine, partOf, rowWith, unquoted } from './cells';
import { isSure, reads } from './keysInLine';
import { indentOf, type Line, linesOf } from './lines';
import { headingIn } from './readColumns';
import { type HeadedLine, readLinePairs } from './readLinePairs';
import { underHeadings } from './underHeadings';

/** A line of a list: where its name and its keys stand in it, on which side these are, and what parts the two. */
type Sides = {
  readonly side: 'first' | 'last';
  readonly joint: string;
  readonly name: readonly [number, number];
  readonly keys: readonly [number, number];
  readonly sure: boolean;
};

const HEADER = ['Name', 'Keys'];
/** Longer than any line that has a command; more words than keys are written in. */
const [LONGEST, MOST_WORDS] = [240, 7];
/** So many lines tell how a list is written. */
const LOOKED_AT = 400;
/** What hardly any line but a heading looks like. */
const HEADS_LIKE = /^\s*(?:#{1,6}\s+\S|\[[^[\]]{2,80}\]\s*$)|:\s*$/u;
const [FEWEST, MOSTLY] = [3, 0.6];

/** What stands between a name and its keys, besides blanks. */
const JOINT = /=>|->|[→⇒➜»—–|~=]|[:,;](?=\s)|(?<=\s)[-/](?=\s)/gu;
const BRACKETS: Readonly<Record<string, string>> = {
  '(': ')',
  '[': ']',
  '<': '>',
  '{': '}',
  '`': '`',
  '"': '"',
  '**': '**',
};
const PAIRS = Object.entries(BRACKETS);
const BULLET = /^\s*(?:[•·‣▪◦●■*+–—-]|\[[ xX]?\]|\d{1,3}[.)])\s+/u;
/** Words that only say that keys follow, before them; and what stands before what they do. */
const CALLS =
  /(?:^|[\s,;:–—-])(?:short ?cut|hot ?key|keys?|by pressing|pressing|press|hit|use|type|with|via|mit|avec|taste|tastenkürzel|drücken|raccourci|atajo) ?:?$/iu;
const PRESS = /^(?:press|hit|type|use|drücken sie|appuyez sur|pulse)\s+/iu;
const TO = /^(?:to|for|um|pour|para)\s+/iu;

/**
 * A list of lines as people write them: a command in each, its keys at one end and hardly anything between, as in
 * `Undo (Ctrl+Z)`, `Undo: Ctrl+Z`, `1. Undo Ctrl+Z`, `Press Ctrl+Z to undo`, or in two lines one after the other. What
 * most lines have is taken for the way of all. @returns no tables where lines are mostly otherwise.
 */
export function readLines(text: string): RawTables {
  return { title: null, format: 'lines', tables: listOfLines(linesOf(text)) };
}

/** The same for lines that are there already; of those of a page it may be known that they are headings. */
export function listOfLines(lines: readonly HeadedLine[]): readonly RawTable[] {
  const pairs = readLinePairs(lines);
  if (pairs) return pairs;
  const filled = lines.filter((line) => line.text.trim() !== '' && !line.heads);
  const looked = filled.filter(({ text }) => !HEADS_LIKE.test(text)).slice(0, LOOKED_AT);
  const starts = startsOf(looked);
  const ways = waysOf(looked, starts);
  if (!ways) return [];
  const found = underHeadings();
  lines.forEach((line, i) => {
    if (line.text.trim() === '') return;
    const comment = /^\s*(?:\/\/|;|--\s)/u.test(line.text);
    const sides = line.heads || comment ? null : bestSides(line, starts, ways);
    if (sides) {
      const [name, keys] = [partOf(line, ...named(line, sides, ways)), partOf(line, ...sides.keys)];
      found.add(rowWith(line.number, [unquoted(name), unquoted(keys)]));
      return;
    }
    const whole = partOf(line, 0);
    // What has a bullet or a number as all others have heads none of them.
    const one = starts.bullet && BULLET.test(line.text);
    const heading =
      comment || one
        ? null
        : line.heads
          ? whole.text
          : (/^\[([^[\]]{1,80})\]$/u.exec(whole.text)?.[1] ?? headingIn(whole.text, lines[i + 1]));
    if (heading !== null) found.under([heading]);
    found.add(leftLine(line, comment ? 'A comment.' : heading === null ? NO_KEYS : HEADS, heading !== null));
  });
  return found.tables().map((table) => ({ ...table, header: HEADER }));
}
const NO_KEYS = 'Has no keys where other lines have them.';

type Start = { readonly bullet: boolean; readonly press: boolean };
/** What most lines begin with that is no part of what they say: a bullet, a number, a word that tells to press. */
function startsOf(lines: readonly Line[]): Start {
  const kinds = new Map<string, number>();
  let press = 0;
  for (const { text } of lines) {
    const mark = BULLET.exec(text)?.[0].trim();
    const kind = mark?.replace(/\d+/u, '1').replace(/[xX ]/u, '');
    if (kind !== undefined) kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
    if (PRESS.test(text.slice(BULLET.exec(text)?.[0].length ?? 0).trimStart())) press++;
  }
  return { bullet: Math.max(0, ...kinds.values()) >= MOSTLY * lines.length, press: press >= MOSTLY * lines.length };
}

type Ways = {
  readonly side: Sides['side'];
  /** What parts name and keys in many lines, the most frequent first. */
  readonly joints: readonly string[];
  readonly calls: boolean;
  readonly to: boolean;
};
const keyOf = ({ side, joint }: Sides): string => `${side} ${joint}`;

/** On which side most lines have their keys, and what parts them; null where most have none. */
function waysOf(lines: readonly Line[], start: Start): Ways | null {
  const counts = new Map<string, { sides: Sides; count: number; sure: number }>();
  const found = lines.map((line) => sidesOf(line.text, start));
  for (const some of found)
    for (const one of some) {
      const known = counts.get(keyOf(one)) ?? { sides: one, count: 0, sure: 0 };
      counts.set(keyOf(one), { ...known, count: known.count + 1, sure: known.sure + (one.sure ? 1 : 0) });
    }
  const kept = [...counts.values()]
    .filter(({ count, sure }) => count >= FEWEST && sure >= 0.3 * count)
    .sort((a, b) => b.count - a.count);
  const side = kept[0]?.sides.side;
  if (!side) return null;
  const joints = kept.filter((one) => one.sides.side === side).map((one) => one.sides.joint);
  const own = found.flatMap((some, i) => {
    const one = joints.flatMap((joint) => some.find((each) => each.side === side && each.joint === joint) ?? [])[0];
    return one ? [{ line: lines[i] as Line, one }] : [];
  });
  const names = own.map(({ line, one }) => line.text.slice(...one.name).trim());
  // What is called alike on most lines is a word of a form, and no name.
  if (own.length < 0.5 * lines.length || new Set(names).size < MOSTLY * names.length) return null;
  const mostly = (test: RegExp): boolean => names.filter((name) => test.test(name)).length >= MOSTLY * names.length;
  const calls = side === 'last' && mostly(CALLS);
  return { side, joints, calls, to: mostly(TO) };
}

/** The sides of a line as most lines have theirs; null where it has none. */
function bestSides(line: Line, start: Start, { side, joints }: Ways): Sides | null {
  for (const joint of joints) {
    const [one] = sidesOf(line.text, start, { side, joint });
    // A sign that parts name and keys elsewhere is no key.
    if (one && !joints.includes(line.text.slice(...one.keys).trim())) return one;
  }
  return null;
}

/** Where the name stands, without the words that only lead to keys. */
function named({ text }: Line, { name: [from, to] }: Sides, { calls, to: toDo }: Ways): readonly [number, number] {
  const body = trimEnd(text.slice(from, to), ' \t,');
  const set = indentOf(body);
  const begin = set + (toDo ? (TO.exec(body.slice(set))?.[0].length ?? 0) : 0);
  const called = calls ? (CALLS.exec(body)?.[0].length ?? 0) : toDo && /[^.]\.$/u.test(body) ? 1 : 0;
  const end = trimEnd(body.slice(0, body.length - called), called > 0 ? ' \t,;:–—-' : ' \t').length;
  if (end <= begin) return [from, to];
  const [, sign = ''] = /^(\*\*|__|[*_`])[^*_`]+\1$/u.exec(body.slice(begin, end)) ?? [];
  return [from + begin + sign.length, from + end - sign.length];
}

/** Which of all ways are asked for: all, or one. */
type Want = { readonly side: Sides['side']; readonly joint: string } | null;

/** All ways in which a line has keys at one end and a name at the other, or those that are asked for. */
function sidesOf(text: string, start: Start, want: Want = null): readonly Sides[] {
  if (text.length > LONGEST) return [];
  const bullet = start.bullet ? (BULLET.exec(text)?.[0].length ?? 0) : 0;
  const set = bullet + indentOf(text.slice(bullet));
  const from = set + (start.press ? (PRESS.exec(text.slice(set))?.[0].length ?? 0) : 0);
  const bare = text.trimEnd().length;
  const found = waysIn(text, from, bare, want);
  // A dot or a comma at the end is a key, or ends what is said.
  if (/[.,;]$/u.test(text.slice(bare - 1, bare))) found.push(...waysIn(text, from, bare - 1, want));
  return found;
}
function waysIn(text: string, from: number, to: number, want: Want): Sides[] {
  if (want === null)
    return [...wrapped(text, from, to, want), ...joined(text, from, to, want), ...besideWords(text, from, to, want)];
  const way = want.joint === '' ? besideWords : want.joint in BRACKETS ? wrapped : joined;
  return way(text, from, to, want);
}

/** Whether a text may be a name: with a word in it, and no sign that only leads to something at its edges. */
const isName = (text: string): boolean =>
  /\p{L}{2}/u.test(text) && !/^\s*(?:[=:→|>-]\s|[{}[\]])|\s[=:→|<-]\s*$/u.test(text);
function sidesIf(
  text: string,
  want: Want,
  side: Sides['side'],
  joint: string,
  name: Sides['name'],
  span: Sides['keys'],
): Sides[] {
  if (want && (want.side !== side || want.joint !== joint)) return [];
  const keys = bareKeys(text, span);
  const pressed = text.slice(...keys);
  if (!isName(text.slice(...name)) || /^[=:→|]\s|\s[=:→|]$/u.test(pressed) || !reads(pressed)) return [];
  // A sign that begins a comment is no key before words.
  if (joint === '' && side === 'first' && /^(?:#+|"|;+|\/\/|--|!)$/u.test(pressed)) return [];
  return [{ side, joint, name, keys, sure: isSure(pressed) }];
}
/** Keys without blanks around them, a word that only tells to press them, and the dot that ends a sentence. */
function bareKeys(text: string, [from, to]: Sides['keys']): Sides['keys'] {
  const part = text.slice(from, to);
  const start = from + indentOf(part);
  const begin = start + (PRESS.exec(text.slice(start, to))?.[0].length ?? 0);
  const end = from + part.trimEnd().length;
  const short = /[^.\s+-]\.$/u.test(text.slice(begin, end)) ? end - 1 : end;
  return [begin < end ? begin : start, short];
}
/** Keys in brackets or quotes at one end. */
function wrapped(text: string, from: number, to: number, want: Want): Sides[] {
  const found: Sides[] = [];
  for (const [open, close] of PAIRS) {
    if (want && want.joint !== open) continue;
    if (text.startsWith(close, to - close.length)) {
      const begin = text.lastIndexOf(open, to - close.length - 1);
      const name = beforeJoint(text, from, begin);
      if (begin > from)
        found.push(...sidesIf(text, want, 'last', open, [from, name], [begin + open.length, to - close.length]));
    }
    if (text.startsWith(open, from)) {
      const end = text.indexOf(close, from + open.length);
      const rest = end < 0 ? to : end + close.length;
      const lead = /^[\s:=→–—|>-]*/u.exec(text.slice(rest, to))?.[0].length ?? 0;
      if (end > 0) found.push(...sidesIf(text, want, 'first', open, [rest + lead, to], [from + open.length, end]));
    }
  }
  return found;
}
/** Where a name ends before keys, without the signs that lead to these. */
const beforeJoint = (text: string, from: number, to: number): number =>
  from + trimEnd(text.slice(from, Math.max(from, to)), ' \t:=→–—|>-').length;

/** Keys before or behind a sign that parts them from their name. */
function joined(text: string, from: number, to: number, want: Want): Sides[] {
  const found = new Map<string, Sides>();
  const body = text.slice(0, to);
  for (const { 0: sign, index } of body.matchAll(JOINT)) {
    const end = index + sign.length;
    if (index <= from || end >= to) continue;
    // As much as reads as keys is keys: of those before a name the last, of those behind it the first.
    for (const one of [
      ...sidesIf(text, want, 'last', sign, [from, index], [end, to]),
      ...sidesIf(text, want, 'first', sign, [end, to], [from, index]),
    ])
      if (one.side === 'first' || !found.has(keyOf(one))) found.set(keyOf(one), one);
  }
  return [...found.values()];
}

/** Keys that single blanks part from their name; as many words as read as keys. */
function besideWords(text: string, from: number, to: number, want: Want): Sides[] {
  const words = wordsOf(text, from, to);
  const found: Sides[] = [];
  for (let i = Math.max(1, words.length - MOST_WORDS); i < words.length && want?.side !== 'first'; i++) {
    const [[, before], [begin, end]] = [words[i - 1] as Span, words[i] as Span];
    if (!mayBegin(text.slice(begin, end))) continue;
    const [one] = sidesIf(text, want, 'last', '', [from, before], [begin, to]);
    if (!one || !isOne(text.slice(...one.keys), 'last')) continue;
    found.push(one);
    break;
  }
  for (let i = Math.min(MOST_WORDS, words.length - 1) - 1; i >= 0 && want?.side !== 'last'; i--) {
    const [[begin, end], [next]] = [words[i] as Span, words[i + 1] as Span];
    if (!mayEnd(text.slice(begin, end))) continue;
    const [one] = sidesIf(text, want, 'first', '', [next, to], [from, end]);
    if (!one || !isOne(text.slice(...one.keys), 'first')) continue;
    found.push(one);
    break;
  }
  return found;
}

const WORD = /\S+/gu;
/** Where the words of a part of a text stand. */
function wordsOf(text: string, from: number, to: number): Span[] {
  const words: Span[] = [];
  WORD.lastIndex = from;
  for (let found = WORD.exec(text); found && found.index < to; found = WORD.exec(text))
    words.push([found.index, Math.min(to, WORD.lastIndex)]);
  return words;
}

/**
 * Whether keys beside words are one chord, or strokes: a word for a key beside keys that are whole without it, such as
 * “less” in “Weigh less Ctrl+-” or “delete” in “Delete Delete layer”, belongs to the name.
 */
function isOne(keys: string, side: Sides['side']): boolean {
  const words = keys.split(/\s+/u);
  if (words.length < 2) return true;
  const outer = (side === 'last' ? words[0] : words.at(-1)) ?? '';
  const rest = (side === 'last' ? words.slice(1) : words.slice(0, -1)).join(' ');
  // What is joined to it by a plus belongs to it.
  if (/^[+]|[+]$/u.test(rest)) return true;
  return isSure(outer) || /^.$/u.test(outer) || !reads(outer) || !reads(rest);
}
