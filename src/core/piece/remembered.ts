import type { Path, Vec3 } from '../geometry/path';
import type { Pose } from '../geometry/pose';
import type { Laying } from './laying';
import type { Body, Course, PieceWire, Side } from './piece';
import type { HandRun, RunCourse, Step } from './steps';

/** What is gone by while a course is worked out: hands, each as far as a place, and bodies. */
export interface Watched {
  readonly reaches: Map<HandRun, number>;
  readonly bodies: Set<Body>;
}

/** A hand that something goes round, as it lay then. */
export interface Reliance {
  readonly wire: string;
  readonly side: Side;
  readonly reach: number;
  readonly begin: Pose | undefined;
  readonly courses: readonly RunCourse[];
  /** Whether it was gone by beyond its end. */
  readonly isBeyond: boolean;
}

/** What a course came to last. */
export interface Remembered {
  readonly size: PieceWire['size'];
  readonly from: Pose | undefined;
  /** What was wound before it by the same hand. */
  readonly before: Path | undefined;
  readonly laying: Laying | undefined;
  readonly relied: readonly Reliance[];
  readonly bodies: readonly Body[];
  readonly steps: readonly Step[];
}

/** What courses came to last: an edit works out again what depends on it, and nothing else. */
export const remembered = new WeakMap<Course, Remembered>();

const isSameVec = (a: Vec3, b: Vec3): boolean => a.x === b.x && a.y === b.y && a.z === b.z;
export const isSamePose = (a: Pose | undefined, b: Pose | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    isSameVec(a.at, b.at) &&
    isSameVec(a.along, b.along) &&
    isSameVec(a.up, b.up));
