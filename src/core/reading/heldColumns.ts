import { type RawTable, tidyCell } from './tables';

/** Names of columns and fields that say of one modifier whether it is held: `ctrl`, `shiftKey`, `is-alt-down`. */
const OF_ONE =
  /^(?:(?:is|has|with|needs|hold)[-_ ]?)?(ctrl|control|strg|alt|option|shift|umschalt|meta|cmd|command|win|super)(?:[-_ ]?(?:key|down|pressed|held|modifier))?$/iu;
/** What the key is called that they belong to, and what holds all its modifiers by their words. */
const OF_KEY = /^(?:keys?|key[-_ ]?(?:name|code|sym|char)?|chord|hot ?key|short ?cut|taste|touche|tecla)$/iu;
const OF_ALL = /^(?:mask|mods?|modifiers?|mod[-_ ]?keys?|key[-_ ]?modifiers?)$/iu;
const [HELD, NOT_HELD] = [/^(?:true|yes|on|1|x|y|ja|✓|✔|●|•|\+)$/iu, /^(?:|false|no|off|0|n|nein|[-–—]|null|none)$/iu];
/** A mark of what is so where nothing else marks it, and of what is not so beside ticks. */
const CROSS = /^[✗✘×]$/u;

const LETTERS: Readonly<Record<string, string>> = {
  A: 'Alt',
  C: 'Ctrl',
  S: 'Shift',
  '4': 'Super',
  W: 'Super',
  M: 'Meta',
  H: 'Hyper',
};

/** Whether a column or field is called as one that says which modifiers are held. */
export const tellsHeld = (name: string): boolean => OF_ONE.test(lastOf(name)) || OF_ALL.test(lastOf(name));
const lastOf = (name: string): string => name.trim().slice(name.trim().lastIndexOf(' ') + 1);

/** Which of some columns hold the parts of keys that stand in several: the key, all modifiers by their words, or one of them each. */
export type Apart = {
  readonly key: number;
  readonly all: number | null;
  readonly ones: readonly (readonly [column: number, word: string])[];
  /** Whether a cross marks what is held, as no tick does beside it. */
  readonly crosses: boolean;
};

/** How the keys of a table stand in several columns; null where they don't. */
export function keysApart(names: readonly string[], rows: readonly (readonly (string | undefined)[])[]): Apart | null {
  const key = names.findIndex((name) => OF_KEY.test(lastOf(name)));
  if (key < 0) return null;
  // Fields of a record within a record are called by both: `binding key` belongs to `binding modifiers`.
  const outer = names[key]?.trim().slice(0, -lastOf(names[key] ?? '').length) ?? '';
  const bare = names.map((name) => (name.trim().startsWith(outer) ? name.trim().slice(outer.length) : ''));
  const cellsOf = (column: number): string[] => rows.map((row) => (row[column] ?? '').trim());
  const ones = bare.flatMap((name, column): [number, string][] => {
    const word = OF_ONE.exec(name)?.[1];
    const cells = word === undefined ? [] : cellsOf(column);
    const told =
      cells.every((cell) => HELD.test(cell) || NOT_HELD.test(cell) || CROSS.test(cell)) &&
      cells.some((cell) => cell !== '');
    return word !== undefined && told ? [[column, word === 'command' ? 'cmd' : word]] : [];
  });
  const all = bare.findIndex((name, column) => column !== key && OF_ALL.test(name));
  const crosses = !ones.some(([column]) => cellsOf(column).some((cell) => HELD.test(cell)));
  return ones.length === 0 && all < 0 ? null : { key, all: all < 0 ? null : all, ones, crosses };
}

/** Keys that stand in several cells, in one; an empty one where no key stands. */
export function keysTogether({ key, all, ones, crosses }: Apart, cells: readonly (string | undefined)[]): string {
  const pressed = (cells[key] ?? '').trim();
  const mask = all === null ? '' : (cells[all] ?? '').trim();
  const words = /^[ACSWMH4]+$/u.test(mask)
    ? [...mask].map((letter) => LETTERS[letter] ?? letter)
    : mask.split(/[|,+\s]+/u).filter((word) => word !== '' && !/^none$/iu.test(word));
  const isHeld = (cell: string): boolean => HELD.test(cell) || (crosses && CROSS.test(cell));
  const held = ones.flatMap(([column, word]) => (isHeld((cells[column] ?? '').trim()) ? [word] : []));
  return pressed === '' ? '' : [...words, ...held, pressed].join('+');
}

/** A table with keys in one column that stand in several: `Ctrl`, `Shift`, `Key`. Those of modifiers are left empty. */
export function withKeysTogether(table: RawTable, names: readonly string[] | null): RawTable {
  if (!names?.some(tellsHeld)) return table;
  const body = table.rows.filter(
    (row) => row.left === undefined && !row.heading && row.cells.join('\n') !== names.join('\n'),
  );
  const apart = keysApart(
    names,
    body.map((row) => row.cells),
  );
  if (!apart) return table;
  const taken = new Set([...apart.ones.map(([column]) => column), ...(apart.all === null ? [] : [apart.all])]);
  const own = new Set(body);
  return {
    ...table,
    rows: table.rows.map((row) =>
      own.has(row)
        ? {
            ...row,
            apart: true,
            cells: row.cells.map((cell, i) =>
              i === apart.key ? tidyCell(keysTogether(apart, row.cells)) : taken.has(i) ? '' : cell,
            ),
          }
        : row,
    ),
  };
}
