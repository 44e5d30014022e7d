'use client';

import dynamic from 'next/dynamic';
import { memo, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { boxAbout, LARGE, type LineDrawing } from '@/core/drawing/lineDrawing';
import type { Looks } from '@/core/drawing/look';
import { saidFrom, viewsOf, type View } from '@/core/drawing/view';
import { drawPlan } from '@/core/plan/drawPlan';
import type { Plan } from '@/core/technique/technique';
import { drawingOf } from './drawingOf';
import { PlanDrawing } from './PlanDrawing';
import { IN_THE_ROUND, SeenFrom } from './SeenFrom';

/** What it takes to turn a piece weighs more than a page. */
const RoundView = dynamic(() => import('./RoundView'), {
  ssr: false,
  loading: () => <p className="muted">It is being put together…</p>,
});

const drawnFrom = (plan: Plan, view: View): LineDrawing =>
  view === 'front' ? drawingOf(plan) : drawPlan(plan, LARGE, view);

/** A plan drawn to scale, from the front, from the back, or from the side and in the round where it is known how deep it lies; a ring from above, too. */
export const PlanViews = memo(function PlanViews({
  plan,
  looks,
  label,
  className,
  isRing = false,
  ghost,
  over,
  beside,
}: {
  plan: Plan;
  looks: Looks;
  label: string;
  className: string;
  isRing?: boolean;
  /** What it could become, and what that is made of: it is seen through. */
  ghost?: { readonly plan: Plan; readonly looks: Looks } | undefined;
  /** What lies over the picture, in its own millimetres. */
  over?: (view: View, box: LineDrawing['box']) => ReactNode;
  /** What stands beside the choice of the view. */
  beside?: ReactNode;
}) {
  const [chosen, choose] = useState<View | typeof IN_THE_ROUND>('front');
  const views = plan.run ? ([...viewsOf(isRing), IN_THE_ROUND] as const) : (['front', 'back'] as const);
  const shown = views.find((each) => each === chosen) ?? 'front';
  const view = shown === IN_THE_ROUND ? 'front' : shown;
  // While one types, what is turned follows when there is time.
  const turned = useDeferredValue(shown === IN_THE_ROUND ? plan.run : undefined);
  const alone = useMemo(() => drawnFrom(plan, view), [plan, view]);
  const become = useMemo(() => ghost && drawnFrom(ghost.plan, view), [ghost, view]);
  const drawing = useMemo(
    () => (become ? { ...alone, box: boxAbout(alone.box, become.box) } : alone),
    [alone, become],
  );
  const still = (
    <PlanDrawing
      drawing={drawing}
      looks={looks}
      label={`${label}, ${saidFrom(view)}`}
      className={className}
    />
  );
  return (
    <>
      {turned ? (
        <RoundView run={turned} looks={looks} label={label} className={className} still={still} />
      ) : (
        <div className="relative">
          {still}
          {ghost && become && (
            <div aria-hidden="true" className="pointer-events-none absolute inset-0 opacity-50">
              <PlanDrawing
                drawing={{ ...become, box: drawing.box }}
                looks={ghost.looks}
                label="What it could become"
                className={className}
              />
            </div>
          )}
          {over?.(view, drawing.box)}
        </div>
      )}
      <div className="flex flex-wrap gap-x-6">
        <SeenFrom views={views} shown={shown} choose={choose} />
        {beside}
      </div>
    </>
  );
});
