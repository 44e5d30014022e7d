import type { ShortWire } from '@/core/pattern/shorterCourse';
import type { Job } from '../jobs/job';
import type { ShorterAsked } from './lookForShorter';
import type { PartTouches, TouchesAsked } from './lookForTouches';

/** Looks at where the wires of a composition lie in one another or in its stones. */
export const LOOK_FOR_TOUCHES: Job<TouchesAsked, readonly PartTouches[]> = {
  name: 'lookForTouches',
  queue: 'plans',
};

/** Looks at what a pattern can do with a wire that was cut too short. */
export const LOOK_FOR_SHORTER: Job<ShorterAsked, ShortWire | null> = {
  name: 'lookForShorter',
  queue: 'plans',
};
