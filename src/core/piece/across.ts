import { insideOutline } from '../geometry/insideOutline';
import type { Path, Vec3 } from '../geometry/path';
import { sideOf } from '../geometry/pose';
import { between3, distance3, dot3, minus3, plus3, scaled3 } from '../geometry/vec3';
import { pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { faceAt } from './body';
import type { Cab } from './piece';

/** Points to each curve of an outline, and how close together a stone is felt along the way, mm. */
const EDGE_POINTS = 48;
const FELT = 0.25;

/** A place on the way: how far along it, and how high over the back of the stone, away from it. */
interface Felt {
  readonly on: number;
  readonly high: number;
}

/**
 * The taut way of a wire across a stone from one place to another: straight as it is seen from above, over its face or flat behind its back, no
 * lower than the wire lies on it.
 * @param thick of the wire
 * @param over how thick that is which lies on the stone already
 */
export function acrossPath(
  body: Cab,
  face: 'front' | 'back',
  from: Vec3,
  to: Vec3,
  thick: number,
  over = 0,
): Path {
  const edge = pointsOf(expectOk(outlineOf(body.size)), EDGE_POINTS);
  const { pose } = body;
  const side = sideOf(pose);
  const out = face === 'front' ? 1 : -1;
  const highOf = (at: Vec3): number => out * dot3(minus3(at, pose.at), pose.up);
  const surfaceAt = (at: Vec3): number => {
    const off = minus3(at, pose.at);
    const inward = insideOutline(edge, dot3(off, pose.along), dot3(off, side));
    if (inward < 0) return -Infinity;
    return (face === 'front' ? faceAt(body, inward) : 0) + over + thick / 2;
  };
  const long = distance3(from, to);
  const steps = Math.max(4, Math.ceil(long / FELT));
  const felt = Array.from({ length: steps + 1 }, (_, step): Felt => {
    const at = between3(from, to, step / steps);
    const isEnd = step === 0 || step === steps;
    return { on: step / steps, high: isEnd ? highOf(at) : surfaceAt(at) };
  });
  return finely(tautOver(felt), long).map(({ on, high }) => {
    const at = between3(from, to, on);
    return plus3(at, scaled3(pose.up, out * (high - highOf(at))));
  });
}

/** The same line with points close together, so that it is seen where it rises and falls. */
const finely = (line: readonly Felt[], long: number): readonly Felt[] =>
  line.flatMap((to, index) => {
    const from = line[index - 1];
    if (!from) return [to];
    const parts = Math.max(1, Math.ceil(((to.on - from.on) * long) / FELT));
    return Array.from({ length: parts }, (_, part): Felt => {
      const share = (part + 1) / parts;
      return { on: from.on + (to.on - from.on) * share, high: from.high + (to.high - from.high) * share };
    });
  });

/** What a line that is pulled taut over places touches of them: the upper part of their hull (Andrew’s monotone chain). */
function tautOver(felt: readonly Felt[]): readonly Felt[] {
  const line: Felt[] = [];
  for (const next of felt) {
    if (next.high === -Infinity) continue;
    for (;;) {
      const [before, last] = [line.at(-2), line.at(-1)];
      if (!before || !last) break;
      const isBelow =
        (last.high - before.high) * (next.on - before.on) <=
        (next.high - before.high) * (last.on - before.on);
      if (!isBelow) break;
      line.pop();
    }
    line.push(next);
  }
  return line;
}
