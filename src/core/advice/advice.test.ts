import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Modifier } from '../chord/chord';
import { checkKeymap } from '../clash/checkKeymap';
import { buildClashIndex, findClashes, programFacts } from '../clash/clashIndex';
import { type Finding, verdict } from '../clash/verdict';
import { usesOf } from '../effort/uses';
import { bindingsOf, type Keymap, keymapOf, type Row } from '../keymap/keymap';
import { applyTicket, invertTicket, type Ticket } from '../keymap/ticket';
import { type Command, DEFAULT_RULES, FORMS, type Program } from '../program/program';
import { isSentence } from '../testing/isSentence';
import { here } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { buildAdvisor } from './advisor';
import { besideOf } from './beside';
import { shortReason } from './describeReason';
import { explainLine } from './explainLine';
import { farKeys, nearerKeys } from './farKeys';
import { partnersOf } from './partnersOf';
import { planWishes } from './planWishes';
import { searchPairs } from './searchPairs';
import { settledBy } from './settledBy';
import { suggest } from './suggest';
import { wishEdits } from './wishEdits';
import type { PlanLine, WishList } from './wishList';

const command = (name: string, kind: Command['kind'] = 'menu item', path = ['Look'], context = 'everywhere') => ({
  id: name.toLowerCase().replaceAll(' ', '-'),
  name,
  kind,
  path,
  context,
});
const program: Program = {
  name: 'Small',
  version: '1',
  contexts: [
    { id: 'everywhere', name: 'everywhere', parent: null },
    { id: 'canvas', name: 'over the canvas', parent: 'everywhere' },
    { id: 'list', name: 'in the list', parent: 'everywhere' },
  ],
  rules: {
    ...DEFAULT_RULES,
    turns: [['Tools']],
    fixed: [{ chord: 'Mod+Q', why: 'it quits' }],
    forms: { 'menu item': FORMS, tool: FORMS, panel: FORMS, value: FORMS, script: FORMS, 'held action': FORMS },
  },
  commands: [
    command('Step in'),
    command('Step out'),
    command('Lift stain', 'menu item', ['Repair']),
    command('Stain mask', 'menu item', ['Repair']),
    command('Close tear', 'menu item', ['Repair']),
    command('Larger dab', 'value', ['Brush'], 'canvas'),
    command('Smaller dab', 'value', ['Brush'], 'canvas'),
    command('Open row', 'menu item', ['Rows'], 'list'),
    command('Quit', 'menu item', ['File']),
    command('Clone', 'tool', ['Tools'], 'canvas'),
    command('Patch', 'tool', ['Tools'], 'canvas'),
    command('Slide', 'held action', ['Look']),
  ],
};
const facts = programFacts(program);
const advisor = buildAdvisor(facts, here, 'left', []);
const LAYERS: readonly (readonly Modifier[])[] = [[], ['Alt'], ['Mod']];
const CHORDS = ['S', 'W', 'Alt+S', 'Alt+W', 'Alt+E', 'Alt+Q', 'Mod+S', 'Mod+Q', 'Mod+Shift+F9', 'hold:Space', 'F'];
const ids = program.commands.map((one) => one.id);

/** A keymap without clashes: of those on one chord only the first that does not clash stays. */
const anyCleanKeymap: fc.Arbitrary<Keymap> = fc
  .tuple(
    fc.array(fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...CHORDS), fc.boolean()), { maxLength: 12 }),
    fc.subarray(ids, { maxLength: 3 }),
  )
  .map(([rows, spares]) => {
    const kept: Row[] = [];
    for (const row of rows) {
      const next = keymapOf([...kept, row], spares);
      if (findClashes(buildClashIndex(facts, next, here.place)).length === 0) kept.push(row);
    }
    return keymapOf(kept, spares);
  });
const anyList: fc.Arbitrary<WishList> = fc.record({
  wishes: fc.subarray(ids, { minLength: 1 }),
  layers: fc.subarray([...LAYERS], { minLength: 1 }),
  functionKeys: fc.boolean(),
  spendSpares: fc.boolean(),
  spendBelow: fc.constantFrom(null, 4, 50, 50),
  pins: fc.array(fc.tuple(fc.constantFrom(...ids), fc.constantFrom('Alt+A', 'Alt+S', 'Mod+D')), { maxLength: 1 }),
  forbids: fc.array(fc.tuple(fc.constantFrom(...ids), fc.constantFrom('Alt+A', 'Alt+S', 'F')), { maxLength: 2 }),
  stays: fc.subarray(ids, { maxLength: 2 }),
  settled: fc.constant([]),
});
const uses = (one: Command): number => usesOf(one, new Map([['lift-stain', 40]]));
const list = (wishes: string[], more: Partial<WishList> = {}): WishList => ({
  wishes,
  layers: LAYERS,
  functionKeys: false,
  spendSpares: true,
  spendBelow: null,
  pins: [],
  forbids: [],
  stays: [],
  settled: [],
  ...more,
});
const plan = (keymap: Keymap, wanted: WishList) => {
  const found = planWishes(advisor, buildClashIndex(facts, keymap, here.place), wanted, uses);
  if (!found) throw new Error('no plan');
  return found;
};

describe('a plan', () => {
  it('touches nothing that was pinned down, makes no clash, and can be taken back', () => {
    fc.assert(
      fc.property(anyCleanKeymap, anyList, (keymap, wanted) => {
        const { ticket, lines, lostPins } = plan(keymap, wanted);
        const after = ticket ? applyTicket(keymap, ticket) : keymap;
        expect(findClashes(buildClashIndex(facts, after, here.place))).toEqual([]);
        if (ticket) expect(applyTicket(after, invertTicket(ticket)).bindings).toEqual(keymap.bindings);
        for (const [id, bindings] of keymap.bindings) {
          const now = bindingsOf(after, id);
          for (const one of bindings) {
            const mayGo = !one.keeper && !facts.fixed.has(one.chord);
            const asked = wanted.wishes.includes(id) || wanted.spendBelow !== null || keymap.spares.has(id);
            const held = !wanted.wishes.includes(id) && wanted.stays.includes(id);
            if (!mayGo || !asked || held) expect(now).toContainEqual(one);
          }
        }
        for (const [id, chord] of wanted.pins) {
          if (wanted.wishes.includes(id) && !lostPins.some(([one]) => one === id))
            expect(bindingsOf(after, id).map((one) => here.place(one.chord).replace('hold:', ''))).toContain(chord);
        }
        const afterIndex = buildClashIndex(facts, after, here.place);
        for (const { command: id, before, after: given } of lines) {
          if (!given || given.chord === before?.chord) continue;
          // Nothing stands in the way of any keys that are given, but a spare that takes turns keeps its own besides.
          const { findings } = verdict(afterIndex, here, facts.commands.get(id) as Command, given.chord);
          const inTurns = (one: Finding): boolean =>
            one.kind === 'takes turns with' && one.holders.every((holder) => holder.spare);
          expect(findings.filter((one) => !inTurns(one)).map((one) => one.kind)).toEqual(['already yours']);
        }
        for (const line of lines)
          for (const [id, chord] of wanted.forbids)
            if (line.command === id && line.before?.chord !== line.after?.chord)
              expect(line.after?.chord).not.toBe(chord);
      }),
      { numRuns: 400 },
    );
  });

  it('is done once it is on the tape: planned again it is empty, and only what is new is planned then', () => {
    let moved = 0;
    fc.assert(
      fc.property(anyCleanKeymap, anyList, fc.constantFrom(...ids), (keymap, wanted, more) => {
        const first = plan(keymap, wanted);
        const after = first.ticket ? applyTicket(keymap, first.ticket) : keymap;
        const settled = { ...wanted, settled: settledBy(first, wanted, after) };
        // Only a pin that somebody stood in the way of can be held now.
        const again = plan(after, settled).ticket?.changes.map((one) => one.command) ?? [];
        const lost = first.lostPins.map(([id]) => id);
        expect(again.filter((id) => !lost.includes(id))).toEqual([]);
        if (first.ticket) moved++;
        // One more wish leaves those that are settled where they are, but for a pin that can be held now.
        if (wanted.wishes.includes(more) || wanted.pins.length > 0) return;
        const next = plan(after, { ...settled, wishes: [...wanted.wishes, more] }).ticket?.changes ?? [];
        expect(next.map((one) => one.command).filter((id) => wanted.wishes.includes(id))).toEqual([]);
      }),
      { numRuns: 400 },
    );
    expect(moved).toBeGreaterThan(100);
    // Keys that are ruled out after that are planned anew; those that were left to somebody all the same are not.
    const first = plan(keymapOf([]), list(['lift-stain']));
    const after = applyTicket(keymapOf([]), first.ticket as Ticket);
    const settled = settledBy(first, list(['lift-stain']), after);
    const edited = wishEdits.apply(list(['lift-stain'], { settled }), { forbids: settled as WishList['forbids'] });
    expect(plan(after, edited).ticket?.changes.map((one) => one.command)).toEqual(['lift-stain']);
    expect(plan(after, { ...edited, settled }).ticket).toBeNull();
  });

  it('leaves every keeper where it was, and gives it no keys beside that nobody asked for', () => {
    const keymap = keymapOf([['lift-stain', 'Mod+Shift+F9', true]]);
    const { ticket, lines } = plan(keymap, list(['lift-stain']));
    expect(ticket).toBeNull();
    expect(plainWords(explainLine(lines[0] as PlanLine, facts, keymap.bindings))).toBe(
      'Stays on Mod+Shift+F9, a keeper.',
    );
    const asked = plan(keymap, list(['lift-stain'], { pins: [['lift-stain', 'Alt+S']] })).ticket;
    expect(asked?.changes[0]?.after).toEqual([{ chord: 'Mod+Shift+F9', keeper: true }, { chord: 'Alt+S' }]);
  });

  it('takes nothing from a spare that is heard where the wish is not, or that is to stay', () => {
    const keymap = keymapOf(
      [
        ['open-row', 'F'],
        ['step-in', 'S'],
      ],
      ['open-row'],
    );
    // The wish is heard over the canvas only, the spare in the list only.
    const wanted = list(['clone'], { layers: [[]], pins: [['clone', 'F']] });
    const { ticket } = plan(keymap, wanted);
    const after = applyTicket(keymap, ticket as Ticket);
    expect(bindingsOf(after, 'clone')).toEqual([{ chord: 'F' }]);
    expect(bindingsOf(after, 'open-row')).toEqual([{ chord: 'F' }]);
  });

  it('makes nobody worse off unless somebody named pays for it', () => {
    let worse = 0;
    fc.assert(
      fc.property(anyCleanKeymap, anyList, (keymap, wanted) => {
        const { lines } = plan(keymap, wanted);
        const gainOf = new Map(lines.map((line) => [line.command, line.gain]));
        const told = new Set([...wanted.pins, ...wanted.forbids].map(([id]) => id));
        for (const line of lines) {
          if (told.has(line.command) || line.role === 'spare') continue;
          // Keys that are harder to reach, and nothing else that speaks for them.
          const harder = (line.after?.reach.figure ?? 2) > (line.before?.reach.figure ?? 2);
          const kept = bindingsOf(keymap, line.command).length > 1;
          if (harder && line.gain >= 0 && !(kept && line.after === null) && !line.troubled)
            expect(line.reasons.length).toBeGreaterThan(0);
          if (line.gain >= 0) continue;
          worse++;
          const paid = line.paidBy.reduce((sum, id) => sum + (gainOf.get(id) ?? 0), 0);
          const pinned = line.paidBy.some((id) => told.has(id));
          if (!pinned) expect(paid + line.gain).toBeGreaterThanOrEqual(-0.01);
          const words = plainWords(explainLine(line, facts, new Map()));
          expect(words).toContain(facts.commands.get(line.paidBy[0] ?? '')?.name);
        }
      }),
      { numRuns: 400 },
    );
    // Where somebody's partner had to move, those who moved it pay for both.
    const moved = keymapOf([
      ['step-in', 'Alt+S'],
      ['step-out', 'Alt+D'],
    ]);
    const wishes = ['step-in', 'step-out', 'lift-stain', 'quit', 'clone', 'patch'];
    const pins: WishList['pins'] = [['stain-mask', 'Alt+S']];
    const lines = plan(moved, list(wishes, { layers: [['Mod']], spendSpares: false, pins })).lines;
    expect(lines.find((line) => line.command === 'step-out')?.paidBy).toEqual(['lift-stain']);
    // Who stays while their partner moves away is worse off as well.
    const stayed = keymapOf([
      ['step-out', 'S'],
      ['step-in', 'W'],
    ]);
    const all = ['step-in', 'step-out', 'stain-mask', 'smaller-dab', 'patch', 'slide'];
    const apart = plan(
      stayed,
      list(all, { layers: [[], ['Alt']], spendSpares: false, pins: [['step-out', 'Alt+S']] }),
    ).lines;
    const left = apart.find((line) => line.command === 'step-in') as PlanLine;
    expect(left).toMatchObject({ paidBy: ['slide', 'step-out'] });
    expect(plainWords(explainLine(left, facts, new Map()))).toBe(
      'Stays, though its partner moves away for Slide, which gains more by that.',
    );
    // Without such lines this would have shown nothing.
    expect(worse).toBeGreaterThan(5);
  });

  it('costs as little as the best of all there are, pairs included', () => {
    const table = fc.record({
      costs: fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 20, maxLength: 20 }),
      without: fc.array(fc.integer({ min: 50, max: 90 }), { minLength: 4, maxLength: 4 }),
      gains: fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 4, maxLength: 4 }),
    });
    fc.assert(
      fc.property(table, ({ costs, without, gains }) => {
        const all = { rows: 4, columns: 5, costs: Float64Array.from(costs), without: Float64Array.from(without) };
        // Columns in a row lie beside each other.
        const near = (row: number, column: number) =>
          column < 0
            ? []
            : [column - 1, column + 1]
                .filter((one) => one >= 0 && one < 5)
                .map((one) => [one, gains[row] as number] as const);
        const pairs = [
          { a: 0, b: 1 },
          { a: 2, b: 3 },
        ];
        let least = Infinity;
        const columns = [-1, 0, 1, 2, 3, 4];
        for (const p of columns)
          for (const q of columns)
            for (const r of columns)
              for (const s of columns) {
                const chosen = [p, q, r, s];
                const taken = chosen.filter((one) => one >= 0);
                if (new Set(taken).size < taken.length) continue;
                let cost = chosen.reduce(
                  (sum, column, row) => sum + ((column < 0 ? without[row] : costs[row * 5 + column]) as number),
                  0,
                );
                for (const { a, b } of pairs)
                  if ((chosen[a] as number) >= 0 && (chosen[b] as number) >= 0)
                    if (Math.abs((chosen[a] as number) - (chosen[b] as number)) === 1)
                      cost -= (gains[a] as number) + (gains[b] as number);
                least = Math.min(least, cost);
              }
        const found = searchPairs(all, pairs, near, 1000);
        expect(found?.cost).toBe(least);
        expect(found?.bound).toBe(least);
        // Ended early it still knows what no answer can be below.
        const early = searchPairs(all, pairs, near, 1);
        expect(early?.bound).toBeLessThanOrEqual(least);
        expect(early?.cost).toBeGreaterThanOrEqual(least);
      }),
      { numRuns: 300 },
    );
  });

  it('puts partners side by side, spends what it may, and explains itself', () => {
    const keymap = keymapOf([
      ['lift-stain', 'Mod+Shift+F9'],
      ['stain-mask', 'Alt+S'],
      ['close-tear', 'Alt+A'],
    ]);
    const { lines, proven, ticket } = plan(keymap, list(['step-in', 'step-out', 'lift-stain'], { layers: [['Alt']] }));
    expect(proven).toBe(true);
    const chordOf = (id: string) => lines.find((line) => line.command === id)?.after?.chord ?? '';
    expect(besideOf(here, chordOf('step-in'), chordOf('step-out'))).not.toBeNull();
    expect(ticket?.changes.map((one) => one.command).sort()).toEqual(['lift-stain', 'step-in', 'step-out']);
    // A memory hook goes along where its letter fits.
    const noted = plan(
      keymapOf([['lift-stain', 'Mod+Shift+F9', false, 'S for stain']]),
      list(['lift-stain'], { layers: [['Alt']] }),
    );
    expect(noted.ticket?.changes[0]?.after).toEqual([{ chord: 'Alt+S', hook: 'S for stain' }]);
    // Stain mask may be pushed off Alt+S, a letter of Lift stain, once its keys may be spent; what it gets is named.
    const pushed = plan(keymap, list(['lift-stain'], { layers: [['Alt']], spendBelow: 50 }));
    const words = (id: string) =>
      plainWords(explainLine(pushed.lines.find((line) => line.command === id) as never, facts, keymap.bindings));
    expect(pushed.lines.find((line) => line.command === 'lift-stain')?.after?.chord).toBe('Alt+S');
    expect(words('lift-stain')).toContain('Stain mask');
    expect(words('stain-mask')).toContain('Lift stain');
    const after = pushed.ticket ? applyTicket(keymap, pushed.ticket) : keymap;
    expect(
      checkKeymap(buildClashIndex(facts, after, here.place), here, keymap).filter((one) => one.gravity === 'wrong'),
    ).toEqual([]);
  });
});

describe('a plan in words', () => {
  it('says of every line what becomes of it, in whole sentences that name whom it takes from or gives to', () => {
    const kinds = new Set<string>();
    fc.assert(
      fc.property(anyCleanKeymap, anyList, (keymap, wanted) => {
        for (const line of plan(keymap, wanted).lines) {
          const said = plainWords(explainLine(line, facts, keymap.bindings));
          // What the other takes or keeps may begin with its name, as small as it is written.
          expect(said.charAt(0).toUpperCase() + said.slice(1)).toSatisfy(isSentence);
          const names = (id: string): string => facts.commands.get(id)?.name ?? id;
          if (line.after && line.after.chord !== line.before?.chord)
            for (const id of line.from) expect(said).toContain(names(id));
          if (line.role === 'spare' && line.to) expect(said).toContain(names(line.to));
          kinds.add(said.replace(/^(?:\S+ ){0,1}/, '').slice(0, 12));
        }
      }),
      { numRuns: 300 },
    );
    expect(kinds.size).toBeGreaterThan(12);
  });
});

describe('keys that are far and used often', () => {
  const rows: Row[] = [
    ['lift-stain', 'Mod+Shift+F9'],
    ['stain-mask', 'Mod+Shift+F10'],
    ['step-in', 'Alt+S'],
    ['clone', 'Mod+Shift+F8', true],
  ];
  const index = buildClashIndex(facts, keymapOf(rows), here.place);
  const often = new Map([
    ['lift-stain', 20],
    ['stain-mask', 60],
    ['step-in', 500],
    ['clone', 9],
  ]);
  const far = farKeys(advisor, index, (one) => often.get(one.id) ?? 0);

  it('are found, those that cost most first, and those near by or seldom used are not', () => {
    expect(far.map((one) => [one.command.id, one.chord])).toEqual([
      ['stain-mask', 'Mod+Shift+F10'],
      ['lift-stain', 'Mod+Shift+F9'],
    ]);
    expect(farKeys(advisor, index, () => 9)).toEqual([]);
  });

  it('are changed for nearer ones that nobody else has, and that are free of clashes', () => {
    for (const one of far) {
      const nearer = nearerKeys(advisor, index, one);
      if (!nearer) throw new Error('nothing nearer');
      expect(nearer.suggestion.reach.figure).toBeLessThan(one.reach.figure);
      const after = applyTicket(keymapOf(rows), nearer.ticket);
      expect(bindingsOf(after, one.command.id).map((binding) => binding.chord)).toEqual([nearer.suggestion.chord]);
      expect(findClashes(buildClashIndex(facts, after, here.place))).toEqual([]);
      for (const id of ids.filter((other) => other !== one.command.id))
        expect(bindingsOf(after, id)).toEqual(bindingsOf(index.keymap, id));
    }
  });

  it('stay where they are a keeper, and the nearer ones come beside them', () => {
    const [clone] = farKeys(advisor, index, (one) => (one.id === 'clone' ? 50 : 0));
    const nearer = clone && nearerKeys(advisor, index, clone);
    const after = applyTicket(keymapOf(rows), nearer?.ticket ?? { title: '', changes: [] });
    expect(bindingsOf(after, 'clone')).toContainEqual({ chord: 'Mod+Shift+F8', keeper: true });
    expect(bindingsOf(after, 'clone')).toHaveLength(2);
  });
});

describe('advice for one command', () => {
  const keymap = keymapOf(
    [
      ['step-out', 'Alt+W'],
      ['close-tear', 'Alt+3'],
      ['stain-mask', 'Alt+4'],
      ['lift-stain', 'Mod+Shift+F9', false, 'E for erase'],
      ['larger-dab', 'Alt+S'],
    ],
    ['larger-dab'],
  );
  const index = buildClashIndex(facts, keymap, here.place);
  const suggested = (id: string, elsewhere: Parameters<typeof buildAdvisor>[3] = []) =>
    suggest(buildAdvisor(facts, here, 'left', elsewhere), index, facts.commands.get(id) as Command, 400);

  it('gives its reasons: partner, family, letter, hook, another program, spares to spend', () => {
    const reasons = (id: string, chord: string, elsewhere?: Parameters<typeof buildAdvisor>[3]) =>
      suggested(id, elsewhere)
        .find((one) => one.chord === chord)
        ?.reasons.map(shortReason);
    expect(reasons('step-in', 'Alt+E')).toContain('beside Step out');
    expect(reasons('lift-stain', 'Alt+L')).toEqual(['L for lift', 'like others in Repair']);
    expect(reasons('lift-stain', 'Alt+E')).toContain('E for erase');
    expect(
      suggested('lift-stain')
        .find((one) => one.chord === 'Alt+S')
        ?.spends.map((one) => one.command.id),
    ).toEqual(['larger-dab']);
    expect(suggested('step-in').map((one) => one.chord)).not.toContain('Alt+W');
    const there = [{ of: 'step-in', program: 'Other', command: 'Step in', chord: 'Alt+Z' }];
    expect(reasons('step-in', 'Alt+Z', there)).toContain('as in Other');
    expect(reasons('lift-stain', 'Alt+Z', there)).not.toContain('as in Other');
  });

  it('knows partners by opposite words in one menu, and by the glossary', () => {
    const dodge = command('Dodge', 'tool', ['Tools']);
    const burn = command('Burn', 'tool', ['Tools']);
    const partnerOf = partnersOf([...program.commands, dodge, burn]);
    const of = (id: string) => partnerOf(facts.commands.get(id) as Command)?.id;
    expect([of('step-in'), of('step-out')]).toEqual(['step-out', 'step-in']);
    expect(of('smaller-dab')).toBe('larger-dab');
    expect([partnerOf(dodge), partnerOf(burn)]).toEqual([burn, dodge]);
    expect(of('clone')).toBeUndefined();
  });
});
