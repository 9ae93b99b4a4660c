// @vitest-environment jsdom
import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Command } from '@/core/program/program';
import { sampleProgram } from '@/core/testing/sampleProgram';
import type { Strip } from '@/core/workspace/toolLayout';
import { ButtonStrip } from './ButtonStrip';
import { RoomProvider } from './RoomContext';

const tool = (name: string, purpose: string): Command => ({
  id: name.toLowerCase(),
  name,
  kind: 'tool',
  path: ['Tool rail', purpose],
  context: 'canvas',
});
const commands = [
  ...['Finder', 'Outliner'].map((name) => tool(name, 'Find')),
  ...['Lifter', 'Duster'].map((name) => tool(name, 'Lift')),
  tool('Loupe', 'Look'),
];
const strip: Strip = {
  groups: [['finder', 'outliner'], ['lifter', 'duster'], ['loupe']],
  size: 'medium',
  words: false,
};
/** How high the rail is, and how high it would have to be. */
let [room, needed] = [0, 0];
beforeEach(() => {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe = () => undefined;
      disconnect = () => undefined;
    },
  );
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockImplementation(() => room);
  vi.spyOn(HTMLElement.prototype, 'scrollHeight', 'get').mockImplementation(() => needed);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

function show(pressed: string, onCall = vi.fn()) {
  const whole = (inHand: string) => (
    <RoomProvider program={{ ...sampleProgram, commands }} icons={{}} chosen={[]}>
      <ButtonStrip strip={strip} columns={2} label="Tools" pressed={inHand} keysOf={() => []} onCall={onCall} />
    </RoomProvider>
  );
  const { rerender } = render(whole(pressed));
  return { onCall, take: (inHand: string) => rerender(whole(inHand)) };
}
const seen = () =>
  within(screen.getByRole('toolbar', { name: 'Tools' }))
    .getAllByRole('button')
    .filter((one) => one.dataset.tool)
    .map((one) => one.getAttribute('aria-label'));

describe('a tool rail', () => {
  it('shows all tools under what they are for where there is room', () => {
    [room, needed] = [600, 400];
    show('finder');
    expect(seen()).toEqual(['Finder', 'Outliner', 'Lifter', 'Duster', 'Loupe']);
    expect(screen.queryByRole('button', { name: 'Lift tools' })).toBeNull();
    expect(screen.getByText('Lift')).toBeDefined();
  });

  it('folds its groups as drawers where there is not; that of the tool in hand is open, others by their fronts', () => {
    [room, needed] = [300, 400];
    const { onCall, take } = show('finder');
    // A tool by itself is no drawer.
    expect(seen()).toEqual(['Finder', 'Outliner', 'Loupe']);
    const front = screen.getByRole('button', { name: 'Lift tools' });
    expect(front.getAttribute('aria-expanded')).toBe('false');
    front.click();
    take('finder');
    expect(seen()).toEqual(['Lifter', 'Duster', 'Loupe']);
    expect(onCall).not.toHaveBeenCalled();
    screen.getByRole('button', { name: 'Duster' }).click();
    expect(onCall.mock.calls[0]?.[0]).toMatchObject({ id: 'duster' });
    // Keys take another tool in hand: its drawer opens, whichever was open.
    take('outliner');
    expect(seen()).toEqual(['Finder', 'Outliner', 'Loupe']);
    expect(screen.getByRole('button', { name: 'Outliner' }).getAttribute('aria-pressed')).toBe('true');
  });
});
