import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SHEET, type SheetSpec } from '../core/sheet/sheetSpec';
import { EMPTY_PLAN, type MatchPlan } from '../core/transfer/matchPlan';
import { openedAs } from './openedAs';
import { matchPlan } from './requests';
import { sheetSpec } from './sheets';

const plan = openedAs(matchPlan, EMPTY_PLAN);
const sheet = openedAs(sheetSpec, DEFAULT_SHEET);

describe('what is stored', () => {
  it('opens as it is where it may be so', () => {
    const settled: MatchPlan = {
      ...EMPTY_PLAN,
      rules: { ...EMPTY_PLAN.rules, kinds: ['tool'], besides: !EMPTY_PLAN.rules.besides },
      choices: [['lift', { kind: 'other', chords: ['Mod+K'] }]],
      instead: [['press', null]],
    };
    expect(plan(settled)).toEqual(settled);
    const chosen: SheetSpec = { ...DEFAULT_SHEET, paper: 'A3', picked: ['lift'], groupNames: [['Image', 'Leaves']] };
    expect(sheet(chosen)).toEqual(chosen);
  });

  it('opens with the usual for whatever an older version did not write, or wrote otherwise', () => {
    fc.assert(
      fc.property(fc.subarray(Object.keys(DEFAULT_SHEET) as (keyof SheetSpec)[]), fc.anything(), (fields, junk) => {
        const without = Object.fromEntries(
          Object.entries(DEFAULT_SHEET).filter(([key]) => !fields.includes(key as keyof SheetSpec)),
        );
        expect(sheet(without)).toEqual(DEFAULT_SHEET);
        const opened = sheet({ ...without, ...Object.fromEntries(fields.map((one) => [one, junk])), gone: 1 });
        expect(sheetSpec.validate(opened, { convert: false }).error).toBeUndefined();
      }),
    );
    expect(sheet('nonsense')).toEqual(DEFAULT_SHEET);
    // Of what stands twice where it may stand once, one is kept.
    expect(sheet({ ...DEFAULT_SHEET, programs: ['a/b', 'a/b', 'c/d'] }).programs).toEqual(['a/b', 'c/d']);
  });

  it('keeps of a list what may be, and of a part that lacks something what it has', () => {
    const { besides, ...rules } = { ...EMPTY_PLAN.rules, onlyEmpty: !EMPTY_PLAN.rules.onlyEmpty };
    const older = {
      ...EMPTY_PLAN,
      rules,
      choices: [
        ['lift', { kind: 'take' }],
        ['press', { kind: 'swap' }],
      ],
    };
    expect(plan(older)).toEqual({ ...older, rules: { ...rules, besides }, choices: [['lift', { kind: 'take' }]] });
  });
});
