import { currentMember } from '@/app/lib/member';
import { paperRulesOf } from '@/app/lib/paperRules';
import { sent } from '@/app/lib/sent';
import { numberOnTag } from '@/core/tag';
import { paperFile } from '@/studio/paper/paperFile';
import { makeProposal, proposedMetals } from '@/studio/paper/proposal';
import { patternPaper } from '@/studio/paper/patternPaper';
import { PIECE_FILES, pieceFile } from '@/studio/paper/pieceFile';
import { patternToFile } from '@/studio/patterns/patternFile';
import { showPattern } from '@/studio/patterns/patterns';

/** Of a proposal to a customer, by its file. */
const PROPOSALS: Readonly<Record<string, string>> = { 'proposal.pdf': 'pdf', 'proposal.svg': 'svg' };

const FILES = ['strips.pdf', 'strips.svg', 'card.pdf', 'card.svg', 'pattern.json'];

/** Papers of a pattern, its file, and its piece as one sees it from each side or in the round. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ tag: string; paper: string }> },
): Promise<Response> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const { tag, paper } = await params;
  const number = numberOnTag('pattern', tag);
  const pattern = number === undefined ? null : await showPattern(member.session, number);
  if (!pattern) return new Response('There is no such pattern.', { status: 404 });
  if (paper === 'pattern.json') {
    const file = patternToFile(pattern.body, pattern.specs, member.currency);
    return sent(`${tag}.json`, 'application/json; charset=utf-8', `${JSON.stringify(file, null, 2)}\n`, true);
  }
  if (Object.hasOwn(PROPOSALS, paper)) {
    if (member.session.role !== 'owner')
      return new Response('The owner makes proposals: they have prices.', { status: 403 });
    const texts = Object.fromEntries(new URL(request.url).searchParams);
    const rules = paperRulesOf(member);
    const metals = await proposedMetals(member.session, pattern);
    const { page, wrong } = await makeProposal(member.session, pattern, metals, texts, rules);
    if (!page) return new Response(Object.values(wrong).join('\n'), { status: 400 });
    const { type, content } = await paperFile([page], PROPOSALS[paper], pattern.name);
    return sent(`${tag}-${paper}`, type, content);
  }
  const made =
    (await pieceFile(pattern, paper)) ?? (await patternPaper(pattern, paper, paperRulesOf(member)));
  return made
    ? sent(`${tag}-${paper}`, made.type, made.content)
    : new Response(
        `A pattern has ${[...FILES, ...Object.keys(PROPOSALS)].join(', ')}; a piece also ${PIECE_FILES.join(', ')}.`,
        {
          status: 404,
        },
      );
}
