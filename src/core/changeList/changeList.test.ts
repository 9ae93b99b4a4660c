import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildClashIndex, findClashes, type ProgramFacts, programFacts, relation } from '../clash/clashIndex';
import { fromProgramFile, type ProgramFile } from '../file/programFile';
import { bindingsOf, type Keymap, keymapOf } from '../keymap/keymap';
import { here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { describeStep, stepKey } from './describeStep';
import { type EntryPlan, planEntry } from './planEntry';

const facts = programFacts(sampleProgram);
const { place } = here;
const plan = (from: Keymap, to: Keymap, of: ProgramFacts = facts): EntryPlan => planEntry(of, place, from, to);
const keys = (keymap: Keymap, id: string): string[] => bindingsOf(keymap, id).map((one) => one.chord);

/** A program that takes no keys somebody it clashes with has: what it holds after the steps. @throws at a clash. */
function strictProgram(of: ProgramFacts, from: Keymap, { steps }: EntryPlan): Map<string, readonly string[]> {
  const held = new Map(of.program.commands.map((one) => [one.id, keys(from, one.id) as readonly string[]]));
  for (const { command, before, after } of steps) {
    expect(held.get(command)).toEqual(before);
    const own = of.commands.get(command);
    for (const chord of after.filter((one) => !before.includes(one)))
      for (const other of of.program.commands)
        if (own && other.id !== command && relation(of, own, other) === 'clash')
          for (const one of held.get(other.id) ?? [])
            if (place(one) === place(chord)) throw new Error(`${command} can't have ${chord}: ${other.id} has it.`);
    held.set(command, after);
  }
  return held;
}

/** A keymap without clashes: whatever would clash with what is there already is left out. */
function withoutClashes(of: ProgramFacts, rows: readonly (readonly [string, string])[]): Keymap {
  const taken: [string, string][] = [];
  for (const [id, chord] of rows) {
    const own = of.commands.get(id);
    const clash = taken.some(([other, one]) => {
      const there = of.commands.get(other);
      return other !== id && place(one) === place(chord) && own && there && relation(of, own, there) === 'clash';
    });
    if (own && !clash) taken.push([id, chord]);
  }
  return keymapOf(taken);
}

const FEW = ['S', 'W', 'F5', 'Alt+W', 'Mod+Plus', 'Mod+Shift+=', 'Mod+B'];
const IDS = sampleProgram.commands.map((one) => one.id);
/** Most commands with one key each, a few with more, so that rings come up often. */
const anyRows = fc
  .tuple(
    fc.shuffledSubarray(IDS, { minLength: 5 }),
    fc.shuffledSubarray(FEW, { minLength: 4 }),
    fc.array(fc.tuple(fc.constantFrom(...IDS), fc.constantFrom(...FEW)), { maxLength: 6 }),
  )
  .map(([ids, chords, more]) => [...ids.flatMap((id, i) => (chords[i] ? [[id, chords[i]] as const] : [])), ...more]);

describe('a change list', () => {
  it('arrives exactly at the wanted keymap without ever meeting a clash, for any two keymaps', () => {
    let withRings = 0;
    fc.assert(
      fc.property(anyRows, anyRows, (a, b) => {
        const [from, to] = [withoutClashes(facts, a), withoutClashes(facts, b)];
        const list = plan(from, to);
        expect(list.refused).toEqual([]);
        const held = strictProgram(facts, from, list);
        for (const { id } of sampleProgram.commands) expect(held.get(id)).toEqual(keys(to, id));
        const changes = sampleProgram.commands.filter(({ id }) => keys(from, id).join() !== keys(to, id).join()).length;
        expect(list.steps.length).toBe(changes + list.rings);
        expect(list.steps.filter((one) => one.kind === 'free')).toHaveLength(list.rings);
        if (list.rings > 0) withRings++;
      }),
      { numRuns: 1000 },
    );
    expect(withRings).toBeGreaterThan(50);
  });

  it('breaks each ring once, however long, and needs no more where rings share nothing', () => {
    const ids = sampleProgram.commands.filter((one) => one.path[0] === 'Repair').map((one) => one.id);
    fc.assert(
      fc.property(fc.shuffledSubarray(ids, { minLength: 2 }), (order) => {
        // Everyone gets the keys of the next: one ring.
        const from = keymapOf(order.map((id, i) => [id, `F${i + 1}`]));
        const to = keymapOf(order.map((id, i) => [id, `F${((i + 1) % order.length) + 1}`]));
        const list = plan(from, to);
        expect([list.rings, list.steps.length]).toEqual([1, order.length + 1]);
        strictProgram(facts, from, list);
      }),
      { numRuns: 100 },
    );
    const swaps = plan(
      keymapOf([
        ['lift-stain', 'F5'],
        ['stain-mask', 'F6'],
        ['trim', 'F7'],
        ['undo', 'F8'],
      ]),
      keymapOf([
        ['lift-stain', 'F6'],
        ['stain-mask', 'F5'],
        ['trim', 'F8'],
        ['undo', 'F7'],
      ]),
    );
    expect([swaps.rings, swaps.steps.length]).toEqual([2, 6]);
  });

  it('goes in the program’s order where nobody waits for anybody', () => {
    const list = plan(
      keymapOf([]),
      keymapOf([
        ['trim', 'F7'],
        ['clone', 'S'],
        ['lift-stain', 'F5'],
      ]),
    );
    expect(list.steps.map((one) => one.command)).toEqual(['lift-stain', 'trim', 'clone']);
  });

  it('says what no order could enter, and enters the rest', () => {
    const from = keymapOf([['undo', 'Mod+Z']]);
    const to = keymapOf([
      ['undo', 'Mod+Z'],
      ['trim', 'Mod+Z'],
      ['lift-stain', 'F5'],
    ]);
    const list = plan(from, to);
    expect(list.refused).toEqual([{ command: 'trim', chord: 'Mod+Z', holder: 'undo' }]);
    expect(list.steps.map((one) => one.command)).toEqual(['lift-stain']);
  });

  it('leads from the factory keys of the demo programs to every keymap of theirs and back', () => {
    const demo = join(import.meta.dirname, '../../../demo');
    for (const name of readdirSync(demo).filter((one) => one !== 'draft.json' && one.endsWith('.json'))) {
      const { program, factory, keymaps } = fromProgramFile(
        JSON.parse(readFileSync(join(demo, name), 'utf8')) as ProgramFile,
      );
      const own = programFacts(program);
      for (const { keymap } of keymaps) {
        expect(findClashes(buildClashIndex(own, keymap, place))).toEqual([]);
        for (const [a, b] of [
          [factory, keymap],
          [keymap, factory],
        ] as const) {
          const list = plan(a, b, own);
          expect(list.refused).toEqual([]);
          const held = strictProgram(own, a, list);
          for (const { id } of program.commands) expect(held.get(id)).toEqual(keys(b, id));
        }
      }
    }
  });

  it('says each step as it is done by hand', () => {
    const list = plan(
      keymapOf([
        ['lift-stain', 'F5'],
        ['stain-mask', 'F6'],
      ]),
      keymapOf([
        ['lift-stain', 'F6'],
        ['stain-mask', 'F5'],
      ]),
    );
    const said = list.steps.map((step) => plainWords(describeStep(step, (one) => one)));
    expect(said).toEqual([
      'Take off F5 for now, so that stain-mask can have it.',
      'Take off F6, press F5.',
      'Press F6.',
    ]);
    expect(new Set(list.steps.map(stepKey)).size).toBe(3);
  });
});
