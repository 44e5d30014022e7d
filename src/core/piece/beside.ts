import type { Path } from '../geometry/path';
import { facingBack, inPose, sideOf, type Pose } from '../geometry/pose';
import { plus3, scaled3 } from '../geometry/vec3';
import { bendOf } from '../wrap/winding';
import { poseAtEnd } from './body';
import type { Bead, Beside, PieceWire } from './piece';
import { drawnShape, type Shape } from './shape';

/** Points to half a round over a bead. */
const OVER_POINTS = 24;

/** Where a bead lies that touches a wire at the middle of its length. @param carrier the wire there */
export function poseBeside({ side }: Beside, bead: Bead, carrier: Pose, { size }: PieceWire): Pose {
  const away = ((side === 'right' ? 1 : -1) * (size.width + bead.width)) / 2;
  return { ...carrier, at: plus3(carrier.at, scaled3(sideOf(carrier), away)) };
}

/** Through a bead that lies beside a wire, or back over its outside: half an ellipse about its middle. */
export function besideShape(course: Beside, bead: Bead, lies: Pose, thin: PieceWire): Shape {
  const { side, does, off = 0 } = course;
  const out = side === 'right' ? 1 : -1;
  if (does === 'through') {
    const path = [-bead.length / 2, bead.length / 2].map((on) => inPose(lies, on, 0, off));
    return drawnShape(path, poseAtEnd(path, lies.up));
  }
  const { thick } = bendOf(thin.size);
  const [along, across] = [(bead.length + thick) / 2, (bead.width + thick) / 2];
  const path: Path = Array.from({ length: OVER_POINTS + 1 }, (_, step) => {
    const angle = (Math.PI * step) / OVER_POINTS;
    return inPose(lies, along * Math.cos(angle), out * across * Math.sin(angle), off * Math.cos(angle));
  });
  return drawnShape(path, poseAtEnd(path, facingBack(lies).up));
}
