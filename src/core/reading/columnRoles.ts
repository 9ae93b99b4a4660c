import { MODIFIER_WORDS } from '../chord/modifierWords';
import { isPlainName } from './mayBeKeys';
import { readKeysCell } from './readKeysCell';
import type { Role } from './roles';
import type { RawRow, RawTable } from './tables';

const HEADER_WORDS: readonly (readonly [Role, RegExp])[] = [
  ['Mac keys', /\bmac\b|mac_?keys?|macos|\bosx\b|apple/i],
  [
    'keys',
    /short\s?cut|^keys?$|hot\s?key|key\s?(board|stroke|map|s\b)|binding|accelerator|tast|raccourci|atajo|windows|linux|\bpc\b|press|\bchord/i,
  ],
  ['kind', /^(kind|type|art)$/i],
  ['path', /menu|path|category|group|section|where|location|area|found|pfad|chemin|ruta|panel|module|context|page/i],
  ['ignore', /desc|note|comment|remark|explan|what it does|since|version|default\?|^#$|^no\.?$|\bid\b|beschreib/i],
  [
    'name',
    /command|name|action|function|tool|task|befehl|commande|comando|feature|operation|item|to do|effect|^label$|^title$/i,
  ],
];

/** The role a column's heading speaks for, if any. */
export function roleOfHeader(text: string): Role | null {
  return HEADER_WORDS.find(([, words]) => words.test(text))?.[0] ?? null;
}

/**
 * Whether a row names columns instead of filling them: short words, none of them keys, one of them a word for keys. Where
 * it stands first, words for two columns or more do; further down it would take a command for one.
 */
export function isHeaderRow(row: Pick<RawRow, 'cells' | 'heading'>, first = true): boolean {
  const filled = row.cells.filter((cell) => cell !== '');
  if (filled.length < 2 || filled.some((cell) => cell.length > 40)) return false;
  if (filled.some((cell) => /[+⌘⌥⇧⌃]|\bF\d|^\(/.test(cell))) return false;
  // A sentence fills a column.
  if (filled.some((cell) => /\p{L}\.$/u.test(cell) && cell.split(' ').length > 2)) return false;
  // Keys such as `<Alt>Page_Up`, and in Mac words, have words in them that head columns as well.
  if (filled.some((cell) => /[^\p{L}\p{N}]/u.test(cell) && readsAsKeys(cell) && areAllKeys(cell))) return false;
  const roles = filled.map(roleOfHeader);
  const named = roles.filter((role) => role !== null).length;
  if (row.heading) return named >= 1;
  // Further down a row that leaves a column empty is a command without keys.
  if (!first && filled.length < row.cells.length) return false;
  const ofKeys = roles.some((role) => role === 'keys' || role === 'Mac keys');
  if (ofKeys) return first ? named >= Math.min(2, filled.length) : named === filled.length && new Set(roles).size > 1;
  // One column may be called by a word that says little, such as “default”.
  const nearly = named > 2 && named === filled.length - 1 && roles.includes('name');
  return first && (named === filled.length || nearly) && new Set(roles).size > 1;
}

/** Whether a cell reads as keys; words such as “command” alone are held keys as well, but no sign of them. */
export const readsAsKeys = (cell: string): boolean =>
  !isModifier(cell) && !isPlainName(cell) && readKeysCell(cell, 'windows').status === 'keys';
const areAllKeys = (cell: string): boolean => readKeysCell(cell, 'windows').problems.length === 0;
const isModifier = (cell: string): boolean => MODIFIER_WORDS[cell.toLowerCase()] !== undefined;

/** Whether all of a cell reads as keys, and as no bare letter, number or word. */
export const areSurelyKeys = (cell: string): boolean =>
  SURE_KEYS.test(cell) && readsAsKeys(cell) && readKeysCell(cell, 'windows').problems.length === 0;
const SURE_KEYS = /[+⌘⌥⌃⇧^-].|^F\d/u;

/** So far down may the row stand that names the columns. */
const HEAD_WITHIN = 6;

/** What names the columns of a table: a row of it, what its form says, or nothing. */
export function headOf(table: RawTable): { readonly row: RawRow | null; readonly cells: readonly string[] | null } {
  if (table.header) return { row: null, cells: table.header };
  const row = table.rows
    .filter((one) => one.left === undefined)
    .slice(0, HEAD_WITHIN)
    .find((one, i) => isHeaderRow(one, i < 2));
  return { row: row ?? null, cells: row?.cells ?? null };
}

/**
 * The role of each column, from its heading and from what stands in it: keys are what reads as keys, the name is the
 * column with the most differing words, a path repeats or has steps.
 */
export function guessRoles(header: readonly string[] | null, rows: readonly Pick<RawRow, 'cells'>[]): Role[] {
  const width = Math.max(header?.length ?? 0, ...rows.map((row) => row.cells.length), 1);
  const body = rows.slice(0, 400);
  const columns = Array.from({ length: width }, (_, i) => profileOf(body.map((row) => row.cells[i] ?? '')));
  const said = Array.from({ length: width }, (_, i) => roleOfHeader(header?.[i] ?? ''));
  const roles: Role[] = columns.map(() => 'ignore');
  const free = (i: number): boolean => roles[i] === 'ignore';

  // Keys first: they are the surest to know by sight. A heading helps where cells are few.
  const ofKeys = (i: number): boolean => said[i] === 'keys' || said[i] === 'Mac keys';
  const keyScore = columns.map(
    // Bare numbers are keys, too, but where others are read as well they count the rows.
    (c, i) =>
      (ofKeys(i) ? c.keys : c.sure) -
      0.2 * c.numbers -
      (c.joint ? 1 : 0) -
      // What many rows say alike is a kind, not their keys.
      (c.alike && !ofKeys(i) ? 0.6 : 0) +
      0.3 * (c.filled / Math.max(1, body.length)) -
      0.3 +
      (ofKeys(i) ? 0.5 : said[i] ? -0.3 : 0),
  );
  // Of two columns that are much alike, names are the one whose cells are keys in part alone.
  const byScore = order(keyScore.map((score, i) => score + 0.1 * (columns[i]?.whole ?? 0)));
  const scored = byScore.filter((i) => (keyScore[i] ?? 0) >= 0.45);
  // Where a column is said to hold keys, none that is said to hold something else does.
  const sure = scored.some(ofKeys) ? scored.filter((i) => ofKeys(i) || said[i] === null) : scored;
  // One column is left for the names, however much like keys they are.
  const byKeys = columns.some((c, i) => c.filled > 0 && !sure.includes(i)) ? sure : sure.slice(0, -1);
  const mac =
    byKeys.find((i) => said[i] === 'Mac keys') ?? byKeys.find((i) => (columns[i]?.mac ?? 0) > 0.3 && byKeys.length > 1);
  const keys = byKeys.find((i) => i !== mac);
  if (keys !== undefined) roles[keys] = 'keys';
  if (mac !== undefined) roles[mac] = 'Mac keys';

  const nameScore = columns.map((c, i) =>
    free(i) && c.filled > 0
      ? c.distinct +
        c.letters +
        (said[i] === 'name'
          ? 1
          : said[i] === 'path' || said[i] === 'kind'
            ? -0.8
            : said[i] === 'ignore'
              ? asideOf(header?.[i] ?? '', said.includes('name'))
              : 0) -
        c.long -
        0.5 * c.steps -
        c.tags -
        (c.same ? 2 : 0) -
        1.5 * (1 - c.filled / Math.max(1, body.length))
      : Number.NEGATIVE_INFINITY,
  );
  const name = order(nameScore)[0];
  if (name !== undefined && Number.isFinite(nameScore[name] ?? Number.NaN)) roles[name] = 'name';

  columns.forEach((c, i) => {
    if (!free(i) || c.filled === 0) return;
    if (said[i] === 'kind') roles[i] = 'kind';
    else if (
      said[i] === 'path' ||
      (said[i] === null && c.letters > 0.5 && c.long < 0.3 && (c.distinct < 0.6 || c.steps > 0.3))
    )
      roles[i] = 'path';
  });
  return roles;
}

type Column = {
  filled: number;
  distinct: number;
  letters: number;
  keys: number;
  sure: number;
  /** How many are keys with nothing left over that could not be read. */
  whole: number;
  mac: number;
  steps: number;
  /** How many are put between bars or stars, as places that others lead to are. */
  tags: number;
  /** Whether all of several say the same. */
  same: boolean;
  /** Whether that is one sign, which only stands between the other columns. */
  joint: boolean;
  /** Whether more than half of many say the same. */
  alike: boolean;
  numbers: number;
  long: number;
};

function profileOf(cells: readonly string[]): Column {
  const filled = cells.filter((cell) => cell !== '');
  const share = (test: (cell: string) => boolean): number =>
    filled.length === 0 ? 0 : filled.filter(test).length / filled.length;
  // What says that there are no keys speaks neither for nor against them, where some are said.
  const told = filled.filter((cell) => !EMPTY.test(cell));
  const read = new Map(filled.map((cell) => [cell, isPlainName(cell) ? undefined : readKeysCell(cell, 'windows')]));
  const isKeys = (cell: string): boolean => read.get(cell)?.status === 'keys' || MEDIA_KEY.test(cell);
  const ofKeys = (test: (cell: string) => boolean): number =>
    told.length >= Math.max(3, 0.2 * filled.length) ? told.filter(test).length / told.length : share(test);
  const counts = new Map<string, number>();
  for (const cell of told) counts.set(cell, (counts.get(cell) ?? 0) + 1);
  const texts = new Set(filled).size;
  const same = filled.length > 2 && texts === 1;
  return {
    filled: filled.length,
    distinct: filled.length === 0 ? 0 : texts / filled.length,
    letters: share((cell) => /\p{L}{3}/u.test(cell)),
    keys: ofKeys(isKeys),
    sure: ofKeys((cell) => isKeys(cell) && !isModifier(cell)),
    whole: ofKeys((cell) => isKeys(cell) && read.get(cell)?.problems.length === 0),
    mac: share((cell) => /[⌘⌥⌃]|\b(cmd|command|option)\b/i.test(cell)),
    steps: share((cell) => /\s[>›→»]\s/u.test(cell)),
    same,
    joint: same && /^[^\p{L}\p{N}]{1,2}$/u.test(filled[0] ?? ''),
    tags: share((cell) => /^([|*])[^\s|*]+\1$/u.test(cell)),
    alike: told.length > 8 && Math.max(...counts.values()) > 0.5 * told.length,
    numbers: share((cell) => /^\d+$/.test(cell)),
    long: share((cell) => cell.length > 60),
  };
}

/** A key for music, mail and the like, as X calls it: a sign of keys, though none that a keymap has. */
export const MEDIA_KEY = /^[\s['"(]*(?:<\w+>|\w+\+)*XF86\w+/u;
/** An empty list, map or text, as files write it. */
export const EMPTY = /^(?:\[(?:''|"")?\]|\{\}|""|''|@\w+ \[\])$/u;

/** How much speaks against names in a column that is said to tell more of them: less where no other is said to have them. */
function asideOf(head: string, named: boolean): number {
  if (named) return -1.2;
  // What a structured file calls its things by, where it has no names for them; what keys do.
  return /^id$/iu.test(head) ? 0 : /what it does|desc|beschreib|explan/iu.test(head) ? -0.3 : -1.2;
}

function order(scores: readonly number[]): number[] {
  return scores.map((_, i) => i).sort((a, b) => (scores[b] ?? 0) - (scores[a] ?? 0));
}
