import { currentMember } from '@/app/lib/member';
import { showPhoto } from '@/studio/photos/keepPhoto';

/** A photograph, for whoever works in its studio. It never changes, so the browser may keep it. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const photo = await showPhoto(member.session, (await params).id);
  if (!photo) return new Response('There is no such picture.', { status: 404 });
  return new Response(new Uint8Array(photo.bytes), {
    headers: {
      'content-type': photo.mediaType,
      'cache-control': 'private, max-age=31536000, immutable',
      'content-disposition': 'inline',
    },
  });
}
