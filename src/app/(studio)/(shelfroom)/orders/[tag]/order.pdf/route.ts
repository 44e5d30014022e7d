import { forOwner } from '@/app/lib/forOwner';
import { sent } from '@/app/lib/sent';
import { numberOnTag } from '@/core/tag';
import { showOrder } from '@/studio/orders/orders';
import { orderFile, orderPaper } from '@/studio/paper/orderPaper';
import { paperFile } from '@/studio/paper/paperFile';

/** An order on paper: a quote while it is none, with its pictures. For the owner. */
export const GET = (_request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> =>
  forOwner(async (session) => {
    const number = numberOnTag('order', (await params).tag);
    const order = number === undefined ? null : await showOrder(session, number);
    if (!order) return new Response('There is no such order.', { status: 404 });
    const file = orderFile(order);
    const { type, content } = await paperFile(await orderPaper(session, order), 'pdf', file);
    return sent(file, type, content);
  });
