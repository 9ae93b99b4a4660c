// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Tips } from './Tips';

/** So long anything may rest before it says something. */
const LONG = 3000;

describe('what an element says of itself', () => {
  beforeEach(async () => {
    // Its drawing is fetched when it is first needed; here before clocks are stopped.
    await import('./TipBubble');
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    render(
      <>
        <Tips />
        <button type="button" data-tip="Takes it off the list">
          <span>Off</span>
        </button>
        <button type="button" data-tip="Puts it on">
          On
        </button>
        <p>Beside</p>
      </>,
    );
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });
  const off = () => screen.getByText('Off');
  const on = () => screen.getByText('On');
  const rest = (ms = LONG) => act(() => vi.advanceTimersByTimeAsync(ms));
  const said = () => screen.queryByRole('tooltip')?.textContent ?? null;
  const pointer = (name: 'pointerOver' | 'pointerOut' | 'pointerDown', where: Element, over: object = {}) => {
    // jsdom has no pointer events of its own with these fields.
    const event = new Event(name.toLowerCase(), { bubbles: true });
    Object.assign(event, { pointerType: 'mouse', ...over });
    fireEvent(where, event);
  };

  it('comes to a pointer that rests on it, and to none that goes over it', async () => {
    pointer('pointerOver', off());
    pointer('pointerOut', off(), { relatedTarget: screen.getByText('Beside') });
    await rest();
    expect(said()).toBeNull();
    pointer('pointerOver', off());
    await rest();
    expect(said()).toBe('Takes it off the list');
    // Within what it belongs to, the pointer may move.
    pointer('pointerOut', off(), { relatedTarget: off().parentElement });
    expect(said()).toBe('Takes it off the list');
    pointer('pointerOut', off(), { relatedTarget: on() });
    pointer('pointerOver', on());
    await rest();
    expect(said()).toBe('Puts it on');
  });

  it('goes by Escape, by a press, and by what scrolls it away; not by what scrolls elsewhere', async () => {
    pointer('pointerOver', on());
    await rest();
    expect(said()).toBe('Puts it on');
    fireEvent.scroll(screen.getByText('Beside'));
    expect(said()).toBe('Puts it on');
    fireEvent.scroll(document.body);
    expect(said()).toBeNull();
    pointer('pointerOver', on());
    await rest();
    fireEvent.keyDown(on(), { key: 'a' });
    expect(said()).toBe('Puts it on');
    fireEvent.keyDown(on(), { key: 'Escape' });
    expect(said()).toBeNull();
    pointer('pointerOver', on());
    pointer('pointerDown', on());
    await rest();
    expect(said()).toBeNull();
  });

  it('comes under a finger that is held, and not under one that passes', async () => {
    pointer('pointerOver', off(), { pointerType: 'touch' });
    await rest();
    expect(said()).toBeNull();
    pointer('pointerDown', off(), { pointerType: 'touch' });
    await rest();
    expect(said()).toBe('Takes it off the list');
    pointer('pointerDown', screen.getByText('Beside'), { pointerType: 'touch' });
    await rest();
    expect(said()).toBeNull();
  });

  it('comes to the focus that the keyboard brings, and goes with it', async () => {
    vi.spyOn(on(), 'matches').mockImplementation((selector) => selector === ':focus-visible');
    fireEvent.focusIn(on());
    await rest();
    expect(said()).toBe('Puts it on');
    fireEvent.focusOut(on());
    expect(said()).toBeNull();
    // That of a press says nothing.
    vi.spyOn(on(), 'matches').mockReturnValue(false);
    fireEvent.focusIn(on());
    await rest();
    expect(said()).toBeNull();
  });

  it('is nothing once it is gone, or has nothing to say any more', async () => {
    pointer('pointerOver', on());
    on().removeAttribute('data-tip');
    await rest();
    expect(said()).toBeNull();
    pointer('pointerOver', off());
    const [gone, where] = [off().parentElement as Element, document.body.firstElementChild as Element];
    gone.remove();
    await rest();
    expect(said()).toBeNull();
    where.prepend(gone);
  });
});
