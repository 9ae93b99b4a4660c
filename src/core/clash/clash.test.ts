import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeOf } from '../keyboard/placeOf';
import { usKeyboard } from '../keyboard/usKeyboard';
import { bindingsOf, type Keymap, keymapOf } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { anyKeymap, CHORDS, sampleProgram } from '../testing/sampleProgram';
import { choices } from './choices';
import { buildClashIndex, findClashes, programFacts } from './clashIndex';
import { describeVerdict } from './describeVerdict';
import { verdict } from './verdict';

const facts = programFacts(sampleProgram);
const place = placeOf(usKeyboard);
const commandOf = (id: string) => facts.commands.get(id) ?? sampleProgram.commands[0]!;
const judge = (keymap: Keymap, id: string, chord: string) =>
  verdict(buildClashIndex(facts, keymap, place), commandOf(id), chord, place);
const say = (keymap: Keymap, id: string, chord: string) =>
  describeVerdict(judge(keymap, id, chord), chord, keymap)
    .map((span) => Object.values(span)[0])
    .join('');
const offered = (keymap: Keymap, id: string, chord: string, keepOwn = false) =>
  choices(facts, keymap, commandOf(id), chord, judge(keymap, id, chord), keepOwn);

describe('verdicts', () => {
  it('tell who holds the keys, where, and what is lost', () => {
    const keymap = keymapOf([
      ['stain-mask', 'Alt+W'],
      ['undo', 'Mod+Z'],
      ['undo', 'Alt+Backspace'],
    ]);
    expect(say(keymap, 'lift-stain', 'Alt+W')).toBe(
      'Stain mask (Repair) holds Alt+W. Taking it leaves Stain mask with no key.',
    );
    expect(say(keymap, 'lift-stain', 'Mod+Z')).toBe('Undo (Repair) holds Mod+Z. Taking it leaves it its other keys.');
    expect(say(keymap, 'lift-stain', 'F2')).toBe('F2 is free.');
    expect(say(keymap, 'undo', 'Mod+Z')).toBe('This command already answers to Mod+Z.');
    expect(say(keymap, 'undo', 'Escape')).toMatch(/^The program itself keeps Escape: it leaves a tool\./);
  });

  it('know turns, contexts that never meet, and two ways to write the same press', () => {
    const keymap = keymapOf([
      ['clone', 'S'],
      ['dab', 'W'],
      ['undo', 'Mod+Plus'],
    ]);
    expect(judge(keymap, 'patch', 'S').kind).toBe('takes turns with');
    expect(judge(keymap, 'trim', 'S').kind).toBe('held by');
    expect(judge(keymap, 'open-row', 'W').kind).toBe('free');
    expect(judge(keymap, 'trim', 'W').kind).toBe('held by');
    expect(judge(keymap, 'trim', 'Mod+Shift+=').kind).toBe('held by');
    expect(judge(keymap, 'undo', 'Mod+Shift+=').kind).toBe('already yours');
  });

  it('offer to take, to take and give on, to keep one’s own besides; never what the program fixes', () => {
    const keymap = keymapOf([
      ['stain-mask', 'Alt+W'],
      ['lift-stain', 'F9'],
    ]);
    const [give, take] = offered(keymap, 'lift-stain', 'Alt+W');
    expect(give?.label).toBe('Take it, then give Stain mask another key');
    expect(give?.next.map((command) => command.id)).toEqual(['stain-mask']);
    expect(take?.label).toBe('Take it');
    const after = applyTicket(keymap, take!.ticket);
    expect([bindingsOf(after, 'lift-stain'), bindingsOf(after, 'stain-mask')]).toEqual([[{ chord: 'Alt+W' }], []]);
    const both = applyTicket(keymap, offered(keymap, 'lift-stain', 'Alt+W', true)[1]!.ticket);
    expect(bindingsOf(both, 'lift-stain').map((b) => b.chord)).toEqual(['F9', 'Alt+W']);
    expect(offered(keymap, 'trim', 'Escape')).toEqual([]);
    const fixed = keymapOf([['trim', 'Escape']]);
    expect(bindingsOf(applyTicket(fixed, offered(fixed, 'trim', 'S')[0]!.ticket), 'trim').map((b) => b.chord)).toEqual([
      'Escape',
      'S',
    ]);
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
          expect(judge(keymap, command.id, chord).kind).toBe(expected);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('leave no clash, whatever offered choices are taken in whatever order', () => {
    const step = fc.tuple(
      fc.constantFrom(...sampleProgram.commands),
      fc.constantFrom(...CHORDS),
      fc.nat(3),
      fc.boolean(),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        let keymap: Keymap = keymapOf([]);
        for (const [command, chord, pick, keepOwn] of steps) {
          const some = offered(keymap, command.id, chord, keepOwn);
          const choice = some[pick % Math.max(1, some.length)];
          if (choice) keymap = applyTicket(keymap, choice.ticket);
          expect(findClashes(buildClashIndex(facts, keymap, place))).toEqual([]);
        }
      }),
      { numRuns: 400 },
    );
  });
});
