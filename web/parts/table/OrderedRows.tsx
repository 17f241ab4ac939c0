'use client';
/** Rows that can be dragged up and down by their handle, or moved with the arrow keys once they are taken up. */
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { ReactNode } from 'react';

/** What is read out stands beside the page, not inside the table, where no element of its kind may be. */
const BESIDE_THE_TABLE = typeof document === 'undefined' ? {} : { container: document.body };

/** What those hear who do not see the drag. */
function said(ids: readonly string[]): Announcements {
  const place = (at: { id: string | number } | null) => (at ? ids.indexOf(String(at.id)) + 1 : 0);
  const over = (to: { id: string | number } | null) =>
    to ? `place ${place(to)} of ${ids.length}` : 'outside of the table';
  return {
    onDragStart: ({ active }) => `Row ${place(active)} is taken up.`,
    onDragOver: ({ active, over: to }) => `Row ${place(active)} is over ${over(to)}.`,
    onDragEnd: ({ active, over: to }) => `Row ${place(active)} was put down at ${over(to)}.`,
    onDragCancel: ({ active }) => `Row ${place(active)} is back where it was.`,
  };
}

interface Props {
  /** one a row */ ids: readonly string[];
  /** takes places of the list in their new order */ onOrder: (order: number[]) => void;
  children: ReactNode;
}

export function OrderedRows({ ids, onOrder, children }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, {
      coordinateGetter: sortableKeyboardCoordinates,
      scrollBehavior: 'auto',
    }),
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
      // a row taken up near the edge of the window would drift on by itself under the keys
      autoScroll={false}
      onDragEnd={ended}
      accessibility={{ announcements: said(ids), ...BESIDE_THE_TABLE }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}
