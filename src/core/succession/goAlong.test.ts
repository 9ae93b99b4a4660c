import { describe, expect, it } from 'vitest';
import { NO_WISHES } from '../advice/wishList';
import type { Said } from '../counterpart/knownPairs';
import { DEFAULT_SHEET } from '../sheet/sheetSpec';
import { along, saidAlong, sheetAlong, ticksAlong, toldAlong, wishesAlong, workspaceAlong } from './goAlong';

const link = (before: string, after: string) => ({ before, after, confidence: 'sure' as const, figure: 1 });
/** Mend was renamed, wash and dust joined, fade split, old is gone. */
const to = along([
  link('mend', 'repair'),
  link('wash', 'clean'),
  link('dust', 'clean'),
  link('fade', 'fade-1'),
  link('fade', 'fade-2'),
]);

describe('what belongs to a keymap', () => {
  it('goes along under the names commands have now, once each, without those that are gone', () => {
    const wishes = wishesAlong(
      {
        ...NO_WISHES,
        wishes: ['wash', 'old', 'dust', 'fade'],
        pins: [
          ['mend', 'F5'],
          ['old', 'F6'],
        ],
      },
      to,
    );
    expect([wishes.wishes, wishes.pins]).toEqual([['clean', 'fade-1'], [['repair', 'F5']]]);
    const sheet = sheetAlong(
      { ...DEFAULT_SHEET, picked: ['old', 'mend'], menus: ['Mend', 'Gone'] },
      to,
      new Set(['Mend']),
    );
    expect([sheet.picked, sheet.menus]).toEqual([['repair'], ['Mend']]);
    expect(ticksAlong(['set mend F5 | F6', 'free old F7'], to)).toEqual(['set repair F5 | F6']);
    expect(
      toldAlong(
        new Map([
          ['mend', 4],
          ['old', 9],
        ]),
        to,
      ),
    ).toEqual({ repair: 4 });
    const menus = {
      marks: [
        ['mend', 'woad'],
        ['old', 'weld'],
      ],
      hidden: ['dust', 'old'],
    } as const;
    expect(workspaceAlong({ menus, keymap: 3 }, to, 8)).toEqual({
      menus: { marks: [['repair', 'woad']], hidden: ['clean'] },
      keymap: 8,
    });
  });

  it('takes what was said of counterparts along, from either side, but for what was said of the new version', () => {
    const said: Said[] = [
      { program: 'old', command: 'mend', other: 'else', counterpart: 'heal' },
      { program: 'else', command: 'rinse', other: 'old', counterpart: 'wash' },
      { program: 'old', command: 'fade', other: 'else', counterpart: null },
      { program: 'old', command: 'old', other: 'else', counterpart: 'x' },
      { program: 'else', command: 'cure', other: 'new', counterpart: 'repair' },
    ];
    expect(saidAlong(said, 'old', 'new', to)).toEqual([
      { program: 'new', command: 'clean', other: 'else', counterpart: 'rinse' },
      { program: 'new', command: 'fade-1', other: 'else', counterpart: null },
    ]);
  });
});
