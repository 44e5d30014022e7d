import { bodySeen } from '../drawing/bodySeen';
import {
  drawLines,
  LARGE,
  SMALL,
  type Fineness,
  type LineDrawing,
  type WireToDraw,
} from '../drawing/lineDrawing';
import { strandsOf } from '../drawing/twisted';
import type { View } from '../drawing/view';
import { wireSeen } from '../drawing/wireSeen';
import type { Plan } from '../technique/technique';

/** The edge of a strand is drawn closer behind it than that of a wire: the other strand shows between. */
const BETWEEN_STRANDS = 0.3;

/** Draws a plan to scale, the whole piece that it is part of; its wires are named by what they are cut from. */
export function drawPlan(
  { run }: Pick<Plan, 'run'>,
  fineness: Fineness = LARGE,
  view: View = 'front',
): LineDrawing {
  const wires = (run?.wires ?? []).flatMap((each): readonly WireToDraw[] => {
    const { cutFrom: wire, size, twisted } = each.wire;
    return wireSeen(each).flatMap((path) => {
      if (twisted === undefined || fineness.stray > LARGE.stray) return [{ wire, path, thick: size.width }];
      const { paths, thick } = strandsOf(path, size.width, twisted);
      return paths.map((strand) => ({ wire, path: strand, thick, edgeBehind: BETWEEN_STRANDS }));
    });
  });
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
