import { type Dialect, parseChord } from '../chord/parseChord';
import { dialectOf } from '../chord/parseChords';
import { keysText } from './keysText';

/** How a list writes its keys, told by all its cells together. */
export type Manner = {
  readonly dialect: Dialect;
  /** Whether a capital letter alone is pressed with Shift, as both `g` and `G` stand there, or hardly any is one. */
  readonly capitals: boolean;
  /** Whether signs beside each other are pressed one after the other, as in `gg` or `<Space>f`. */
  readonly strokes: boolean;
  /** Whether keys with blanks or commas between them are pressed one or the other, or one after the other; null: as usual. */
  readonly apart: 'either' | 'in turn' | null;
  /** Whether keys in lines of their own are pressed one after the other. */
  readonly lines: boolean;
  /** Whether those with commas are pressed one or the other, though those with blanks are in turn. */
  readonly commas: boolean;
  /** Whether a lone `-` or `?` is the key, as other signs stand alone too; otherwise it says that there are none. */
  readonly signs: boolean;
};
export const PLAIN_MANNER: Manner = {
  dialect: 'windows',
  capitals: false,
  strokes: false,
  apart: null,
  lines: false,
  commas: false,
  signs: false,
};

const MOST_LOOKED_AT = 4000;
/** A cell with more in it tells many ways at once, and no manner. */
const LONGEST = 80;
/** Several letters, or signs in brackets, with nothing between them. */
const RUN = /^(?:<[^<>\s]{1,20}>|[^\s<>+]){2,5}$/u;

/** How the keys in these cells are written. */
export function mannerOf(cells: readonly string[]): Manner {
  const looked = cells
    .filter((cell) => cell.length <= LONGEST)
    .slice(0, MOST_LOOKED_AT)
    .map((cell) => (cell.length < 3 ? cell : keysText(cell, false)));
  const dialect = dialectOf(cells.slice(0, MOST_LOOKED_AT));
  const letters = new Set(looked.flatMap((cell) => cell.split(/[\s,]+/u)).filter((one) => /^\p{L}$/u.test(one)));
  const both = [...letters].filter((one) => one !== one.toLowerCase() && letters.has(one.toLowerCase())).length;
  const upper = [...letters].filter((one) => one !== one.toLowerCase()).length;
  // Where Shift is said with letters, a capital does not mean it as well.
  const shifted = looked.filter((cell) => /(?:^|\s)shift[\s+-]+\p{Lu}$/iu.test(cell)).length;
  const capitals =
    shifted < 3 &&
    (both >= 2 || (both === 1 && looked.length < 30) || (upper > 0 && letters.size - upper >= Math.max(8, 4 * upper)));
  const runs = looked.filter(
    (cell) => RUN.test(cell) && /^(?:[^\p{L}]|.*\p{Ll}|<)/u.test(cell) && !/^[Ff]\d+$/u.test(cell) && cell.length > 1,
  );
  const singles = looked.filter((cell) => [...cell].length === 1).length;
  const angled = looked.filter((cell) => /^<[^<>\s]+>/u.test(cell)).length;
  const strokes =
    runs.filter((cell) => /^\p{L}{2,3}$/u.test(cell) || /^\p{L}?<|>\p{L}$/u.test(cell)).length >= 3 &&
    (capitals || singles >= 8) &&
    (capitals || angled > 0);
  const lone = looked.filter((cell) => /^[-?]$/u.test(cell)).length;
  const asked = looked.filter((cell) => cell === '?').length;
  const others = looked.filter((cell) => /^[+=*,./[\]{}();:'`!@#$%^&<>|~_]$/u.test(cell)).length;
  const inLines = looked.filter((cell) => cell.includes('\n'));
  return {
    dialect,
    capitals,
    strokes,
    apart: apartIn(looked.filter((cell) => !cell.includes('\n'))),
    lines: apartIn(inLines) === 'in turn' || inLines.some(saysTwice),
    commas: hasStrokes(looked),
    // Where letters alone are keys, the one question mark among them is as well: it mostly asks for help.
    signs: lone > 0 && ((others > 0 && lone <= 4 + others) || (lone === asked && asked <= 2 && singles >= 3)),
  };
}

/** Whether all lines of a cell are the same, as nobody says one way twice. */
export const saysTwice = (cell: string): boolean => {
  const [first, ...more] = cell.split('\n');
  return more.length > 0 && more.every((line) => line === first);
};

/** Whether several cells have strokes with a modifier each, or the first of them, and only blanks between them. */
const hasStrokes = (cells: readonly string[]): boolean =>
  cells.filter((cell) => /^[^\s+-]+[+-]\S+ \S+$/u.test(cell) && !/[,;]/u.test(cell) && parseChord(cell).ok).length >= 3;

/**
 * How keys that stand apart in a cell are meant. Where the same one comes first in several cells it leads to others; where
 * none does though many cells have several, each is one way.
 */
function apartIn(cells: readonly string[]): Manner['apart'] {
  const byFirst = new Map<string, Set<string>>();
  let several = 0;
  for (const cell of cells) {
    const parts = cell.split(/,? +|\n/u);
    if (
      parts.length < 2 ||
      parts.length > 6 ||
      !parts.every((part) => /^\S{1,24}$/u.test(part) && !/^(?:or|and|then|the|\/|\||-|–|\+)$/iu.test(part))
    )
      continue;
    const [first = '', ...rest] = parts;
    if (!parseChord(first).ok || !rest.every((part) => parseChord(part).ok)) continue;
    several++;
    const after = byFirst.get(first) ?? new Set();
    byFirst.set(first, after.add(rest.join(' ')));
  }
  const leads = [...byFirst.values()].filter((after) => after.size > 1).reduce((sum, after) => sum + after.size, 0);
  if (leads >= 3 ? leads >= 0.4 * several : leads === 2 && several === 2) return 'in turn';
  return several >= 3 && leads < 0.3 * several ? 'either' : null;
}
