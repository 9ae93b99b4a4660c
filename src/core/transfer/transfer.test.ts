import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildAdvisor } from '../advice/advisor';
import { buildClashIndex, findClashes, programFacts } from '../clash/clashIndex';
import { verdict } from '../clash/verdict';
import { whereOf } from '../keyboard/where';
import { bindingsOf, type Keymap, keymapOf } from '../keymap/keymap';
import { applyTicket, invertTicket } from '../keymap/ticket';
import { type Command, DEFAULT_FORMS, DEFAULT_RULES, KINDS, type Program } from '../program/program';
import { anyKeymap, CHORDS, here } from '../testing/sampleProgram';
import { advisor, ids, RULES, taskOf } from '../testing/transferTask';
import { plainWords } from '../text/sentence';
import { deriveAgain } from './deriveAgain';
import { describeTransferLine } from './describeTransferLine';
import { planKnockOns } from './planKnockOns';
import { transfer } from './transfer';
import type { Choice, TransferTask } from './transferTypes';
import { translateKeys } from './translateKeys';

const anyChoice: fc.Arbitrary<Choice> = fc.oneof(
  fc.constant<Choice>({ kind: 'take' }),
  fc.constant<Choice>({ kind: 'keep' }),
  fc.subarray(CHORDS, { maxLength: 2 }).map((chords): Choice => ({ kind: 'other', chords })),
);
const anyTask: fc.Arbitrary<TransferTask> = fc
  .record({
    keymap: anyKeymap,
    theirKeys: anyKeymap,
    others: fc.shuffledSubarray(ids),
    rules: fc.record({
      kinds: fc.subarray([...KINDS]),
      onlyEmpty: fc.boolean(),
      preferEasier: fc.boolean(),
      besides: fc.boolean(),
    }),
    choices: fc.array(fc.tuple(fc.constantFrom(...ids), anyChoice), { maxLength: 3 }),
    instead: fc.array(fc.tuple(fc.constantFrom(...ids), fc.constantFrom(null, ...CHORDS)), { maxLength: 3 }),
    uses: fc.array(fc.nat(50), { minLength: ids.length, maxLength: ids.length }),
  })
  .map(({ keymap, theirKeys, others, rules, choices, instead, uses }) =>
    taskOf({
      keymap,
      theirKeys,
      // Counterparts need not be of one name.
      pairs: others.map((theirs, i) => ({ mine: ids[i] as string, theirs })),
      rules,
      choices: new Map(choices),
      instead: new Map(instead),
      usesOf: (command: Command) => uses[ids.indexOf(command.id)] ?? 0,
    }),
  );

const clashesIn = (keymap: Keymap): string[] =>
  findClashes(buildClashIndex(advisor.facts, keymap, here.place)).map((one) => one.chord);
const runs = { numRuns: 600 };

describe('a transfer', () => {
  it('never touches a keeper, whatever is chosen', () => {
    let threatened = 0;
    fc.assert(
      fc.property(anyTask, (task) => {
        const { keymap } = transfer(task, 'x');
        const wanted = new Set([...task.theirKeys.bindings.values()].flat().map((one) => here.place(one.chord)));
        for (const [id, list] of task.keymap.bindings)
          for (const one of list.filter(({ keeper }) => keeper)) {
            if (wanted.has(here.place(one.chord))) threatened++;
            expect(bindingsOf(keymap, id)).toContainEqual(one);
          }
      }),
      runs,
    );
    // On the average 300.
    expect(threatened).toBeGreaterThan(40);
  });

  it('keeps a keeper that the same command has on the same place written otherwise', () => {
    const mine = keymapOf([
      ['trim', 'Mod+Shift+='],
      ['trim', 'Mod+Plus', true],
    ]);
    const choices = new Map([['trim', { kind: 'other', chords: ['Mod+Plus'] } as Choice]]);
    const { keymap } = transfer(taskOf({ keymap: mine, theirKeys: keymapOf([]), choices }), 'x');
    expect(bindingsOf(keymap, 'trim')).toEqual([{ chord: 'Mod+Plus', keeper: true }]);
  });

  it('never makes a clash', () => {
    fc.assert(
      fc.property(anyTask, (task) => {
        const before = new Set(clashesIn(task.keymap));
        expect(clashesIn(transfer(task, 'x').keymap).filter((one) => !before.has(one))).toEqual([]);
      }),
      runs,
    );
  });

  it('has a ticket that leads there, and an inverse that restores the keymap exactly', () => {
    fc.assert(
      fc.property(anyTask, (task) => {
        const { ticket, keymap } = transfer(task, 'x');
        if (!ticket) {
          expect(keymap.bindings).toEqual(task.keymap.bindings);
          return;
        }
        const after = applyTicket(task.keymap, ticket);
        expect(after.bindings).toEqual(new Map([...keymap.bindings]));
        const back = applyTicket(after, invertTicket(ticket));
        expect(new Map([...back.bindings])).toEqual(task.keymap.bindings);
        expect(back.spares).toEqual(task.keymap.spares);
      }),
      runs,
    );
  });

  it('is the identity when both keymaps already agree', () => {
    fc.assert(
      fc.property(anyKeymap, fc.boolean(), (keymap, besides) => {
        const done = transfer(taskOf({ keymap, theirKeys: keymap, rules: { ...RULES, besides } }), 'x');
        expect(done.ticket).toBeNull();
        expect(done.lines.every((line) => line.choice === 'same')).toBe(true);
      }),
      runs,
    );
  });

  it('takes what it says it takes, and says of every key it could not have why', () => {
    let [taken, moved] = [0, 0];
    fc.assert(
      fc.property(anyTask, (task) => {
        const done = transfer(task, 'x');
        const places = (id: string) => bindingsOf(done.keymap, id).map((one) => here.place(one.chord));
        for (const line of done.lines) {
          const missed = line.missed.map((one) => here.place(one.chord));
          if (line.choice === 'take')
            for (const chord of line.theirKeys.map(here.place)) {
              if (!missed.includes(chord)) taken++;
              expect(places(line.mine.id).includes(chord) || missed.includes(chord)).toBe(true);
            }
          if (line.choice === 'same') expect(line.after).toEqual(line.before);
        }
        for (const { command, instead } of done.knockOns)
          if (instead !== null) {
            moved++;
            expect(places(command.id)).toContain(here.place(instead));
          }
      }),
      runs,
    );
    // On the average 180 and 20.
    expect([taken > 40, moved > 2]).toEqual([true, true]);
  });
});

const program: Program = {
  name: 'Plates',
  version: '1',
  contexts: [{ id: 'everywhere', name: 'everywhere', parent: null }],
  rules: {
    ...DEFAULT_RULES,
    turns: [['Tools']],
    forms: { ...DEFAULT_FORMS, 'menu item': ['bare', 'named', 'modified'] },
  },
  commands: ['wash', 'soften', 'turn', 'relief', 'trim', 'undo', 'fix'].map((id) => ({
    id,
    name: id[0]?.toUpperCase() + id.slice(1),
    kind: 'menu item',
    path: ['Work'],
    context: 'everywhere',
  })),
};
const plates = buildAdvisor(programFacts(program), here, 'left', []);
const plate = (rows: Parameters<typeof keymapOf>[0], spares: string[] = []) => keymapOf(rows, spares);
const plateTask = (given: Partial<TransferTask> & Pick<TransferTask, 'keymap' | 'theirKeys'>): TransferTask =>
  taskOf({
    advisor: plates,
    theirCommands: plates.facts.commands,
    pairs: program.commands.map(({ id }) => ({ mine: id, theirs: id })),
    ...given,
  });

describe('knock-on changes', () => {
  const keymap = plate(
    [
      ['wash', 'W'],
      ['soften', 'A'],
      ['turn', 'Mod+F2'],
      ['relief', 'H'],
      ['undo', 'Mod+Z', true],
    ],
    ['relief'],
  );

  it('give the closest free keys, none to a spare', () => {
    const theirKeys = plate([
      ['wash', 'A'],
      ['turn', 'H'],
    ]);
    const { knockOns, keymap: after } = transfer(plateTask({ keymap, theirKeys }), 'x');
    expect(knockOns.map((one) => [one.command.id, one.lost, one.to, one.reason])).toEqual([
      ['soften', ['A'], ['wash'], 'closest'],
      ['relief', ['H'], ['turn'], 'spare'],
    ]);
    expect(bindingsOf(after, 'wash')).toEqual([{ chord: 'A' }]);
    // Next to A, and the letter of its name.
    expect(knockOns[0]?.instead).toBe('S');
    expect(bindingsOf(after, 'relief')).toEqual([]);
  });

  it('are planned together: two who lose neighbors do not get one key', () => {
    const theirKeys = plate([
      ['trim', 'A'],
      ['fix', 'W'],
    ]);
    const { knockOns, keymap: after } = transfer(plateTask({ keymap, theirKeys }), 'x');
    expect(knockOns).toHaveLength(2);
    expect(new Set(knockOns.map((one) => one.instead)).size).toBe(2);
    const index = buildClashIndex(plates.facts, after, here.place);
    for (const { command, instead } of knockOns)
      expect(verdict(index, here, command, instead as string).findings.map((one) => one.kind)).toEqual([
        'already yours',
      ]);
  });

  it('hold to an answer given by hand, and the rest is solved again', () => {
    const theirKeys = plate([['wash', 'A']]);
    const answered = (chord: string | null) =>
      transfer(plateTask({ keymap, theirKeys, instead: new Map([['soften', chord]]) }), 'x');
    expect(bindingsOf(answered('Shift+F7').keymap, 'soften')).toEqual([{ chord: 'Shift+F7' }]);
    expect(bindingsOf(answered(null).keymap, 'soften')).toEqual([]);
    const lost = answered('H');
    expect(lost.lostAnswers).toEqual(['soften']);
    expect(bindingsOf(lost.keymap, 'soften')).not.toContainEqual({ chord: 'H' });
  });
});

describe('the closest free keys', () => {
  const keymap = plate([
    ['trim', 'R'],
    ['fix', 'F'],
  ]);
  const give = (losers: readonly (readonly [string, string, number])[], wanted: [string, string][] = []) =>
    planKnockOns(
      plates,
      keymap,
      losers.map(([id, lost, uses]) => ({ command: plates.facts.commands.get(id) as Command, lost, uses })),
      new Map(wanted),
    );

  it('are free, each given once, and never those of anybody', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom('wash', 'soften', 'turn', 'relief', 'undo'), { minLength: 1 }),
        fc.array(fc.constantFrom('A', 'S', 'Mod+E', 'Alt+Shift+K', 'F5'), { minLength: 5, maxLength: 5 }),
        fc.array(fc.nat(40), { minLength: 5, maxLength: 5 }),
        (ids, lost, uses) => {
          const { given } = give(ids.map((id, i) => [id, lost[i] as string, uses[i] as number]));
          const places = [...given.values()].map(here.place);
          expect(given.size).toBe(ids.length);
          expect(new Set(places).size).toBe(places.length);
          const index = buildClashIndex(plates.facts, keymap, here.place);
          for (const [id, chord] of given)
            expect(verdict(index, here, plates.facts.commands.get(id) as Command, chord).findings).toEqual([
              { kind: 'free' },
            ]);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('go to the one used most where two want the same, and what was answered by hand comes first', () => {
    const alone = give([['wash', 'E', 1]]).given.get('wash');
    const both = give([
      ['wash', 'E', 1],
      ['relief', 'E', 30],
    ]).given;
    // What it would have had alone goes to who is used more.
    expect(both.get('relief')).toBe(alone);
    expect(both.get('wash')).not.toBe(alone);
    const answered = give([['wash', 'E', 1]], [['wash', 'Alt+Shift+P']]);
    expect([...answered.given]).toEqual([['wash', 'Alt+Shift+P']]);
    expect(give([['wash', 'E', 1]], [['wash', 'R']]).lostAnswers).toEqual(['wash']);
  });
});

describe('the words for a line', () => {
  const keymap = plate(
    [
      ['wash', 'W'],
      ['soften', 'A'],
      ['relief', 'H'],
      ['undo', 'Mod+Z', true],
    ],
    ['relief'],
  );
  const words = (theirs: Parameters<typeof keymapOf>[0], id: string, more: Partial<TransferTask> = {}): string => {
    const done = transfer(plateTask({ keymap, theirKeys: plate(theirs), ...more }), 'x');
    const line = done.lines.find((one) => one.mine.id === id);
    const knockOns = new Map(done.knockOns.map((one) => [one.command.id, one]));
    return plainWords(line ? describeTransferLine(line, knockOns, (one) => keymap.spares.has(one)) : []);
  };

  it('say who loses what, what is free, what stands in the way', () => {
    expect(words([['wash', 'A']], 'wash')).toBe('Soften loses A and gets S');
    expect(words([['wash', 'H']], 'wash')).toBe('Relief gives up H, a spare');
    expect(words([['wash', 'F7']], 'wash')).toBe('free here');
    expect(words([['wash', 'W']], 'wash')).toBe('already the same');
    expect(words([['undo', 'Mod+Y']], 'undo')).toBe('marked as a keeper');
    expect(words([['wash', 'Mod+Z']], 'wash')).toBe('Mod+Z is a keeper of Undo');
    expect(words([['wash', 'Alt+Tab']], 'wash')).toBe('Alt+Tab is taken by the desktop');
    expect(words([['wash', 'A']], 'wash', { choices: new Map([['soften', { kind: 'keep' }]]) })).toBe(
      'A stays with Soften',
    );
    expect(words([['wash', 'A']], 'wash', { choices: new Map([['wash', { kind: 'keep' }]]) })).toBe('settled by you');
    expect(
      words(
        [
          ['wash', 'A'],
          ['wash', 'Mod+Z'],
        ],
        'wash',
      ),
    ).toBe('Soften loses A and gets S and Mod+Z is a keeper of Undo');
  });
});

describe('the lines of a transfer', () => {
  const keymap = plate([
    ['wash', 'W'],
    ['soften', 'A'],
    ['undo', 'Mod+Z', true],
    ['fix', 'F7'],
  ]);
  const reasonFor = (theirs: Parameters<typeof keymapOf>[0], id: string, more: Partial<TransferTask> = {}) => {
    const line = transfer(plateTask({ keymap, theirKeys: plate(theirs), ...more }), 'x').lines.find(
      (one) => one.mine.id === id,
    );
    return [line?.choice, line?.reason.kind];
  };

  it('say why keys stay', () => {
    expect(reasonFor([['undo', 'Mod+Y']], 'undo')).toEqual(['keep', 'keeper']);
    expect(reasonFor([['wash', 'Mod+Z']], 'wash')).toEqual(['keep', 'in the way']);
    expect(reasonFor([['wash', 'Mod+Alt+Shift+P']], 'wash', { rules: { ...RULES, preferEasier: true } })).toEqual([
      'keep',
      'easier',
    ]);
    expect(reasonFor([['wash', 'A']], 'wash', { rules: { ...RULES, onlyEmpty: true } })).toEqual(['keep', 'has keys']);
    expect(reasonFor([['wash', 'A']], 'wash', { rules: { ...RULES, kinds: ['tool'] } })).toEqual([
      'keep',
      'kind left out',
    ]);
    expect(reasonFor([['wash', 'Alt+Tab']], 'wash')).toEqual(['keep', 'in the way']);
    expect(reasonFor([['wash', 'A']], 'wash', { choices: new Map([['soften', { kind: 'keep' }]]) })).toEqual([
      'keep',
      'in the way',
    ]);
  });

  it('give keys that two want to the one used more', () => {
    const theirKeys = plate([
      ['trim', 'Q'],
      ['fix', 'Q'],
    ]);
    const done = transfer(plateTask({ keymap, theirKeys, usesOf: (one) => (one.id === 'fix' ? 9 : 1) }), 'x');
    expect(bindingsOf(done.keymap, 'fix')).toEqual([{ chord: 'Q' }]);
    expect(done.lines.find((one) => one.mine.id === 'trim')?.missed[0]?.way).toMatchObject({
      kind: 'wanted more by',
      command: { id: 'fix' },
    });
  });

  it('leave keys settled outside as they are, and take theirs from others', () => {
    const settled = new Map([['wash', [{ chord: 'A' }]]]);
    const done = transfer(plateTask({ keymap, theirKeys: plate([['wash', 'W']]), settled }), 'x');
    expect(bindingsOf(done.keymap, 'wash')).toEqual([{ chord: 'A' }]);
  });
});

describe('keys made elsewhere', () => {
  const mac = whereOf(here.keyboard.choice, 'mac');
  const german = whereOf({ shape: 'iso', size: 'full', layout: 'de' }, 'windows');

  it('are translated between desktops and keyboards, and back', () => {
    expect(translateKeys('Ctrl+K', { where: mac, move: 'letters' }, here)).toBe('Meta+K');
    expect(translateKeys('Mod+Alt+K', { where: mac, move: 'letters' }, here)).toBe('Mod+Alt+K');
    expect(translateKeys('Mod+Z', { where: here, move: 'positions' }, german)).toBe('Mod+Y');
    fc.assert(
      fc.property(fc.constantFrom('Ctrl+K', 'Mod+Ctrl+A', 'hold:Ctrl', 'Mod+Alt+Shift+P', 'F5'), (chord) => {
        const there = translateKeys(chord, { where: mac, move: 'letters' }, here);
        expect(translateKeys(there, { where: here, move: 'letters' }, mac)).toBe(chord);
      }),
    );
  });
});

describe('deriving again', () => {
  it('leaves corrections exactly as they are, touches no keeper and makes no clash, whatever has changed there', () => {
    fc.assert(
      fc.property(anyTask, anyKeymap, anyKeymap, (task, derived, theirsThen) => {
        const { transfer: done, corrected } = deriveAgain(task, derived, theirsThen, 'x');
        for (const id of corrected) expect(bindingsOf(done.keymap, id)).toEqual(bindingsOf(task.keymap, id));
        const before = new Set(clashesIn(task.keymap));
        expect(clashesIn(done.keymap).filter((one) => !before.has(one))).toEqual([]);
      }),
      runs,
    );
  });

  it('changes nothing where nothing has changed there, and brings what has', () => {
    fc.assert(
      fc.property(anyTask, anyKeymap, (task, derived) => {
        const { ticket } = deriveAgain({ ...task, instead: new Map() }, derived, task.theirKeys, 'x').transfer;
        expect(ticket).toBeNull();
      }),
      runs,
    );
    const derived = plate([['wash', 'A']]);
    const now = plate([
      ['wash', 'A'],
      ['fix', 'Shift+X'],
    ]);
    const again = deriveAgain(
      plateTask({
        keymap: now,
        theirKeys: plate([
          ['wash', 'A'],
          ['turn', 'H'],
          ['fix', 'F'],
        ]),
      }),
      derived,
      plate([['wash', 'A']]),
      'x',
    );
    expect(again.corrected).toEqual(['fix']);
    expect(again.changedThere).toEqual(['turn', 'fix']);
    expect(again.transfer.ticket?.changes.map((one) => [one.command, one.after[0]?.chord])).toEqual([['turn', 'H']]);
  });
});
