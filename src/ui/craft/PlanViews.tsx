'use client';

import dynamic from 'next/dynamic';
import { memo, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { boxAbout, LARGE, type LineDrawing } from '@/core/drawing/lineDrawing';
import type { Looks } from '@/core/drawing/look';
import { saidFrom, seenFrom, viewsOf, type Seen, type View } from '@/core/drawing/view';
import type { Vec3 } from '@/core/geometry/path';
import { hungRun } from '@/core/pattern/hung';
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

/** A plan drawn to scale, from the front, from the back, or from the side and in the round where it is known how deep it lies; a ring from above, too. */
export const PlanViews = memo(function PlanViews({
  plan: laid,
  looks,
  label,
  className,
  isRing = false,
  ghost,
  over,
  hang,
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
  /** Where it hangs from, and where its centre of mass lies; undefined for what is not made to hang. */
  hang?: { readonly at: Vec3; readonly middle: Vec3 } | undefined;
}) {
  const [isLetToHang, letHang] = useState(false);
  const hung = isLetToHang ? hang : undefined;
  const plan = useMemo(
    () => (hung && laid.run ? { ...laid, run: hungRun(laid.run, hung.at, hung) } : laid),
    [laid, hung],
  );
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
          {hung ? <Plumb from={hung.at} view={view} box={drawing.box} /> : over?.(view, drawing.box)}
        </div>
      )}
      <div className="flex flex-wrap gap-x-6">
        <SeenFrom views={views} shown={shown} choose={choose} />
        {hang && (
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

/** A line straight down from where a piece hangs; from above it is a point. */
function Plumb({ from, view, box }: { from: Vec3; view: View; box: LineDrawing['box'] }) {
  const [{ x, y }] = seenFrom(view, [from]) as [Seen];
  return (
    <svg
      aria-hidden="true"
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      className="pointer-events-none absolute inset-0 h-full w-full text-primary"
      stroke="currentColor"
      strokeWidth={box.height / 250}
      strokeDasharray={`${box.height / 40} ${box.height / 60}`}
    >
      <line x1={x} y1={y} x2={x} y2={view === 'above' ? y : box.y + box.height} />
    </svg>
  );
}
