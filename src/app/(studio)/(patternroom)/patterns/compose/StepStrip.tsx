'use client';

import { memo, useDeferredValue, useMemo, useState } from 'react';
import { useSortable } from '@dnd-kit/sortable';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import type { OrderFault } from '@/core/judgement/order';
import type { Composition } from '@/core/pattern/composition';
import { looksOf } from '@/core/pattern/looksOf';
import type { ResolvedStep } from '@/core/pattern/resolve';
import { stepByStep, type WorkedStep } from '@/core/pattern/stepByStep';
import { drawSmall } from '@/core/plan/drawPlan';
import { StepMark } from '@/ui/craft/OrderOfWork';
import { PlanDrawing } from '@/ui/craft/PlanDrawing';
import { Said } from '@/ui/house';
import { AddOwnStep } from './AddOwnStep';
import { MoveButton } from './MoveButton';
import { StepDrag } from './StepDrag';
import { useAddOwnStep, useMoveStep } from './useSteps';
import type { Work } from './work';

interface StepStripProps {
  readonly work: Work;
  readonly compose: (change: (before: Composition) => Composition) => void;
}

/** The order of the work as a strip of small pictures, each as the piece is when its step is done; shut until it is wanted. */
export const StepStrip = memo(function StepStrip(props: StepStripProps) {
  const [open, setOpen] = useState(false);
  return (
    <section className="leaf px-4 py-1" aria-label="The order of work in pictures">
      <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
        <summary className="min-h-11 cursor-pointer content-center font-semibold">
          The order of work in pictures ({props.work.resolved.steps.length} steps)
        </summary>
        {open && <Strip {...props} />}
      </details>
    </section>
  );
});

function Strip({ work, compose }: StepStripProps) {
  // Every picture is a piece that is worked out: it follows when nothing else waits.
  const { resolved, atHand, parts } = useDeferredValue(work);
  const seen = useMemo(() => stepByStep(resolved), [resolved]);
  const { steps, faults } = resolved;
  const move = useMoveStep(atHand, compose);
  const addOwn = useAddOwnStep(atHand, compose);
  const looks = useMemo(() => {
    const drawn = [...new Set(seen.flatMap((each) => each.seen?.part ?? []))];
    return new Map(drawn.map((part) => [part, looksOf(part, atHand.specs, parts)]));
  }, [seen, atHand, parts]);
  return (
    <StepDrag id="strip" steps={steps} onMove={move} way="across">
      <ol className="flex items-start gap-2 overflow-x-auto pb-3" aria-label="Order of work, in pictures">
        {steps.map((step, index) => (
          <Picture
            key={step.id}
            step={step}
            number={index + 1}
            isLast={index === steps.length - 1}
            seen={seen[index]?.seen}
            looks={seen[index]?.seen && looks.get(seen[index].seen.part)}
            faults={faults.filter(({ about }) => about === step.id)}
            onMove={move}
          />
        ))}
      </ol>
      <AddOwnStep onAdd={addOwn} />
    </StepDrag>
  );
}

/** One step of the strip: what must have happened before it, the piece after it, and where it can be moved. */
function Picture({
  step: { id, name, stops, kind },
  number,
  isLast,
  seen,
  looks,
  faults,
  onMove,
}: {
  readonly step: ResolvedStep;
  readonly number: number;
  readonly isLast: boolean;
  readonly seen: WorkedStep['seen'];
  readonly looks: ReturnType<typeof looksOf> | undefined;
  readonly faults: readonly OrderFault[];
  readonly onMove: (step: string, to: number) => void;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id,
  });
  const drawing = useMemo(() => seen && drawSmall(seen.plan), [seen]);
  return (
    <li
      ref={(node) => {
        setNodeRef(node);
        // The policy of the house allows no style in HTML; a script may set it.
        if (node) node.style.transform = transform ? `translate3d(${transform.x}px, 0, 0)` : '';
      }}
      className={`flex shrink-0 gap-2 ${isDragging ? 'relative z-10 bg-base-300' : ''}`}
    >
      {stops.length > 0 && (
        <div className="w-32 border-l-4 border-warning bg-warning/10 p-2 text-sm">
          {stops.map((stop) => (
            <p key={stop}>{stop}</p>
          ))}
        </div>
      )}
      <div className={`w-36 border p-1 ${faults.length > 0 ? 'border-2 border-error' : 'border-base-300'}`}>
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          className="block w-full cursor-grab"
          aria-label={`Drag picture ${number}, ${name}`}
        >
          {drawing && looks ? (
            <PlanDrawing
              drawing={drawing}
              looks={looks}
              label={`The piece after step ${number}`}
              className="h-24 w-full"
            />
          ) : (
            <span className="muted flex h-24 items-center justify-center text-sm">
              nothing to be seen yet
            </span>
          )}
        </button>
        <p className="text-sm">
          <span className="muted">{number}.</span> {kind !== 'work' && <StepMark kind={kind} />}
          {name}
        </p>
        {faults.map(({ key, said }) => (
          <p key={key} className="text-sm font-semibold text-error">
            <Said>{said}</Said>
          </p>
        ))}
        <div className="flex justify-between">
          <MoveButton
            icon={ArrowLeft}
            label={`Do ${name} a step earlier`}
            disabled={number === 1}
            onClick={() => onMove(id, number - 2)}
          />
          <MoveButton
            icon={ArrowRight}
            label={`Do ${name} a step later`}
            disabled={isLast}
            onClick={() => onMove(id, number)}
          />
        </div>
      </div>
    </li>
  );
}
