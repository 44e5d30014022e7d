import type { Composition } from '@/core/pattern/composition';
import type { AtHand } from '@/core/pattern/goneOn';
import type { Named } from '@/core/pattern/looksOf';
import type { Resolved } from '@/core/pattern/resolve';

/** What is being composed, as it was worked out last. */
export interface Work {
  readonly composition: Composition;
  readonly resolved: Resolved;
  readonly atHand: AtHand;
  /** Stones, beads and findings as they are typed. */
  readonly parts: Named;
}
