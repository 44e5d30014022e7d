import type { CuttingAnswer } from '@/core/cuttingStock/solve';
import type { Job } from '../jobs/job';
import type { CutsAsked } from './planCuts';

/** Plans the cuts of one spec. */
export const PLAN_CUTS: Job<CutsAsked, CuttingAnswer> = { name: 'planCuts', queue: 'plans' };
