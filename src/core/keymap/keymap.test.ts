import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyKeymap, sampleProgram } from '../testing/sampleProgram';
import { giveKeys } from './changeKeys';
import { compareKeymaps } from './compareKeymaps';
import { keymapOf, rowsOf } from './keymap';
import { applyTicket, invertTicket, TicketMismatch } from './ticket';

const plain = (keymap: ReadonlyMap<string, unknown>) => Object.fromEntries([...keymap].sort());

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
