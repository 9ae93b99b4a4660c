'use client';

import {
  DndContext,
  type DragEndEvent,
  DragOverlay,
  MeasuringStrategy,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Chip from '@mui/material/Chip';
import { type ReactNode, useState } from 'react';

type Props<Spot> = {
  /** How things are moved by keyboard, for those who listen. */
  readonly howToMove: string;
  /** What follows the pointer. */
  readonly carried: (id: string) => ReactNode;
  /** What was let go, and on which place; undefined for none of them. */
  readonly onDrop: (id: string, spot: Spot | undefined, event: DragEndEvent) => void;
  /** What is in it, while something is dragged or not. */
  readonly children: (dragged: string | null) => ReactNode;
};

/** Where things are dragged by pointer onto places that carry their `spot`; the keyboard is each thing's own. */
export function DragArea<Spot>({ howToMove, carried, onDrop, children }: Props<Spot>) {
  const [dragged, setDragged] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 150, tolerance: 8 } }),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      measuring={{ droppable: { strategy: MeasuringStrategy.Always } }}
      onDragStart={({ active }) => setDragged(String(active.id))}
      onDragEnd={(event) => {
        setDragged(null);
        onDrop(String(event.active.id), event.over?.data.current?.spot as Spot | undefined, event);
      }}
      onDragCancel={() => setDragged(null)}
      accessibility={{ screenReaderInstructions: { draggable: howToMove } }}
    >
      {children(dragged)}
      <DragOverlay dropAnimation={null}>
        {dragged !== null && <Chip size="small" color="primary" label={<strong>{carried(dragged)}</strong>} />}
      </DragOverlay>
    </DndContext>
  );
}
