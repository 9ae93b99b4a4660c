import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Desktop } from '../desktop/desktopKeys';
import { applyFilter, markCommands, NO_FILTER } from '../finder/filters';
import { whereOf } from '../keyboard/where';
import { bindingsOf, type Keymap, keymapOf, rowsOf } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { type Command, DEFAULT_FORMS, type Program } from '../program/program';
import { anyKeymap, CHORDS, here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { backToFactory } from './backToFactory';
import { checkKeymap, describeTrouble, fixesFor } from './checkKeymap';
import { choices } from './choices';
import { anyClash, buildClashIndex, findClashes, programFacts, relation } from './clashIndex';
import { describeFinding } from './describeFinding';
import { freeNear } from './freeNear';
import { verdict, verdictWeight } from './verdict';

const facts = programFacts(sampleProgram);
const { place } = here;
const commandOf = (id: string) => facts.commands.get(id) ?? sampleProgram.commands[0]!;
const indexOf = (keymap: Keymap, program: Program = sampleProgram) =>
  buildClashIndex(programFacts(program), keymap, place);
const judge = (keymap: Keymap, id: string, chord: string, program = sampleProgram, where = here) =>
  verdict(indexOf(keymap, program), where, commandOf(id), chord);
const kinds = (...given: Parameters<typeof judge>) => judge(...given).findings.map((one) => one.kind);
const say = (keymap: Keymap, id: string, chord: string, program = sampleProgram, where = here) =>
  judge(keymap, id, chord, program, where).findings.map((one) =>
    plainWords(describeFinding(one, chord, keymap, where)),
  );
const offered = (keymap: Keymap, id: string, chord: string, keepOwn = false) =>
  choices(indexOf(keymap), here, commandOf(id), judge(keymap, id, chord), keepOwn);
const ruled = (rules: Partial<Program['rules']>): Program => ({
  ...sampleProgram,
  rules: { ...sampleProgram.rules, ...rules },
});
const on = (layout: string, desktop: Desktop = 'windows', size: 'full' | 'compact' = 'full') =>
  whereOf({ layout, shape: 'iso', size }, desktop);
const NOTHING = keymapOf([]);

describe('verdicts', () => {
  it('tell who holds the keys, where, and what is lost', () => {
    const keymap = keymapOf(
      [
        ['stain-mask', 'Alt+W'],
        ['undo', 'Mod+Z', true],
        ['undo', 'Alt+Backspace'],
        ['trim', 'F6'],
      ],
      ['trim'],
    );
    expect(say(keymap, 'lift-stain', 'Alt+W')).toEqual([
      'Stain mask (Repair) holds Alt+W. Taking it leaves Stain mask with no key.',
    ]);
    expect(say(keymap, 'lift-stain', 'Mod+Z')).toEqual([
      'Undo (Repair) holds Mod+Z, marked as a keeper. Taking it leaves it its other keys.',
    ]);
    expect(say(keymap, 'lift-stain', 'F6')).toEqual([
      'Trim (Repair) holds F6. It is spare, so these keys are yours to spend.',
    ]);
    expect(say(keymap, 'lift-stain', 'F2')).toEqual(['F2 is free.']);
    expect(say(keymap, 'undo', 'Mod+Z')).toEqual(['This command already answers to Mod+Z.']);
    expect(say(keymap, 'undo', 'Escape')[0]).toMatch(/^The program itself keeps Escape: it leaves a tool\./);
  });

  it('know turns, contexts that never meet or may shadow, and two ways to write the same press', () => {
    const keymap = keymapOf([
      ['clone', 'S'],
      ['dab', 'W'],
      ['undo', 'Mod+Plus'],
    ]);
    expect(kinds(keymap, 'patch', 'S')).toEqual(['takes turns with']);
    expect(kinds(keymap, 'trim', 'S')).toEqual(['held by']);
    expect(kinds(keymap, 'open-row', 'W')).toEqual(['free']);
    expect(kinds(keymap, 'trim', 'W')).toEqual(['held by']);
    expect(kinds(keymap, 'trim', 'Mod+Shift+=')).toEqual(['held by']);
    expect(kinds(keymap, 'undo', 'Mod+Shift+=')).toEqual(['already yours']);
    const shadowing = ruled({ shadow: true });
    expect(kinds(keymap, 'trim', 'W', shadowing)).toEqual(['shadowed by']);
    expect(kinds(keymapOf([['trim', 'W']]), 'dab', 'W', shadowing)).toEqual(['shadows']);
    expect(kinds(keymapOf([['smear', 'W']]), 'dab', 'W', shadowing)).toEqual(['held by']);
    expect(
      findClashes(
        indexOf(
          keymapOf([
            ['trim', 'W'],
            ['dab', 'W'],
          ]),
          shadowing,
        ),
      ),
    ).toEqual([]);
  });

  it('know hold keys, sequences, the number pad, the forms a kind takes, the desktop and the menus', () => {
    const keymap = keymapOf([
      ['undo', 'hold:Space'],
      ['trim', 'Mod+K Mod+S'],
      ['dab', 'Mod+NumpadAdd'],
    ]);
    expect(kinds(keymap, 'lift-stain', 'Space')).toEqual(['free', 'also a hold key']);
    expect(kinds(keymapOf([['undo', 'Q']]), 'trim', 'hold:Q')).toEqual(['free', 'also a hold key']);
    expect(kinds(keymap, 'lift-stain', 'Mod+K')).toEqual(['free', 'in a sequence']);
    expect(kinds(keymapOf([['undo', 'Mod+K']]), 'trim', 'Mod+K Mod+S')).toEqual(['free', 'in a sequence']);
    expect(kinds(keymap, 'smear', 'Mod+Plus')).toEqual(['free', 'from the number pad', 'needs Shift']);
    expect(kinds(NOTHING, 'trim', 'Mod+K Mod+S', ruled({ sequences: false }))).toEqual(['no sequences']);
    expect(kinds(NOTHING, 'trim', 'W', ruled({ forms: DEFAULT_FORMS }))).toEqual(['not allowed']);
    expect(kinds(NOTHING, 'trim', 'Shift+W', ruled({ forms: DEFAULT_FORMS }))).toEqual(['not allowed']);
    expect(kinds(NOTHING, 'trim', 'Shift+F6', ruled({ forms: DEFAULT_FORMS }))).toEqual(['free']);
    expect(kinds(NOTHING, 'trim', 'Alt+F4')).toEqual(['free', 'taken by the desktop']);
    expect(kinds(NOTHING, 'trim', 'Mod+Space', sampleProgram, on('us', 'mac'))).toEqual([
      'free',
      'taken by the desktop',
    ]);
    expect(kinds(NOTHING, 'trim', 'Mod+Alt+T', sampleProgram, on('us', 'linux'))).toEqual([
      'free',
      'taken by the desktop',
    ]);
    const lettered = ruled({ menuLetters: { Repair: 'R' } });
    expect(say(NOTHING, 'trim', 'Alt+R', lettered)).toEqual([
      'Alt+R is free.',
      'On Windows, Alt+R opens the menu Repair of this program.',
    ]);
    expect(kinds(NOTHING, 'trim', 'Alt+R', lettered, on('us', 'mac'))).toEqual(['free']);
  });

  it('tell a person with a French keyboard about Ctrl+Alt+0 and about brackets before they rely on them', () => {
    expect(say(NOTHING, 'trim', 'Mod+Alt+0', sampleProgram, on('fr'))).toEqual([
      'Mod+Alt+0 is free.',
      'On this keyboard (French AZERTY) 0 needs Shift: press Mod+Alt+Shift+À.',
      'On this keyboard (French AZERTY) Ctrl and Alt together are AltGr: with the key à they type @ instead.',
    ]);
    expect(say(NOTHING, 'trim', 'Mod+[', sampleProgram, on('fr'))[1]).toBe(
      'On this keyboard (French AZERTY) [ stands behind AltGr on the key (, so Mod+[ can hardly be pressed.',
    );
    expect(kinds(NOTHING, 'trim', 'F9', sampleProgram, on('fr', 'windows', 'compact'))).toEqual([
      'free',
      'no such key',
    ]);
    expect(verdictWeight(judge(NOTHING, 'trim', 'Mod+[', sampleProgram, on('fr')))).toBe('warns');
  });

  it('agree with a plain look through the whole keymap', () => {
    fc.assert(
      fc.property(
        anyKeymap,
        fc.constantFrom(...sampleProgram.commands),
        fc.constantFrom(...CHORDS),
        (keymap, command, chord) => {
          const meets = sampleProgram.commands.filter(
            (other) =>
              other.id !== command.id &&
              facts.overlap(other.context, command.context) &&
              bindingsOf(keymap, other.id).some((b) => place(b.chord) === place(chord)),
          );
          const clashing = meets.filter((other) => !(other.path[0] === 'Tool rail' && command.path[0] === 'Tool rail'));
          const own = bindingsOf(keymap, command.id).some((b) => place(b.chord) === place(chord));
          const expected = own
            ? 'already yours'
            : chord === 'Escape'
              ? 'fixed by the program'
              : clashing.length > 0
                ? 'held by'
                : meets.length > 0
                  ? 'takes turns with'
                  : 'free';
          expect(judge(keymap, command.id, chord).findings[0]?.kind).toBe(expected);
        },
      ),
      { numRuns: 1500 },
    );
  });
});

describe('choices', () => {
  const keymap = keymapOf([
    ['stain-mask', 'Alt+W'],
    ['lift-stain', 'F9'],
  ]);

  it('take and give on, take and move, swap, take; keep one’s own besides; never what the program fixes', () => {
    const some = offered(keymap, 'lift-stain', 'Alt+W');
    expect(some.map((one) => [one.kind, one.label, one.keys])).toEqual([
      ['take and give', 'Take it, then give Stain mask another key', undefined],
      ['take', 'Take it', undefined],
      ['take and move', 'Take it, Stain mask moves to', 'Alt+S'],
      ['swap', 'Swap, Stain mask gets', 'F9'],
    ]);
    expect(some[0]?.next.map((command) => command.id)).toEqual(['stain-mask']);
    const after = some.map((choice) => rowsOf(applyTicket(keymap, choice.ticket)).sort());
    expect(after).toEqual([
      [['lift-stain', 'Alt+W']],
      [['lift-stain', 'Alt+W']],
      [
        ['lift-stain', 'Alt+W'],
        ['stain-mask', 'Alt+S'],
      ],
      [
        ['lift-stain', 'Alt+W'],
        ['stain-mask', 'F9'],
      ],
    ]);
    const both = offered(keymap, 'lift-stain', 'Alt+W', true);
    expect(both.map((one) => one.kind)).toEqual(['take and give', 'take', 'take and move']);
    expect(bindingsOf(applyTicket(keymap, both[1]!.ticket), 'lift-stain').map((b) => b.chord)).toEqual(['F9', 'Alt+W']);
    expect(offered(keymap, 'trim', 'Escape')).toEqual([]);
    const fixed = keymapOf([['trim', 'Escape']]);
    expect(bindingsOf(applyTicket(fixed, offered(fixed, 'trim', 'S')[0]!.ticket), 'trim').map((b) => b.chord)).toEqual([
      'Escape',
      'S',
    ]);
  });

  it('leave the loser its second key, spend what is spare, share in turns, and name the keepers at stake', () => {
    const two = keymapOf([
      ['stain-mask', 'Alt+W', true],
      ['stain-mask', 'F3'],
      ['clone', 'S'],
    ]);
    const some = offered(two, 'lift-stain', 'Alt+W');
    expect(some.map((one) => [one.kind, one.label, one.keys, one.keepers.length])).toEqual([
      ['take', 'Take it; Stain mask stays on', 'F3', 1],
    ]);
    expect(offered(two, 'patch', 'S').map((one) => [one.kind, one.label])).toEqual([
      ['turns', 'Let them take turns'],
      ['take', 'Take it from Clone'],
    ]);
    const spare = keymapOf([['stain-mask', 'Alt+W']], ['stain-mask']);
    expect(offered(spare, 'lift-stain', 'Alt+W').map((one) => one.kind)).toEqual(['take']);
  });

  it('suggest free keys close by, letters of the name first', () => {
    const near = freeNear(indexOf(keymap), here, commandOf('stain-mask'), 'Alt+W', 6);
    expect(near.map((one) => one.chord)).toContain('Alt+S');
    expect(near[0]?.letter).not.toBeNull();
    for (const one of near) expect(kinds(keymap, 'stain-mask', one.chord)).toEqual(['free']);
  });

  it('leave no clash, whatever is chosen in whatever order', () => {
    const step = fc.tuple(
      fc.constantFrom(...sampleProgram.commands),
      fc.constantFrom(...CHORDS),
      fc.nat(4),
      fc.boolean(),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 24 }), (steps) => {
        let now: Keymap = NOTHING;
        for (const [command, chord, pick, keepOwn] of steps) {
          const some = offered(now, command.id, chord, keepOwn);
          const choice = some[pick % Math.max(1, some.length)];
          if (choice) now = applyTicket(now, choice.ticket);
          expect(findClashes(indexOf(now))).toEqual([]);
        }
      }),
      { numRuns: 150 },
    );
  });
});

describe('checking a whole keymap', () => {
  const factory = keymapOf([
    ['undo', 'Mod+Z', true],
    ['clone', 'S'],
    ['patch', 'S'],
  ]);

  it('lists what is wrong, risky or known, the gravest first, each once, in words', () => {
    const keymap = keymapOf([
      ['lift-stain', 'Alt+W'],
      ['stain-mask', 'Alt+W'],
      ['trim', 'Alt+F4'],
      ['clone', 'S'],
      ['patch', 'S'],
      ['fill', 'Mod+Z'],
      ['dab', 'Escape'],
    ]);
    const found = checkKeymap(indexOf(keymap), here, factory);
    expect(found.map((one) => [one.gravity, one.command.id, one.finding.kind])).toEqual([
      ['wrong', 'lift-stain', 'held by'],
      ['wrong', 'dab', 'fixed by the program'],
      ['risky', 'undo', 'keeper lost'],
      ['risky', 'trim', 'taken by the desktop'],
      ['known', 'clone', 'takes turns with'],
    ]);
    expect(plainWords(describeTrouble(found[2]!, indexOf(keymap), here))).toBe(
      'Undo no longer answers to Mod+Z, a keeper of the factory keys; Fill has it now.',
    );
  });

  it('is clean for an empty keymap without keepers, and every fix mends what it is for', () => {
    expect(checkKeymap(indexOf(NOTHING), here, NOTHING)).toEqual([]);
    fc.assert(
      fc.property(anyKeymap, (keymap) => {
        const index = indexOf(keymap);
        for (const trouble of checkKeymap(index, here, factory)) {
          if (trouble.gravity === 'known') continue;
          const fixes = fixesFor(trouble, index, here);
          expect(fixes.length).toBeGreaterThan(0);
          for (const fix of fixes.slice(0, 2)) {
            const after = applyTicket(keymap, fix.ticket);
            const left = checkKeymap(indexOf(after), here, factory);
            // A clash of many is mended one by one; anything else is gone with one fix.
            const same = left.filter(
              (one) =>
                one.command === trouble.command &&
                one.chord === trouble.chord &&
                one.finding.kind === trouble.finding.kind,
            );
            if (trouble.finding.kind !== 'held by') expect(same).toEqual([]);
            else expect(rowsOf(after)).not.toEqual(rowsOf(keymap));
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('says after a taken choice what the verdict said before it', () => {
    const met = new Set<string>();
    fc.assert(
      fc.property(
        anyKeymap,
        fc.constantFrom(...sampleProgram.commands),
        fc.constantFrom(...CHORDS, 'Alt+F4', 'Space'),
        (keymap, command, chord) => {
          const said = judge(keymap, command.id, chord);
          const [choice] = choices(indexOf(keymap), here, command, said, false);
          if (!choice) return;
          const after = applyTicket(keymap, choice.ticket);
          const index = indexOf(after);
          const list = checkKeymap(index, here, NOTHING);
          for (const { kind } of said.findings) {
            if (['free', 'already yours', 'held by'].includes(kind)) continue;
            const still = verdict(index, here, command, chord).findings.some((one) => one.kind === kind);
            if (!still) continue;
            const shown = list.some(
              (one) =>
                one.finding.kind === kind &&
                place(one.chord).replace('hold:', '') === place(chord).replace('hold:', ''),
            );
            met.add(kind);
            expect([kind, shown]).toEqual([kind, true]);
          }
        },
      ),
      { numRuns: 400 },
    );
    expect([...met].sort()).toEqual(['also a hold key', 'needs Shift', 'taken by the desktop', 'takes turns with']);
  });
});

describe('back to factory', () => {
  it('gives commands their own keys again and names who loses theirs by it', () => {
    const factory = keymapOf([
      ['undo', 'Mod+Z'],
      ['trim', 'Alt+T'],
      ['clone', 'S'],
    ]);
    const keymap = keymapOf([
      ['undo', 'F2', false, 'two for back'],
      ['lift-stain', 'Mod+Z'],
      ['lift-stain', 'F5'],
      ['patch', 'S'],
    ]);
    const back = backToFactory(indexOf(keymap), here, factory, ['undo', 'clone'], 'Back')!;
    expect(back.losers.map((one) => [one.command.id, one.chord])).toEqual([['lift-stain', 'Mod+Z']]);
    expect(rowsOf(applyTicket(keymap, back.ticket)).sort()).toEqual([
      ['clone', 'S'],
      ['lift-stain', 'F5'],
      ['patch', 'S'],
      ['undo', 'Mod+Z'],
    ]);
    const all = backToFactory(
      indexOf(keymap),
      here,
      factory,
      sampleProgram.commands.map((one) => one.id),
      'All',
    )!;
    expect([rowsOf(applyTicket(keymap, all.ticket)).sort(), all.losers]).toEqual([rowsOf(factory).sort(), []]);
    expect(backToFactory(indexOf(factory), here, factory, ['undo'], 'Back')).toBeNull();
  });
});

describe('a chord that many hold', () => {
  it('is judged as if each were looked at with each, in clashes and in marks', () => {
    const one = fc.record({
      context: fc.constantFrom('everywhere', 'canvas', 'list'),
      menu: fc.constantFrom('Tool rail', 'Jars', 'Repair'),
    });
    const rule = fc.record({
      shadow: fc.boolean(),
      turns: fc.constantFrom([], [['Tool rail']], [['Tool rail'], ['Jars']]),
    });
    fc.assert(
      fc.property(fc.array(one, { minLength: 2, maxLength: 24 }), rule, (list, rules) => {
        const program: Program = {
          ...ruled(rules),
          commands: list.map(({ context, menu }, i) => {
            return { id: `c${i}`, name: `C ${i}`, kind: 'menu item', path: [menu], context };
          }),
        };
        const index = indexOf(keymapOf(program.commands.map(({ id }) => [id, 'Mod+K'])), program);
        const [holders = []] = index.holders.values();
        const how = (a: Command, b: Command) => (a === b ? 'apart' : relation(index.facts, a, b));
        const withAny = (command: Command, wanted: string) =>
          program.commands.some((other) => how(command, other) === wanted);
        expect(anyClash(index.facts, holders)).toBe(program.commands.some((command) => withAny(command, 'clash')));
        const marks = markCommands(index, NOTHING, place);
        for (const [mark, wanted] of [
          ['clashing', 'clash'],
          ['takes turns', 'turns'],
        ] as const)
          expect(applyFilter(program.commands, marks, { ...NO_FILTER, marks: [mark] })).toEqual(
            program.commands.filter((command) => withAny(command, wanted)),
          );
      }),
    );
  });
});
