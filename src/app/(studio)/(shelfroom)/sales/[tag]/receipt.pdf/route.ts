import { currentMember } from '@/app/lib/member';
import { sent } from '@/app/lib/sent';
import { numberOnTag } from '@/core/tag';
import { paperFile } from '@/studio/paper/paperFile';
import { receiptPaper } from '@/studio/paper/receiptPaper';
import { showSale } from '@/studio/selling/sales';

/** The receipt of a sale, or of what came back. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ tag: string }> },
): Promise<Response> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const { tag } = await params;
  const number = numberOnTag('sale', tag);
  const sale = number === undefined ? null : await showSale(member.session, number);
  if (!sale) return new Response('There is no such sale.', { status: 404 });
  const { type, content } = await paperFile(receiptPaper(sale), 'pdf', `Receipt ${tag}`);
  return sent(`${tag}-receipt.pdf`, type, content, false);
}
