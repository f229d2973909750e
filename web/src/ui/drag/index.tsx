import {
  DndContext,
  DragOverlay,
  PointerSensor,
  pointerWithin,
  rectIntersection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type CollisionDetection,
} from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import type { ReactNode } from 'react';
import type { DragAreaProps, DraggableProps, DroppableProps, SortableProps } from './Drag';

/** Pixels the pointer has to go before a press becomes a drag. */
const distance = 6;

const underPointer =
  (first: string): CollisionDetection =>
  (args) =>
    pointerWithin(args).sort((a, b) => Number(String(b.id).startsWith(first)) - Number(String(a.id).startsWith(first)));

export function DragArea({ words, off = false, first, onStart, onOver, onEnd, onCancel, children }: DragAreaProps) {
  const byPointer = useSensors(useSensor(PointerSensor, { activationConstraint: { distance } }));
  const none = useSensors();
  return (
    <DndContext
      sensors={off ? none : byPointer}
      collisionDetection={first === undefined ? rectIntersection : underPointer(first)}
      accessibility={{ announcements: words }}
      onDragStart={({ active }) => onStart?.(String(active.id))}
      onDragOver={({ over }) => onOver?.(over === null ? null : String(over.id))}
      onDragEnd={({ active, over }) => onEnd(String(active.id), over === null ? null : String(over.id))}
      onDragCancel={() => onCancel?.()}
    >
      {children}
    </DndContext>
  );
}

export function Draggable({ id, children }: DraggableProps) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id });
  return children({ ref: setNodeRef, listeners, dragging: isDragging });
}

export function Droppable({ id, children }: DroppableProps) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return children({ ref: setNodeRef, over: isOver });
}

export function SortableRow({ ids, children }: { ids: string[]; children: ReactNode }) {
  return (
    <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
      {children}
    </SortableContext>
  );
}

export function Sortable({ id, children }: SortableProps) {
  const { setNodeRef, listeners, isDragging, transform } = useSortable({ id });
  return children({ ref: setNodeRef, listeners, dragging: isDragging, x: transform?.x ?? null });
}

export function Dragged({ children }: { children: ReactNode }) {
  return <DragOverlay dropAnimation={null}>{children}</DragOverlay>;
}
