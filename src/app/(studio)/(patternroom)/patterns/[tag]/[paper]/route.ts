import { currentMember } from '@/app/lib/member';
import { paperRulesOf } from '@/app/lib/paperRules';
import { sent } from '@/app/lib/sent';
import { numberOnTag } from '@/core/tag';
import { patternPaper } from '@/studio/paper/patternPaper';
import { PIECE_FILES, pieceFile } from '@/studio/paper/pieceFile';
import { patternToFile } from '@/studio/patterns/patternFile';
import { showPattern } from '@/studio/patterns/patterns';

const FILES = ['strips.pdf', 'strips.svg', 'card.pdf', 'card.svg', 'pattern.json'];

/** Papers of a pattern, its file, and its piece as one sees it from each side or in the round. */
export async function GET(
  _request: Request,
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
  const made = pieceFile(pattern, paper) ?? (await patternPaper(pattern, paper, paperRulesOf(member)));
  return made
    ? sent(`${tag}-${paper}`, made.type, made.content)
    : new Response(`A pattern has ${FILES.join(', ')}; a piece also ${PIECE_FILES.join(', ')}.`, {
        status: 404,
      });
}
