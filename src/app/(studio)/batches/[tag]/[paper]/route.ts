import { currentMember } from '@/app/lib/member';
import { paperRulesOf } from '@/app/lib/paperRules';
import { sent } from '@/app/lib/sent';
import { numberOnTag } from '@/core/tag';
import { showBatch } from '@/studio/batches/batches';
import { BATCH_PAPERS, batchPaper } from '@/studio/paper/batchPaper';

/** Papers of a batch: its cut sheet with the pick list, and both as CSV. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ tag: string; paper: string }> },
): Promise<Response> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const { tag, paper } = await params;
  const number = numberOnTag('batch', tag);
  const batch = number === undefined ? null : await showBatch(member.session, number);
  if (!batch) return new Response('There is no such batch.', { status: 404 });
  const made = await batchPaper(batch, paper, paperRulesOf(member));
  return made
    ? sent(`${tag}-${paper}`, made.type, made.content, paper.endsWith('.csv'))
    : new Response(`A batch has ${BATCH_PAPERS.join(', ')}.`, { status: 404 });
}
