import { columnAt, indentOf, placeAt } from '../forms/lines';

/**
 * How what stands between two fields of a line is found in another line. `find` says where the field before it ends and
 * the one after it begins; null where the line has no such thing.
 */
export type Parting = {
  readonly find: (text: string, from: number) => readonly [ends: number, begins: number] | null;
  /** Whether it is more than a single blank, so that hardly any sentence has it. */
  readonly telling: boolean;
};
/** Where the first field of a line begins; null where the line begins otherwise. */
export type Beginning = { readonly find: (text: string) => number | null; readonly telling: boolean };
/** Where the last field of a line ends. */
export type Ending = { readonly find: (text: string, from: number) => number | null };

const isBlank = (text: string): boolean => text.trim() === '';

/** Where a text stands in another, any run of blanks for any other; a wide one only for wide ones. */
function findText(sought: string, text: string, from: number, last = false): readonly [number, number] | null {
  const parts = sought.split(/(\s+)/u).filter((part) => part !== '');
  const at = (place: number): number | null => {
    let end = place;
    for (const part of parts) {
      if (isBlank(part)) {
        const run = indentOf(text.slice(end));
        const wide = run > 1 || text[end] === '\t';
        if (run === 0 || (isWide(part) && !wide)) return null;
        end += run;
      } else if (text.startsWith(part, end)) end += part.length;
      else return null;
    }
    return end;
  };
  const first = parts[0] ?? '';
  let found: readonly [number, number] | null = null;
  for (let place = from; place < text.length; place++) {
    if (isBlank(first) ? !/\s/u.test(text[place] ?? '') : !text.startsWith(first, place)) continue;
    const end = at(place);
    if (end !== null) {
      found = [place, end];
      if (!last) return found;
    }
    // A run of blanks is one.
    if (isBlank(first)) while (/\s/u.test(text[place + 1] ?? '')) place++;
  }
  return found;
}
/** Where a text stands in another; null where it does not. */
function placeOf(text: string, sought: string, from: number): number | null {
  const at = text.indexOf(sought, from);
  return at < 0 ? null : at;
}
/** The signs at the end of a text, from the first on that is no blank, or with the blanks before. */
function signsAtEnd(text: string, bare = true): string {
  const signs = [...text];
  let from = signs.length;
  while (from > 0 && !/[\p{L}\p{N}]/u.test(signs[from - 1] ?? '')) from--;
  const end = signs.slice(from).join('');
  return bare ? end.trimStart() : end;
}
const isWide = (blanks: string): boolean => blanks.length > 1 || blanks === '\t';

/** The ways in which lines may begin as one that has this before its first field; the plainest first. */
export function beginningsLike(before: string): Beginning[] {
  if (isBlank(before))
    return [
      {
        telling: before.length > 0,
        find: (text) => (text.startsWith(before) && indentOf(text) === before.length ? before.length : null),
      },
      // What is set in is told from what is not.
      { telling: false, find: (text) => (indentOf(text) > 0 === before.length > 0 ? indentOf(text) : null) },
      { telling: false, find: indentOf },
    ];
  const words = before.trim().split(/\s+/u);
  const [first = ''] = words;
  const skipWords = (text: string, begins: (word: string) => boolean): number | null => {
    let at = indentOf(text);
    for (let i = 0; i < words.length; i++) {
      const end = text.slice(at).search(/\s/u);
      if (end < 0 || (i === 0 && !begins(text.slice(at, at + end)))) return null;
      at += end + indentOf(text.slice(at + end));
    }
    return at;
  };
  const signs = signsAtEnd(before);
  return [
    {
      telling: true,
      find: (text) => {
        const start = indentOf(text);
        const found = findText(before.trimStart(), text, start);
        return found?.[0] === start ? found[1] : null;
      },
    },
    ...(/\s$/u.test(before)
      ? [
          { telling: true, find: (text: string) => skipWords(text, (word) => word === first) },
          { telling: false, find: (text: string) => skipWords(text, () => true) },
        ]
      : []),
    ...(signs.trim() === ''
      ? []
      : [{ telling: true, find: (text: string) => findText(signs.trimStart(), text, 0)?.[1] ?? null }]),
    ...atColumn(before.length),
  ];
}

/** Fields that begin in one column of all lines. */
function atColumn(place: number): Beginning[] {
  return [
    {
      telling: false,
      find: (text) =>
        place < text.length && /\s/u.test(text[place - 1] ?? '') && /\S/u.test(text[place] ?? '') ? place : null,
    },
  ];
}

/** The ways in which two fields may be parted as by this; the plainest first. */
export function partingsLike(
  between: string,
  line: string,
  at: number,
  keysFirst: boolean | null,
  reads: (keys: string) => boolean,
): Parting[] {
  const found: Parting[] = [];
  const telling = !isBlank(between) || isWide(between);
  const leader = /([^\p{L}\p{N}\s])\1{2,}/u.exec(between)?.[1];
  if (leader !== undefined)
    found.push({
      telling: true,
      find: (text, from) => {
        const begin = text.indexOf(leader.repeat(2), from);
        if (begin < 0) return null;
        let end = begin;
        while (text[end] === leader || /\s/u.test(text[end] ?? '')) end++;
        return [begin, end];
      },
    });
  for (const last of [false, true]) found.push({ telling, find: (text, from) => findText(between, text, from, last) });
  // Blanks that fill a column are wide in one line and single in another: the keys tell where they end.
  if (isBlank(between) && keysFirst !== null)
    found.push({ telling: isWide(between), find: (text, from) => besideKeys(text, from, keysFirst, reads) });
  if (isBlank(between)) {
    const column = columnAt(line, at + between.length);
    found.push({
      telling: true,
      find: (text, from) => {
        const place = placeAt(text, column);
        if (place === null || place <= from || !/\s/u.test(text[place - 1] ?? '') || isBlank(text[place] ?? ' '))
          return null;
        return [place, place];
      },
    });
  }
  const lead = /^[^\p{L}\p{N}]+/u.exec(between)?.[0] ?? '';
  const tail = signsAtEnd(between, false);
  // Words between the fields may be others in other lines; what is around them stays.
  if (lead !== '' && tail !== '' && /[\p{L}\p{N}]/u.test(between))
    found.push({
      telling,
      find: (text, from) => {
        const left = findText(lead, text, from);
        const right = left && findText(tail, text, left[1]);
        return left && right ? [left[0], right[1]] : null;
      },
    });
  return found;
}

/** Hardly any keys are written in more words. */
const MOST_WORDS = 7;

/** Parts a line by blanks so that the side of the keys is as long as it still reads as keys. */
function besideKeys(
  text: string,
  from: number,
  keysFirst: boolean,
  reads: (keys: string) => boolean,
): readonly [number, number] | null {
  // Keys alone have no name.
  if (reads(text.slice(from).trim())) return null;
  const blanks = [...text.slice(from).matchAll(/\s+/gu)]
    .map((one): [number, number] => [from + one.index, from + one.index + one[0].length])
    .filter(([begin, end]) => begin > from && end < text.length);
  // Nothing reaches over a wide blank.
  const wide = ([begin, end]: readonly [number, number]): boolean => isWide(text.slice(begin, end));
  if (keysFirst) {
    const first = blanks.findIndex(wide);
    const near = (first < 0 ? blanks : blanks.slice(0, first + 1)).slice(0, MOST_WORDS);
    return near.findLast(([begin]) => reads(text.slice(from, begin))) ?? null;
  }
  const near = blanks.slice(Math.max(0, blanks.findLastIndex(wide))).slice(-MOST_WORDS);
  return near.find(([, end]) => reads(text.slice(end).trim())) ?? null;
}

/** The ways in which the last field may end as one that has this behind it; the plainest first. */
export function endingsLike(after: string): Ending[] {
  const atEnd: Ending = { find: (text) => text.trimEnd().length };
  if (isBlank(after)) return [atEnd];
  const tail = after.trimEnd();
  const lead = /^\s*[^\p{L}\p{N}\s]*/u.exec(after)?.[0] ?? '';
  const upTo = (text: string, from: number): number | null =>
    findText(lead, text, from)?.[0] ?? (/\S/u.test(lead) ? null : text.trimEnd().length);
  return [
    // What is quoted ends with its quote, whatever follows that.
    ...(/^["'`|]/u.test(lead) ? [{ find: (text: string, from: number) => placeOf(text, lead.charAt(0), from) }] : []),
    {
      find: (text, from) => {
        const body = text.trimEnd();
        return body.endsWith(tail.trimStart()) && body.length - tail.trimStart().length > from
          ? text.slice(0, body.length - tail.trimStart().length).trimEnd().length
          : null;
      },
    },
    ...(lead === ''
      ? []
      : [
          { find: upTo },
          // What stands behind it may be missing.
          { find: (text: string, from: number) => findText(lead, text, from)?.[0] ?? text.trimEnd().length },
        ]),
  ];
}
