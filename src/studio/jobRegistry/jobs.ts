import { PLAN_CUTS } from '../cuttingPlan/jobs';
import { planCuts } from '../cuttingPlan/planCuts';
import { doneBy } from '../jobs/job';
import { CHECK_IMPORT, POST_IMPORT } from '../lists/jobs';
import { checkImport, postImport } from '../lists/runImport';
import { chooseWhatToMake } from '../makeable/chooseWhatToMake';
import { CHOOSE_WHAT_TO_MAKE } from '../makeable/jobs';
import { LOOK_FOR_SHORTER, LOOK_FOR_TOUCHES } from '../patterns/jobs';
import { lookForShorter } from '../patterns/lookForShorter';
import { lookForTouches } from '../patterns/lookForTouches';

/** All long work that is done in threads. */
export const JOBS = [
  doneBy(CHECK_IMPORT, checkImport),
  doneBy(POST_IMPORT, postImport),
  doneBy(PLAN_CUTS, planCuts),
  doneBy(CHOOSE_WHAT_TO_MAKE, chooseWhatToMake),
  doneBy(LOOK_FOR_TOUCHES, lookForTouches),
  doneBy(LOOK_FOR_SHORTER, lookForShorter),
] as const;
