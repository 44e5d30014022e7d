import { currentMember } from '@/app/lib/member';
import { exportList } from '@/studio/lists/exportList';

/** A list as CSV, for the owner: `/export/wire.csv`. It is sent as it is read, however long it is. */
export async function GET(_request: Request, { params }: { params: Promise<{ list: string }> }) {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  if (member.session.role !== 'owner')
    return new Response('Only the studio’s owner may take lists out.', { status: 403 });
  const { list } = await params;
  const parts = exportList(member.session, list.replace(/\.csv$/, ''));
  if (!parts) return new Response('There is no such list.', { status: 404 });
  const encoder = new TextEncoder();
  const body = new ReadableStream({
    pull: async (controller) => {
      const part = await parts.next();
      if (part.done) controller.close();
      else controller.enqueue(encoder.encode(part.value));
    },
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${list.replace(/[^\w.-]/g, '')}"`,
      'cache-control': 'no-store',
    },
  });
}
