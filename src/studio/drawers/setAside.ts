import { tag } from '@/core/tag';
import { invalid, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { post, type StudioSession } from '../kernel/useCase';
import { releaseByHand, reserveByHand, reservedOf } from '../reservations/reservations';
import { lockOne } from '../stock/takeOut';
import { SetAsideInput } from './setAside.input';

/** Sets a stone aside for something, or sets it free again; what lies aside for a batch is the batch's. */
export function setAside(
  session: StudioSession,
  postKey: string,
  number: number,
  plain: unknown,
): Promise<Outcome<{ readonly tag: string }>> {
  const prepare = () => readInput(SetAsideInput, plain);
  return post(session, 'setAside', postKey, prepare, async (tx, { purpose: note }) => {
    const { id } = await lockOne(tx, 'stone', number);
    await releaseByHand(tx, id);
    if ((await reservedOf(tx, [id], null)).size > 0)
      throw invalid(
        'purpose',
        `${tag('stone', number)} is set aside for a batch; take it out of that first.`,
      );
    if (note !== '') await reserveByHand(tx, [{ id, note }]);
    return { tag: tag('stone', number) };
  });
}
