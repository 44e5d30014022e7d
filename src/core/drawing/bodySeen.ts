import { hullOf } from '../geometry/hull';
import { pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
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

/** Points round a bead. */
const ROUND = 48;
/** A bead whose hole is seen by less than this of its length is looked at along it. */
const SAME = 1e-9;

/**
 * A bead from one side: the outline of an ellipsoid is an ellipse, as far from its middle to every side as the ellipsoid reaches
 * (its support function: √((l/2)² sin² + (w/2)² cos²) along its hole as it is seen, w/2 across).
 */
function beadSeen({ pose, length, width }: Extract<PlacedBody, { kind: 'bead' }>, view: View): BodySeen {
  const [middle, along] = seenFrom(view, [pose.at, pose.along]) as [Seen, Seen];
  const seen = Math.sqrt(along.x ** 2 + along.y ** 2);
  const [x, y] = seen > SAME ? [along.x / seen, along.y / seen] : [1, 0];
  const [half, across] = [length / 2, width / 2];
  const far = Math.sqrt((half * seen) ** 2 + (across * along.near) ** 2);
  const deep = Math.sqrt((half * along.near) ** 2 + (across * seen) ** 2);
  const points = Array.from({ length: ROUND }, (_, index): Seen => {
    const angle = (2 * Math.PI * index) / ROUND;
    const [on, aside] = [far * Math.cos(angle), across * Math.sin(angle)];
    return { x: middle.x + x * on - y * aside, y: middle.y + y * on + x * aside, near: middle.near };
  });
  return { points, near: middle.near + deep * (2 * OVER_MIDDLE - 1) };
}

/** A body from one side: a cabochon that lies flat by its outline from front and back, everything else by its hull. */
export function bodySeen(body: PlacedBody, view: View): BodySeen {
  const isFlatOn = view === 'front' || view === 'back';
  if (body.kind === 'cab' && isFlatOn && Math.abs(body.pose.up.z) > LIES_FLAT) {
    const edge = pointsOf(expectOk(outlineOf(body.size)), POINTS);
    const at = view === 'front' ? body.size.edge : 0;
    const points = seenFrom(
      view,
      edge.map(({ x, y }) => onBody(body, x, y, at)),
    );
    return { points, near: Math.min(...points.map(({ near }) => near)) };
  }
  if (body.kind === 'bead') return beadSeen(body, view);
  const surface = seenFrom(view, surfaceOf(body));
  const nearest = Math.max(...surface.map(({ near }) => near));
  const farthest = Math.min(...surface.map(({ near }) => near));
  return {
    points: hullOf(surface),
    near: farthest + (nearest - farthest) * (body.kind === 'cab' ? 0.5 : OVER_MIDDLE),
  };
}
