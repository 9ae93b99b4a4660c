import { useRef, useState } from 'react';
import type { ChordText } from '@/core/chord/chord';
import type { ClashIndex } from '@/core/clash/clashIndex';
import type { ContextId } from '@/core/program/program';
import { describeOutcome } from '@/core/tryout/describeOutcome';
import { backToTool, callCommand, type Did, letGo, slide, slides } from '@/core/tryout/desk';
import { nearestHeard } from '@/core/tryout/nearestHeard';
import { type Outcome, pressKeys } from '@/core/tryout/pressKeys';
import { useSettings } from '../shell/SettingsContext';
import { commandOf } from './commandOf';
import type { placesOf } from './placesOf';
import type { useDesk } from './useDesk';
import { useKeyPresses } from './useKeyPresses';

/** Which way an arrow slides the picture, and how far, in CSS pixels. */
const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const ARROW_STEP = 24;

type Given = Pick<ReturnType<typeof useDesk>, 'now' | 'show' | 'note'> & {
  readonly index: ClashIndex;
  readonly places: ReturnType<typeof placesOf>;
  /** Where keys are pressed. */
  readonly focus: ContextId;
};

/** What keys pressed in the stand-in do there, and what is noted of them. */
export function useStandIn({ index, places, focus, now, show, note }: Given) {
  const { where, platform } = useSettings();
  const { program } = index.facts;
  const [begun, onBegun] = useState<ChordText | null>(null);
  const begunRef = useRef(begun);
  const focusRef = useRef(focus);
  focusRef.current = focus;
  const placeName = (context: ContextId) => program.contexts.find((one) => one.id === context)?.name ?? context;
  const press = (chord: ChordText): Outcome => {
    const listening = {
      focus: focusRef.current,
      types: focusRef.current === places.typing,
      tool: now.current.tool,
      begun: begunRef.current,
    };
    return pressKeys(index, where, listening, chord);
  };
  const fire = (outcome: Outcome): void => {
    let did: Did | null = null;
    if (outcome.kind === 'fired') {
      const done = callCommand(now.current, outcome.command);
      did = done.did;
      show(done.desk);
    }
    begunRef.current = outcome.kind === 'begun' ? outcome.chord : null;
    onBegun(begunRef.current);
    const lost = outcome.kind === 'nobody' || outcome.kind === 'not here';
    const nearest = lost ? nearestHeard(index, where, focusRef.current, outcome.chord) : [];
    note({
      chord: outcome.chord,
      command: commandOf(outcome),
      kind: outcome.kind,
      sentence: describeOutcome(outcome, did, placeName, nearest),
    });
  };
  const presses = useKeyPresses(where, platform, {
    down: (chord) => {
      if (chord === 'Escape' && now.current.dialog) {
        show({ ...now.current, dialog: null });
        return null;
      }
      const before = now.current.tool;
      const outcome = press(chord);
      const way = ARROWS[chord];
      if (outcome.kind === 'nobody' && way && slides(now.current, index.facts.commands)) {
        show(slide(now.current, way[0] * ARROW_STEP, way[1] * ARROW_STEP));
        note({ chord, command: null, kind: 'called', sentence: [{ text: 'The picture slides.' }] });
        return null;
      }
      fire(outcome);
      if (outcome.kind !== 'fired' || outcome.command.kind !== 'tool') return null;
      // A tool that was only held gives way to the one before.
      return () => show(backToTool(now.current, before));
    },
    quick: (chord) => {
      const outcome = press(chord);
      if (outcome.kind === 'fired') fire(outcome);
    },
    hold: (chord) => {
      const outcome = press(chord);
      if (outcome.kind !== 'fired') return null;
      fire(outcome);
      const { id } = outcome.command;
      return () => show(letGo(now.current, id));
    },
  });
  return { press, presses, begun };
}
