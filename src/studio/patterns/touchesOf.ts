import { LRUCache } from 'lru-cache';
import type { Specs } from '@/core/pattern/composition';
import type { PatternBody } from '@/core/pattern/pattern';
import { runJob } from '../jobs/runJob';
import { LOOK_FOR_TOUCHES } from './jobs';
import { Refused } from '../kernel/outcome';
import type { StudioSession } from '../kernel/useCase';
import type { PartTouches, TouchesAsked } from './lookForTouches';

/** What was found lately, by all that it hangs on. */
const found = new LRUCache<string, readonly PartTouches[]>({ max: 200 });

/**
 * Where wires of a pattern lie in one another or in its stones, by its parts; worked out in a thread of its own. It is advice: when too much waits
 * there already it is left out.
 */
export async function touchesOf(
  session: StudioSession,
  { composition }: Pick<PatternBody, 'composition'>,
  specs: Specs,
): Promise<readonly PartTouches[]> {
  if (!composition) return [];
  const about: TouchesAsked = { composition, specs };
  const key = JSON.stringify(about);
  const known = found.get(key);
  if (known) return known;
  try {
    const touches = await runJob(LOOK_FOR_TOUCHES, about, session);
    found.set(key, touches);
    return touches;
  } catch (fault) {
    if (fault instanceof Refused) return [];
    throw fault;
  }
}
