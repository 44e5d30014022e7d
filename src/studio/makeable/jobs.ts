import type { Makeable } from '@/core/batch/makeable';
import type { Job } from '../jobs/job';
import type { ChoiceAsked } from './chooseWhatToMake';

/** Chooses what to make of what is free. */
export const CHOOSE_WHAT_TO_MAKE: Job<ChoiceAsked, Makeable> = { name: 'chooseWhatToMake', queue: 'plans' };
