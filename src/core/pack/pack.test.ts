import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { buildAdvisor } from '../advice/advisor';
import { buildClashIndex, findClashes, programFacts } from '../clash/clashIndex';
import { fromProgramFile } from '../file/programFile';
import { whereOf } from '../keyboard/where';
import { bindingsOf, type Keymap } from '../keymap/keymap';
import { pullTicket } from '../keymap/pullTicket';
import { applyTicket, type Ticket } from '../keymap/ticket';
import type { CommandId, Program } from '../program/program';
import { versionPair } from '../testing/versionPair';
import { matchPack } from './matchPack';
import { makePack, packsOn } from './pack';
import { putOnPack } from './putOnPack';

const read = (file: string): string => readFileSync(join(import.meta.dirname, '../../..', file), 'utf8');
const tarnlight = fromProgramFile(JSON.parse(read('demo/tarnlight.json')));
const nibshore = fromProgramFile(JSON.parse(read('demo/nibshore.json')));
const five = versionPair(read('bench/versions/tarnlight.txt'), JSON.parse(read('demo/tarnlight.json'))).after;
const where = whereOf({ shape: 'ansi', size: 'full', layout: 'us' });
const own = (of: typeof tarnlight, name: string): Keymap =>
  of.keymaps.find((one) => one.name === name)?.keymap ?? of.factory;

const mine = own(tarnlight, 'Sheet retouching');
const FIVE = ['stain-mask', 'loupe', 'full-sheet', 'new-layer', 'curves'];
const pack = makePack(
  {
    name: 'Five good ones',
    note: 'For the left hand.',
    owner: 'Plate retoucher',
    madeOn: { shape: 'ansi', size: 'full', layout: 'us', desktop: 'windows' },
  },
  tarnlight.program,
  tarnlight.factory,
  mine,
  FIVE,
);
/** Puts the pack on a keymap; what is only likely is taken as confirmed. */
function puttingOn(program: Program, factory: Keymap, keymap: Keymap) {
  const found = matchPack(pack, program, factory);
  const confirmed = new Map(
    found.filter((one) => one.confidence === 'check').map((one) => [one.command, one.counterpart]),
  );
  const counterparts = matchPack(pack, program, factory, confirmed);
  const facts = programFacts(program);
  const advisor = buildAdvisor(facts, where, 'left', []);
  const done = putOnPack(pack, counterparts, advisor, keymap, new Map(), new Map());
  const clashes = (of: Keymap) => findClashes(buildClashIndex(facts, of, where.place)).map((one) => one.chord);
  return { found, done, clashes };
}
const keysOf = (keymap: Keymap, id: CommandId): string[] => bindingsOf(keymap, id).map((one) => one.chord);

describe('a pack of five', () => {
  it('holds names, places, factory keys, keys and hooks, and nothing of the rest', () => {
    expect(pack.lines.map((one) => [one.command.name, one.factory, one.keys])).toEqual([
      ['Curves', ['Mod+Alt+8'], ['Mod+E']],
      ['New layer', ['Mod+Alt+Shift+A'], ['Mod+D']],
      ['Stain mask', ['Alt+W'], ['Alt+D']],
      ['Full sheet', ['Alt+1'], ['Shift+1']],
      ['Loupe', ['Mod+Alt+9'], [{ keys: 'Alt+Z', hook: 'Z, a lens drawn with one line' }]],
    ]);
  });

  it.each([
    ['a colleague’s keymap', tarnlight.program, tarnlight.factory, own(tarnlight, 'Packet pictures'), 5],
    ['version 5', five.program, five.factory, five.factory, 5],
    ['another program', nibshore.program, nibshore.factory, own(nibshore, 'My painting hand'), 2],
  ] as const)(
    'goes on %s as one ticket, without a clash or a keeper lost, and off again',
    (_, program, factory, keymap, least) => {
      const { found, done, clashes } = puttingOn(program, factory, keymap);
      expect(found.filter((one) => one.counterpart !== null).length).toBeGreaterThanOrEqual(least);
      const { ticket } = done;
      if (!ticket) throw new Error('It changes something.');
      const after = applyTicket(keymap, ticket);
      for (const line of done.lines.filter((one) => one.choice === 'take'))
        expect(keysOf(after, line.mine.id)).toEqual([...line.theirKeys]);
      expect(clashes(after).filter((one) => !clashes(keymap).includes(one))).toEqual([]);
      for (const [id, list] of keymap.bindings)
        expect(bindingsOf(after, id)).toEqual(expect.arrayContaining(list.filter((one) => one.keeper)));
      // Whoever loses its only keys has others.
      for (const one of done.knockOns.filter((other) => other.reason === 'closest')) expect(one.instead).not.toBeNull();

      const tape: Ticket[] = [ticket];
      expect(packsOn(tape)).toEqual([{ name: 'Five good ones', position: 1, commands: ticket.changes.length }]);
      const off = pullTicket(after, tape, [1]) as Ticket;
      expect(applyTicket(after, off)).toEqual(keymap);
      expect(packsOn([...tape, off])).toEqual([]);
    },
  );

  it('brings its hooks along, and says what it does not know', () => {
    const { done } = puttingOn(tarnlight.program, tarnlight.factory, own(tarnlight, 'Packet pictures'));
    expect(bindingsOf(done.keymap, 'loupe')).toEqual([{ chord: 'Alt+Z', hook: 'Z, a lens drawn with one line' }]);
    const strange = {
      ...pack,
      program: { name: 'Elsewhere', version: '1' },
      lines: [{ ...pack.lines[0], command: { name: 'Zzyzx quuxify', kind: 'menu item', path: [] } }],
    };
    expect(matchPack(strange as typeof pack, nibshore.program, nibshore.factory)).toMatchObject([
      { confidence: 'none' },
    ]);
  });

  it('takes keys off where it says none', () => {
    const none = makePack(pack, tarnlight.program, tarnlight.factory, mine, ['keep-version']);
    const counterparts = matchPack(none, tarnlight.program, tarnlight.factory);
    const advisor = buildAdvisor(programFacts(tarnlight.program), where, 'left', []);
    const { ticket } = putOnPack(none, counterparts, advisor, tarnlight.factory, new Map(), new Map());
    expect(ticket?.changes).toEqual([{ command: 'keep-version', before: [{ chord: 'Mod+E' }], after: [] }]);
  });
});
