import type { ChordText } from '../chord/chord';

/** One of the keys in a cell as it is written; none where it is something else, such as a button of the pen. */
export type Piece = { readonly raw: string; readonly chord: ChordText | null };
/** What a cell is made of: keys with what separates them, and what stands around all of them. */
export type Parts = {
  readonly before: string;
  readonly pieces: readonly Piece[];
  /** One fewer than there are pieces. */
  readonly between: readonly string[];
  readonly behind: string;
};

/** What may stand around all keys of a cell, the widest first: brackets of a list with quotes in them, quotes, notes. */
const AROUND: readonly (readonly [before: RegExp, behind: RegExp | 'end of a list'])[] = [
  [/^(?:@\w{1,8} )?\[\s{0,20}(?:"""|["'])?/u, 'end of a list'],
  [/^["'`]/u, /["'`]$/u],
  [/^/u, /\s{1,4}(?:\([^()]{0,60}\)|\[[^[\]]{0,60}\])$|\s?[†‡¹²³]{1,6}$/u],
  [/^/u, /$/u],
  [/^\{/u, /\}$/u],
  [/^/u, /\s?\*{1,6}$/u],
  [/^[\p{L} ]{3,24}:\s/u, /$/u],
];
/** What separates several keys, the surest first. */
const BETWEEN: readonly RegExp[] = [
  /<\/(?:kbd|code|tt)>\s{0,20}(?:,|\/|\||or|<br\s{0,4}\/?>|;)\s{0,20}<(?:kbd|code|tt)>|<\/([\w.-]{1,40})>\s{0,60}<\1>/u,
  /"\s{0,60},\s{0,60}"|'\s{0,60},\s{0,60}'|`\s{0,60},\s{0,60}`/u,
  /["']?\n\s{0,60}- {1,20}["']?|(?:<br\s{0,4}\/?>|\n)\s{0,60}/u,
  /,? (?:or|oder|ou|o|and also) | \/ /u,
  /[;|]\s{0,20}|,\s{1,20}/u,
  /\/\s{0,20}/u,
  /,/u,
  / {1,20}/u,
];

/**
 * Takes a cell apart, so that each of its keys can be changed by itself.
 * @param chordsOf the keys that are read of a part of the cell.
 * @param chords those of the whole cell.
 * @returns null where the cell can't be taken apart.
 */
export function partsOfCell(
  raw: string,
  chords: readonly ChordText[],
  chordsOf: (raw: string, before: string, whole?: boolean) => readonly ChordText[],
): Parts | null {
  if (chords.length === 0) return null;
  for (const [opens, closes] of AROUND) {
    const before = opens.exec(raw)?.[0];
    const behind = closes === 'end of a list' ? endOfList(raw) : closes.exec(raw)?.[0];
    if (before === undefined || behind === undefined || before.length + behind.length >= raw.length) continue;
    if (before.length === 1 && behind.length === 1 && /["'`]/u.test(before) && before !== behind) continue;
    const inner = raw.slice(before.length, raw.length - behind.length);
    const whole = chordsOf(inner, before, true);
    if (chords.length === 1 && sameChords(whole, chords))
      return { before, pieces: [{ raw: inner, chord: chords[0] ?? null }], between: [], behind };
    for (const separator of BETWEEN) {
      const all = splitBy(inner, separator);
      if (all.pieces.length < 2) continue;
      const pieces = all.pieces.map((one): Piece => {
        const own = chordsOf(one, before);
        return { raw: one, chord: own.length === 1 ? (own[0] ?? null) : null };
      });
      const found = pieces.flatMap((one) => one.chord ?? []);
      if (sameChords([...new Set(found)], chords)) return { before, pieces, between: all.between, behind };
    }
  }
  return asOne(raw, chords, chordsOf);
}

/** Keys with something that is none, where these can't be told apart. */
function asOne(
  raw: string,
  chords: readonly ChordText[],
  chordsOf: (raw: string, before: string) => readonly ChordText[],
): Parts | null {
  if (chords.length !== 1 || !sameChords(chordsOf(raw, ''), chords)) return null;
  return { before: '', pieces: [{ raw, chord: chords[0] ?? null }], between: [], behind: '' };
}

const sameChords = (a: readonly ChordText[], b: readonly ChordText[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

/** The bracket a list ends with, with the quote and comma before it. */
function endOfList(raw: string): string | undefined {
  if (!raw.endsWith(']')) return undefined;
  const inner = raw.slice(0, -1).trimEnd();
  const bare = inner.endsWith(',') ? inner.slice(0, -1).trimEnd() : inner;
  const quote = bare.endsWith('"""') ? 3 : /["']$/u.test(bare) ? 1 : 0;
  return raw.slice(bare.length - quote);
}

/** A text between what matches, and what matched. */
function splitBy(text: string, separator: RegExp): { readonly pieces: string[]; readonly between: string[] } {
  const [pieces, between]: [string[], string[]] = [[], []];
  let from = 0;
  for (const found of text.matchAll(new RegExp(separator.source, `${separator.flags}g`))) {
    // A separator at once behind another is a key itself.
    if (found.index <= from || found.index + found[0].length >= text.length) continue;
    // Blanks before it are part of what separates.
    const piece = text.slice(from, found.index).trimEnd();
    pieces.push(piece);
    between.push(text.slice(from + piece.length, found.index + found[0].length));
    from = found.index + found[0].length;
  }
  pieces.push(text.slice(from));
  return { pieces, between };
}
