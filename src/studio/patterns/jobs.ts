import type { Job } from '../jobs/job';
import type { PartTouches, TouchesAsked } from './lookForTouches';

/** Looks at where the wires of a composition lie in one another or in its stones. */
export const LOOK_FOR_TOUCHES: Job<TouchesAsked, readonly PartTouches[]> = {
  name: 'lookForTouches',
  queue: 'plans',
};
