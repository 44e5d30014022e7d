import type { TechniqueGroup } from '../technique/technique';

/** Groups of techniques of which some make findings: what others make goes into no drawer. */
export const FINDING_GROUPS: readonly TechniqueGroup[] = ['findings', 'coils and spirals'];
