import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildClashIndex, programFacts } from '../clash/clashIndex';
import { EMPTY_KEYMAP, keymapOf } from '../keymap/keymap';
import type { Program } from '../program/program';
import { anyKeymap, here, sampleProgram } from '../testing/sampleProgram';
import { menusOf } from '../tryout/menus';
import { contrastOf, LEAST_CONTRAST, shadesOf } from './appearance';
import { type Arrangement, fitArrangement, groupsOf, SIDES, shownPanels, sideOf } from './arrangement';
import {
  bringOnTop,
  changeFloat,
  foldDock,
  hidePanel,
  isOnTop,
  moveBorder,
  showPanel,
  sizeDock,
  togglePanel,
} from './changePanels';
import { compareWorkspaces } from './compareWorkspaces';
import {
  describeHidingCost,
  hideLines,
  hidingCost,
  INKS,
  markLines,
  marksOf,
  PLAIN_MENUS,
  showLines,
} from './dressing';
import { dropSpots } from './dropSpots';
import { placePanel } from './placePanel';
import { applyWorkspace, factoryRoom, fitWorkspace, PARTS, pickParts, standsAs, stepTo } from './room';
import { factoryTools, gatherTurns, placeButton, removeButton, type Strip, stepButton, turnsApart } from './toolLayout';

const PANELS = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];
const program: Program = {
  ...sampleProgram,
  commands: [
    ...sampleProgram.commands,
    ...PANELS.map((id) => ({
      id,
      name: `Panel ${id}`,
      kind: 'panel' as const,
      path: ['Panels'],
      context: 'everywhere',
    })),
  ],
};
const nameOf = (id: string): string => id;
const room = factoryRoom(program, EMPTY_KEYMAP);

/** Any change of an arrangement, as people make them. */
const change = fc.oneof(
  fc.tuple(fc.constantFrom(...PANELS), fc.nat(40)).map(([panel, n]) => (now: Arrangement) => {
    const spots = dropSpots(now, panel, nameOf);
    const spot = spots[n % spots.length]?.spot;
    return spot ? placePanel(now, panel, spot) : now;
  }),
  fc.constantFrom(...PANELS).map((panel) => (now: Arrangement) => togglePanel(now, panel)),
  fc.constantFrom(...PANELS).map((panel) => (now: Arrangement) => hidePanel(now, panel)),
  fc.constantFrom(...PANELS).map((panel) => (now: Arrangement) => bringOnTop(now, panel)),
  fc.tuple(fc.constantFrom(...SIDES), fc.double({ min: -1, max: 2, noNaN: true })).map(
    ([side, size]) =>
      (now: Arrangement) =>
        foldDock(sizeDock(now, side, size), side, 'icons'),
  ),
  fc.tuple(fc.constantFrom(...SIDES), fc.nat(3), fc.double({ min: -1, max: 1, noNaN: true })).map(
    ([side, at, by]) =>
      (now: Arrangement) =>
        moveBorder(now, side, at, by),
  ),
  fc.tuple(fc.constantFrom(...PANELS), fc.double({ min: -1, max: 2, noNaN: true })).map(
    ([panel, x]) =>
      (now: Arrangement) =>
        changeFloat(now, panel, { x, y: x, width: x }),
  ),
);

function expectSound(now: Arrangement): void {
  const groups = groupsOf(now);
  const placed = groups.flatMap((one) => one.panels);
  expect(new Set(placed).size).toBe(placed.length);
  for (const one of groups) expect(one.panels).toContain(one.top);
  for (const one of now.hidden) expect(placed).toContain(one);
  expect(new Set(now.hidden).size).toBe(now.hidden.length);
  for (const side of SIDES) {
    const { stacks } = now.docks[side];
    if (stacks.length > 0) expect(stacks.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 6);
    for (const one of stacks) expect(one.share).toBeGreaterThan(0);
  }
  for (const { x, y, width, height } of now.floats) {
    expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
    expect(Math.max(x + width, y + height)).toBeLessThanOrEqual(1 + 1e-9);
  }
}

describe('an arrangement of panels', () => {
  it('stays sound whatever is done to it: no panel lost or twice, no stack empty, nothing outside the window', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 30 }), (changes) => {
        let now = room.panels;
        for (const one of changes) {
          const before = new Set(groupsOf(now).flatMap((group) => group.panels));
          now = one(now);
          expectSound(now);
          const after = new Set(groupsOf(now).flatMap((group) => group.panels));
          for (const panel of before) expect(after).toContain(panel);
        }
        expect(JSON.parse(JSON.stringify(now))).toEqual(now);
      }),
      { numRuns: 400 },
    );
  });

  it('puts a panel wherever it is dropped, and says where that is', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), fc.constantFrom(...PANELS), (changes, panel) => {
        const now = changes.reduce((before, one) => one(before), room.panels);
        for (const { spot, words } of dropSpots(now, panel, nameOf)) {
          const next = placePanel(now, panel, spot);
          expect(shownPanels(next)).toContain(panel);
          const group = groupsOf(next).find((one) => one.panels.includes(panel));
          if (spot.kind === 'onto') expect(group?.panels).toContain(spot.panel);
          if (spot.kind === 'between') expect(sideOf(next, panel)).toBe(spot.side);
          if (spot.kind === 'float') expect(sideOf(next, panel)).toBe('float');
          expect(words).not.toBe('');
        }
      }),
      { numRuns: 200 },
    );
  });

  it('hides a panel and shows it where it was, on top', () => {
    const b = placePanel(room.panels, 'b', { kind: 'between', side: 'left', after: null });
    const hidden = hidePanel(b, 'b');
    expect(isOnTop(hidden, 'b')).toBe(false);
    expect(showPanel(hidden, 'b')).toEqual(b);
    // One that lies below another is brought on top first.
    const stacked = placePanel(b, 'a', { kind: 'onto', panel: 'b' });
    expect(isOnTop(stacked, 'b')).toBe(false);
    expect(isOnTop(togglePanel(stacked, 'b'), 'b')).toBe(true);
    expect(shownPanels(togglePanel(togglePanel(stacked, 'b'), 'b'))).not.toContain('b');
    // One that never had a place comes in at the right.
    expect(sideOf(showPanel(room.panels, 'g'), 'g')).toBe('right');
  });

  it('drops what a newer program no longer has', () => {
    const fit = fitArrangement(room.panels, new Set(['b', 'd']));
    expectSound(fit);
    expect(new Set(groupsOf(fit).flatMap((one) => one.panels))).toEqual(new Set(['b', 'd']));
  });
});

describe('menu dressing', () => {
  const ids = program.commands.map((one) => one.id);

  it('hides and marks lines, and brings all back in one step', () => {
    fc.assert(
      fc.property(fc.subarray(ids), fc.subarray(ids), fc.constantFrom(...INKS), (hidden, marked, ink) => {
        const dressed = markLines(hideLines(hideLines(PLAIN_MENUS, hidden), hidden), marked, ink);
        expect([...dressed.hidden].sort()).toEqual([...hidden].sort());
        for (const one of marked) expect(marksOf(dressed).get(one)).toBe(ink);
        expect(markLines(showLines(dressed, 'all'), marked, null)).toEqual(PLAIN_MENUS);
      }),
    );
  });

  it('loses no line, and whatever is hidden answers to a key or is named as having none', () => {
    fc.assert(
      fc.property(anyKeymap, fc.subarray(ids), (keymap, hidden) => {
        const lines = menusOf(program, hideLines(PLAIN_MENUS, hidden));
        const shown = lines.flatMap((menu) => menu.lines.flatMap((one) => ('command' in one ? [one.command.id] : [])));
        const kept = lines.flatMap((menu) => menu.hidden);
        const all = menusOf(program).flatMap((menu) =>
          menu.lines.flatMap((one) => ('command' in one ? [one.command.id] : [])),
        );
        expect([...shown, ...kept.map((one) => one.id)].sort()).toEqual([...all].sort());
        const { holders } = buildClashIndex(programFacts(program), keymap, here.place);
        const answering = new Set([...holders.values()].flatMap((list) => list.map((one) => one.command.id)));
        const { keyless } = hidingCost(keymap, kept);
        for (const one of kept) expect(answering.has(one.id)).toBe(!keyless.includes(one));
      }),
    );
  });

  it('says first what hiding costs: lines without a key, keepers', () => {
    const commands = program.commands.filter((one) => ['trim', 'undo', 'open-row'].includes(one.id));
    const keymap = keymapOf([
      ['trim', 'F5'],
      ['undo', 'Mod+Z', true],
    ]);
    const cost = hidingCost(keymap, commands);
    expect(cost.keyless.map((one) => one.id)).toEqual(['open-row']);
    expect(cost.keepers.map((one) => one.id)).toEqual(['undo']);
    expect(describeHidingCost(cost)).toHaveLength(2);
    expect(
      describeHidingCost(
        hidingCost(
          keymap,
          commands.filter((one) => one.id === 'trim'),
        ),
      ),
    ).toEqual([]);
  });
});

describe('tools and bars', () => {
  const strip: Strip = { groups: [['a', 'b'], ['c'], ['d', 'e', 'f']], size: 'medium', words: false };
  const sound = (now: Strip): void => {
    const all = now.groups.flat();
    expect(new Set(all).size).toBe(all.length);
    expect(now.groups.every((group) => group.length > 0)).toBe(true);
  };

  it('keep every button once wherever buttons are put, and reach every place by steps', () => {
    const buttons = strip.groups.flat();
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom(...buttons),
            fc.constantFrom('before', 'after', 'apart', 'earlier', 'later'),
            fc.constantFrom(...buttons),
          ),
          { maxLength: 30 },
        ),
        (moves) => {
          let now = strip;
          for (const [button, how, other] of moves) {
            now =
              how === 'apart'
                ? placeButton(now, button, { kind: 'apart', before: other })
                : how === 'earlier' || how === 'later'
                  ? stepButton(now, button, how === 'later' ? 1 : -1)
                  : placeButton(now, button, { kind: how as 'before' | 'after', button: other });
            sound(now);
            expect([...now.groups.flat()].sort()).toEqual(buttons);
          }
        },
      ),
      { numRuns: 300 },
    );
    // From the first place to the last and back, through every group.
    let now: Strip = strip;
    const seen = new Set<string>();
    for (let i = 0; i < 20; i++) {
      seen.add(JSON.stringify(now.groups));
      now = stepButton(now, 'a', 1);
    }
    expect(now.groups).toEqual([['b'], ['c'], ['d', 'e', 'f'], ['a']]);
    expect(seen).toContain(JSON.stringify([['b'], ['a'], ['c'], ['d', 'e', 'f']]));
    expect(seen).toContain(JSON.stringify([['b'], ['a', 'c'], ['d', 'e', 'f']]));
    for (let i = 0; i < 20; i++) now = stepButton(now, 'a', -1);
    expect(now.groups).toEqual([['a'], ['b'], ['c'], ['d', 'e', 'f']]);
  });

  it('put those that share a key together, where the first of them is', () => {
    const keymap = keymapOf([
      ['a', 'S'],
      ['e', 'S'],
      ['d', 'T'],
      ['b', 'U'],
    ]);
    expect(gatherTurns(strip.groups, keymap)).toEqual([['a', 'e'], ['b'], ['c'], ['d', 'f']]);
    expect([turnsApart(strip.groups, keymap), turnsApart(gatherTurns(strip.groups, keymap), keymap)]).toEqual([
      true,
      false,
    ]);
    expect(gatherTurns(gatherTurns(strip.groups, keymap), keymap)).toEqual(gatherTurns(strip.groups, keymap));
    const factory = keymapOf([
      ['fill', 'S'],
      ['clone', 'S'],
    ]);
    const groups = factoryTools(program, factory).rail.groups;
    expect(groups.find((one) => one.includes('fill'))).toContain('clone');
    expect(removeButton({ ...strip, groups }, 'fill').groups.flat()).not.toContain('fill');
  });
});

describe('appearance', () => {
  it('leaves words readable on every ground, whatever is chosen, and spreads them further with more contrast', () => {
    const part = fc.integer({ min: 0, max: 100 });
    fc.assert(
      fc.property(part, part, (brightness, contrast) => {
        const chosen = { ...room.appearance, brightness, contrast };
        const { text, soft, line, ground, card, paper, key, press } = shadesOf(chosen);
        for (const one of [ground, card, paper, key, press]) {
          expect(contrastOf(text, one)).toBeGreaterThanOrEqual(LEAST_CONTRAST - 0.01);
          expect(contrastOf(soft, one)).toBeGreaterThanOrEqual(LEAST_CONTRAST - 0.01);
          expect(contrastOf(line, one)).toBeGreaterThanOrEqual(2.9);
        }
        const more = shadesOf({ ...chosen, contrast: 100 });
        expect(contrastOf(more.text, ground)).toBeGreaterThanOrEqual(contrastOf(text, ground));
      }),
    );
    expect(shadesOf({ ...room.appearance, brightness: 10 }).dark).toBe(true);
    expect(contrastOf(0, 255)).toBeCloseTo(21, 5);
  });
});

describe('a workspace', () => {
  const changed = {
    ...room,
    panels: hidePanel(room.panels, 'a'),
    menus: hideLines(markLines(PLAIN_MENUS, ['trim'], 'woad'), ['undo']),
    appearance: { ...room.appearance, brightness: 30 },
    keymap: 7,
  };

  it('applies only the parts it has, and its step goes back exactly', () => {
    fc.assert(
      fc.property(fc.subarray([...PARTS]), (parts) => {
        const workspace = pickParts(changed, parts);
        const next = applyWorkspace(room, workspace);
        for (const part of PARTS) expect(next[part]).toEqual(parts.includes(part) ? changed[part] : room[part]);
        expect(standsAs(next, workspace)).toBe(true);
        const step = stepTo(room, 'Switch', workspace);
        if (!step) {
          expect(next).toEqual(room);
          return;
        }
        expect(applyWorkspace(room, step.after)).toEqual(next);
        expect(applyWorkspace(next, step.before)).toEqual(room);
      }),
    );
  });

  it('says part by part what differs from another', () => {
    const differences = compareWorkspaces(room, changed, nameOf, (one) => (one === null ? 'Factory keys' : 'Mine'));
    expect(differences).toEqual([
      { part: 'panels', words: ['a hidden'] },
      { part: 'menus', words: ['undo hidden', 'trim marked'] },
      { part: 'appearance', words: ['brightness 80 → 30'] },
      { part: 'keymap', words: ['Factory keys → Mine'] },
    ]);
    expect(compareWorkspaces(pickParts(room, ['menus']), pickParts(room, ['panels']), nameOf, String)).toEqual([
      { part: 'panels', words: ['now belongs to it'] },
      { part: 'menus', words: ['no longer belongs to it'] },
    ]);
    const moved = { ...room, panels: placePanel(room.panels, 'a', { kind: 'between', side: 'left', after: null }) };
    expect(compareWorkspaces(room, moved, nameOf, String)[0]?.words).toEqual(['a to the left dock']);
    const tools = { ...room, tools: { ...room.tools, rail: { ...room.tools.rail, columns: 1, words: true } } };
    expect(compareWorkspaces(room, tools, nameOf, String)[0]?.words).toEqual([
      'tool rail: words under its icons',
      'tool rail: 1 column',
    ]);
    expect(compareWorkspaces(room, room, nameOf, String)).toEqual([]);
  });

  it('drops what the program does not have', () => {
    const fit = fitWorkspace(changed, { commands: program.commands.filter((one) => one.id !== 'undo') });
    expect(fit.menus?.hidden).toEqual([]);
    expect(fit.appearance).toEqual(changed.appearance);
  });
});
