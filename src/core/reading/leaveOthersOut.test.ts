import { describe, expect, it } from 'vitest';
import { headOf } from './columnRoles';
import { groupTables } from './groupTables';
import { leaveOthersOut } from './leaveOthersOut';
import type { RawTable } from './tables';

/** A table of rows with bars between their cells. */
const table = (rows: readonly string[], over: Partial<RawTable> = {}): RawTable => ({
  headings: [],
  rows: rows.map((row, i) => {
    const cells = row.split('|');
    return { line: i + 1, cells, heading: false, spans: cells.map(() => [0, 0] as const) };
  }),
  ...over,
});
const KEYS = table(['Fold|Ctrl+K', 'Lift|Ctrl+L', 'Turn|F5', 'Press|Alt+P', 'Mask|Ctrl+M', 'Wash|Ctrl+W']);
const OTHERS = table(['Paper|gray', 'Ink|blue', 'Card|white', 'Tape|brown', 'Glue|clear', 'Pin|steel']);
/** Which tables of a file are kept. */
const kept = (tables: readonly RawTable[], least = 0.34, together = true): boolean[] =>
  leaveOthersOut(tables, least, together).map((one) => one.rows.every((row) => row.left === undefined));

describe('a file that holds other things, too', () => {
  it('loses what has no keys, with the reason', () => {
    expect(kept([KEYS, OTHERS])).toEqual([true, false]);
    expect(leaveOthersOut([KEYS, OTHERS], 0.34, true)[1]?.rows.map((row) => row.left)).toEqual(
      OTHERS.rows.map(() => 'Nothing in this part of the file reads as keys.'),
    );
    expect(kept([OTHERS])).toEqual([false]);
  });

  it.each<readonly [what: string, one: RawTable, kept: boolean]>([
    ['keys in one of three', table(['Fold|Ctrl+K', 'Lift|', 'Turn|', 'Press|Alt+P', 'Mask|', 'Wash|']), true],
    [
      'keys where few cells are keys',
      table(['Fold|Ctrl+K', 'Lift|blue', 'Turn|gray', 'Press|white', 'Mask|red']),
      false,
    ],
    ['numbers alone', table(['Fold|1', 'Lift|2', 'Turn|3', 'Press|4', 'Mask|5']), false],
    ['keys without a name beside them', table(['Ctrl+K|F2', 'Ctrl+L|F3', 'F5|F4', 'Alt+P|F6']), false],
    [
      'a head that says keys',
      table(['Name|Shortcut', 'Fold|on the pen', 'Lift|on the dial', 'Turn|F5', 'Mask|none']),
      true,
    ],
    [
      'columns that are called so by the form',
      table(['Fold|on the pen', 'Turn|F5', 'Lift|x', 'Mask|y'], { header: ['name', 'shortcut'] }),
      true,
    ],
    [
      'other names of commands',
      table(['f|Fold', 'l|Lift', 't|Turn', 'p|Press'], { headings: ['Keys', 'Aliases'] }),
      false,
    ],
    ['no rows', table([]), true],
  ])('has %s', (_, one, wanted) => {
    expect(kept([one])).toEqual([wanted]);
  });

  it('keeps what is too short, or too full of remarks, to tell by itself beside others of its shape', () => {
    const short = table(['Weigh|W', 'Count|C']);
    const remarked = table([
      'Mark|Ctrl+E Ctrl+M',
      'Mark by key|Ctrl+T key',
      'Go to|Ctrl+Y key',
      'Select|Ctrl+U key',
      'Swap|Ctrl+P key',
    ]);
    expect(kept([KEYS, short, remarked])).toEqual([true, true, true]);
    expect(kept([remarked])).toEqual([false]);
    expect(kept([KEYS, remarked], 0.34, false)).toEqual([true, false]);
    // One that is wider, or has its keys elsewhere, is of another shape.
    expect(
      kept([
        KEYS,
        table(['Mark|gray|Ctrl+T key', 'Go to|blue|Ctrl+Y key', 'Swap|some|Ctrl+U key', 'Odd|more|Ctrl+P key']),
      ]),
    ).toEqual([true, false]);
  });
});

describe('tables of one shape', () => {
  const rolesOf = (...tables: RawTable[]) => {
    const { of } = groupTables(tables, tables.map(headOf), []);
    return of.map((one) => one.roles.join(' '));
  };
  it('have their columns told together, so that short ones are read as long ones are', () => {
    expect(rolesOf(KEYS, table(['Weigh|W', 'Count|C']))).toEqual(['name keys', 'name keys']);
    expect(groupTables([KEYS, KEYS], [headOf(KEYS), headOf(KEYS)], []).all).toHaveLength(1);
  });
  it('are told apart by their heads, their width, and the side their keys are on', () => {
    const named = table(['Command|Shortcut', 'Fold|Ctrl+K', 'Lift|Ctrl+L']);
    const wide = table(['Sheet|Fold|Ctrl+K', 'Sheet|Lift|Ctrl+L', 'Sheet|Turn|F5']);
    const turned = table(['Ctrl+N|Number the sheets', 'Ctrl+Shift+N|Note it down']);
    expect(rolesOf(KEYS, named, wide, turned)).toEqual(['name keys', 'name keys', 'path name keys', 'keys name']);
    expect(groupTables([KEYS, named, wide, turned], [KEYS, named, wide, turned].map(headOf), []).all).toHaveLength(4);
  });
  it('take what was chosen for their group, and say what else reads as keys', () => {
    const twice = table(['Fold|Ctrl+K|F7', 'Lift|Ctrl+L|F8', 'Turn|Ctrl+T|F9', 'Press|Alt+P|F10']);
    const heads = [headOf(twice)];
    expect(groupTables([twice], heads, [['keys', 'name', 'ignore']]).all[0]?.roles).toEqual(['keys', 'name', 'ignore']);
    const { roles = [], otherKeys } = groupTables([twice], heads, []).all[0] ?? {};
    expect([roles.filter((one) => one === 'keys').length, otherKeys?.length]).toEqual([1, 1]);
    expect(groupTables([table([])], [headOf(table([]))], []).of[0]?.roles).toEqual([]);
  });
});
