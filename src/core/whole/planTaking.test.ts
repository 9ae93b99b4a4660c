import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NO_WISHES } from '../advice/wishList';
import { keymapOf, rowsOf } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { CHORDS, sampleProgram } from '../testing/sampleProgram';
import { wholeKeymap, wholeProgram, wholeSheet } from '../testing/sampleWhole';
import { FACTORY_APPEARANCE } from '../workspace/appearance';
import { applyTaking } from './applyTaking';
import { planTaking } from './planTaking';
import { keymapStanding } from './standing';
import type { WholeKeymap, WholeProgram } from './whole';

let made = 0;
const newUid = () => `made ${++made}`;
const wish = { label: 'laptop', goOn: new Set<string>(), apart: new Set<string>(), taken: [] as string[], newUid };
const plan = (here: readonly WholeProgram[], there: readonly WholeProgram[], given: Partial<typeof wish> = {}) =>
  planTaking(here, there, { ...wish, ...given });
const take = (here: readonly WholeProgram[], there: readonly WholeProgram[], given: Partial<typeof wish> = {}) =>
  applyTaking(here, plan(here, there, given), newUid);
const names = (programs: readonly WholeProgram[]) =>
  programs.map((one) => one.keymaps.slice(1).map(({ name }) => name));

/** A keymap after one more ticket. */
function edited(keymap: WholeKeymap, command: string, chord: string): WholeKeymap {
  const now = keymapOf(keymap.rows, keymap.spares);
  const before = now.bindings.get(command) ?? [];
  const after = before.some((one) => one.chord === chord) ? [] : [{ chord }];
  const ticket = { title: `${command} ${chord}`, changes: [{ command, before, after }] };
  const tape = [...keymap.tape.slice(0, keymap.cursor), { ...ticket, createdAt: '' }];
  const passed = keymap.tape.slice(keymap.cursor).map(({ createdAt: _, ...one }) => one);
  const leftAside = passed.length > 0 ? [...keymap.leftAside, { tickets: passed, leftAt: '' }] : keymap.leftAside;
  return { ...keymap, rows: rowsOf(applyTicket(now, ticket)), tape, cursor: tape.length, leftAside };
}
const kept = (keymap: WholeKeymap): WholeKeymap => {
  const { rows, spares, cursor } = keymap;
  return { ...keymap, leftAside: [], kept: [...keymap.kept, { bindings: rows, spares, cursor, keptAt: '' }] };
};
const mine = edited(wholeKeymap('mine', { name: 'Mine', owner: 'Retoucher' }), 'trim', 'S');

describe('taking in what another computer has', () => {
  it('leaves out what is the same, also where it was made twice, renamed or has gone further here', () => {
    const here = [wholeProgram('p', [kept(edited(mine, 'fill', 'W'))])];
    expect(take(here, [wholeProgram('p', [mine])])).toEqual(here);
    expect(take(here, [wholeProgram('p', [{ ...mine, name: 'Called otherwise' }])])).toEqual(here);
    const again = { ...mine, uid: 'other', kin: 'other' };
    expect(take(here, [wholeProgram('q', [again])])).toEqual(here);
    expect(plan(here, [wholeProgram('q', [again])]).programs[0]?.keymaps[1]?.fate).toBe('further here');
  });

  it('stays with the one that it was where another of the name would do as well', () => {
    const [one, two] = ['one', 'two'].map((uid) => wholeKeymap(uid, { name: 'Copy' })) as [WholeKeymap, WholeKeymap];
    const here = [wholeProgram('p', [{ ...edited(one, 'trim', 'S'), name: 'Renamed' }])];
    const there = [wholeProgram('p', [{ ...one, wishes: { ...NO_WISHES, wishes: ['trim'] } }, two])];
    const both = take(here, there);
    expect(both[0]?.keymaps.slice(1).map(({ name, wishes }) => [name, wishes?.wishes])).toEqual([
      ['Renamed', ['trim']],
      ['Copy', undefined],
    ]);
    expect(take(both, there)).toEqual(both);
  });

  it('keeps a keymap that was changed on both twice, under names that say so, and whose it is', () => {
    const here = [wholeProgram('p', [edited(mine, 'fill', 'W')])];
    const there = [wholeProgram('p', [edited(mine, 'clone', 'W')])];
    const both = take(here, there);
    expect(names(both)).toEqual([['Mine', 'Mine (laptop)']]);
    expect(both[0]?.keymaps[2]).toMatchObject({ owner: 'Retoucher', kin: 'mine', rows: there[0]?.keymaps[1]?.rows });
    expect(names(take(both, [wholeProgram('p', [edited(mine, 'patch', 'W')])]))).toEqual([
      ['Mine', 'Mine (laptop)', 'Mine (laptop 2)'],
    ]);
  });

  it('knows one that was gone back on and went another way as further, as long as nothing of it is lost', () => {
    const back = { ...mine, rows: [], cursor: 0 };
    const went = edited(back, 'clone', 'W');
    expect(keymapStanding(back, went)).toBe('further there');
    expect(keymapStanding(mine, went)).toBe('differs');
    expect(keymapStanding(back, { ...went, leftAside: [] })).toBe('differs');
    expect(keymapStanding(back, kept(went))).toBe('further there');
    expect(keymapStanding({ ...mine, rows: [['fill', 'W']] }, mine)).toBe('differs');
  });

  it('lets one go on that only the other computer went on with, where that is wished', () => {
    const [here, there] = [[wholeProgram('p', [mine])], [wholeProgram('p', [kept(edited(mine, 'clone', 'W'))])]];
    expect(plan(here, there).programs[0]?.keymaps[1]).toMatchObject({ fate: 'twice', further: true });
    expect(take(here, there, { goOn: new Set(['mine']) })).toEqual(there);
    const locked = [wholeProgram('p', [{ ...mine, locked: true }])];
    expect(names(take(locked, there, { goOn: new Set(['mine']) }))).toEqual([['Mine', 'Mine (laptop)']]);
  });

  it('lets only one of two go on that went different ways, and loses neither', () => {
    const ways = ['clone', 'patch'].map((command, i) => {
      return { ...edited(mine, command, 'W'), uid: `way ${i}`, name: `Way ${i}` };
    });
    const both = take([wholeProgram('p', [mine])], [wholeProgram('p', ways)], { goOn: new Set(['way 0', 'way 1']) });
    expect(both[0]?.keymaps.slice(1).map((one) => one.rows)).toEqual(ways.map((one) => one.rows));
    const { name: _, version: __, ...facts } = sampleProgram;
    const lists = ['one', 'two'].map((menu) => {
      const after = { ...facts, rules: { ...facts.rules, turns: [[menu]] } };
      const steps = [{ title: menu, before: facts, after, undone: false, madeAt: '' }];
      return wholeProgram(menu, [], { facts: after, steps });
    });
    expect(take([wholeProgram('p', [])], lists).map((one) => one.facts.rules.turns)).toEqual([[['one']], [['two']]]);
  });

  it('tells two programs of one name apart; one that only went further goes on, unless it is to stand apart', () => {
    const { name: _, version: __, ...facts } = sampleProgram;
    const more = { ...facts, commands: [...facts.commands, { ...facts.commands[0], id: 'own', name: 'Own' } as never] };
    const step = { title: 'Own', before: facts, after: more, undone: false, madeAt: '' };
    const [here, there] = [[wholeProgram('p', [mine])], [wholeProgram('p', [mine], { facts: more, steps: [step] })]];
    expect(take(here, there)).toEqual(there);
    const apart = take(here, there, { apart: new Set(['p']) });
    expect(apart.map(({ name, kin }) => [name, kin])).toEqual([
      ['Sample', 'p'],
      ['Sample (laptop)', 'p'],
    ]);
    expect(take(apart, there)).toEqual(apart);
    expect(take(there, here)).toEqual(there);
    const other = [wholeProgram('q', [], { facts: { ...facts, commands: facts.commands.slice(1) } })];
    expect(take(here, other).map((one) => one.name)).toEqual(['Sample', 'Sample (laptop)']);
    expect(take(here, [{ ...other[0], version: '2' } as WholeProgram]).map((one) => one.name)).toEqual([
      'Sample',
      'Sample',
    ]);
  });

  it('brings what belongs to keymaps and programs; what can only be one way stays as it is here, and is counted', () => {
    const wishes = (wanted: string) => ({ ...NO_WISHES, wishes: [wanted] });
    const use = (perDay: number, command = 'trim') => ({ owner: 'Retoucher', command, perDay });
    const [my, their] = [
      wholeKeymap('m', { ...mine, uid: 'm', kin: 'm' }),
      wholeKeymap('t', { ...mine, uid: 't', kin: 't' }),
    ];
    const here = [
      wholeProgram('p', [{ ...my, sheets: [wholeSheet('Desk')], ticks: [{ from: 'p factory', ticks: ['a'] }] }], {
        uses: [use(4)],
      }),
    ];
    const there = [
      wholeProgram(
        'q',
        [
          {
            ...their,
            wishes: wishes('fill'),
            sheets: [wholeSheet('Desk'), wholeSheet('Desk', 3), wholeSheet('Note')],
            ticks: [{ from: 'q factory', ticks: ['b'] }],
            derivation: { source: 'q factory', contents: { plan: {}, derived: [], theirs: [] } as never },
          },
        ],
        {
          uses: [use(5), use(9, 'undo')],
          counterparts: [{ command: 'trim', other: 'r', counterpart: null, saidAt: '' }],
        },
      ),
      wholeProgram('r', [], { name: 'Another', succession: { from: 'q', said: [], createdAt: '' } }),
    ];
    const [one, another] = take(here, there);
    expect(one?.keymaps[1]).toMatchObject({
      wishes: wishes('fill'),
      ticks: [{ from: 'p factory', ticks: ['a'] }],
      derivation: { source: 'p factory' },
    });
    expect(one?.keymaps[1]?.sheets.map(({ name, contents }) => [name, contents.most])).toEqual([
      ['Desk', 15],
      ['Desk (laptop)', 3],
      ['Note', 15],
    ]);
    expect(one?.uses).toEqual([use(4), use(9, 'undo')]);
    expect(one?.counterparts).toEqual(there[0]?.counterparts);
    expect(another?.succession?.from).toBe('p');
    expect(plan(here, there).belongings.stays).toMatchObject({ uses: 1, ticks: 1, wishes: 0 });
    const otherWishes = [wholeProgram('q', [{ ...their, wishes: wishes('undo') }])];
    expect(names(take(take(here, there), otherWishes))).toEqual([['Mine', 'Mine (laptop)'], []]);
  });

  it('knows what was said of counterparts from either side', () => {
    const said = (command: string, other: string, counterpart: string | null) => ({
      command,
      other,
      counterpart,
      saidAt: '',
    });
    const two = (left: ReturnType<typeof said>[], right: ReturnType<typeof said>[]) => [
      wholeProgram('p', [], { counterparts: left }),
      wholeProgram('q', [], { name: 'Another', counterparts: right, version: '2' }),
    ];
    const here = two([said('trim', 'q', 'fill')], []);
    expect(plan(here, two([], [said('fill', 'p', 'trim')])).belongings.counterparts).toEqual([]);
    expect(plan(here, two([], [said('fill', 'p', 'undo')])).belongings).toMatchObject({
      counterparts: [],
      stays: { counterparts: 1 },
    });
    expect(plan(here, two([said('undo', 'q', null)], [])).belongings.counterparts).toHaveLength(1);
  });

  it('keeps a room that stands otherwise as a workspace, with the keymap it has here', () => {
    const room = (brightness: number, keymap: string) => ({
      person: 'Retoucher',
      contents: { appearance: { ...FACTORY_APPEARANCE, brightness }, keymap },
      ...{ workspace: null, cursor: 0, steps: [] },
    });
    const here = [wholeProgram('p', [{ ...mine, uid: 'm', kin: 'm' }], { rooms: [room(20, 'm')] })];
    const there = [wholeProgram('q', [mine], { rooms: [room(70, 'mine')] })];
    const both = take(here, there);
    expect(both[0]?.workspaces).toMatchObject([
      { name: 'As it stood on laptop', owner: 'Retoucher', versions: [{ contents: room(70, 'm').contents }] },
    ]);
    expect(take(both, there)).toEqual(both);
    expect(take(there, both)[0]?.workspaces.map((one) => one.versions[0]?.contents)).toEqual([
      room(20, 'mine').contents,
    ]);
  });
});

/** What somebody does on one of two computers that began with the same. */
type Deed = readonly [
  kind: 'edit' | 'undo' | 'keep' | 'rename' | 'duplicate' | 'sheet' | 'wish' | 'use' | 'facts',
  number,
  number,
];
const deed: fc.Arbitrary<Deed> = fc.tuple(
  fc.constantFrom('edit', 'edit', 'undo', 'keep', 'rename', 'duplicate', 'sheet', 'wish', 'use', 'facts'),
  fc.nat(40),
  fc.nat(40),
);
function did(program: WholeProgram, [kind, a, b]: Deed, side: string): WholeProgram {
  const { facts } = program;
  if (kind === 'use') return { ...program, uses: [{ owner: side, command: 'trim', perDay: a }] };
  if (kind === 'facts') {
    const own = { ...facts, rules: { ...facts.rules, turns: [...facts.rules.turns, [`${side} ${a}`]] } };
    const step = { title: 'turns', before: facts, after: own, undone: false, madeAt: '' };
    return { ...program, facts: own, steps: [...program.steps, step] };
  }
  const at = 1 + (a % (program.keymaps.length - 1));
  const keymap = program.keymaps[at] as WholeKeymap;
  const changed = ((): WholeKeymap => {
    if (kind === 'keep') return kept(keymap);
    if (kind === 'rename') return { ...keymap, name: `${side} ${b}` };
    if (kind === 'sheet') return { ...keymap, sheets: [...keymap.sheets, wholeSheet(`Sheet ${b % 3}`, b % 2)] };
    if (kind === 'wish') return { ...keymap, wishes: { ...NO_WISHES, wishes: [side] } };
    if (kind === 'undo' && keymap.cursor > 0) {
      const ticket = keymap.tape[keymap.cursor - 1];
      const now = ticket?.changes.reduce((rows, change) => {
        const other = rows.filter(([command]) => command !== change.command);
        return [...other, ...change.before.map((one) => [change.command, one.chord] as const)];
      }, keymap.rows);
      return { ...keymap, rows: now ?? [], cursor: keymap.cursor - 1 };
    }
    const command = sampleProgram.commands[b % sampleProgram.commands.length]?.id ?? '';
    return edited(keymap, command, CHORDS[(a + b) % CHORDS.length] ?? '');
  })();
  const uid = newUid();
  return {
    ...program,
    keymaps:
      kind === 'duplicate'
        ? [...program.keymaps, { ...keymap, uid, kin: uid, name: `${keymap.name} copy` }]
        : program.keymaps.with(at, changed),
  };
}
const both = fc
  .tuple(fc.array(deed, { maxLength: 4 }), fc.array(deed, { maxLength: 5 }), fc.array(deed, { maxLength: 5 }))
  .map(([before, left, right]) => {
    const start = before.reduce((one, each) => did(one, each, 'both'), wholeProgram('p', [mine, wholeKeymap('bare')]));
    const side = (deeds: readonly Deed[], name: string) => [deeds.reduce((one, each) => did(one, each, name), start)];
    return [side(left, 'left'), side(right, 'right')] as const;
  });

describe('two computers, each taken into the other', () => {
  it('have all of both, nothing doubled, nothing changed; again there is nothing to do', () => {
    fc.assert(
      fc.property(both, ([left, right]) => {
        const [here, there] = [take(left, right), take(right, left)];
        // Where only one of the lists was changed, the other goes on to it.
        const without = { keymaps: [], uses: [], facts: null, steps: [] };
        for (const [own, now, other] of [
          [left, here, right],
          [right, there, left],
        ] as const) {
          for (const program of own) {
            const same = now.find((one) => one.uid === program.uid);
            expect({ ...same, ...without }).toEqual({ ...program, ...without });
            expect(same?.steps.slice(0, program.steps.length)).toEqual(program.steps);
            for (const keymap of program.keymaps) {
              const is = same?.keymaps.find((one) => one.uid === keymap.uid);
              const { wishes, sheets, ...rest } = keymap;
              expect(is).toMatchObject(rest);
              expect(is?.sheets.slice(0, sheets.length)).toEqual(sheets);
              if (wishes !== null) expect(is?.wishes).toEqual(wishes);
            }
          }
          const all = now.flatMap((one) => one.keymaps);
          for (const keymap of other.flatMap((one) => one.keymaps))
            expect(all.map((one) => keymapStanding(one, keymap))).toContainEqual(
              expect.stringMatching(/same|further here/),
            );
          expect(all.length).toBeLessThanOrEqual(left.concat(right).flatMap((one) => one.keymaps).length);
          expect(new Set(all.map((one) => one.uid)).size).toBe(all.length);
          expect(take(now, other)).toEqual(now);
        }
        // And each as it is then: no program and no keymap comes once more.
        const told = (all: readonly WholeProgram[]) => all.map((one) => [one.uid, one.keymaps.map(({ uid }) => uid)]);
        expect(told(take(here, there))).toEqual(told(here));
        expect(told(take(there, here))).toEqual(told(there));
      }),
      { numRuns: 300 },
    );
  });
});
