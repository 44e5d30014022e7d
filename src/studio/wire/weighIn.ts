import { weighSpool } from '@/core/stock/weighIn';
import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import { ug } from '@/core/units/mass';
import { cost, shareOfCost } from '@/core/units/money';
import { Weighing } from '@/data/models/stock';
import { Refused, refused, stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { lockNumbered, Posting } from '../ledger/posting';
import { specsById } from '../catalogue/wireSpecs';
import { WeighInInput } from './weighIn.input';

/**
 * Sets what is left on a spool by its weight. The difference to the books is one movement: missing wire takes its share of the
 * cost with it, found wire adds none. A reading that cannot be right is refused, unless a reason to take it is given, which
 * is kept with the reading.
 */
export const weighIn = posts(
  'weighIn',
  { input: WeighInInput },
  async ({ tx, session, postKey }, input, number: number) => {
    const stock = await lockNumbered(tx, 'wire', number);
    if (!stock) throw refused(`There is no ${tag('wire', number)}.`);
    if (stock.quantity !== input.expected) {
      throw stale(
        `Somebody took from ${tag('wire', number)} while it was on the scale. Reload the page, then weigh it again.`,
      );
    }
    const spec = (await specsById(tx, [stock.articleId])).get(stock.articleId);
    if (!spec) throw new Error(`the spec of ${tag('wire', number)} vanished`);
    const { gross, empty, override } = input;
    const resolution = ug(Math.max(1, input.resolution));
    const found = weighSpool({
      spec,
      gross,
      empty,
      resolution,
      expected: um(stock.quantity),
      initial: um(stock.initialQuantity),
    });
    if (found.warning !== '' && override === '') {
      throw new Refused({
        kind: 'refused',
        message: `${found.warning} Nothing was posted.`,
        fields: { override: 'If the reading is right all the same, say why; that is kept with it.' },
      });
    }
    const posting = new Posting(tx, postKey).hold(stock);
    const reason = [input.reason, override].filter(Boolean).join('; ') || 'weighed in';
    const missing = -found.difference;
    if (missing > 0)
      posting.enter(
        stock.id,
        'weighed',
        -missing,
        cost(0 - shareOfCost(stock.cost, missing, stock.quantity)),
        { reason },
      );
    if (missing < 0) posting.enter(stock.id, 'weighed', -missing, cost(0), { reason });
    await posting.commit();
    await tx.add(Weighing, [
      {
        postKey,
        stockPieceId: stock.id,
        weighedAt: session.now,
        userId: session.userId,
        grossUg: gross,
        emptyUg: empty,
        resolutionUg: resolution,
        beforeUm: um(stock.quantity),
        afterUm: found.length,
        uncertaintyUm: found.uncertainty,
        warning: found.warning,
        overrideReason: found.warning === '' ? '' : override,
      },
    ]);
    return found;
  },
);
