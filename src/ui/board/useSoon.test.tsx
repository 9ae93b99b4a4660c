// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Command } from '@/core/program/program';
import { useSoon } from './useSoon';

const [lift, wash] = ['lift', 'wash'].map((id) => ({ id, name: id }) as Command) as [Command, Command];

describe('what follows when the hand rests', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  const soon = (onSelect: (command: Command) => void) =>
    renderHook(({ selected }: { selected: Command | null }) => useSoon(onSelect, selected), {
      initialProps: { selected: null as Command | null },
    });

  it('is the newest alone, once, and at once where it is asked for', () => {
    const onSelect = vi.fn();
    const { result } = soon(onSelect);
    result.current.bringSoon(wash);
    result.current.bringSoon(lift);
    expect(result.current.bringNow()).toBe(lift);
    act(() => void vi.advanceTimersByTime(1000));
    expect(onSelect.mock.calls).toEqual([[lift]]);
  });

  it('is brought at once while it is being drawn, and no more once it stands there', () => {
    const onSelect = vi.fn();
    const { result, rerender } = soon(onSelect);
    result.current.bringSoon(lift);
    act(() => void vi.advanceTimersByTime(1000));
    expect(onSelect).toHaveBeenCalledTimes(1);
    // Nothing has been drawn yet: whoever presses Enter now means what is to come.
    expect(result.current.bringNow()).toBe(lift);
    expect(onSelect).toHaveBeenCalledTimes(2);
    result.current.bringSoon(wash);
    act(() => void vi.advanceTimersByTime(1000));
    rerender({ selected: wash });
    expect(result.current.bringNow()).toBeNull();
    expect(onSelect).toHaveBeenCalledTimes(3);
  });
});
