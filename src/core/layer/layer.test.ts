import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MODIFIERS, type Modifier } from '../chord/chord';
import { buildClashIndex, programFacts } from '../clash/clashIndex';
import { keyStrip } from '../keyboard/keyStrip';
import { usKeyboard } from '../keyboard/usKeyboard';
import { EMPTY_KEYMAP, keymapOf } from '../keymap/keymap';
import { contextsOverlap } from '../program/contextsOverlap';
import { turnArea } from '../program/turnArea';
import { anyKeymap, here, sampleProgram } from '../testing/sampleProgram';
import { keyCard } from './keyCard';
import { countFree, isFree, layerFaces, layersFor } from './layer';

const facts = programFacts(sampleProgram);
const { place } = here;
const face = (rows: [string, string][], modifiers: Modifier[], code: string) =>
  layerFaces(here, modifiers, buildClashIndex(facts, keymapOf(rows), place)).find((one) => one.key.code === code);
const names = (holders: readonly { command: { id: string } }[] | undefined) =>
  holders?.map((holder) => holder.command.id);

describe('the drawn keyboard', () => {
  it('shows on each key who answers with the modifiers of the layer, pressed or held', () => {
    const rows: [string, string][] = [
      ['stain-mask', 'Alt+W'],
      ['clone', 'W'],
      ['patch', 'W'],
      ['undo', 'hold:Space'],
      ['trim', 'Mod+Plus'],
    ];
    expect(names(face(rows, ['Alt'], 'KeyW')?.holders)).toEqual(['stain-mask']);
    expect(names(face(rows, [], 'KeyW')?.holders)).toEqual(['clone', 'patch']);
    expect(names(face(rows, [], 'Space')?.held)).toEqual(['undo']);
    // A character above another is found where it is pressed.
    expect(names(face(rows, ['Mod', 'Shift'], 'Equal')?.holders)).toEqual(['trim']);
    expect(face(rows, [], 'ShiftLeft')?.chord).toBeNull();
  });

  it('marks clashes but not turns or contexts that never meet, and what the program fixes', () => {
    expect(
      face(
        [
          ['clone', 'W'],
          ['patch', 'W'],
        ],
        [],
        'KeyW',
      )?.clash,
    ).toBe(false);
    expect(
      face(
        [
          ['dab', 'W'],
          ['open-row', 'W'],
        ],
        [],
        'KeyW',
      )?.clash,
    ).toBe(false);
    expect(
      face(
        [
          ['clone', 'W'],
          ['undo', 'W'],
        ],
        [],
        'KeyW',
      )?.clash,
    ).toBe(true);
    const fixing = {
      ...sampleProgram,
      rules: { ...sampleProgram.rules, fixed: [{ chord: 'Enter', why: 'it accepts' }] },
    };
    const faces = layerFaces(here, [], buildClashIndex(programFacts(fixing), EMPTY_KEYMAP, place));
    expect(faces.filter((one) => one.fixed !== null).map((one) => one.key.code)).toEqual(['Enter']);
  });

  it('loses no binding of the main block: each is on exactly one layer', () => {
    fc.assert(
      fc.property(anyKeymap, (keymap) => {
        const index = buildClashIndex(facts, keymap, place);
        const layers = Array.from({ length: 32 }, (_, bits) => MODIFIERS.filter((_m, i) => bits & (1 << i)));
        const shown = layers.flatMap((modifiers) =>
          layerFaces(here, modifiers, index).flatMap((one) => [...one.holders, ...one.held]),
        );
        const onBoard = [...index.holders].flatMap(([, holders]) => holders);
        const told = (all: typeof onBoard) => all.map((one) => `${one.command.id} ${one.chord}`).sort();
        expect(told(shown)).toEqual(told(onBoard));
      }),
      { numRuns: 40 },
    );
  });

  it('counts what is free on a layer, and gives each key a card of all it does', () => {
    const rows: [string, string][] = [
      ['stain-mask', 'Alt+W'],
      ['clone', 'W'],
      ['undo', 'hold:W'],
      ['trim', 'Mod+W Mod+S'],
      ['fill', 'Meta+W'],
    ];
    const index = buildClashIndex(facts, keymapOf(rows), place);
    expect(countFree(here, index, [], null)).toBe(46);
    expect(countFree(here, index, ['Alt'], null)).toBe(46);
    // Another tool may share W in turns, so it is not free for it, but a command of the layer Shift finds all free.
    expect(countFree(here, index, ['Shift'], facts.commands.get('patch') ?? null)).toBe(47);
    // What the desktop takes is free for nobody.
    expect(isFree(here, index, 'Alt+Tab', null)).toBe(false);
    expect(isFree(here, index, 'Alt+Q', null)).toBe(true);
    const card = keyCard(here, index, usKeyboard.byCode.get('KeyW')!);
    expect(card).toHaveLength(layersFor('windows').length + 1);
    const of = (chord: string) => card.find((row) => row.chord === chord);
    expect([names(of('W')?.holders), names(of('W')?.held)]).toEqual([['clone'], ['undo']]);
    expect(names(of('Alt+W')?.holders)).toEqual(['stain-mask']);
    expect(names(of('Mod+W')?.begins)).toEqual(['trim']);
    expect(names(of('Meta+W')?.holders)).toEqual(['fill']);
    expect(of('Shift+W')?.holders).toEqual([]);
  });

  it('shows a keymap as a strip: used keys pinned, yours before the factory’s', () => {
    const strip = keyStrip(usKeyboard, [
      ['W', false],
      ['W', true],
      ['S', false],
      ['no key of this keyboard', true],
    ]);
    expect(strip).toHaveLength(47);
    expect(strip.filter((one) => one.pin).map((one) => [one.key.name, one.pin])).toEqual([
      ['W', 'yours'],
      ['S', 'factory'],
    ]);
  });
});

describe('contexts and areas', () => {
  it('overlap where one contains the other, and a loop in bad data ends', () => {
    const overlap = contextsOverlap([...sampleProgram.contexts, { id: 'deep', name: 'deep', parent: 'canvas' }]);
    expect([
      overlap('deep', 'everywhere'),
      overlap('canvas', 'deep'),
      overlap('canvas', 'list'),
      overlap('deep', 'list'),
    ]).toEqual([true, true, false, false]);
    const loop = contextsOverlap([
      { id: 'a', name: 'a', parent: 'b' },
      { id: 'b', name: 'b', parent: 'a' },
    ]);
    expect(loop('a', 'c')).toBe(false);
  });

  it('take turns where a path begins with the area', () => {
    const rules = { ...sampleProgram.rules, turns: [['Tool rail'], ['Brush', 'Soft']] };
    expect(
      [['Tool rail'], ['Tool rail', 'More'], ['Brush'], ['Brush', 'Soft'], []].map((path) => turnArea({ path }, rules)),
    ).toEqual([0, 0, -1, 1, -1]);
  });
});
