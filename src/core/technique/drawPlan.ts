import { bodySeen } from '../drawing/bodySeen';
import { drawLines, LARGE, type Fineness, type LineDrawing } from '../drawing/lineDrawing';
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
