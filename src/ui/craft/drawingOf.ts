import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { drawPlan } from '@/core/technique/drawPlan';
import type { Plan } from '@/core/technique/technique';

const drawn = new WeakMap<Plan, LineDrawing>();

/** The drawing of a plan; while one types elsewhere it stays the same object, so that nothing is drawn anew. */
export function drawingOf(plan: Plan): LineDrawing {
  const before = drawn.get(plan);
  if (before) return before;
  const drawing = drawPlan(plan);
  drawn.set(plan, drawing);
  return drawing;
}
