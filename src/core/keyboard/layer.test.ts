import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MODIFIERS, type Modifier } from '../chord/chord';
import { buildClashIndex, programFacts } from '../clash/clashIndex';
import { keymapOf } from '../keymap/keymap';
import { contextsOverlap } from '../program/contextsOverlap';
import { turnArea } from '../program/turnArea';
import { anyKeymap, sampleProgram } from '../testing/sampleProgram';
import { keyStrip } from './keyStrip';
import { layerFaces } from './layer';
import { placeOf } from './placeOf';
import { usKeyboard } from './usKeyboard';

const facts = programFacts(sampleProgram);
const place = placeOf(usKeyboard);
const face = (rows: [string, string][], modifiers: Modifier[], code: string) =>
  layerFaces(usKeyboard, modifiers, buildClashIndex(facts, keymapOf(rows), place), place).find(
    (one) => one.key.code === code,
  );
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
    const faces = layerFaces(usKeyboard, [], buildClashIndex(programFacts(fixing), new Map(), place), place);
    expect(faces.filter((one) => one.fixed !== null).map((one) => one.key.code)).toEqual(['Enter']);
  });

  it('loses no binding of the main block: each is on exactly one layer', () => {
    fc.assert(
      fc.property(anyKeymap, (keymap) => {
        const index = buildClashIndex(facts, keymap, place);
        const layers = Array.from({ length: 32 }, (_, bits) => MODIFIERS.filter((_m, i) => bits & (1 << i)));
        const shown = layers.flatMap((modifiers) =>
          layerFaces(usKeyboard, modifiers, index, place).flatMap((one) => [...one.holders, ...one.held]),
        );
        const onBoard = [...index.holders].filter(([chord]) => chord !== 'Escape').flatMap(([, holders]) => holders);
        expect(shown.length).toBe(onBoard.length);
      }),
      { numRuns: 40 },
    );
  });

  it('shows a keymap as a strip: used keys pinned, yours before the factory’s', () => {
    const strip = keyStrip(usKeyboard, [
      ['Alt+W', false],
      ['Mod+W', true],
      ['S', false],
      ['hold:Mod', true],
      ['not keys at all', true],
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
    const rules = { turns: [['Tool rail'], ['Brush', 'Soft']], fixed: [] };
    expect(
      [['Tool rail'], ['Tool rail', 'More'], ['Brush'], ['Brush', 'Soft'], []].map((path) => turnArea({ path }, rules)),
    ).toEqual([0, 0, -1, 1, -1]);
  });
});
