import { isUUID } from 'class-validator';
import { forOwner } from '@/app/lib/forOwner';
import { sent } from '@/app/lib/sent';
import { customerData } from '@/studio/selling/customers';

/** All that stands about somebody, to be given to them. For the owner. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  forOwner(async (session) => {
    const { id } = await params;
    const data = isUUID(id) ? await customerData(session, id) : null;
    if (!data) return new Response('Nobody is written down so.', { status: 404 });
    const written = `${JSON.stringify(data, null, 2)}\n`;
    return sent('customer.json', 'application/json; charset=utf-8', written, true);
  });
