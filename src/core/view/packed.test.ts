import fc from 'fast-check';
import { expect, it } from 'vitest';
import { pack, unpack } from './packed';

const commands = [
  { id: 'a', path: ['Image'] },
  { id: 'b', path: [] },
];
const others = Array.from({ length: 20 }, (_, at) => ({ id: `c${at}` }));
const screen = {
  view: { program: { name: 'One', commands }, bindings: [['a', 'B', 0]] },
  all: { views: [{ program: { commands } }, { program: { commands: others } }] },
  apart: null,
};
const addresses = new Map<unknown, string>([
  [commands, '/one'],
  [others, '/other'],
]);

it('sets lists apart, each once, and puts them back where they stood', () => {
  const packed = pack(screen, (list) => addresses.get(list) ?? null);
  expect(packed.apart).toEqual(['/one', '/other']);
  expect(packed.text).not.toContain('Image');
  const back = unpack(
    packed,
    new Map<string, unknown>([
      ['/one', commands],
      ['/other', others],
    ]),
  );
  expect(back).toEqual(screen);
  expect(back.all.views[0]?.program.commands).toBe(back.view.program.commands);
});

it('gives back any plain data', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      expect(unpack(pack(value))).toEqual(JSON.parse(JSON.stringify(value)));
    }),
  );
});
