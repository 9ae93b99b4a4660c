import { readKeysCell } from '../readKeysCell';
import { type Beginning, beginningsLike, type Ending, endingsLike, type Parting, partingsLike } from './partings';
import { type Field, LONGEST_SHOWN, type Mark, marksOf, type ShownLine } from './shownLine';

/** How lines are read as one that was shown: what stands before, between and behind its fields. */
export type Pattern = {
  readonly fields: readonly Field[];
  readonly begins: Beginning;
  readonly parted: readonly Parting[];
  readonly ends: Ending;
  /** Whether hardly any line but those of the list has what parts them. */
  readonly telling: boolean;
};
export type Marks = Readonly<Partial<Record<Field, Mark>>>;

/** So many lines of a file tell how it is to be read, and so many around one that was shown. */
const LOOKED_AT = 200;
const AROUND = 100;
/** And so much text in all, since each line is fitted in every way. */
const MOST_TEXT = 40_000;
const MOST_WORDS = 12;

/** The fields of a line as a pattern finds them, without blanks around them; null where the line doesn't fit. */
export function fitLine(pattern: Pattern, text: string): Marks | null {
  if (text.length > LONGEST_SHOWN) return null;
  let from = pattern.begins.find(text);
  if (from === null) return null;
  const marks: Partial<Record<Field, Mark>> = {};
  for (let i = 0; i < pattern.fields.length; i++) {
    const parting = pattern.parted[i];
    const found: readonly [number, number] | null = parting
      ? parting.find(text, from)
      : endAt(pattern.ends.find(text, from));
    if (!found) return null;
    const mark = trimmed(text, from, found[0]);
    if (!mark) return null;
    marks[pattern.fields[i] as Field] = mark;
    from = found[1];
  }
  return marks;
}
const endAt = (end: number | null): readonly [number, number] | null => (end === null ? null : [end, end]);

function trimmed(text: string, from: number, to: number): Mark | null {
  const part = text.slice(from, to);
  const start = from + part.length - part.trimStart().length;
  const end = from + part.trimEnd().length;
  return end > start ? [start, end] : null;
}

/**
 * The patterns that lines of a text are to be read by, from lines that were shown: of all ways in which these may be
 * meant, the one by which most lines become commands with keys. Lines that no one way explains have one each.
 */
export function inferPatterns(shown: readonly ShownLine[], lines: readonly string[]): Pattern[] {
  const kinds = new Map<string, ShownLine[]>();
  for (const one of shown) {
    const kind = marksOf(one)
      .map(({ field }) => field)
      .join();
    const some = kinds.get(kind);
    if (some) some.push(one);
    else kinds.set(kind, [one]);
  }
  const looked = linesToLookAt(lines, shown);
  return [...kinds.values()].flatMap((some) => {
    const one = bestOf(some, looked);
    return one ? [one] : some.flatMap((each) => bestOf([each], looked) ?? []);
  });
}

/** Lines from all over a text, and those around the ones that were shown. */
function linesToLookAt(lines: readonly string[], shown: readonly ShownLine[]): readonly string[] {
  const filled = lines.filter((line) => line.trim() !== '');
  const step = Math.max(1, Math.floor(filled.length / LOOKED_AT));
  const places = new Set(filled.flatMap((_, i) => (i % step === 0 ? [i] : [])));
  for (const { text } of shown) {
    const at = filled.indexOf(text);
    for (let i = Math.max(0, at - AROUND); at >= 0 && i < Math.min(filled.length, at + AROUND); i++) places.add(i);
  }
  let left = MOST_TEXT;
  return [...places].flatMap((i) => {
    const line = filled[i] ?? '';
    left -= line.length;
    return left >= 0 && line.length <= LONGEST_SHOWN ? [line] : [];
  });
}

/** How well a text reads as keys, from -0.1 to 1. */
function asKeys(text: string): number {
  const { status, problems } = readKeysCell(text, 'windows');
  return status === 'keys' ? (problems.length === 0 ? 1 : 0.3) : status === 'none' ? 0.1 : -0.1;
}

/** The best way in which all of these lines can be meant; null where there is none. */
function bestOf(shown: readonly ShownLine[], looked: readonly string[]): Pattern | null {
  let best: { readonly pattern: Pattern; readonly sense: number } | null = null;
  for (const pattern of shown.flatMap(waysToMean)) {
    if (!shown.every((line) => meets(pattern, line))) continue;
    let sense = 0;
    for (const text of looked) {
      const marks = fitLine(pattern, text);
      if (marks) sense += senseOf(text, marks);
    }
    if (!best || sense > best.sense + 0.5) best = { pattern, sense };
  }
  return best?.pattern ?? null;
}

/** Whether a pattern finds in a line just what is marked there. */
function meets(pattern: Pattern, line: ShownLine): boolean {
  const found = fitLine(pattern, line.text);
  return (
    found !== null &&
    marksOf(line).every(({ field, mark }) => found[field]?.[0] === mark[0] && found[field]?.[1] === mark[1])
  );
}

/** Every way in which a line that was shown can be meant; the plainest first. */
function waysToMean(line: ShownLine): Pattern[] {
  const marks = marksOf(line);
  const [first, last] = [marks[0], marks.at(-1)];
  if (!first || !last) return [];
  const fields = marks.map(({ field }) => field);
  const between = marks.slice(1).map(({ field, mark }, i) => {
    const before = marks[i];
    const keysFirst = before?.field === 'keys' ? true : field === 'keys' && i === marks.length - 2 ? false : null;
    const end = before?.mark[1] ?? 0;
    return partingsLike(line.text.slice(end, mark[0]), line.text, end, keysFirst, (text) => asKeys(text) === 1);
  });
  const partings = between.reduce<Parting[][]>(
    (ways, some) => ways.flatMap((way) => some.map((one) => [...way, one])),
    [[]],
  );
  return beginningsLike(line.text.slice(0, first.mark[0])).flatMap((begins) =>
    partings.flatMap((parted) =>
      endingsLike(line.text.slice(last.mark[1])).map((ends) => ({
        fields,
        begins,
        parted,
        ends,
        telling: begins.telling || parted.some((one) => one.telling),
      })),
    ),
  );
}

/** How much sense a line makes as a command: keys that can be read, a name of a few words. */
function senseOf(text: string, { name, keys }: Marks): number {
  const called = name ? text.slice(...name) : '';
  if (!/\p{L}/u.test(called)) return -0.5;
  const parted = /\s{2}|\t/u.test(called) ? -0.3 : 0;
  const words = called.split(/\s+/u).length > MOST_WORDS ? -0.5 : 0;
  return (keys ? asKeys(text.slice(...keys)) : 0.3) + parted + words;
}
