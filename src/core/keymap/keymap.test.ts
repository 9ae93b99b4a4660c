import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyKeymap, sampleProgram } from '../testing/sampleProgram';
import { giveKeys, markKeys, markSpare } from './changeKeys';
import { compareKeymaps } from './compareKeymaps';
import { historyOf } from './historyOf';
import { type Keymap, keymapOf, rowsOf } from './keymap';
import { goneFrom, pullTicket, restingOn } from './pullTicket';
import { sideBySide } from './sideBySide';
import { applyTicket, invertTicket, replayTickets, type Ticket, TicketMismatch } from './ticket';

const plain = ({ bindings, spares }: Keymap) => [Object.fromEntries([...bindings].sort()), [...spares].sort()];
const at = (keymap: Keymap, tape: readonly Ticket[]) => tape.reduce(applyTicket, keymap);

describe('keymaps and tickets', () => {
  it('a ticket leads from any keymap to any other, and its inverse back exactly', () => {
    fc.assert(
      fc.property(anyKeymap, anyKeymap, (from, to) => {
        const ticket = { title: 'all', changes: compareKeymaps(from, to) };
        const there = applyTicket(from, ticket);
        expect(plain(there)).toEqual(plain(to));
        expect(plain(applyTicket(there, invertTicket(ticket)))).toEqual(plain(from));
        expect(compareKeymaps(there, to)).toEqual([]);
      }),
    );
  });

  it('a ticket is refused where the keys it rests on have changed, and nothing is half done', () => {
    const keymap = keymapOf([['undo', 'Mod+Z']]);
    const ticket = { title: 'Undo', changes: [giveKeys(keymap, 'undo', 'F2', () => false)] };
    const other = keymapOf([['undo', 'F9']]);
    expect(() => applyTicket(other, ticket)).toThrow(TicketMismatch);
    expect(rowsOf(other)).toEqual([['undo', 'F9']]);
    expect(rowsOf(applyTicket(keymap, ticket))).toEqual([['undo', 'F2']]);
  });

  it('a tape leads on and back to what it says, also where the keymap is not what it rests on', () => {
    fc.assert(
      fc.property(fc.array(anyKeymap, { minLength: 2, maxLength: 5 }), anyKeymap, (states, odd) => {
        const tape = states.slice(1).map((to, i) => ({
          title: `${i}`,
          changes: compareKeymaps(states[i] as Keymap, to),
        }));
        const [first, last] = [states[0] as Keymap, states.at(-1) as Keymap];
        const back = [...tape].reverse().map(invertTicket);
        // One that fits goes as every ticket goes.
        expect(plain(replayTickets(first, tape))).toEqual(plain(last));
        // From anywhere: what the tape touches is as it says in the end, the rest stays.
        const touched = new Set(tape.flatMap((one) => one.changes.map((change) => change.command)));
        const ends = replayTickets(replayTickets(odd, tape), back);
        for (const id of new Set([...touched, ...odd.bindings.keys()]))
          expect(ends.bindings.get(id)).toEqual((touched.has(id) ? first : odd).bindings.get(id));
      }),
    );
  });

  it('rows come back as they went in, repeated ones once', () => {
    const id = sampleProgram.commands[0]?.id ?? '';
    expect(
      rowsOf(
        keymapOf([
          [id, 'S'],
          ['x', 'W'],
          [id, 'F2'],
          [id, 'S'],
        ]),
      ),
    ).toEqual([
      [id, 'S'],
      [id, 'F2'],
      ['x', 'W'],
    ]);
  });
});

describe('marks', () => {
  it('keepers, hooks and spares go on and off with tickets, and stay with their keys', () => {
    const keymap = keymapOf([['undo', 'Mod+Z']]);
    const kept = at(keymap, [
      { title: '', changes: [markKeys(keymap, 'undo', 'Mod+Z', { keeper: true, hook: 'Z for zip back' })] },
    ]);
    expect(rowsOf(kept)).toEqual([['undo', 'Mod+Z', true, 'Z for zip back']]);
    expect(rowsOf(at(kept, [{ title: '', changes: [giveKeys(kept, 'undo', 'F2', () => true)] }]))).toEqual([
      ['undo', 'Mod+Z', true, 'Z for zip back'],
      ['undo', 'F2'],
    ]);
    const bare = at(kept, [{ title: '', changes: [markKeys(kept, 'undo', 'Mod+Z', { keeper: false, hook: '' })] }]);
    expect(rowsOf(bare)).toEqual([['undo', 'Mod+Z']]);
    const spare = { title: '', changes: markSpare(keymap, ['undo', 'trim'], true) };
    expect([...at(keymap, [spare]).spares]).toEqual(['undo', 'trim']);
    expect(markSpare(at(keymap, [spare]), ['undo', 'trim'], true)).toEqual([]);
    expect(() => at(at(keymap, [spare]), [spare])).toThrow(TicketMismatch);
  });
});

describe('the tape', () => {
  const start = keymapOf([
    ['undo', 'Mod+Z'],
    ['trim', 'Alt+T'],
    ['clone', 'S'],
  ]);
  const change = (command: string, before: string[], after: string[]) => ({
    command,
    before: before.map((chord) => ({ chord })),
    after: after.map((chord) => ({ chord })),
  });
  const tape: Ticket[] = [
    { title: 'Trim', changes: [change('trim', ['Alt+T'], ['F2'])] },
    { title: 'Fill', changes: [change('fill', [], ['F9'])] },
    { title: 'Patch', changes: [change('patch', [], ['Alt+T'])] },
    { title: 'Clone', changes: [change('clone', ['S'], ['D'])] },
  ];

  it('lets a ticket be pulled from the middle, names what rests on it, and undo puts it back', () => {
    // Patch took the keys that Trim had set free.
    expect([1, 2, 3, 4].map((position) => restingOn(tape, position))).toEqual([[3], [], [], []]);
    const now = at(start, tape);
    const pull = pullTicket(now, tape, [2])!;
    expect(pull).toMatchObject({ title: 'Pull out Fill', pulled: [2] });
    const after = applyTicket(now, pull);
    expect(plain(after)).toEqual(plain(at(start, [tape[0]!, tape[2]!, tape[3]!])));
    const longer = [...tape, pull];
    expect([...goneFrom(longer)]).toEqual([2]);
    expect(pullTicket(after, longer, [2])).toBeNull();
    // What is already out is neither named again nor counted on.
    const both = pullTicket(after, longer, [1, ...restingOn(longer, 1)])!;
    expect(plain(applyTicket(after, both))).toEqual(plain(at(start, [tape[3]!])));
    expect(plain(applyTicket(after, invertTicket(pull)))).toEqual(plain(now));
    expect(historyOf(longer, longer.length, 'fill').map(({ position, state }) => [position, state])).toEqual([
      [2, 'pulled'],
      [5, 'applied'],
    ]);
  });

  it('without any ticket and what rests on it is what the others alone would have made', () => {
    fc.assert(
      fc.property(fc.array(anyKeymap, { minLength: 1, maxLength: 8 }), fc.nat(), (states, pick) => {
        const made = states.map((to, i): Ticket => {
          const changes = compareKeymaps(states[i - 1] ?? start, to);
          return { title: `${i}`, changes };
        });
        const position = (pick % made.length) + 1;
        const out = [position, ...restingOn(made, position)];
        const now = at(start, made);
        const pull = pullTicket(now, made, out);
        const others = made.filter((_, i) => !out.includes(i + 1));
        expect(plain(pull ? applyTicket(now, pull) : now)).toEqual(plain(at(start, others)));
      }),
    );
  });

  it('two keymaps stand side by side: added, removed, moved, same', () => {
    const right = keymapOf([
      ['undo', 'Mod+Z'],
      ['trim', 'F2'],
      ['fill', 'F9'],
    ]);
    const rows = sideBySide(['undo', 'trim', 'clone', 'fill', 'patch'], start, right);
    expect(rows.map(({ command, difference }) => [command, difference])).toEqual([
      ['undo', 'same'],
      ['trim', 'moved'],
      ['clone', 'removed'],
      ['fill', 'added'],
    ]);
  });
});
