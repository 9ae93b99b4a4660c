import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { programFacts } from '../clash/clashIndex';
import { bindingsOf, type Keymap, keymapOf } from '../keymap/keymap';
import { DEFAULT_RULES, EVERYWHERE, type Program } from '../program/program';
import { here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { describeStep, stepKey, whereWords } from './describeStep';
import { type EntryStep, planEntry } from './planEntry';
import { tickEdits } from './tickEdits';

const MANY = 24;
const program: Program = {
  name: 'Many',
  version: '1',
  contexts: [EVERYWHERE],
  rules: DEFAULT_RULES,
  commands: Array.from({ length: MANY }, (_, i) => ({
    id: `c${i}`,
    name: `Command ${i}`,
    kind: 'menu item' as const,
    path: ['Menu'],
    context: EVERYWHERE.id,
  })),
};
const facts = programFacts(program);
const ids = program.commands.map((one) => one.id);
const plan = (from: Keymap, to: Keymap) => planEntry(facts, here.place, from, to);
const keys = (keymap: Keymap, id: string) => bindingsOf(keymap, id).map((one) => one.chord);
const named = (list: ReturnType<typeof plan>) => list.steps.map((one) => `${one.kind} ${one.command}`);
const rows = (text: string): Keymap => keymapOf(text.split(' ').map((one) => one.split('=') as [string, string]));

describe('the order of a change list', () => {
  it('is the program’s wherever nobody waits: no step is put off that could be done', () => {
    const shuffled = fc.shuffledSubarray(
      Array.from({ length: MANY + 8 }, (_, i) => `F${i + 1}`),
      { minLength: MANY },
    );
    let rings = 0;
    fc.assert(
      fc.property(shuffled, shuffled, (a, b) => {
        // F25 and on are no keys of a keyboard, but texts like any other here.
        const [from, to] = [a, b].map((chords) => keymapOf(ids.map((id, i) => [id, chords[i] ?? 'Q'] as const))) as [
          Keymap,
          Keymap,
        ];
        const list = plan(from, to);
        rings += list.rings;
        const now = new Map(ids.map((id) => [id, keys(from, id)]));
        const pending = new Set(ids.filter((id) => keys(from, id).join() !== keys(to, id).join()));
        const waitsFor = (id: string) =>
          keys(to, id).flatMap((chord) =>
            ids.filter((other) => other !== id && pending.has(other) && now.get(other)?.includes(chord)),
          );
        for (const step of list.steps) {
          const ready = ids.filter((id) => pending.has(id) && waitsFor(id).length === 0);
          expect(step.before).toEqual(now.get(step.command));
          if (step.kind === 'free') {
            expect(ready).toEqual([]);
            const waiting = ids.filter((id) => pending.has(id) && waitsFor(id).includes(step.command));
            expect(step.waiting).toBe(waiting[0]);
            expect(step.after).toEqual([]);
            // It is part of a ring: whoever it waits for, and so on, leads back to it.
            let at = step.command;
            for (let i = 0; i < MANY; i++) at = at === step.command && i > 0 ? at : (waitsFor(at)[0] ?? '');
            expect(at).toBe(step.command);
          } else {
            expect(step.command).toBe(ready[0]);
            pending.delete(step.command);
          }
          now.set(step.command, [...step.after]);
        }
        expect(pending.size).toBe(0);
      }),
      { numRuns: 200 },
    );
    // On the average 115.
    expect(rings).toBeGreaterThan(40);
  });

  it('of a ring frees the one that most wait for, then the first; what it keeps it keeps', () => {
    // c0 and c1 are a ring; c1 is waited for by c2 as well.
    expect(named(plan(rows('c0=F1 c1=F2 c1=F3'), rows('c0=F2 c1=F1 c2=F3')))).toEqual([
      'free c1',
      'set c0',
      'set c1',
      'set c2',
    ]);
    // Nobody is waited for more than others: the first.
    expect(named(plan(rows('c3=F1 c5=F2 c4=F4'), rows('c3=F2 c5=F1 c4=F5')))).toEqual([
      'set c4',
      'free c3',
      'set c5',
      'set c3',
    ]);
    const kept = plan(rows('c0=F1 c0=F9 c1=F2'), rows('c0=F2 c0=F9 c1=F1')).steps[0];
    expect(kept).toMatchObject({ kind: 'free', command: 'c0', before: ['F1', 'F9'], after: ['F9'], waiting: 'c1' });
    // Whoever leads into a ring is no part of it.
    const led = plan(rows('c0=F8 c0=F9 c1=F2 c1=F5 c2=F3'), rows('c0=F5 c1=F3 c2=F2 c4=F8 c5=F9'));
    expect(named(led)[0]).toBe('free c1');
  });

  it('changes nothing that is the same, waits for nobody who stays, and refuses what two are to have', () => {
    expect(plan(rows('c0=F1 c1=F2'), rows('c0=F1 c1=F2'))).toEqual({ steps: [], rings: 0, refused: [] });
    expect(named(plan(rows('c0=F1 c1=F2'), rows('c0=F1 c1=F3')))).toEqual(['set c1']);
    // Who has the keys already comes first, though it stands later in the program.
    const refused = plan(rows('c5=F1'), rows('c0=F1 c5=F1 c1=F2'));
    expect([refused.refused, named(refused)]).toEqual([[{ command: 'c0', chord: 'F1', holder: 'c5' }], ['set c1']]);
    // Of two that both come to them, the first.
    const both = plan(rows('c9=F9'), rows('c0=F1 c1=F1 c9=F9'));
    expect([both.refused, named(both)]).toEqual([[{ command: 'c1', chord: 'F1', holder: 'c0' }], ['set c0']]);
    // One that is refused some of its keys gets the others.
    expect(plan(rows('c5=F1'), rows('c0=F1 c0=F4 c5=F1')).steps).toMatchObject([
      { command: 'c0', before: [], after: ['F4'] },
    ]);
    // Two that clash already stay as they are.
    expect(plan(rows('c0=F1 c1=F1'), rows('c0=F1 c1=F1 c1=F2'))).toMatchObject({
      refused: [],
      steps: [{ command: 'c1', after: ['F1', 'F2'] }],
    });
    // The same press written otherwise is the same keys to whoever waits.
    expect(named(plan(rows('c0=Mod+Plus'), rows('c1=Mod+Shift+= c0=F2')))).toEqual(['set c0', 'set c1']);
  });

  it('lets those share who get along', () => {
    const apart = planEntry(
      programFacts(sampleProgram),
      here.place,
      rows('dab=F1 clone=S'),
      rows('open-row=F1 dab=F2 patch=S clone=S fill=S'),
    );
    expect([apart.refused, named(apart)]).toEqual([[], ['set dab', 'set open-row', 'set patch', 'set fill']]);
  });
});

describe('a step in words', () => {
  const step = (before: string[], after: string[], more: Partial<EntryStep> = {}): EntryStep => ({
    kind: 'set',
    command: 'c1',
    before,
    after,
    ...more,
  });
  it.each<[EntryStep, string]>([
    [step([], ['F1']), 'Press F1.'],
    [step(['F1'], []), 'Take off F1.'],
    [step(['F1', 'F2'], ['F2', 'F3', 'F4']), 'Take off F1, press F3 and F4.'],
    [step(['F1', 'F2'], ['F2', 'F1']), 'Put in this order: F2 and F1.'],
    [step(['F1', 'F2'], ['F2'], { kind: 'free' }), 'Take off F1 for now.'],
    [step(['F1'], [], { kind: 'free', waiting: 'c2' }), 'Take off F1 for now, so that <c2> can have it.'],
  ])('%j', (one, words) => {
    expect(plainWords(describeStep(one, (id) => `<${id}>`))).toBe(words);
  });
  it('is told apart from every other, and says where its command lives', () => {
    const all = [
      step([], ['F1']),
      step([], ['F1', 'F2']),
      step([], ['F1'], { kind: 'free' }),
      step([], ['F1'], { command: 'c2' }),
    ];
    expect(all.map(stepKey)).toEqual(['set c1 F1', 'set c1 F1 | F2', 'free c1 F1', 'set c2 F1']);
    expect(whereWords({ ...program.commands[0]!, path: ['Edit', 'More'] })).toBe('Edit › More');
  });
  it('is ticked and unticked, once each, whatever somebody else ticks', () => {
    const apply = (ticks: string[], steps: string[], done: boolean) => tickEdits.apply(ticks, { steps, done });
    expect([apply(['a'], ['b', 'a'], true), apply(['a', 'b'], ['a'], false), apply([], [], true)]).toEqual([
      ['b', 'a'],
      ['b'],
      [],
    ]);
    expect(tickEdits.meets({ steps: ['a'], done: true }, [], ['a'])).toBe(false);
  });
});
