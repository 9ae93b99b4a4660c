import { describe, expect, it } from 'vitest';
import { whereOf } from '../keyboard/where';
import { type Keymap, keymapOf } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import type { Program } from '../program/program';
import { here, sampleProgram } from '../testing/sampleProgram';
import { plainWords } from '../text/sentence';
import { backToFactory } from './backToFactory';
import { checkKeymap, describeTrouble, fixesFor } from './checkKeymap';
import { alikeOf, anyClash, buildClashIndex, findClashes, MANY_HOLDERS, programFacts, relation } from './clashIndex';
import { describeFinding } from './describeFinding';
import { freeNear } from './freeNear';
import { lossesOf } from './lossesOf';
import { type Finding, padTwin, verdict } from './verdict';

const facts = programFacts(sampleProgram);
const indexOf = (keymap: Keymap, program: Program = sampleProgram) =>
  buildClashIndex(programFacts(program), keymap, here.place);
const command = (id: string) => sampleProgram.commands.find((one) => one.id === id)!;
const EMPTY = keymapOf([]);
const kinds = (keymap: Keymap, factory = EMPTY) =>
  checkKeymap(indexOf(keymap), here, factory).map((one) => `${one.gravity} ${one.command.id} ${one.finding.kind}`);

describe('the keys of the number pad', () => {
  it.each([
    ['Mod+NumpadAdd', 'Mod+Plus'],
    ['NumpadSubtract', '-'],
    ['Alt+NumpadMultiply', 'Alt+*'],
    ['NumpadDivide', '/'],
    ['Shift+NumpadDecimal', 'Shift+.'],
    ['NumpadEnter', 'Enter'],
    ['NumpadEqual', '='],
    ['hold:Numpad0', 'hold:0'],
    ['Mod+Numpad9', 'Mod+9'],
  ])('%s is the twin of %s', (pad, key) => {
    expect([padTwin(pad), padTwin(key)]).toEqual([key, pad]);
  });
  it('have no twin where the main block has none, nor in sequences', () => {
    expect([padTwin('Mod+A'), padTwin('Mod+K Mod+9'), padTwin('F1')]).toEqual([null, null, null]);
  });
});

describe('who meets whom', () => {
  const holders = (...ids: string[]) =>
    ids.map((id) => ({ command: command(id), chord: 'Q', keeper: false, spare: false }));
  it('tells how any two commands get along', () => {
    const how = (a: string, b: string, shadow = false) =>
      relation(programFacts({ ...sampleProgram, rules: { ...sampleProgram.rules, shadow } }), command(a), command(b));
    expect([
      how('undo', 'trim'),
      how('undo', 'dab'),
      how('dab', 'open-row'),
      how('clone', 'patch'),
      how('clone', 'undo'),
    ]).toEqual(['clash', 'clash', 'apart', 'turns', 'clash']);
    expect([how('undo', 'dab', true), how('undo', 'trim', true), how('dab', 'open-row', true)]).toEqual([
      'shadow',
      'clash',
      'apart',
    ]);
  });
  it('says of few and of many whether some clash, and lists the chords on which they do', () => {
    expect([
      anyClash(facts, holders('dab', 'open-row')),
      anyClash(facts, holders('dab', 'open-row', 'fold-row')),
    ]).toEqual([false, true]);
    expect([
      anyClash(facts, holders('clone', 'patch', 'fill')),
      anyClash(facts, holders('undo')),
      anyClash(facts, []),
    ]).toEqual([false, false, false]);
    const many = (...ids: string[]) =>
      Array.from({ length: MANY_HOLDERS }, (_, i) => holders(ids[i % ids.length] as string)[0]!);
    expect([
      anyClash(facts, many('clone', 'patch', 'fill')),
      anyClash(facts, many('clone')),
      anyClash(facts, many('undo')),
    ]).toEqual([false, false, false]);
    expect([anyClash(facts, many('undo', 'trim')), anyClash(facts, many('clone', 'patch', 'dab'))]).toEqual([
      true,
      true,
    ]);
    const alike = alikeOf(facts, many('clone', 'patch', 'dab'));
    expect(alike.map((one) => [one.command.id, [...one.commands]])).toEqual([
      ['clone', ['clone', 'patch']],
      ['dab', ['dab']],
    ]);
    const index = indexOf(
      keymapOf([
        ['undo', 'Q'],
        ['trim', 'Q'],
        ['clone', 'W'],
        ['patch', 'W'],
        ['dab', 'E'],
        ['gone', 'E'],
      ]),
    );
    expect(findClashes(index).map(({ chord, holders: all }) => [chord, all.map((one) => one.command.id)])).toEqual([
      ['Q', ['undo', 'trim']],
    ]);
    expect(
      buildClashIndex(facts, keymapOf([['undo', 'Mod+K Mod+S']]), here.place).sequences.get('Mod+K')?.[0]?.command.id,
    ).toBe('undo');
  });
  it('says nothing of a command that is on these keys twice, and names it never as somebody else', () => {
    const index = indexOf(
      keymapOf([
        ['undo', 'Mod+K Mod+S'],
        ['undo', 'Mod+K'],
      ]),
    );
    expect(verdict(index, here, command('undo'), 'Mod+K').findings.map((one) => one.kind)).toEqual(['already yours']);
    const among = indexOf(
      keymapOf([
        ['dab', 'Mod+K Mod+S'],
        ['open-row', 'Mod+K'],
      ]),
    );
    expect(verdict(among, here, command('fold-row'), 'Mod+K').findings.map((one) => one.kind)).toEqual(['held by']);
    expect(verdict(among, here, command('smear'), 'Mod+K').findings.map((one) => one.kind)).toEqual([
      'free',
      'in a sequence',
    ]);
  });
});

describe('what taking keys costs', () => {
  it('is one change a command, of its own chords alone', () => {
    const keymap = keymapOf([
      ['undo', 'Mod+Shift+='],
      ['undo', 'Mod+Plus'],
      ['trim', 'Mod+Plus'],
      ['trim', 'Mod+Shift+='],
      ['trim', 'F2'],
    ]);
    const holder = (id: string, chord: string) => ({ command: command(id), chord, keeper: false, spare: false });
    const losses = lossesOf(keymap, [holder('undo', 'Mod+Plus'), holder('trim', 'Mod+Shift+=')]);
    expect(losses.map((one) => [one.command, one.after.map((binding) => binding.chord)])).toEqual([
      ['undo', ['Mod+Shift+=']],
      ['trim', ['Mod+Plus', 'F2']],
    ]);
  });
  it('back to factory keeps what is noted on keys that stay, and says nothing is to be done where nothing is', () => {
    const factory = keymapOf([
      ['undo', 'Mod+Z', true],
      ['undo', 'F2'],
    ]);
    const keymap = keymapOf([
      ['undo', 'F2', false, 'two'],
      ['undo', 'Q'],
      ['trim', 'Mod+Z'],
    ]);
    const back = backToFactory(indexOf(keymap), here, factory, ['undo'], 'Undo back')!;
    expect(applyTicket(keymap, back.ticket).bindings.get('undo')).toEqual([
      { chord: 'Mod+Z', keeper: true },
      { chord: 'F2', hook: 'two' },
    ]);
    expect(back.losers.map((one) => one.command.id)).toEqual(['trim']);
    expect(backToFactory(indexOf(factory), here, factory, ['undo', 'trim'], 'x')).toBeNull();
  });
});

describe('a whole keymap is checked', () => {
  it('and each clash told once, each turn once an area, what is apart not at all', () => {
    expect(
      kinds(
        keymapOf([
          ['undo', 'Mod+Q'],
          ['trim', 'Mod+Q'],
          ['dab', 'Mod+Q'],
        ]),
      ),
    ).toEqual(['wrong undo held by']);
    expect(
      kinds(
        keymapOf([
          ['clone', 'W'],
          ['patch', 'W'],
          ['fill', 'W'],
        ]),
      ),
    ).toEqual(['known clone takes turns with']);
    expect(
      kinds(
        keymapOf([
          ['dab', 'Mod+Q'],
          ['open-row', 'Mod+Q'],
        ]),
      ),
    ).toEqual([]);
  });
  it('and a keeper of the factory’s that is lost is told with who has its keys where both are heard', () => {
    const factory = keymapOf([['dab', 'Mod+Q', true]]);
    const said = (keymap: Keymap) =>
      checkKeymap(indexOf(keymap), here, factory)
        .filter((one) => one.finding.kind === 'keeper lost')
        .map((one) => plainWords(describeTrouble(one, indexOf(keymap), here)));
    expect(said(EMPTY)).toEqual(['Dab no longer answers to Mod+Q, a keeper of the factory keys.']);
    expect(said(keymapOf([['open-row', 'Mod+Q']]))).toEqual([
      'Dab no longer answers to Mod+Q, a keeper of the factory keys.',
    ]);
    expect(said(keymapOf([['undo', 'Mod+Q']]))).toEqual([
      'Dab no longer answers to Mod+Q, a keeper of the factory keys; Undo has it now.',
    ]);
    expect(said(keymapOf([['dab', 'Mod+Q']]))).toEqual([]);
    // The same press written otherwise is not lost.
    const plus = keymapOf([['dab', 'Mod+Plus', true]]);
    expect(kinds(keymapOf([['dab', 'Mod+Shift+=']]), plus).filter((one) => one.includes('keeper lost'))).toEqual([]);
    expect(kinds(keymapOf([['undo', 'F2']]), keymapOf([['dab', 'F2']]))).toEqual([]);
  });
  it('and its fixes give back, move or take, and leave what is shared on purpose', () => {
    const factory = keymapOf([['dab', 'Mod+Q', true]]);
    const keymap = keymapOf([
      ['undo', 'Mod+Q'],
      ['undo', 'F2'],
      ['clone', 'W'],
      ['patch', 'W'],
    ]);
    const index = indexOf(keymap);
    const troubles = checkKeymap(index, here, factory);
    const labels = (kind: string) =>
      fixesFor(troubles.find((one) => one.finding.kind === kind)!, index, here).map(({ label, keys = '', ticket }) => [
        label,
        keys,
        applyTicket(keymap, ticket).bindings.get('dab') ?? [],
      ]);
    expect(labels('keeper lost')).toEqual([['Give it back, from Undo', '', [{ chord: 'Mod+Q', keeper: true }]]]);
    expect(labels('takes turns with')).toEqual([]);
    const clash = keymapOf([
      ['undo', 'Mod+Q'],
      ['trim', 'Mod+Q'],
      ['open-row', 'Mod+Q', false, 'o'],
    ]);
    const wrong = checkKeymap(indexOf(clash), here, EMPTY)[0]!;
    const fixes = fixesFor(wrong, indexOf(clash), here);
    expect(fixes.map((one) => one.label)).toEqual([
      ...[
        'Move Undo to',
        'Take it from Undo',
        'Move Trim to',
        'Take it from Trim',
        'Move Open row to',
        'Take it from Open row',
      ],
    ]);
    // A move takes what is noted along.
    expect(applyTicket(clash, fixes[4]!.ticket).bindings.get('open-row')).toMatchObject([
      { hook: 'o', chord: fixes[4]!.keys },
    ]);
    const alone = keymapOf([['undo', 'Alt+F4']]);
    const risky = checkKeymap(indexOf(alone), here, EMPTY)[0]!;
    expect(fixesFor(risky, indexOf(alone), here).map((one) => one.label)).toEqual([
      'Move Undo to',
      'Take it from Undo',
    ]);
  });
});

describe('free keys nearby', () => {
  it('are next to those that were asked for, on their layer, not taken, and not those that are ruled out', () => {
    const near = (chord: string, besides: readonly string[] = [], keymap = EMPTY) =>
      freeNear(indexOf(keymap), here, command('smear'), chord, 3, new Set(besides)).map((one) => one.chord);
    const [first = '', ...others] = near('Mod+Shift+J');
    expect(first.startsWith('Mod+Shift+')).toBe(true);
    expect(near('Mod+Shift+J', [first])).toEqual([...others, expect.any(String)]);
    expect(near('Mod+Shift+J', [], keymapOf([['undo', first]]))).not.toContain(first);
    expect(near('hold:J').every((one) => one.startsWith('hold:'))).toBe(true);
    // Its own initial counts as nearer; the second letter of its name doesn't.
    expect(freeNear(indexOf(EMPTY), here, command('fold-row'), 'Mod+Shift+G', 1)).toMatchObject([
      { chord: expect.stringMatching(/\+[FGR]$/) },
    ]);
    expect(freeNear(indexOf(EMPTY), here, command('dab'), 'Mod+Q', 40).filter((one) => one.letter === 'A')).toEqual([]);
    expect(near('Bogus+++')).toHaveLength(3);
  });
});

describe('in words', () => {
  const words = (finding: Finding, keymap = EMPTY, where = here) =>
    plainWords(describeFinding(finding, 'Mod+Q', keymap, where));
  const held = (ids: string[], values: object = {}) =>
    ids.map((id) => ({ command: command(id), chord: 'Mod+Q', keeper: false, spare: false, ...values }));
  it.each<[string, Finding, string]>([
    [
      'one',
      { kind: 'held by', holders: held(['undo']) },
      'Undo (Repair) holds Mod+Q. Taking it leaves Undo with no key.',
    ],
    [
      'a spare',
      { kind: 'held by', holders: held(['undo'], { spare: true }) },
      'Undo (Repair) holds Mod+Q. It is spare, so these keys are yours to spend.',
    ],
    [
      'spares',
      { kind: 'held by', holders: held(['undo', 'trim'], { spare: true }) },
      'Undo (Repair) and Trim (Repair) hold Mod+Q. They are spare, so these keys are yours to spend.',
    ],
    [
      'keepers',
      { kind: 'held by', holders: held(['undo', 'trim'], { keeper: true }) },
      'Undo (Repair) and Trim (Repair) hold Mod+Q, marked as keepers. Taking it leaves Undo and Trim with no key.',
    ],
  ])('%s', (_, finding, wanted) => {
    const keymap = keymapOf([
      ['undo', 'Mod+Q'],
      ['trim', 'Mod+Q'],
    ]);
    expect(words(finding, keymap)).toBe(wanted);
  });
  it('says which keyboard has no such key', () => {
    const on = (size: 'full' | 'no pad' | 'compact') =>
      words({ kind: 'no such key', key: 'F11' }, EMPTY, whereOf({ ...here.keyboard.choice, size }, 'windows'));
    const named = (size: string) => `There is no F11 on this keyboard (${here.keyboard.name}, ${size}).`;
    expect([on('full'), on('no pad'), on('compact')]).toEqual([
      named('full size'),
      named('without number pad'),
      named('compact'),
    ]);
    expect(words({ kind: 'needs Shift', key: 'Plus', pressed: 'Mod+Shift+=' } as Finding)).toContain(
      '+ needs Shift: press Mod+Shift+=.',
    );
  });
});
