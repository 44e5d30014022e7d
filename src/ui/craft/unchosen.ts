import type { MetalId } from '@/core/wire/metal';

/** Metal that a wire is drawn in until it is cut from one of the studio’s. */
export const UNCHOSEN: MetalId = 'steel';
