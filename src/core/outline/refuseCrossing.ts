import { refuse, type Result } from '../result';
import { selfCrossing } from '../geometry/selfCrossing';
import type { Vec } from '../geometry/vector';

/** A sentence for a line that crosses itself: no stone has such an edge. */
export function refuseCrossing(points: readonly Vec[]): Result<never> | undefined {
  const crossing = selfCrossing(points);
  return (
    crossing &&
    refuse(
      `The trace crosses itself after points ${crossing[0] + 1} and ${crossing[1] + 1}; go round the stone once.`,
    )
  );
}
