import { tag } from '@/core/tag';
import { cost } from '@/core/units/money';
import { describeSpec, specIdentity } from '@/core/wire/spec';
import { refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { Posting } from '../ledger/posting';
import { lockOne } from '../stock/takeOut';
import { specOf } from './specOf';
import { ensureSpec, specsById } from '../catalogue/wireSpecs';
import { RelabelWireInput } from './relabelWire.input';

/**
 * Says that a stock piece is another wire than was thought, as when the calliper shows another gauge. What is left of it moves
 * to the other spec with its cost; what was cut from it before stays what it was taken for.
 */
export const relabelWire = posts(
  'relabelWire',
  { input: RelabelWireInput },
  async ({ tx, postKey }, input, number: number) => {
    const stock = await lockOne(tx, 'wire', number);
    const described = specOf(input);
    const now = (await specsById(tx, [stock.articleId])).get(stock.articleId);
    if (!now) throw new Error(`the spec of ${tag('wire', number)} vanished`);
    if (specIdentity(now) === specIdentity(described))
      throw refused(`${tag('wire', number)} is ${describeSpec(now)} already. Nothing was posted.`);
    const spec = await ensureSpec(tx, described);
    const { quantity, cost: carried } = stock;
    const reason = `${input.reason}; it was ${describeSpec(now)}`;
    const posting = new Posting(tx, postKey).hold(stock);
    posting.enter(stock.id, 'relabelled', -quantity, cost(0 - carried), { reason });
    posting.enter(stock.id, 'relabelled', quantity, carried, { reason, articleId: spec.id });
    await posting.commit();
    return null;
  },
);
