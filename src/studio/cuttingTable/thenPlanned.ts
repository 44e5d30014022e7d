import type { Id } from '@/core/id';
import type { Outcome } from '../kernel/outcome';
import type { StudioSession } from '../kernel/useCase';
import { planInBackground } from '../cuttingPlan/planCutting';

/** Something that is done at the cutting table for a batch of a number. */
type Done<Told extends readonly unknown[], T> = (
  session: StudioSession,
  postKey: Id<'post'>,
  number: number,
  ...told: Told
) => Promise<Outcome<T>>;

/** What is done at the cutting table, with the rest worked out beside when it is to be planned anew. */
export const thenPlanned =
  <Told extends readonly unknown[], T extends { readonly replanned: boolean }>(
    done: Done<Told, T>,
  ): Done<Told, T> =>
  async (session, postKey, number, ...told) => {
    const outcome = await done(session, postKey, number, ...told);
    if (outcome.ok && outcome.value.replanned) planInBackground(session, number, postKey);
    return outcome;
  };
