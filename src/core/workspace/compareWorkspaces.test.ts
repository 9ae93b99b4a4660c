import { describe, expect, it } from 'vitest';
import { FACTORY_APPEARANCE } from './appearance';
import type { Arrangement, Dock } from './arrangement';
import { compareWorkspaces } from './compareWorkspaces';
import type { Dressing } from './dressing';
import type { Workspace } from './room';
import type { ToolLayout } from './toolLayout';

const dock = (stacks: readonly string[], over: Partial<Dock> = {}): Dock => ({
  stacks: stacks.map((one) => ({ panels: one.split('+'), top: one[0] ?? '', share: 1 / stacks.length })),
  ...{ size: 0.2, fold: 'open' },
  ...over,
});
const panels = (left: Dock, right: Dock, over: Partial<Arrangement> = {}): Arrangement => ({
  docks: { left, right, bottom: dock([]) },
  ...{ floats: [], hidden: [] },
  ...over,
});
const menus = (hidden: readonly string[], marks: Dressing['marks'] = []): Dressing => ({ hidden, marks });
const strip = (...groups: string[]) => ({
  groups: groups.map((one) => one.split(' ')),
  size: 'medium' as const,
  words: false,
});
const tools = (over: { rail?: object; bar?: object; icons?: ToolLayout['icons'] } = {}): ToolLayout =>
  ({
    rail: { ...strip('a b', 'c'), columns: 2, ...over.rail },
    bar: { ...strip('d'), ...over.bar },
    icons: over.icons ?? [],
  }) as ToolLayout;
const nameOf = (id: string): string => id.toUpperCase();
const keymapName = (keymap: number | null): string => (keymap === null ? 'Factory keys' : `Keymap ${keymap}`);

describe('what differs between two workspaces', () => {
  const home = panels(dock(['a', 'b']), dock(['c+d', 'e']));
  it.each<readonly [what: string, before: Workspace, after: Workspace, words: readonly string[]]>([
    [
      'panels that come and go',
      { panels: home },
      { panels: panels(dock(['a', 'b', 'f']), dock(['c+d'])) },
      ['F shown', 'E hidden'],
    ],
    [
      'panels that move, of many a few by name',
      { panels: panels(dock(['a', 'b', 'c', 'd', 'e']), dock([])) },
      { panels: panels(dock([]), dock(['a', 'b', 'c', 'd', 'e'])) },
      ['A to the right dock', 'B to the right dock', 'C to the right dock', '2 more to other sides'],
    ],
    [
      'panels that lie on others',
      { panels: home },
      { panels: panels(dock(['a+b']), dock(['c+d', 'e'])) },
      ['A, B stacked otherwise'],
    ],
    [
      'sides that are larger, smaller and folded',
      { panels: home },
      { panels: panels(dock(['a', 'b'], { size: 0.3, fold: 'icons' }), dock(['c+d', 'e'], { size: 0.1 })) },
      ['the left dock larger', 'the right dock smaller', 'the left dock folded'],
    ],
    [
      'a side that is unfolded',
      { panels: panels(dock(['a'], { fold: 'words' }), dock(['b'])) },
      { panels: panels(dock(['a']), dock(['b'])) },
      ['the left dock unfolded'],
    ],
    [
      'panels in another order',
      { panels: home },
      { panels: panels(dock(['b', 'a']), dock(['c+d', 'e'])) },
      ['in another order'],
    ],
    [
      'lines of menus',
      {
        menus: menus(
          ['a', 'b'],
          [
            ['c', 'weld'],
            ['d', 'woad'],
          ],
        ),
      },
      {
        menus: menus(
          ['b', 'e'],
          [
            ['c', 'iron'],
            ['f', 'woad'],
          ],
        ),
      },
      ['E hidden', 'A brought back', 'C, F marked', 'D without a mark'],
    ],
    [
      'many lines, a few by name',
      { menus: menus([]) },
      { menus: menus(['a', 'b', 'c', 'd', 'e']) },
      ['A, B, C and 2 more hidden'],
    ],
    [
      'buttons that come and go',
      { tools: tools() },
      { tools: tools({ rail: strip('a', 'c e'), bar: strip('d f') }) },
      ['E added to the tool rail', 'B taken off the tool rail', 'F added to the button bar'],
    ],
    [
      'buttons in another order, size and number of columns, with words',
      { tools: tools() },
      { tools: tools({ rail: { ...strip('b a', 'c'), size: 'large', words: true, columns: 1 } }) },
      [
        'tool rail in another order',
        'tool rail: large buttons',
        'tool rail: words under its icons',
        'tool rail: 1 column',
      ],
    ],
    [
      'words that go',
      { tools: tools({ bar: { words: true } }) },
      { tools: tools() },
      ['button bar: words no longer under its icons'],
    ],
    [
      'icons',
      { tools: tools({ icons: [['a', 'leaf']] }) },
      {
        tools: tools({
          icons: [
            ['a', 'sprout'],
            ['b', 'leaf'],
          ],
        }),
      },
      ['2 other icons'],
    ],
    [
      'the appearance',
      { appearance: FACTORY_APPEARANCE },
      {
        appearance: {
          ...FACTORY_APPEARANCE,
          brightness: 30,
          contrast: 90,
          controls: 'large',
          surround: 10,
          seeThrough: 'weld',
          mask: 'iron',
        },
      },
      [
        ...['brightness 80 → 30', 'contrast 80 → 90', 'large controls', 'gray around the picture 62 → 10'],
        ...['transparency: Weld', 'masks: Iron'],
      ],
    ],
    ['the keymap', { keymap: null }, { keymap: 4 }, ['Factory keys → Keymap 4']],
    ['what does not belong to the other', { keymap: 4 }, {}, ['no longer belongs to it']],
    ['what did not', {}, { keymap: null }, ['now belongs to it']],
  ])('is told: %s', (_, before, after, words) => {
    const told = compareWorkspaces(before, after, nameOf, keymapName);
    expect(told.map((one) => one.words)).toEqual([words]);
    expect(compareWorkspaces(after, after, nameOf, keymapName)).toEqual([]);
  });
});
