'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { type KeyboardEvent, type PointerEvent as ReactPointerEvent, type RefObject, useRef } from 'react';
import type { CommandId } from '@/core/program/program';
import type { Arrangement, Float, Side } from '@/core/workspace/arrangement';
import { changeFloat, moveBorder, sizeDock } from '@/core/workspace/changePanels';
import { sideWords } from '@/core/workspace/dropSpots';
import type { Spot } from '@/core/workspace/placePanel';
import type { TabProps } from '../room/Docks';
import roomStyles from '../room/room.module.css';
import type { RoomActions } from '../room/useRoom';
import styles from './workspaces.module.css';

/** A panel that is being moved by keyboard, and which of the places it could go to is aimed at. */
export type Moving = { readonly panel: CommandId; readonly at: number };

/** A spot as a text, the same for the same spot. */
export function spotKey(spot: Spot): string {
  if (spot.kind === 'onto') return `onto ${spot.panel}`;
  return spot.kind === 'float' ? 'float' : `between ${spot.side} ${spot.after ?? ''}`;
}

type MovableProps = TabProps & {
  readonly moving: Moving | null;
  readonly onGrab: () => void;
  readonly onStep: (step: 1 | -1) => void;
  /** Puts it where it is aimed at, or leaves it. */
  readonly onSettle: (take: boolean) => void;
  readonly onTop: () => void;
};

/** The tab of a panel: dragged by pointer; by keyboard picked up with Space, walked with arrows, put down with Enter. */
export function MovableTab({ panel, selected, children, moving, onGrab, onStep, onSettle, onTop }: MovableProps) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: panel });
  const grabbed = moving?.panel === panel;
  const onKeyDown = (event: KeyboardEvent<HTMLElement>): void => {
    const { key } = event;
    if (grabbed) {
      if (key === 'ArrowRight' || key === 'ArrowDown') onStep(1);
      else if (key === 'ArrowLeft' || key === 'ArrowUp') onStep(-1);
      else if (key === 'Enter' || key === ' ') onSettle(true);
      else if (key === 'Escape' || key === 'Tab') onSettle(false);
      else return;
      if (key !== 'Tab') event.preventDefault();
      return;
    }
    if (key === ' ') onGrab();
    else if (key === 'Enter') onTop();
    else if (key === 'ArrowRight' || key === 'ArrowLeft') {
      const tabs = [
        ...(event.currentTarget.closest('[role=tablist]')?.querySelectorAll<HTMLElement>('[role=tab]') ?? []),
      ];
      const next = tabs.indexOf(event.currentTarget) + (key === 'ArrowRight' ? 1 : -1);
      tabs[(next + tabs.length) % tabs.length]?.focus();
    } else return;
    event.preventDefault();
  };
  return (
    <button
      ref={setNodeRef}
      type="button"
      role="tab"
      aria-selected={selected}
      aria-describedby={attributes['aria-describedby']}
      aria-roledescription="movable panel"
      tabIndex={selected ? 0 : -1}
      className={`${roomStyles.tab} ${styles.movable}`}
      data-tab={panel}
      data-grabbed={grabbed || isDragging || undefined}
      {...listeners}
      onClick={() => !selected && onTop()}
      onKeyDown={onKeyDown}
      onBlur={() => grabbed && onSettle(false)}
    >
      {children}
    </button>
  );
}

/** A place where a panel can be let go; seen only while one is moved. */
export function DropZone({
  spot,
  kind,
  open,
  aimed,
}: {
  spot: Spot;
  kind: 'onto' | 'between' | 'edge';
  open: boolean;
  aimed: boolean;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: spotKey(spot), data: { spot } });
  return (
    <span
      ref={setNodeRef}
      className={styles.zone}
      data-kind={kind}
      data-side={spot.kind === 'between' ? spot.side : undefined}
      data-spot={spotKey(spot)}
      data-open={open || undefined}
      data-aimed={isOver || aimed || undefined}
      aria-hidden="true"
    />
  );
}

type Sized = {
  readonly panels: Arrangement;
  readonly actions: RoomActions;
  readonly floor: RefObject<HTMLDivElement | null>;
};
const STEP = 0.01;

/** Follows a pointer that is held down on an element, from where it went down. */
function follow(event: ReactPointerEvent<HTMLElement>, move: (dx: number, dy: number) => void): void {
  const { currentTarget, pointerId, clientX, clientY } = event;
  event.preventDefault();
  currentTarget.focus();
  currentTarget.setPointerCapture(pointerId);
  const onMove = (at: PointerEvent): void => move(at.clientX - clientX, at.clientY - clientY);
  const end = (): void => {
    currentTarget.removeEventListener('pointermove', onMove);
    currentTarget.removeEventListener('pointerup', end);
    currentTarget.removeEventListener('pointercancel', end);
  };
  currentTarget.addEventListener('pointermove', onMove);
  currentTarget.addEventListener('pointerup', end);
  currentTarget.addEventListener('pointercancel', end);
}

/** The border of a dock, or between two stacks of it: dragged, or moved with arrows. */
export function SizeBorder({ side, at, panels, actions, floor }: Sized & { side: Side; at?: number }) {
  const own = useRef<HTMLDivElement>(null);
  const dock = panels.docks[side];
  const across = at === undefined ? side !== 'bottom' : side === 'bottom';
  const label = at === undefined ? `Width of ${sideWords(side)}` : `Border in ${sideWords(side)}`;
  const now = at === undefined ? dock.size : (dock.stacks[at]?.share ?? 0);
  const by = (from: Arrangement, part: number): void => {
    const next =
      at === undefined ? sizeDock(from, side, from.docks[side].size + part) : moveBorder(from, side, at, part);
    actions.settle(at === undefined ? `Size ${sideWords(side)}` : `Size the stacks of ${sideWords(side)}`, {
      panels: next,
    });
  };
  const grows = at === undefined && side !== 'left' ? -1 : 1;
  return (
    <div
      ref={own}
      role="separator"
      tabIndex={0}
      aria-label={side === 'bottom' && at === undefined ? 'Height of the bottom dock' : label}
      aria-orientation={across ? 'vertical' : 'horizontal'}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(now * 100)}
      className={styles.border}
      data-side={side}
      data-kind={at === undefined ? 'dock' : 'stack'}
      onKeyDown={(event) => {
        const way = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
        if (way === undefined) return;
        event.preventDefault();
        by(panels, way * grows * STEP * (event.shiftKey ? 5 : 1));
      }}
      onPointerDown={(event) => {
        const box = (
          at === undefined ? floor.current : own.current?.parentElement?.parentElement
        )?.getBoundingClientRect();
        if (!box) return;
        follow(event, (dx, dy) => by(panels, ((across ? dx / box.width : dy / box.height) as number) * grows));
      }}
    />
  );
}

/** The corner of a floating stack, by which it is sized. */
export function FloatCorner({ float, name, panels, actions, floor }: Sized & { float: Float; name: string }) {
  const size = (width: number, height: number): void =>
    actions.settle(`Size ${name}`, { panels: changeFloat(panels, float.top, { width, height }) });
  return (
    <button
      type="button"
      className={styles.corner}
      aria-label={`Size of ${name}: arrows make it wider, narrower, higher, lower`}
      onKeyDown={(event) => {
        const wide = { ArrowRight: 1, ArrowLeft: -1 }[event.key] ?? 0;
        const high = { ArrowDown: 1, ArrowUp: -1 }[event.key] ?? 0;
        if (wide === 0 && high === 0) return;
        event.preventDefault();
        size(float.width + wide * 2 * STEP, float.height + high * 2 * STEP);
      }}
      onPointerDown={(event) => {
        const box = floor.current?.getBoundingClientRect();
        if (box) follow(event, (dx, dy) => size(float.width + dx / box.width, float.height + dy / box.height));
      }}
    />
  );
}
