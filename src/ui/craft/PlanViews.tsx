'use client';

import { memo, useId, useMemo, useState } from 'react';
import { LARGE } from '@/core/drawing/lineDrawing';
import { VIEWS, type View } from '@/core/drawing/view';
import { drawPlan } from '@/core/technique/drawPlan';
import type { Values } from '@/core/technique/readValues';
import type { Plan } from '@/core/technique/technique';
import type { MetalId } from '@/core/wire/metal';
import { drawingOf } from './drawingOf';
import { PlanDrawing } from './PlanDrawing';

/** A plan drawn to scale, from the front, from the back, or from the side where it is known how deep it lies. */
export const PlanViews = memo(function PlanViews({
  plan,
  values,
  metalOf,
  label,
  className,
}: {
  plan: Plan;
  values: Values;
  metalOf: (wire: string) => MetalId;
  label: string;
  className: string;
}) {
  const [chosen, choose] = useState<View>('front');
  const group = useId();
  const views = VIEWS.filter((view) => view !== 'side' || plan.run);
  const view = views.includes(chosen) ? chosen : 'front';
  const drawing = useMemo(
    () => (view === 'front' ? drawingOf(plan, values) : drawPlan(plan, values, LARGE, view)),
    [plan, values, view],
  );
  return (
    <>
      <PlanDrawing
        drawing={drawing}
        metalOf={metalOf}
        label={`${label}, from the ${view}`}
        className={className}
      />
      <div className="no-print mt-1 flex gap-x-4" role="radiogroup" aria-label="Seen from">
        {views.map((each) => (
          <label key={each} className="flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="radio"
              name={group}
              className="radio radio-sm"
              checked={view === each}
              onChange={() => choose(each)}
            />
            {each}
          </label>
        ))}
      </div>
    </>
  );
});
