'use client';

import type { DragEndEvent } from '@dnd-kit/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { CommandId, Program } from '@/core/program/program';
import { FOLDS, type Fold, SIDES, type Side } from '@/core/workspace/arrangement';
import { bringOnTop, foldDock, isDrawn } from '@/core/workspace/changePanels';
import { dropSpots, sideWords } from '@/core/workspace/dropSpots';
import { placePanel, type Spot } from '@/core/workspace/placePanel';
import type { Room } from '@/core/workspace/room';
import { Segments } from '../kit/Segments';
import type { KeysOf } from '../parts/useKeysOf';
import { DockEditingContext } from '../room/Docks';
import type { RoomActions } from '../room/useRoom';
import { DropZone, FloatCorner, MovableTab, type Moving, SizeBorder, spotKey } from './arranging';
import { DragArea } from './DragArea';
import { PanelList } from './PanelList';
import { RoomPicture } from './RoomPicture';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
  readonly bench: (command: CommandId) => string;
};

const FOLD_WORDS: Readonly<Record<Fold, string>> = { open: 'Open', icons: 'Icons', words: 'Words' };
const DOCK_NAMES: Readonly<Record<Side, string>> = { left: 'Left dock', right: 'Right dock', bottom: 'Bottom dock' };

/** Where the panels of a program are: dragged on the picture of its window, or moved by keyboard and from the list. */
export function PanelsPart({ program, room, keysOf, actions, bench }: Props) {
  const { panels } = room;
  const floor = useRef<HTMLDivElement>(null);
  const [moving, setMoving] = useState<Moving | null>(null);
  const names = useMemo(() => new Map(program.commands.map((one) => [one.id, one.name])), [program]);
  const nameOf = (id: CommandId): string => names.get(id) ?? id;
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

  return (
    <DragArea<Spot> howToMove={HOW_TO_MOVE} carried={nameOf} onDrop={drop}>
      {(dragged) => (
        <DockEditingContext.Provider
          value={{
            tab: (props) => (
              <MovableTab
                {...props}
                moving={moving}
                onGrab={() => grab(props.panel)}
                onStep={(step) =>
                  setMoving((now) => now && { ...now, at: (now.at + step + spots.length) % spots.length })
                }
                onSettle={settle}
                onTop={() => actions.edit(`${props.name} on top`, { panels: bringOnTop(panels, props.panel) })}
              />
            ),
            zone: (spot, kind) => (
              <DropZone
                key={spotKey(spot)}
                spot={spot}
                kind={kind}
                open={isOpen(spot, dragged ?? moving?.panel ?? null)}
                aimed={aimed !== undefined && spotKey(aimed.spot) === spotKey(spot)}
              />
            ),
            dockBorder: (side) => <SizeBorder side={side} panels={panels} actions={actions} floor={floor} />,
            stackBorder: (side, at) => (
              <SizeBorder side={side} at={at} panels={panels} actions={actions} floor={floor} />
            ),
            floatCorner: (float) => (
              <FloatCorner float={float} name={nameOf(float.top)} panels={panels} actions={actions} floor={floor} />
            ),
          }}
        >
          <div className={`panes ${styles.withList}`}>
            <div className={styles.pictureSide}>
              <RoomPicture
                program={program}
                room={room}
                keysOf={keysOf}
                floor={floor}
                onTop={() => undefined}
                over={aimed?.spot.kind === 'float' && <span className={styles.floatAim}>Floating here</span>}
              />
              <p role="status">
                {moving && aimed ? (
                  <>
                    <strong>{nameOf(moving.panel)}</strong>: {aimed.words}. <kbd className="cap">Enter</kbd> puts it
                    there, arrows go on, <kbd className="cap">Esc</kbd> leaves it.
                  </>
                ) : (
                  <>
                    Drag a panel by its name, or press <kbd className="cap">Space</kbd> on it and use the arrows.
                    Borders are dragged, or moved with arrows.
                  </>
                )}
              </p>
              <div className={styles.docks}>
                {SIDES.map((side) => (
                  <Segments
                    key={side}
                    label={DOCK_NAMES[side]}
                    value={panels.docks[side].fold}
                    options={FOLDS.map((one) => [one, FOLD_WORDS[one]] as const)}
                    onChange={(fold) =>
                      actions.edit(fold === 'open' ? `Unfold ${sideWords(side)}` : `Fold ${sideWords(side)}`, {
                        panels: foldDock(panels, side, fold),
                      })
                    }
                  />
                ))}
              </div>
              {!SIDES.some((side) => isDrawn(panels, side)) && panels.floats.length === 0 && (
                <p className="soft">No panel is shown. Tick one in the list.</p>
              )}
            </div>
            <PanelList
              program={program}
              panels={panels}
              keysOf={keysOf}
              actions={actions}
              bench={bench}
              onPlace={place}
            />
          </div>
        </DockEditingContext.Provider>
      )}
    </DragArea>
  );
}

/** Whether a place takes what is moved; nothing is put onto itself. */
function isOpen(spot: Spot, moved: CommandId | null): boolean {
  return moved !== null && !(spot.kind === 'onto' && spot.panel === moved);
}

const HOW_TO_MOVE =
  'Press Space to pick the panel up, arrows to choose a place, Enter to put it there, Escape to leave it.';
