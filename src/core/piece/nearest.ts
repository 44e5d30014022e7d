import type { Vec3 } from '../geometry/path';
import type { Pose } from '../geometry/pose';
import { distance3 } from '../geometry/vec3';

/** The pose of a wire at a place along it, mm. */
type PoseOn = (along: number) => Pose;

/** A stretch of a wire, told from one of its ends, mm along the wire. */
export interface Reach {
  readonly poseOn: PoseOn;
  readonly from: number;
  /** How far it reaches from there; negative back. */
  readonly reach: number;
}

/** How close together places of a wire are looked at for the nearest, mm. */
const STEP = 0.2;

/** Places along a stretch, its ends among them. */
function placesOf({ from, reach }: Reach): readonly number[] {
  const steps = Math.ceil(Math.abs(reach) / STEP);
  return Array.from({ length: steps + 1 }, (_, index) => from + Math.sign(reach) * index * STEP);
}

/** Which place of a stretch is nearest to a point, mm along its wire. */
export function nearestOn(stretch: Reach, point: Vec3): number {
  const away = (along: number) => distance3(stretch.poseOn(along).at, point);
  const best = placesOf(stretch).reduce((near, each) => (away(each) < away(near) ? each : near));
  if (stretch.reach === 0) return best;
  // Between the neighbours of the best it is narrowed down.
  let [low, high] = [best - STEP, best + STEP];
  while (high - low > STEP / 100) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (away(a) < away(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** The pose of a stretch where it passes nearest to another one. */
export function whereNearest(first: Reach, second: Reach): Pose {
  const [here, there] = [first, second].map((each) => placesOf(each).map(each.poseOn)) as [Pose[], Pose[]];
  const away = (pose: Pose) => Math.min(...there.map(({ at }) => distance3(at, pose.at)));
  return here.reduce<{ pose: Pose; off: number } | undefined>((near, pose) => {
    const off = away(pose);
    return near && near.off <= off ? near : { pose, off };
  }, undefined)?.pose as Pose;
}
