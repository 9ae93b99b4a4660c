'use client';

import { useMemo, useRef } from 'react';
import type { CommandId, Program } from '@/core/program/program';
import { SIDES } from '@/core/workspace/arrangement';
import { bringOnTop, isDrawn } from '@/core/workspace/changePanels';
import type { Spot } from '@/core/workspace/placePanel';
import type { Room } from '@/core/workspace/room';
import type { KeysOf } from '../parts/useKeysOf';
import { DockEditingContext } from '../room/Docks';
import type { RoomActions } from '../room/useRoom';
import { DropZone, FloatCorner, MovableTab, SizeBorder, spotKey } from './arranging';
import { DockFolds } from './DockFolds';
import { DragArea } from './DragArea';
import { PanelList } from './PanelList';
import { RoomPicture } from './RoomPicture';
import { usePlacing } from './usePlacing';
import styles from './workspaces.module.css';

type Props = {
  readonly program: Program;
  readonly room: Room;
  readonly keysOf: KeysOf;
  readonly actions: RoomActions;
  readonly bench: (command: CommandId) => string;
};

/** Where the panels of a program are: dragged on the picture of its window, or moved by keyboard and from the list. */
export function PanelsPart({ program, room, keysOf, actions, bench }: Props) {
  const { panels } = room;
  const floor = useRef<HTMLDivElement>(null);
  const names = useMemo(() => new Map(program.commands.map((one) => [one.id, one.name])), [program]);
  const nameOf = (id: CommandId): string => names.get(id) ?? id;
  const { place, drop, moving, setMoving, spots, aimed, grab, settle } = usePlacing(panels, nameOf, actions, floor);

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
              <DockFolds panels={panels} actions={actions} />
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
