import fc from 'fast-check';
import { expect, it } from 'vitest';
import { compareKeymaps } from '../keymap/compareKeymaps';
import { type Keymap, keymapOf, type Row } from '../keymap/keymap';
import { applyTicket, type Change, gained, replayTickets, type Ticket } from '../keymap/ticket';
import { here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { programFacts, relation } from './clashIndex';
import { describeTicket } from './describeTicket';
import { sharersOnTape } from './sharersOnTape';

const facts = programFacts(sampleProgram);
const nameOf = (id: string) => facts.commands.get(id)?.name ?? id;
const change = (command: string, before: string[], after: string[]): Change => ({
  command,
  before: before.map((chord) => ({ chord })),
  after: after.map((chord) => ({ chord })),
});
const said = (start: Row[], ...changes: Change[]) => {
  const ticket = { title: '', changes };
  const [sharers] = sharersOnTape(facts, here.place, applyTicket(keymapOf(start), ticket), [ticket], 1);
  return plainWords(describeTicket(ticket, nameOf, here.place, sharers));
};

it.each([
  [
    'a tool that joins another on its keys',
    [['clone', 'G']],
    [change('patch', ['F'], ['G'])],
    'moved F to G, on turns with Clone',
  ],
  [
    'keys taken',
    [
      ['undo', 'Mod+Z'],
      ['trim', 'F5'],
    ],
    [change('trim', ['F5'], ['Mod+Z']), change('undo', ['Mod+Z'], [])],
    'moved F5 to Mod+Z; taken from Undo, which has no key left',
  ],
  [
    'keys taken from one who has more',
    [
      ['undo', 'Mod+Z'],
      ['undo', 'F3'],
    ],
    [change('trim', [], ['Mod+Z']), change('undo', ['Mod+Z', 'F3'], ['F3'])],
    'given Mod+Z; taken from Undo',
  ],
  [
    'keys taken, the loser moved',
    [['undo', 'Mod+Z']],
    [change('trim', [], ['Mod+Z']), change('undo', ['Mod+Z'], ['F3'])],
    'given Mod+Z; taken from Undo, which gets F3',
  ],
  [
    'something else besides',
    [['undo', 'Mod+Z']],
    [change('trim', [], ['F9']), change('undo', ['Mod+Z'], ['F3'])],
    'given F9; Undo: moved Mod+Z to F3',
  ],
  ['a clash left', [['undo', 'F9']], [change('trim', [], ['F9'])], 'given F9, in a clash with Undo'],
] as [string, Row[], Change[], string][])('says of %s', (_, start, changes, words) => {
  const ids = changes.map((one) => one.command);
  const rows = [
    ...start.filter(([id]) => !ids.includes(id)),
    ...changes.flatMap((one) => one.before.map(({ chord }): Row => [one.command, chord])),
  ];
  expect(said(rows, ...changes)).toBe(words);
});

const commands = ['undo', 'trim', 'dab', 'clone', 'patch', 'open-row'];
const keymap = fc
  .array(fc.tuple(fc.constantFrom(...commands), fc.constantFrom('F5', 'G', 'Mod+Plus', 'Mod+Shift+=')))
  .map((rows) => keymapOf(rows));

it('tells of each ticket on a tape who else had its keys right after it, wherever the tape stands', () => {
  fc.assert(
    fc.property(fc.array(keymap, { minLength: 2, maxLength: 6 }), fc.nat(), (states, at) => {
      const tape = states
        .slice(1)
        .map((to, i): Ticket => ({ title: '', changes: compareKeymaps(states[i] as Keymap, to) }));
      const cursor = at % states.length;
      const told = sharersOnTape(
        facts,
        here.place,
        replayTickets(states[0] as Keymap, tape.slice(0, cursor)),
        tape,
        cursor,
      );
      tape.forEach((ticket, i) => {
        for (const one of ticket.changes)
          for (const chord of gained(one)) {
            const wanted = commands.filter(
              (id) =>
                id !== one.command &&
                (states[i + 1] as Keymap).bindings.get(id)?.some((b) => here.place(b.chord) === here.place(chord)) &&
                relation(facts, facts.commands.get(one.command)!, facts.commands.get(id)!) !== 'apart',
            );
            expect(
              told[i]
                ?.get(one.command)
                ?.get(chord)
                ?.map(({ command }) => command.id)
                .sort(),
            ).toEqual(wanted.sort());
          }
      });
    }),
  );
});
