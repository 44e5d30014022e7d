import { refused, type Outcome } from '../kernel/outcome';
import { post, type StudioSession } from '../kernel/useCase';
import { batchNumbered } from './batches';
import { releaseAll } from './setAsides';

/** Cancels a batch: everything that was set aside for it is free again. */
export function cancelBatch(session: StudioSession, postKey: string, number: number): Promise<Outcome<null>> {
  return post(
    session,
    'cancelBatch',
    postKey,
    () => number,
    async (tx) => {
      const batch = await batchNumbered(tx, number);
      if (!batch) throw refused('This batch is no longer there.');
      await releaseAll(tx, batch.id);
      await tx.run(
        `UPDATE batches SET state = 'cancelled', planning = 'none', planning_key = NULL, planning_said = '', version = version + 1
          WHERE studio_id = $1 AND batch_id = $2`,
        [session.studioId, batch.id],
      );
      return null;
    },
  );
}
