import { tag } from '@/core/tag';
import { invalid } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { releaseByHand, reserveByHand, reservedOf } from '../reservations/reservations';
import { lockOne } from '../stock/takeOut';
import { SetAsideInput } from './setAside.input';

/** Sets a stone aside for something, or sets it free again; what lies aside for a batch is the batch's. */
export const setAside = posts(
  'setAside',
  { input: SetAsideInput },
  async ({ tx }, { purpose: note }, number: number) => {
    const { id } = await lockOne(tx, 'stone', number);
    await releaseByHand(tx, id);
    if ((await reservedOf(tx, [id], null)).size > 0)
      throw invalid(
        'purpose',
        `${tag('stone', number)} is set aside for a batch; take it out of that first.`,
      );
    if (note !== '') await reserveByHand(tx, [{ id, note }]);
    return { tag: tag('stone', number) };
  },
);
