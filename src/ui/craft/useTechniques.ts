import { use } from 'react';
import { fetchedTechniques, techniquesToCome } from '@/core/techniques/fetchTechnique';
import type { Techniques } from '@/core/technique/technique';

/** What is said when a technique that was chosen does not come. */
export const NOT_FETCHED =
  'The technique could not be fetched. Is the studio’s computer in reach? Choose it once more.';

/** Techniques by their ids, fetched where they are not here yet: what waits for them stands in a Suspense. */
export function useTechniques(ids: readonly string[]): Techniques {
  const coming = techniquesToCome(ids);
  if (coming) use(coming);
  return fetchedTechniques;
}
