import { pose } from '../geometry/pose';
import { vec3 } from '../geometry/vec3';
import { scaled, type Vec } from '../geometry/vector';
import { parallelOf, perimeterOf, placeAt, type Outline } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import type { Cab } from '../piece/piece';
import { ok, type Result } from '../result';
import { choice } from '../parameter/parameter';
import type { StoneSize } from '../stone/stoneSize';

/** Which way up a stone stands in a frame. */
export const STANDS = choice('The stone stands', ['tip up', 'tip down'], 'tip up');
export type Stands = 'tip up' | 'tip down';

/** What lies off an edge by less than this lies at it, mm. */
const TOUCHES = 1e-6;

/** A stone as it stands on the paper, its middle at the origin, and the line of something that lies off its edge; mm. */
export interface Standing {
  readonly line: Outline;
  /** Length of the line. */
  readonly whole: number;
  /** How far along the line its lowest place lies, clockwise. */
  readonly footAt: number;
  /** A place so far along the line, and the way on from there, clockwise. */
  readonly placeOn: (along: number) => { readonly point: Vec; readonly direction: Vec };
  /** The stone, face up, lying where it stands. */
  readonly lying: (id: string) => Cab;
}

/**
 * Stands a stone on the paper.
 * @param off from its edge to the line, mm
 */
export function standing(held: StoneSize, stands: Stands, off: number): Result<Standing> {
  const outline = outlineOf(held);
  if (!outline.ok) return outline;
  const line = parallelOf(outline.value, off < TOUCHES ? 0 : off);
  const whole = perimeterOf(line);
  // Upside down its top is its foot: half round from where the outline begins.
  const [down, footAt] = stands === 'tip down' ? [-1, 0] : [1, whole / 2];
  return ok({
    line,
    whole,
    footAt,
    placeOn: (along) => {
      const { point, direction } = placeAt(line, along);
      return { point: scaled(point, down), direction: scaled(direction, down) };
    },
    lying: (id) => ({ kind: 'cab', id, size: held, pose: pose(vec3(0, 0), vec3(down, 0)) }),
  });
}
