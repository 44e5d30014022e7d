import { currentMember } from '@/app/lib/member';
import { VIEWS } from '@/core/drawing/view';
import type { StudioSession } from '@/studio/kernel/useCase';
import { pictureOfStep, pictureOfTag, type TaggedPicture } from '@/studio/pictures/pictures';

/** `R-0001.2`: what has the tag, or that line of it. */
const SMALL = /^([A-Z]-\d{1,8})(?:\.(\d{1,5}))?\.svg$/;
/** `P-0012.after-9.back`: what has the tag when the ninth step is done, from behind; `R-0001.2.after-9.back` of that line of it. */
const AFTER_STEP = /^([A-Z]-\d{1,8})(?:\.(\d{1,5}))?\.after-(\d{1,5})\.([a-z]+)\.svg$/;

async function pictureIn(session: StudioSession, file: string): Promise<TaggedPicture | null> {
  const [, stepped = '', lineWorked, step, seenFrom] = AFTER_STEP.exec(file) ?? [];
  const view = VIEWS.find((each) => each === seenFrom);
  if (view)
    return pictureOfStep(
      session,
      stepped,
      Number(step),
      view,
      lineWorked === undefined ? undefined : Number(lineWorked),
    );
  const [, tagged = '', line] = SMALL.exec(file) ?? [];
  return pictureOfTag(session, tagged, line === undefined ? undefined : Number(line));
}

/**
 * The small picture of a pattern, a finished piece or a line of a batch: `P-0012.svg`, `F-0003.svg`, `R-0001.2.svg`; or a large one of a pattern
 * when a step is done: `P-0012.after-9.back.svg`. A browser keeps it and asks whether it is still the same.
 */
export async function GET(request: Request, { params }: { params: Promise<{ of: string }> }) {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const picture = await pictureIn(member.session, (await params).of);
  if (!picture) return new Response('There is no such picture.', { status: 404 });
  const mark = `"${picture.mark}"`;
  const headers = { etag: mark, 'cache-control': 'private, no-cache' };
  if (request.headers.get('if-none-match') === mark) return new Response(null, { status: 304, headers });
  return new Response(picture.svg, {
    headers: { ...headers, 'content-type': 'image/svg+xml; charset=utf-8', 'content-disposition': 'inline' },
  });
}
