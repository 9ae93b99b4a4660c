import type { DragEndEvent } from '@dnd-kit/core';
import type { RefObject } from 'react';
import { useEffect, useRef, useState } from 'react';
import type { CommandId } from '@/core/program/program';
import type { Arrangement } from '@/core/workspace/arrangement';
import { dropSpots, sideWords } from '@/core/workspace/dropSpots';
import { placePanel, type Spot } from '@/core/workspace/placePanel';
import type { RoomActions } from '../room/useRoom';
import type { Moving } from './arranging';

/** Panels put elsewhere: dragged, or walked through every place there is and settled. */
export function usePlacing(
  panels: Arrangement,
  nameOf: (id: CommandId) => string,
  actions: RoomActions,
  floor: RefObject<HTMLDivElement | null>,
) {
  const [moving, setMoving] = useState<Moving | null>(null);
  const place = (panel: CommandId, spot: Spot): void => {
    const next = placePanel(panels, panel, spot);
    actions.edit(`${nameOf(panel)} to ${whereWords(spot)}`, { panels: next });
  };
  const whereWords = (spot: Spot): string => {
    if (spot.kind === 'onto') return `the stack of ${nameOf(spot.panel)}`;
    return spot.kind === 'float' ? 'float' : sideWords(spot.side);
  };
  const drop = (panel: CommandId, spot: Spot | undefined, { active }: DragEndEvent): void => {
    if (spot) {
      place(panel, spot);
      return;
    }
    // Let go over the picture, it floats where it was let go.
    const [box, at] = [floor.current?.getBoundingClientRect(), active.rect.current.translated];
    if (!box || !at || at.left > box.right || at.top > box.bottom || at.left + at.width < box.left) return;
    place(panel, { kind: 'float', x: (at.left - box.left) / box.width, y: (at.top - box.top) / box.height });
  };
  const spots = moving ? dropSpots(panels, moving.panel, nameOf) : [];
  const aimed = moving ? spots[moving.at] : undefined;
  const grab = (panel: CommandId): void => setMoving({ panel, at: 0 });
  /** The tab that has the focus again where it was put. */
  const follows = useRef<CommandId | null>(null);
  const settle = (take: boolean): void => {
    if (take && moving && aimed) {
      follows.current = moving.panel;
      place(moving.panel, aimed.spot);
    }
    setMoving(null);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once it stands in its new place.
  useEffect(() => {
    if (follows.current === null) return;
    document.querySelector<HTMLElement>(`[data-tab="${CSS.escape(follows.current)}"]`)?.focus();
    follows.current = null;
  }, [panels]);
  return { place, drop, moving, setMoving, spots, aimed, grab, settle };
}
