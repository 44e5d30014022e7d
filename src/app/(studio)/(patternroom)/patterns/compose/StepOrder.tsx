'use client';

import { useSortable } from '@dnd-kit/sortable';
import { memo, type ReactNode } from 'react';
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react';
import type { OrderFault } from '@/core/judgement/order';
import type { OwnStep } from '@/core/pattern/ownSteps';
import type { ResolvedStep } from '@/core/pattern/resolve';
import { CAUTIONS } from '@/core/technique/cautions';
import { StepMark } from '@/ui/craft/OrderOfWork';
import { Said } from '@/ui/house';
import { MoveButton } from './MoveButton';
import { OwnStepFields } from './OwnStepFields';
import { StepDrag } from './StepDrag';

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
  return (
    <StepDrag id="steps" steps={steps} onMove={onMove} way="down">
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
    </StepDrag>
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
        <MoveButton
          icon={ArrowUp}
          label={`Move ${name} up`}
          disabled={index === 0}
          onClick={() => onMove(id, index - 1)}
        />
        <MoveButton
          icon={ArrowDown}
          label={`Move ${name} down`}
          disabled={last}
          onClick={() => onMove(id, index + 1)}
        />
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
