import type { Id } from '@/core/id';
import { isUUID } from 'class-validator';
import { plainFault } from '@/data/faults';
import { inStudio, type StudioSession, type Tx } from '@/data/inStudio';
import { Post } from '@/data/models/studio';
import { Refused, type Outcome, type Problem } from './outcome';

export { todayOf, zoneOf, type StudioSession } from '@/data/inStudio';

const FORBIDDEN: Problem = { kind: 'forbidden', message: 'Only the studio’s owner may see or do this.' };

/** Refuses helpers. @throws Refused */
export function ownerOnly(session: StudioSession): void {
  if (session.role !== 'owner') throw new Refused(FORBIDDEN);
}

/** Turns refusals, and faults a person can do something about, into problems; lets every other fault through to be logged. */
async function answering<T>(work: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return { ok: true, value: await work() };
  } catch (fault) {
    if (fault instanceof Refused) return { ok: false, problem: fault.problem };
    const message = plainFault(fault);
    if (message) return { ok: false, problem: { kind: 'fault', message } };
    throw fault;
  }
}

/** Reads in one consistent snapshot. */
export function look<T>(session: StudioSession, work: (tx: Tx) => Promise<T>): Promise<T> {
  return inStudio(session, work, { readOnly: true });
}

/**
 * Runs a use case that writes, in one transaction, at most once per key: sent again with the same key it answers with what
 * came of it the first time and changes nothing.
 *
 * @param name of the use case, kept with the key
 * @param postKey made by the form when it was opened
 * @param prepare reads the input; it runs before the transaction
 */
export function post<Input, T>(
  session: StudioSession,
  name: string,
  postKey: Id<'post'>,
  prepare: () => Promise<Input> | Input,
  work: (tx: Tx, input: Input, postKey: Id<'post'>) => Promise<T>,
): Promise<Outcome<T>> {
  return answering(async () => {
    if (!isUUID(postKey))
      throw new Refused({ kind: 'invalid', message: 'The form has lost its key; reload the page.' });
    const input = await prepare();
    return inStudio(session, async (tx) => {
      const before = await Post.findOne({ where: { postKey } });
      if (before) {
        if (before.useCase === name) return (before.outcome as { value: T }).value;
        throw new Refused({
          kind: 'invalid',
          message: 'This form was already used for something else; reload the page.',
        });
      }
      const outcome = await work(tx, input, postKey);
      const { userId, now } = session;
      await tx.add(Post, [{ postKey, useCase: name, userId, postedAt: now, outcome: { value: outcome } }]);
      return outcome;
    });
  });
}

/** Runs work that answers with problems but posts nothing to the ledger: signing in, setting up. */
export const attempt = answering;
