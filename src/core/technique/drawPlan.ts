import { bodySeen } from '../drawing/bodySeen';
import { drawLines, LARGE, SMALL, type Fineness, type LineDrawing } from '../drawing/lineDrawing';
import type { View } from '../drawing/view';
import { wireSeen } from '../drawing/wireSeen';
import type { Plan } from './technique';

/** Draws a plan to scale, the whole piece that it is part of; its wires are named by what they are cut from. */
export function drawPlan(
  { run }: Pick<Plan, 'run'>,
  fineness: Fineness = LARGE,
  view: View = 'front',
): LineDrawing {
  const wires = (run?.wires ?? []).flatMap((each) =>
    wireSeen(each).map((path) => ({ wire: each.wire.cutFrom, path, thick: each.wire.size.width })),
  );
  const bodies = (run?.bodies ?? []).map((body) => ({ body: body.id, ...bodySeen(body, view) }));
  return drawLines(wires, bodies, view, fineness);
}

/** A small picture is so many times as large as what is left out of it. */
const SEEN = 400;

/** Draws a plan as a small picture among others; of a small piece, which is made larger there, less is left out. */
export function drawSmall(plan: Pick<Plan, 'run'>): LineDrawing {
  const drawing = drawPlan(plan, SMALL);
  const stray = Math.max(drawing.box.width, drawing.box.height) / SEEN;
  return stray < SMALL.stray ? drawPlan(plan, { ...SMALL, stray }) : drawing;
}
