'use client';
/** Rows that can be dragged up and down by their handle, or moved with the arrow keys once they are taken up. */
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { ReactNode } from 'react';

interface Props {
  /** one a row */ ids: readonly string[];
  /** takes places of the list in their new order */ onOrder: (order: number[]) => void;
  children: ReactNode;
}

export function OrderedRows({ ids, onOrder, children }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ended = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const places = ids.map((_, i) => i);
    onOrder(arrayMove(places, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={ended}
      // what is read out to those who do not see the drag stands beside the page, not inside the table
      accessibility={typeof document === 'undefined' ? {} : { container: document.body }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}
