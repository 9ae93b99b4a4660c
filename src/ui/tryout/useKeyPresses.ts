'use client';

import { type KeyboardEvent, useRef } from 'react';
import { type ChordText, canonicalText } from '@/core/chord/chord';
import { chordOfEvent, heldModifiers, modifierOfKey, type Platform } from '@/core/keyboard/chordOfEvent';
import type { Where } from '@/core/keyboard/where';

/** A press this short, in ms, of keys that also act while held is a press; a tool held this long is only lent. */
const QUICK = 250;
/** Modifiers act while held from so long, in ms, on; sooner they may be the beginning of other keys. */
const WAITS = 180;

export type Presses = {
  /** Keys went down. @returns what to do when they go up again after so many ms; nothing for none. */
  readonly down: (chord: ChordText) => ((ms: number) => void) | null;
  /** Keys that act while held came up again at once: a press, if anything is on it. */
  readonly quick: (chord: ChordText) => void;
  /** Keys went down that may act while held. @returns what to do when they go up; null where nothing is on them. */
  readonly hold: (chord: ChordText) => (() => void) | null;
};

/** Reads presses, and keys that are held and let go, from the events of an element. */
export function useKeyPresses(where: Where, platform: Platform, { down, quick, hold }: Presses) {
  const held = useRef(new Map<string, { readonly since: number; readonly up: (ms: number) => void }>());
  const waiting = useRef<{ readonly timer: number; readonly chord: ChordText; readonly code: string } | null>(null);
  /** Modifiers held alone begin to act; or are let go of at once, as a short press of them alone is. */
  const begin = (alone: boolean, now: number): void => {
    const one = waiting.current;
    waiting.current = null;
    if (!one) return;
    window.clearTimeout(one.timer);
    const up = hold(one.chord);
    if (!up) return;
    if (alone) up();
    else held.current.set(one.code, { since: now, up });
  };
  const forget = (): void => {
    if (waiting.current) window.clearTimeout(waiting.current.timer);
    waiting.current = null;
  };
  const letGo = (code: string, now: number): void => {
    const one = held.current.get(code);
    held.current.delete(code);
    one?.up(now - one.since);
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.repeat) {
      if (held.current.has(event.code)) event.preventDefault();
      return;
    }
    const { nativeEvent, code, timeStamp } = event;
    const since = timeStamp;
    if (modifierOfKey(event.key, platform) !== null) {
      const modifiers = heldModifiers(nativeEvent, platform);
      const chord = canonicalText({ hold: true, strokes: [{ modifiers, key: null }] });
      forget();
      const timer = window.setTimeout(() => begin(false, performance.now()), WAITS);
      waiting.current = { timer, chord, code };
      return;
    }
    forget();
    const pressed = chordOfEvent(nativeEvent, where.keyboard, platform);
    // Tab leaves, so that a keyboard alone is never caught here.
    if (!pressed || (event.key === 'Tab' && !event.ctrlKey && !event.altKey && !event.metaKey)) return;
    event.preventDefault();
    const chord = canonicalText(pressed);
    const up = hold(`hold:${chord}`);
    if (up) {
      held.current.set(code, {
        since,
        up: (ms) => {
          up();
          if (ms < QUICK) quick(chord);
        },
      });
      return;
    }
    const after = down(chord);
    if (after) held.current.set(code, { since, up: (ms) => ms >= QUICK && after(ms) });
  };
  const onKeyUp = (event: KeyboardEvent): void => {
    if (waiting.current?.code === event.code) begin(true, event.timeStamp);
    letGo(event.code, event.timeStamp);
  };
  /** Everything is let go when the focus leaves: nobody would see the keys come up. */
  const onBlur = (): void => {
    forget();
    for (const code of [...held.current.keys()]) {
      const one = held.current.get(code);
      held.current.delete(code);
      one?.up(Number.POSITIVE_INFINITY);
    }
  };
  return { onKeyDown, onKeyUp, onBlur };
}
