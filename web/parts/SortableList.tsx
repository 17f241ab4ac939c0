'use client';
/** A short list in an order of the person's: dragged by its handle, or moved with the arrow keys once it is taken up. */
import { ActionIcon } from '@mantine/core';
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
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconGripVertical, IconX } from '@tabler/icons-react';

interface Item {
  readonly id: string;
  readonly name: string;
}

export function SortableList({ label, items, onOrder, onRemove }: SortableListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = items.map((i) => i.id);
  const ended = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    onOrder(arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={ended}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="sortable" aria-label={label}>
          {items.map((i) => (
            <Row key={i.id} item={i} onRemove={onRemove} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
interface SortableListProps {
  label: string;
  items: readonly Item[];
  onOrder: (ids: string[]) => void;
  onRemove: (id: string) => void;
}

function Row({ item, onRemove }: { item: Item; onRemove: (id: string) => void }) {
  const s = useSortable({ id: item.id });
  return (
    <li
      ref={s.setNodeRef}
      className={s.isDragging ? 'dragged' : undefined}
      // where the drag has brought it
      style={{ transform: CSS.Transform.toString(s.transform), transition: s.transition }}
    >
      <ActionIcon aria-label={`Move ${item.name}`} {...s.attributes} {...s.listeners}>
        <IconGripVertical size={16} aria-hidden="true" />
      </ActionIcon>
      <span className="grow">{item.name}</span>
      <ActionIcon aria-label={`Take ${item.name} away`} onClick={() => onRemove(item.id)}>
        <IconX size={16} aria-hidden="true" />
      </ActionIcon>
    </li>
  );
}
