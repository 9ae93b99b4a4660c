import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keymapOf, rowsOf } from '../keymap/keymap';
import { anyKeymap, sampleProgram } from '../testing/sampleProgram';
import { knownDraft } from './belongings';
import { fromFileBinding, fromFileKeymap, InconsistentFile, toFileBinding, toFileKeymap } from './keymapFile';

const known = new Set(sampleProgram.commands.map((one) => one.id));
const factory = keymapOf([
  ['undo', 'Mod+Z', true],
  ['trim', 'F7'],
]);
const rows = (...given: Parameters<typeof fromFileKeymap>) => rowsOf(fromFileKeymap(...given).keymap);

describe('a keymap in a file', () => {
  it('holds what differs from the factory’s alone, and comes back as it went', () => {
    const mine = keymapOf(
      [
        ['undo', 'Mod+Z', true],
        ['trim', 'F8', false, 'eight'],
        ['clone', 'S'],
      ],
      ['fill'],
    );
    expect(toFileKeymap(factory, { name: 'Mine', owner: 'Tarn', keymap: mine })).toEqual({
      name: 'Mine',
      owner: 'Tarn',
      bindings: { trim: [{ keys: 'F8', hook: 'eight' }], clone: ['S'], fill: [] },
      spares: ['fill'],
    });
    expect(toFileKeymap(factory, { name: 'Same', owner: '', keymap: factory })).toEqual({
      name: 'Same',
      owner: '',
      bindings: {},
    });
    expect(
      toFileKeymap(factory, { name: 'None', owner: '', keymap: keymapOf([['undo', 'Mod+Z', true]]) }).bindings,
    ).toEqual({ trim: [] });
    fc.assert(
      fc.property(anyKeymap, anyKeymap, (from, keymap) => {
        const back = fromFileKeymap(from, known, true, toFileKeymap(from, { name: 'x', owner: '', keymap }));
        expect([...rowsOf(back.keymap)].sort()).toEqual([...rowsOf(keymap)].sort());
        expect([...back.keymap.spares].sort()).toEqual([...keymap.spares].sort());
      }),
    );
  });
  it('that was written without marks has those of the factory’s keys that it keeps', () => {
    const file = { name: 'Old', owner: '', bindings: { undo: ['Mod+Z', 'F2'] } };
    expect(rows(keymapOf([['undo', 'Mod+Z']]), known, false, file)).toEqual([
      ['undo', 'Mod+Z'],
      ['undo', 'F2'],
    ]);
    expect(rows(factory, known, true, file)).toEqual(
      [
        ['trim', 'F7'],
        ['undo', 'Mod+Z'],
        ['undo', 'F2'],
      ].sort((a, b) => (a[0] === 'trim' ? 1 : b[0] === 'trim' ? -1 : 0)),
    );
  });
  it.each([
    [{ bindings: { gone: ['F2'] } }, 'gone'],
    [{ bindings: {}, spares: ['lost'] }, 'lost'],
  ])('that speaks of a command nobody knows is refused by name: %j', (wrong, command) => {
    const read = () => fromFileKeymap(factory, known, true, { name: 'Odd', owner: '', ...wrong } as never);
    expect(read).toThrow(InconsistentFile);
    expect(read).toThrow(`The keymap “Odd” speaks of the command “${command}”, which is not in the file.`);
  });
  it('comes with how it became so, without what speaks of commands that nobody knows', () => {
    const change = (command: string) => ({ command, before: [], after: [{ chord: 'F2' }] });
    const ticket = (title: string, ...commands: string[]) => ({ title, changes: commands.map(change), createdAt: '' });
    const kept = (cursor: number) => ({
      bindings: [
        ['undo', 'Mod+Z'],
        ['gone', 'F9'],
      ],
      spares: ['gone'],
      cursor,
      keptAt: '',
    });
    const draft = {
      tape: [ticket('one', 'trim'), ticket('two', 'gone'), { ...ticket('three', 'gone', 'fill'), pulled: [1] }],
      cursor: 2,
      kept: [kept(0), kept(2)],
      leftAside: [{ tickets: [ticket('four', 'gone')], leftAt: '' }],
    } as never;
    const read = fromFileKeymap(factory, known, true, { name: 'Old', owner: '', bindings: {}, draft });
    expect(read.belongings?.draft).toEqual({
      tape: [ticket('one', 'trim'), ticket('three', 'fill')],
      cursor: 1,
      kept: [0, 1].map(() => ({ bindings: [['undo', 'Mod+Z']], spares: [], cursor: null, keptAt: '' })),
      leftAside: [{ tickets: [], leftAt: '' }],
    });
    const whole = { tape: [{ ...ticket('one', 'trim'), pulled: [1] }], cursor: 0, kept: [], leftAside: [] };
    expect(knownDraft(whole, known)).toEqual(whole);
  });
  it('writes a chord alone where nothing is noted on it', () => {
    for (const [file, binding] of [
      ['F2', { chord: 'F2' }],
      [
        { keys: 'F2', keeper: true },
        { chord: 'F2', keeper: true },
      ],
      [
        { keys: 'F2', hook: 'two' },
        { chord: 'F2', hook: 'two' },
      ],
      [
        { keys: 'F2', keeper: true, hook: 'two' },
        { chord: 'F2', keeper: true, hook: 'two' },
      ],
    ] as const)
      expect([toFileBinding(binding), fromFileBinding(file)]).toEqual([file, binding]);
  });
});
