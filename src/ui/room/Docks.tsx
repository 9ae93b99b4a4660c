'use client';

import { type CSSProperties, createContext, type ReactNode, useContext } from 'react';
import type { CommandId } from '@/core/program/program';
import { type Arrangement, type Float, type Side, type Stack, visibleIn } from '@/core/workspace/arrangement';
import { drawnStacks } from '@/core/workspace/changePanels';
import type { Spot } from '@/core/workspace/placePanel';
import { KeyCaps } from '../parts/KeyCaps';
import type { KeysOf } from '../parts/useKeysOf';
import { CommandIcon } from './CommandIcon';
import { useRoomContext } from './RoomContext';
import styles from './room.module.css';

export type TabProps = {
  readonly panel: CommandId;
  readonly name: string;
  readonly selected: boolean;
  readonly children: ReactNode;
};

/** What an arrangement is changed with while it is drawn; nothing of it in the stand-in program. */
export type DockEditing = {
  readonly tab: (props: TabProps) => ReactNode;
  /** A place to let a panel go. */
  readonly zone: (spot: Spot, kind: 'onto' | 'between' | 'edge') => ReactNode;
  /** The border between a dock and the picture, and between the stacks of a dock. */
  readonly dockBorder: (side: Side) => ReactNode;
  readonly stackBorder: (side: Side, at: number) => ReactNode;
  readonly floatCorner: (float: Float) => ReactNode;
};
export const DockEditingContext = createContext<DockEditing | null>(null);

export type DocksGiven = {
  readonly panels: Arrangement;
  readonly keysOf: KeysOf;
  /** The panel of a folded dock that is opened beside its strip. */
  readonly peeked: CommandId | null;
  readonly inside: (panel: CommandId) => ReactNode;
  /** Puts a panel on top of its stack, or opens it beside its strip. */
  readonly onTop: (panel: CommandId) => void;
};
type DockProps = DocksGiven & { readonly side: Side };

/** The stacks along one side of a program's window, open or folded to a strip. */
export function DockView({ side, ...given }: DockProps) {
  const editing = useContext(DockEditingContext);
  const { panels } = given;
  const dock = panels.docks[side];
  const stacks = drawnStacks(panels, side);
  if (stacks.length === 0)
    return (
      editing && (
        <span className={styles.edge} data-side={side}>
          {editing.zone({ kind: 'between', side, after: null }, 'edge')}
        </span>
      )
    );
  if (dock.fold !== 'open') return <FoldedDock side={side} stacks={stacks} {...given} />;
  const total = stacks.reduce((sum, one) => sum + one.share, 0);
  return (
    <div
      className={styles.dock}
      data-side={side}
      style={{ '--size': `${(dock.size * 100).toFixed(2)}%` } as CSSProperties}
      role="group"
      aria-label={`Panels ${SIDE_NAMES[side]}`}
    >
      {editing?.dockBorder(side)}
      {editing?.zone({ kind: 'between', side, after: null }, 'between')}
      {stacks.map((stack, i) => {
        const last = stack.panels.at(-1) ?? '';
        return (
          <div key={stack.panels.join()} className={styles.stackSlot} style={{ flexGrow: stack.share / total }}>
            <StackView {...given} stack={stack} />
            {editing?.zone({ kind: 'onto', panel: last }, 'onto')}
            {editing?.zone({ kind: 'between', side, after: last }, 'between')}
            {i < stacks.length - 1 && editing?.stackBorder(side, stack.at)}
          </div>
        );
      })}
    </div>
  );
}

const SIDE_NAMES: Readonly<Record<Side, string>> = {
  left: 'at the left',
  right: 'at the right',
  bottom: 'at the bottom',
};

/** Panels that lie on each other: their tabs, and what is in the one on top. */
function StackView({ panels, keysOf, inside, onTop, stack }: DocksGiven & { stack: Pick<Stack, 'panels' | 'top'> }) {
  const { commands } = useRoomContext();
  const editing = useContext(DockEditingContext);
  const shown = visibleIn(stack, panels.hidden);
  const top = shown.top ?? '';
  const name = (id: CommandId): string => commands.get(id)?.name ?? id;
  return (
    <section className={styles.stack} aria-label={name(top)} data-panel={top}>
      <div className={styles.head}>
        <div className={styles.tabs} role="tablist" aria-label={`Panels with ${name(top)}`}>
          {shown.panels.map((id) => {
            const selected = id === top;
            const words = <span className={styles.tabName}>{name(id)}</span>;
            if (editing)
              return <span key={id}>{editing.tab({ panel: id, name: name(id), selected, children: words })}</span>;
            return (
              <button
                key={id}
                type="button"
                role="tab"
                aria-selected={selected}
                tabIndex={selected ? 0 : -1}
                className={styles.tab}
                onClick={() => onTop(id)}
                onKeyDown={(event) => {
                  if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return;
                  const tabs = [
                    ...(event.currentTarget.parentElement?.querySelectorAll<HTMLElement>('[role=tab]') ?? []),
                  ];
                  const next = tabs.indexOf(event.currentTarget) + (event.key === 'ArrowRight' ? 1 : -1);
                  tabs[(next + tabs.length) % tabs.length]?.focus();
                  event.stopPropagation();
                }}
              >
                {words}
              </button>
            );
          })}
        </div>
        <span className={styles.insideKeys}>
          {keysOf(top)
            .slice(0, 1)
            .map((one) => (
              <KeyCaps key={one} chord={one} silent />
            ))}
        </span>
      </div>
      <div className={styles.inside} role="tabpanel" aria-label={name(top)}>
        {inside(top)}
      </div>
    </section>
  );
}

/** A dock folded to icons, with words or without; a panel opens beside the strip. */
function FoldedDock({
  side,
  stacks,
  ...given
}: DockProps & { readonly stacks: readonly Pick<Stack, 'panels' | 'top'>[] }) {
  const { commands } = useRoomContext();
  const editing = useContext(DockEditingContext);
  const { panels, peeked, onTop, inside, keysOf } = given;
  const words = panels.docks[side].fold === 'words';
  const all = stacks.map((one) => visibleIn(one, panels.hidden).panels);
  const open = peeked !== null && all.some((one) => one.includes(peeked)) ? peeked : null;
  return (
    <div className={styles.folded} data-side={side} role="group" aria-label={`Panels ${SIDE_NAMES[side]}, folded`}>
      {all.map((group) => (
        <div key={group.join()} className={styles.foldedGroup}>
          {group.map((id) => {
            const name = commands.get(id)?.name ?? id;
            return (
              <button
                key={id}
                type="button"
                aria-expanded={open === id}
                aria-label={name}
                data-tip={name}
                className={styles.foldedButton}
                onClick={() => onTop(id)}
              >
                <CommandIcon command={id} />
                {words && <span aria-hidden="true">{name}</span>}
              </button>
            );
          })}
        </div>
      ))}
      {editing?.zone({ kind: 'onto', panel: all.at(-1)?.at(-1) ?? '' }, 'onto')}
      {open !== null && (
        <div className={styles.peek}>
          <StackView {...given} keysOf={keysOf} inside={inside} stack={{ panels: [open], top: open }} />
        </div>
      )}
    </div>
  );
}

/** The stacks that float over the picture. */
export function Floats(given: DocksGiven) {
  const editing = useContext(DockEditingContext);
  const percent = (part: number): string => `${(part * 100).toFixed(2)}%`;
  return given.panels.floats
    .filter((one) => visibleIn(one, given.panels.hidden).top !== null)
    .map((one) => (
      <div
        key={one.panels.join()}
        className={styles.float}
        style={{ left: percent(one.x), top: percent(one.y), width: percent(one.width), height: percent(one.height) }}
      >
        <StackView {...given} stack={one} />
        {editing?.zone({ kind: 'onto', panel: one.panels.at(-1) ?? '' }, 'onto')}
        {editing?.floatCorner(one)}
      </div>
    ));
}
