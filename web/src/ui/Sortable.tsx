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
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { CSSProperties, ReactNode } from 'react';

interface SortedProps {
  /** What is in the list, in its order. */
  readonly ids: readonly string[];
  readonly onMove: (from: number, to: number) => void;
  readonly children: ReactNode;
}

/** A list whose rows are taken in hand: by pointer, by thumb, by Space and arrows. */
export function Sorted({ ids, onMove, children }: SortedProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const end = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    onMove(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={end}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

interface RowInHand {
  readonly ref: (node: HTMLElement | null) => void;
  readonly style: CSSProperties;
  readonly isInHand: boolean;
  readonly handle: ReactNode;
}

/** A row of such a list: where it is drawn now, and the handle it is taken by. */
export function useRowInHand(id: string, label: string): RowInHand {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } =
    useSortable({ id });
  return {
    ref: setNodeRef,
    style: { transform: CSS.Translate.toString(transform), transition: transition ?? undefined },
    isInHand: isDragging,
    handle: (
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={label}
        className="flex min-h-7 w-6 shrink-0 touch-none items-center justify-center text-quiet hover:text-ink pointer-coarse:min-h-11 pointer-coarse:w-8"
      >
        <GripVertical size={16} aria-hidden="true" />
      </button>
    ),
  };
}
