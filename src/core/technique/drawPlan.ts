import { bodySeen } from '../drawing/bodySeen';
import { drawLines, LARGE, type BodyToDraw, type Fineness, type LineDrawing } from '../drawing/lineDrawing';
import { seenFrom, type View } from '../drawing/view';
import { wireSeen } from '../drawing/wireSeen';

import { onCircle, vec, type Vec } from '../geometry/vector';
import { pointsOf } from '../outline/outline';
import type { WireSize } from './parameter';
import type { Values } from './readValues';
import type { Plan, Solid } from './technique';

/** A stone lies in the paper: what lies in it too goes over it, from whichever side it is looked at. */
const IN_PAPER = -0.02;
/** A bead hides the wire in its hole: what lies over it is nearer than this part of its diameter. */
const OVER_BEAD = 0.25;
/** Points round a bead. */
const ROUND = 48;

const edgeOf = (solid: Exclude<Solid, { kind: 'wire' }>): readonly Vec[] =>
  solid.kind === 'outline'
    ? pointsOf(solid.outline, 32)
    : Array.from({ length: ROUND }, (_, step) =>
        onCircle(vec(solid.x, solid.y), solid.diameter / 2, (2 * Math.PI * step) / ROUND),
      );

/** Draws a plan to scale, the whole piece that it is part of; its wires are named by what they are cut from. */
export function drawPlan(
  { cuts, solids, run }: Plan,
  values: Values,
  fineness: Fineness = LARGE,
  view: View = 'front',
): LineDrawing {
  const wires = run
    ? run.wires.flatMap((each) =>
        wireSeen(each).map((path) => ({ wire: each.wire.cutFrom, path, thick: each.wire.size.width })),
      )
    : [
        ...solids.flatMap((solid) => (solid.kind === 'wire' ? [solid] : [])),
        ...cuts.flatMap(({ wire, drawn, places = [] }) =>
          [...drawn, ...places].map((path) => ({ wire, path })),
        ),
      ].map(({ wire, path }) => ({ wire, path, thick: (values[wire] as WireSize).width }));
  const held = (run?.bodies ?? []).map((body) => ({ body: body.id, ...bodySeen(body, view) }));
  const bodies = solids.flatMap((solid, index): BodyToDraw[] => {
    if (solid.kind === 'wire') return [];
    const edge = edgeOf(solid).map(({ x, y }) => ({ x, y, z: 0 }));
    const near = solid.kind === 'disc' ? OVER_BEAD * solid.diameter : IN_PAPER;
    return [{ body: `${solid.kind} ${index}`, points: seenFrom(view, edge), near }];
  });
  return drawLines(wires, [...held, ...bodies], view, fineness);
}
