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
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { memo, type ReactNode } from 'react';
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react';
import type { OrderFault } from '@/core/judgement/order';
import type { OwnStep } from '@/core/pattern/ownSteps';
import type { ResolvedStep } from '@/core/pattern/resolve';
import { CAUTIONS } from '@/core/technique/cautions';
import { StepMark } from '@/ui/craft/OrderOfWork';
import { Said } from '@/ui/house';
import { OwnStepFields } from './OwnStepFields';

interface StepOrderProps {
  readonly steps: readonly ResolvedStep[];
  readonly faults: readonly OrderFault[];
  readonly severalTechniques: boolean;
  readonly onMove: (key: string, to: number) => void;
  readonly onOverride: (key: string) => void;
  /** Steps of the maker’s own, as they are typed. */
  readonly own: readonly OwnStep[];
  readonly onChangeOwn: (id: string, change: Partial<Omit<OwnStep, 'id'>>, label: string) => void;
  readonly onRemoveOwn: (id: string) => void;
}

/** The steps in the order of the work: dragged, or moved with the arrows; what comes too late says so. */
export const StepOrder = memo(function StepOrder({
  steps,
  faults,
  severalTechniques,
  onMove,
  onOverride,
  own,
  onChangeOwn,
  onRemoveOwn,
}: StepOrderProps) {
  const ownById = new Map(own.map((step) => [step.id, step]));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = steps.findIndex(({ id }) => id === over?.id);
    if (to >= 0 && active.id !== over?.id) onMove(String(active.id), to);
  };
  const nameOf = (id: string | number) => steps.find((step) => step.id === id)?.name ?? '';
  const placeOf = (id: string | number | undefined) =>
    `place ${steps.findIndex((step) => step.id === id) + 1} of ${steps.length}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `Picked up “${nameOf(active.id)}”.`,
    onDragOver: ({ active, over }) => `“${nameOf(active.id)}” is at ${placeOf(over?.id)}.`,
    onDragEnd: ({ active, over }) => `“${nameOf(active.id)}” is put down at ${placeOf(over?.id)}.`,
    onDragCancel: ({ active }) => `“${nameOf(active.id)}” stays where it was.`,
  };
  return (
    <DndContext
      id="steps"
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
      <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className="mt-2" aria-label="Order of work">
          {steps.map((step, index) => (
            <Step
              key={step.id}
              step={step}
              index={index}
              last={index === steps.length - 1}
              faults={faults.filter(({ about }) => about === step.id)}
              named={severalTechniques}
              onMove={onMove}
              onOverride={onOverride}
            >
              <OwnOf
                own={ownById.get(step.id)}
                wrong={step.wrong}
                onChange={onChangeOwn}
                onRemove={onRemoveOwn}
              />
            </Step>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
});

/** The fields of a step of the maker’s own; nothing for one of a technique. */
function OwnOf({
  own,
  ...rest
}: Omit<Parameters<typeof OwnStepFields>[0], 'step'> & { own: OwnStep | undefined }) {
  return own ? (
    <div className="pl-8">
      <OwnStepFields step={own} {...rest} />
    </div>
  ) : null;
}

function Step({
  step: { id, name, minutes, cautions, stops, use, once, kind },
  index,
  last,
  faults,
  named,
  onMove,
  onOverride,
  children,
}: {
  step: ResolvedStep;
  index: number;
  last: boolean;
  faults: readonly OrderFault[];
  named: boolean;
  onMove: (key: string, to: number) => void;
  onOverride: (key: string) => void;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id,
  });
  return (
    <li
      ref={(node) => {
        setNodeRef(node);
        // The policy of the house allows no style in HTML; a script may set it.
        if (node) node.style.transform = transform ? `translate3d(0, ${transform.y}px, 0)` : '';
      }}
      className={`border-b border-base-300 py-1 last:border-b-0 ${isDragging ? 'relative z-10 bg-base-300' : ''}`}
    >
      <div className="flex items-center gap-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          className="btn btn-ghost btn-sm min-h-11 cursor-grab px-1"
          aria-label={`Drag step ${index + 1}, ${name}`}
        >
          <GripVertical size={16} aria-hidden="true" />
        </button>
        <span className="min-w-0 grow text-sm">
          <span className="muted">{index + 1}.</span> {kind !== 'work' && <StepMark kind={kind} />}
          {name}{' '}
          <span className="muted whitespace-nowrap">
            {Number(minutes.toFixed(1))} min{once && ', once a sitting'}
          </span>
          {named && <span className="muted block">{use?.name ?? 'of your own'}</span>}
        </span>
        <button
          type="button"
          className="btn btn-ghost btn-sm min-h-11 px-1"
          disabled={index === 0}
          onClick={() => onMove(id, index - 1)}
          aria-label={`Move ${name} up`}
        >
          <ArrowUp size={16} aria-hidden="true" />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-sm min-h-11 px-1"
          disabled={last}
          onClick={() => onMove(id, index + 1)}
          aria-label={`Move ${name} down`}
        >
          <ArrowDown size={16} aria-hidden="true" />
        </button>
      </div>
      {children}
      {stops.map((stop) => (
        <p key={stop} className="pl-8 text-sm">
          {stop}
        </p>
      ))}
      {cautions.map((caution) => (
        <p key={caution} className="muted pl-8 text-sm">
          {CAUTIONS[caution]}
        </p>
      ))}
      {faults.map(({ key, late, said, why, mend }) => (
        <div key={key} role="alert" className="mt-1 border-l-4 border-error bg-error/10 p-2 text-sm">
          <strong>
            <Said>{said}</Said>
          </strong>{' '}
          <Said>{`${why} ${mend}`}</Said>
          <button
            type="button"
            className="btn btn-sm mt-1 block h-auto text-left"
            onClick={() => onOverride(key)}
          >
            I know; keep “{name}” after “{late}”
          </button>
        </div>
      ))}
    </li>
  );
}
