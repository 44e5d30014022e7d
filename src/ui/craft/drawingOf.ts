import type { LineDrawing } from '@/core/drawing/lineDrawing';
import { drawPlan, drawSmall } from '@/core/plan/drawPlan';
import type { Plan } from '@/core/technique/technique';

/** Draws each plan once: while one types elsewhere its drawing stays the same object, so that nothing is drawn anew. */
function once(draw: (plan: Plan) => LineDrawing): (plan: Plan) => LineDrawing {
  const drawn = new WeakMap<Plan, LineDrawing>();
  return (plan) => {
    const drawing = drawn.get(plan) ?? draw(plan);
    drawn.set(plan, drawing);
    return drawing;
  };
}

/** The drawing of a plan, large. */
export const drawingOf = once((plan) => drawPlan(plan));

/** The drawing of a plan as a small picture, as finely as is seen of it there. */
export const smallDrawingOf = once(drawSmall);
