'use client';

import dynamic from 'next/dynamic';
import { memo, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { boxAbout, LARGE, type LineDrawing } from '@/core/drawing/lineDrawing';
import type { Looks } from '@/core/drawing/look';
import { saidFrom, viewsOf, type View } from '@/core/drawing/view';
import { drawPlan } from '@/core/technique/drawPlan';
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

/** How a piece hangs: turned so, and what lies over its picture then. */
export interface Hanging {
  readonly hung: (plan: Plan) => Plan;
  readonly over: (view: View, box: LineDrawing['box']) => ReactNode;
}

/** A plan drawn to scale, from the front, from the back, or from the side and in the round where it is known how deep it lies; a ring from above, too. */
export const PlanViews = memo(function PlanViews({
  plan: laid,
  looks,
  label,
  className,
  isRing = false,
  ghost,
  over,
  hanging,
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
  /** How it hangs; undefined for what is not made to. */
  hanging?: Hanging | undefined;
}) {
  const [isLetToHang, letHang] = useState(false);
  const hung = isLetToHang ? hanging : undefined;
  const plan = useMemo(() => (hung ? hung.hung(laid) : laid), [laid, hung]);
  const [chosen, choose] = useState<View | typeof IN_THE_ROUND>('front');
  const views = plan.run ? ([...viewsOf(isRing), IN_THE_ROUND] as const) : (['front', 'back'] as const);
  const shown = views.find((each) => each === chosen) ?? 'front';
  const view = shown === IN_THE_ROUND ? 'front' : shown;
  // While one types, what is turned follows when there is time.
  const turned = useDeferredValue(shown === IN_THE_ROUND ? plan.run : undefined);
  const alone = useMemo(() => drawnFrom(plan, view), [plan, view]);
  const tried = hung ? undefined : ghost;
  const become = useMemo(() => tried && drawnFrom(tried.plan, view), [tried, view]);
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
          {tried && become && (
            <div aria-hidden="true" className="pointer-events-none absolute inset-0 opacity-50">
              <PlanDrawing
                drawing={{ ...become, box: drawing.box }}
                looks={tried.looks}
                label="What it could become"
                className={className}
              />
            </div>
          )}
          {(hung?.over ?? over)?.(view, drawing.box)}
        </div>
      )}
      <div className="flex flex-wrap gap-x-6">
        <SeenFrom views={views} shown={shown} choose={choose} />
        {hanging && (
          <label className="no-print mt-1 flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={isLetToHang}
              onChange={({ target }) => letHang(target.checked)}
            />
            as it hangs
          </label>
        )}
      </div>
    </>
  );
});
