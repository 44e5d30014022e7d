import { currentMember } from '@/app/lib/member';
import { pictureOfTag } from '@/studio/pictures/pictures';

/**
 * The small picture of a pattern, a finished piece or a line of a batch: `P-0012.svg`, `F-0003.svg`, `R-0001.2.svg`. A browser keeps it and asks
 * whether it is still the same.
 */
export async function GET(request: Request, { params }: { params: Promise<{ of: string }> }) {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const [, tagged = '', line] = /^([A-Z]-\d{1,8})(?:\.(\d{1,5}))?\.svg$/.exec((await params).of) ?? [];
  const picture = await pictureOfTag(member.session, tagged, line === undefined ? undefined : Number(line));
  if (!picture) return new Response('There is no such picture.', { status: 404 });
  const mark = `"${picture.mark}"`;
  const headers = { etag: mark, 'cache-control': 'private, no-cache' };
  if (request.headers.get('if-none-match') === mark) return new Response(null, { status: 304, headers });
  return new Response(picture.svg, {
    headers: { ...headers, 'content-type': 'image/svg+xml; charset=utf-8', 'content-disposition': 'inline' },
  });
}
