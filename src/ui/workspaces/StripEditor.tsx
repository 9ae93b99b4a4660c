'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import ButtonBase from '@mui/material/ButtonBase';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { CommandId } from '@/core/program/program';
import {
  type ButtonSpot,
  placeButton,
  removeButton,
  type Strip,
  type StripName,
  stepButton,
} from '@/core/workspace/toolLayout';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from '../room/CommandIcon';
import { DragArea } from './DragArea';
import styles from './workspaces.module.css';

type Props = {
  readonly name: StripName;
  readonly strip: Strip;
  readonly keysOf: KeysOf;
  readonly nameOf: (command: CommandId) => string;
  readonly chosen: CommandId | null;
  readonly onChoose: (command: CommandId | null) => void;
  readonly onChange: (title: string, next: Strip) => void;
};

/**
 * The buttons of a rail or a bar in their groups: dragged by pointer; by keyboard picked up with Space, moved with
 * arrows, put down with Enter, taken off with Delete.
 */
export function StripEditor({ name, strip, keysOf, nameOf, chosen, onChoose, onChange }: Props) {
  /** The button that is moved by keyboard, and how the strip would be with it there. */
  const [moving, setMoving] = useState<{ readonly button: CommandId; readonly strip: Strip } | null>(null);
  const list = useRef<HTMLDivElement>(null);
  const drawn = moving?.strip ?? strip;
  const where = name === 'rail' ? 'the tool rail' : 'the button bar';
  const drop = (button: CommandId, spot: ButtonSpot | undefined): void => {
    if (spot) onChange(`Move ${nameOf(button)} on ${where}`, placeButton(strip, button, spot));
  };
  const focusOn = (button: CommandId | undefined): void => {
    if (button !== undefined)
      list.current?.querySelector<HTMLElement>(`[data-button="${CSS.escape(button)}"]`)?.focus();
  };
  // Moved from group to group a button is drawn anew; the focus goes with it.
  // biome-ignore lint/correctness/useExhaustiveDependencies: after each move.
  useEffect(() => {
    if (moving) focusOn(moving.button);
  }, [moving]);
  useEffect(() => {
    if (!moving) return;
    const leave = (): void => setMoving(null);
    document.addEventListener('mousedown', leave);
    return () => document.removeEventListener('mousedown', leave);
  }, [moving]);
  const remove = (button: CommandId): void => {
    const all = strip.groups.flat();
    const at = all.indexOf(button);
    onChange(`Take ${nameOf(button)} off ${where}`, removeButton(strip, button));
    onChoose(null);
    window.setTimeout(() => focusOn(all[at + 1] ?? all[at - 1]));
  };
  const settle = (take: boolean): void => {
    if (moving && take) onChange(`Move ${nameOf(moving.button)} on ${where}`, moving.strip);
    if (moving) window.setTimeout(() => focusOn(moving.button));
    setMoving(null);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>, button: CommandId): void => {
    const { key } = event;
    const step = key === 'ArrowRight' || key === 'ArrowDown' ? 1 : key === 'ArrowLeft' || key === 'ArrowUp' ? -1 : 0;
    if (moving) {
      if (step !== 0) setMoving({ button, strip: stepButton(moving.strip, button, step) });
      else if (key === 'Enter' || key === ' ') settle(true);
      else if (key === 'Escape' || key === 'Tab') settle(false);
      else return;
    } else if (key === ' ') setMoving({ button, strip });
    else if (key === 'Delete' || key === 'Backspace') remove(button);
    else if (step !== 0) {
      const all = strip.groups.flat();
      focusOn(all[all.indexOf(button) + step]);
    } else return;
    if (key !== 'Tab') event.preventDefault();
  };
  const all = drawn.groups.flat();
  const stop = chosen !== null && all.includes(chosen) ? chosen : all[0];
  return (
    <DragArea<ButtonSpot>
      howToMove={HOW_TO_MOVE}
      carried={(id) => (
        <>
          <CommandIcon command={id} /> {nameOf(id)}
        </>
      )}
      onDrop={drop}
    >
      {(dragged) => (
        <>
          <p role="status">
            {moving ? (
              <>
                <strong>{nameOf(moving.button)}</strong>: {placeWords(moving.strip, moving.button)}.{' '}
                <kbd className="cap">Enter</kbd> puts it there, <kbd className="cap">Esc</kbd> leaves it.
              </>
            ) : (
              <>
                Drag a button, or press <kbd className="cap">Space</kbd> on it and use the arrows.{' '}
                <kbd className="cap">Delete</kbd> takes it off, <kbd className="cap">Enter</kbd> shows its icon.
              </>
            )}
          </p>
          {all.length === 0 && <p className="empty">Nothing stands on {where}. Add from the list at the right.</p>}
          <div ref={list} className={styles.groups} role="group" aria-label={`Buttons on ${where}`}>
            {drawn.groups.map((group) => (
              <div key={group.join()} className={styles.groupSlot}>
                <Gap spot={{ kind: 'apart', before: group[0] ?? null }} open={dragged !== null} />
                <div className={styles.groupCard}>
                  {group.map((id) => (
                    <MovableButton
                      key={id}
                      id={id}
                      label={nameOf(id)}
                      keysOf={keysOf}
                      open={dragged !== null && dragged !== id}
                      chosen={id === chosen}
                      grabbed={moving?.button === id}
                      stop={id === stop}
                      onChoose={() => onChoose(id)}
                      onKeyDown={(event) => onKeyDown(event, id)}
                    />
                  ))}
                </div>
              </div>
            ))}
            <Gap spot={{ kind: 'apart', before: null }} open={dragged !== null} />
          </div>
        </>
      )}
    </DragArea>
  );
}

const HOW_TO_MOVE =
  'Press Space to pick the button up, arrows to move it, Enter to put it there, Escape to leave it, Delete to take it off.';

/** Where a button stands, as it is said while it is moved. */
function placeWords({ groups }: Strip, button: CommandId): string {
  const g = groups.findIndex((group) => group.includes(button));
  const group = groups[g] ?? [];
  return group.length === 1
    ? `a group of its own, ${g + 1} of ${groups.length}`
    : `${group.indexOf(button) + 1} of ${group.length} in group ${g + 1} of ${groups.length}`;
}

type ButtonProps = {
  readonly id: CommandId;
  readonly label: string;
  readonly keysOf: KeysOf;
  readonly open: boolean;
  readonly chosen: boolean;
  readonly grabbed: boolean;
  readonly stop: boolean;
  readonly onChoose: () => void;
  readonly onKeyDown: (event: KeyboardEvent<HTMLElement>) => void;
};

function MovableButton({ id, label, keysOf, open, chosen, grabbed, stop, onChoose, onKeyDown }: ButtonProps) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id });
  const before = useDroppable({ id: `before ${id}`, data: { spot: { kind: 'before', button: id } }, disabled: !open });
  const after = useDroppable({ id: `after ${id}`, data: { spot: { kind: 'after', button: id } }, disabled: !open });
  return (
    <span className={styles.buttonSlot}>
      <ButtonBase
        ref={setNodeRef}
        className={styles.stripButton}
        aria-describedby={attributes['aria-describedby']}
        aria-roledescription="movable button"
        aria-pressed={chosen}
        tabIndex={stop ? 0 : -1}
        data-button={id}
        data-grabbed={grabbed || isDragging || undefined}
        {...listeners}
        onClick={onChoose}
        onKeyDown={onKeyDown}
      >
        <span className={styles.icon}>
          <CommandIcon command={id} />
        </span>
        <span>{label}</span>
        {keysOf(id)
          .slice(0, 1)
          .map((one) => (
            <KeyCaps key={one} chord={one} />
          ))}
      </ButtonBase>
      <span
        ref={before.setNodeRef}
        className={styles.half}
        data-half="before"
        data-aimed={before.isOver || undefined}
        data-open={open || undefined}
      />
      <span
        ref={after.setNodeRef}
        className={styles.half}
        data-half="after"
        data-aimed={after.isOver || undefined}
        data-open={open || undefined}
      />
    </span>
  );
}

/** Between two groups: what is let go here stands alone. */
function Gap({ spot, open }: { spot: ButtonSpot & { kind: 'apart' }; open: boolean }) {
  const { setNodeRef, isOver } = useDroppable({ id: `apart ${spot.before ?? ''}`, data: { spot }, disabled: !open });
  return (
    <span
      ref={setNodeRef}
      className={styles.gap}
      data-open={open || undefined}
      data-aimed={isOver || undefined}
      aria-hidden="true"
    />
  );
}
