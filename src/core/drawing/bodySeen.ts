import { hullOf } from '../geometry/hull';
import { pointsOf } from '../outline/outline';
import { outlineOf } from '../outline/outlineOf';
import { onBody, surfaceOf, type PlacedBody } from '../piece/body';
import { expectOk } from '../result';
import { seenFrom, type Seen, type View } from './view';

/** The edge of a body as a view sees it, and how near it is for what lies over it. */
export interface BodySeen {
  readonly points: readonly Seen[];
  readonly near: number;
}

/** Points to each curve of an outline. */
const POINTS = 96;
/** A wire in the hole of a bead lies behind it; what goes over the bead lies before it: at a part of the way to its nearest point. */
const OVER_MIDDLE = 0.6;

/** A cabochon that lies in the paper is seen by its outline from front and back. */
const LIES_FLAT = 0.99;

/** A body from one side: a cabochon that lies flat by its outline from front and back, everything else by its hull. */
export function bodySeen(body: PlacedBody, view: View): BodySeen {
  if (body.kind === 'cab' && view !== 'side' && Math.abs(body.pose.up.z) > LIES_FLAT) {
    const edge = pointsOf(expectOk(outlineOf(body.size)), POINTS);
    const at = view === 'front' ? body.size.edge : 0;
    const points = seenFrom(
      view,
      edge.map(({ x, y }) => onBody(body, x, y, at)),
    );
    return { points, near: Math.min(...points.map(({ near }) => near)) };
  }
  const surface = seenFrom(view, surfaceOf(body));
  const nearest = Math.max(...surface.map(({ near }) => near));
  const farthest = Math.min(...surface.map(({ near }) => near));
  return {
    points: hullOf(surface),
    near: farthest + (nearest - farthest) * (body.kind === 'cab' ? 0.5 : OVER_MIDDLE),
  };
}
