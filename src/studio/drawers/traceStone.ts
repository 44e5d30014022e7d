import { fittedTrace } from '@/core/stone/fittedTrace';
import { tag } from '@/core/tag';
import { Stone } from '@/data/models/drawers';
import { refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { lockOne } from '../stock/takeOut';
import { TraceStoneInput } from './traceStone.input';

/** Keeps the outline of a freeform stone with it, as it was traced over a photograph. */
export const traceStone = posts(
  'traceStone',
  { input: TraceStoneInput },
  async ({ tx, session }, { points }, number: number) => {
    const { articleId } = await lockOne(tx, 'stone', number);
    const where = { studioId: session.studioId, articleId };
    const { outline, lengthUm, widthUm } = await Stone.findOne({ where, rejectOnEmpty: true });
    const fitted = fittedTrace(points, { outline, length: lengthUm, width: widthUm });
    if (!fitted.ok) throw refused(fitted.error);
    await tx.change(Stone, where, { traced: fitted.value });
    return { tag: tag('stone', number) };
  },
);
