import type { ReactNode } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { seenFrom, type Seen, type View } from '@/core/drawing/view';
import type { Vec3 } from '@/core/geometry/path';
import type { PieceHanging } from '@/core/pattern/hangs';
import { hungRun } from '@/core/pattern/hung';
import type { Plan } from '@/core/technique/technique';

/** How a piece hangs: turned so, and what lies over its picture then. */
export interface Hanging {
  readonly hung: (plan: Plan) => Plan;
  readonly over: (view: View, box: LineDrawing['box']) => ReactNode;
}

/** A piece as it hangs, on its picture. @param at where it hangs from */
export const asItHangs = (at: Vec3, hangs: PieceHanging): Hanging => ({
  hung: (plan) => (plan.run ? { ...plan, run: hungRun(plan.run, at, hangs) } : plan),
  over: (view, box) => <Plumb from={at} view={view} box={box} />,
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

/** Whether a piece is shown as it hangs. */
export function LetHang({
  isHung,
  onChange,
}: {
  readonly isHung: boolean;
  readonly onChange: (isHung: boolean) => void;
}) {
  return (
    <label className="no-print mt-1 flex min-h-11 cursor-pointer items-center gap-2">
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={isHung}
        onChange={({ target }) => onChange(target.checked)}
      />
      as it hangs
    </label>
  );
}
