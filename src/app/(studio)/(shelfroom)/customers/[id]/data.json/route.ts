import { isUUID } from 'class-validator';
import { currentMember } from '@/app/lib/member';
import { customerData } from '@/studio/selling/customers';

/** All that stands about somebody, to be given to them. For the owner. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  if (member.session.role !== 'owner')
    return new Response('Only the studio’s owner may take that out.', { status: 403 });
  const { id } = await params;
  const data = isUUID(id) ? await customerData(member.session, id) : null;
  if (!data) return new Response('Nobody is written down so.', { status: 404 });
  return new Response(`${JSON.stringify(data, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="customer.json"',
      'cache-control': 'no-store',
    },
  });
}
