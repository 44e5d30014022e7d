import { fittedTrace } from '@/core/stone/fittedTrace';
import { tag } from '@/core/tag';
import { Stone } from '@/data/models/drawers';
import { refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { post, type StudioSession } from '../kernel/useCase';
import { lockOne } from '../stock/takeOut';
import { TraceStoneInput } from './traceStone.input';

/** Keeps the outline of a freeform stone with it, as it was traced over a photograph. */
export function traceStone(
  session: StudioSession,
  postKey: string,
  number: number,
  plain: unknown,
): Promise<Outcome<{ readonly tag: string }>> {
  const prepare = () => readInput(TraceStoneInput, plain);
  return post(session, 'traceStone', postKey, prepare, async (tx, { points }) => {
    const { articleId } = await lockOne(tx, 'stone', number);
    const where = { studioId: session.studioId, articleId };
    const { outline, lengthUm, widthUm } = await Stone.findOne({ where, rejectOnEmpty: true });
    const fitted = fittedTrace(points, { outline, length: lengthUm, width: widthUm });
    if (!fitted.ok) throw refused(fitted.error);
    await tx.change(Stone, where, { traced: fitted.value });
    return { tag: tag('stone', number) };
  });
}
