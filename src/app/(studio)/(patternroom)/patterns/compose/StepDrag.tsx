'use client';

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
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { ReactNode } from 'react';
import type { ResolvedStep } from '@/core/pattern/resolve';

/** Steps of the work that are dragged to where they are done, by mouse, finger or keys. */
export function StepDrag({
  id,
  steps,
  onMove,
  way,
  children,
}: {
  /** Its own on the page. */
  readonly id: string;
  readonly steps: readonly Pick<ResolvedStep, 'id' | 'name'>[];
  readonly onMove: (step: string, to: number) => void;
  /** How they stand. */
  readonly way: 'down' | 'across';
  readonly children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = steps.findIndex((step) => step.id === over?.id);
    if (to >= 0 && active.id !== over?.id) onMove(String(active.id), to);
  };
  const nameOf = (of: string | number) => steps.find((step) => step.id === of)?.name ?? '';
  const placeOf = (of: string | number | undefined) =>
    `place ${steps.findIndex((step) => step.id === of) + 1} of ${steps.length}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Picked up “${nameOf(active.id)}”.`,
    onDragOver: ({ active, over }) => `“${nameOf(active.id)}” is at ${placeOf(over?.id)}.`,
    onDragEnd: ({ active, over }) => `“${nameOf(active.id)}” is put down at ${placeOf(over?.id)}.`,
    onDragCancel: ({ active }) => `“${nameOf(active.id)}” stays where it was.`,
  };
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      accessibility={{
        announcements,
        screenReaderInstructions: {
          draggable:
            'To move a step, press space, move it with the arrow keys, and press space again; escape leaves it where it was.',
        },
      }}
    >
      <SortableContext
        items={steps.map((step) => step.id)}
        strategy={way === 'down' ? verticalListSortingStrategy : horizontalListSortingStrategy}
      >
        {children}
      </SortableContext>
    </DndContext>
  );
}
