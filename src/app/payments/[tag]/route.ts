import { forOwner } from '@/app/lib/forOwner';
import { sent } from '@/app/lib/sent';
import { numberOnTag, tag } from '@/core/tag';
import { showPayment } from '@/studio/orders/orders';
import { paymentPaper } from '@/studio/paper/orderPaper';
import { paperFile } from '@/studio/paper/paperFile';

/** The receipt of money that was paid for an order, as a PDF. For the owner. */
export const GET = (_request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> =>
  forOwner(async (session) => {
    const number = numberOnTag('payment', (await params).tag);
    const paid = number === undefined ? null : await showPayment(session, number);
    if (!paid) return new Response('There is no such payment.', { status: 404 });
    const name = tag('payment', paid.payment.number);
    const { type, content } = await paperFile(paymentPaper(paid.order, paid.payment), 'pdf', name);
    return sent(`${name}.pdf`, type, content);
  });
