import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { CSSProperties, ReactNode } from 'react';

/** What came of a drag is announced by names where all edits are; its own words would be ids. */
const nothing = () => undefined;
const SILENT = {
  announcements: {
    onDragStart: nothing,
    onDragOver: nothing,
    onDragEnd: nothing,
    onDragCancel: nothing,
  },
};

/** A list whose lines are put in order by a drag of their grips: a press alone selects a line, only a drag moves it. */
export function SortableList(props: {
  ids: string[];
  /** @param to the place in the list, counted from 0 */
  onMove: (id: string, to: number) => void;
  children: ReactNode;
}) {
  const { ids, onMove } = props;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = ids.findIndex((id) => id === over?.id);
    if (over && active.id !== over.id && to >= 0) onMove(String(active.id), to);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={SILENT}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {props.children}
      </SortableContext>
    </DndContext>
  );
}

/** Six dots. */
const GRIP = 'M0 1h2v2H0ZM5 1h2v2H5ZM0 6h2v2H0ZM5 6h2v2H5ZM0 11h2v2H0ZM5 11h2v2H5Z';

/** A line of a sortable list: what its element and its grip need. */
export function useSortableLine(id: string): {
  setNodeRef: (element: HTMLElement | null) => void;
  style: CSSProperties;
  grip: ReactNode;
} {
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } =
    useSortable({ id });
  return {
    setNodeRef,
    style: {
      transform: CSS.Transform.toString(transform),
      transition,
      ...(isDragging && { opacity: 0.7, zIndex: 1, position: 'relative' }),
    },
    grip: (
      <span className="grip" ref={setActivatorNodeRef} {...listeners} aria-hidden>
        <svg width={7} height={13} fill="currentColor">
          <path d={GRIP} />
        </svg>
      </span>
    ),
  };
}
