import type { Path } from '../geometry/path';
import { inPose } from '../geometry/pose';
import { spaceLine } from '../geometry/spaceLine';

/** Points to a turn. */
const POINTS = 10;
/** Edges of a square wire; they are drawn as two strands that go round as often as its edges pass. */
const EDGES = 4;
/** How thick a strand is and how far off the middle, as parts of the wire’s thickness: together they are as thick as the wire. */
const STRAND = { thick: 0.56, off: 0.22 } as const;

/** What a wire that is twisted on its own axis is drawn as. */
export interface Strands {
  readonly paths: readonly [Path, Path];
  /** mm */
  readonly thick: number;
}

/**
 * The edges that wind round a square wire which is twisted on its own axis, as two strands about its line.
 * @param thick of the wire, mm
 * @param turns for each mm
 */
export function strandsOf(path: Path, thick: number, turns: number): Strands {
  const line = spaceLine(path);
  const steps = Math.max(1, Math.ceil(line.length * turns * (EDGES / 2) * POINTS));
  const strand = (begin: number): Path =>
    Array.from({ length: steps + 1 }, (_, step) => {
      const along = (line.length * step) / steps;
      const angle = begin + 2 * Math.PI * along * turns * (EDGES / 2);
      const off = STRAND.off * thick;
      return inPose(line.at(along), 0, off * Math.sin(angle), off * Math.cos(angle));
    });
  return { paths: [strand(0), strand(Math.PI)], thick: STRAND.thick * thick };
}
