import { tag } from '@/core/tag';
import { Stone } from '@/data/models/drawers';
import { readInput } from '../kernel/readInput';
import type { Outcome } from '../kernel/outcome';
import { post, type StudioSession } from '../kernel/useCase';
import { lockOne } from '../stock/takeOut';
import { SetAsideInput } from './setAside.input';

/** Sets a stone aside for something, or sets it free again. */
export function setAside(
  session: StudioSession,
  postKey: string,
  number: number,
  plain: unknown,
): Promise<Outcome<{ readonly tag: string }>> {
  const prepare = () => readInput(SetAsideInput, plain);
  return post(session, 'setAside', postKey, prepare, async (tx, { purpose }) => {
    const stone = await lockOne(tx, 'stone', number);
    const where = { studioId: session.studioId, articleId: stone.articleId };
    await Stone.update({ setAsideFor: purpose.trim() }, { where, ...tx.within });
    return { tag: tag('stone', number) };
  });
}
