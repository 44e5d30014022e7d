import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { seenFrom, type Seen, type View } from '@/core/drawing/view';
import type { Vec3 } from '@/core/geometry/path';
import type { PieceHanging } from '@/core/pattern/hangs';
import { hangingTurn, hungRun, type HangingTurn } from '@/core/pattern/hung';
import type { Plan } from '@/core/technique/technique';

/** A piece as it hangs. */
export interface Hanging {
  readonly from: Vec3;
  readonly plan: Plan;
  /** Where a place of it comes to. */
  readonly moved: HangingTurn['moved'];
}

/** A piece as it hangs. @param from where it hangs from */
export function asItHangs(plan: Plan, from: Vec3, hangs: PieceHanging): Hanging {
  const turn = hangingTurn(from, hangs);
  return { from, plan: plan.run ? { ...plan, run: hungRun(plan.run, turn) } : plan, moved: turn.moved };
}

/** A line straight down from where a piece hangs; from above it is a point. */
export function Plumb({ from, view, box }: { from: Vec3; view: View; box: LineDrawing['box'] }) {
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
