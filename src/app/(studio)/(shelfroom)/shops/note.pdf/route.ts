import type { NextRequest } from 'next/server';
import { currentMember } from '@/app/lib/member';
import { sent } from '@/app/lib/sent';
import { todayOf } from '@/studio/kernel/useCase';
import { paperFile } from '@/studio/paper/paperFile';
import { shopNotePaper } from '@/studio/paper/shopPaper';
import { listShops } from '@/studio/selling/shops';

/** The note that goes to a shop with its pieces: `?shop=The+shop+at+the+ferry`. For the owner. */
export async function GET(request: NextRequest): Promise<Response> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const { session } = member;
  if (session.role !== 'owner') return new Response('Only the studio’s owner may see that.', { status: 403 });
  const asked = request.nextUrl.searchParams.get('shop') ?? '';
  const { shops, studio } = await listShops(session);
  const shop = shops.find(({ name }) => name.toLowerCase() === asked.toLowerCase());
  if (!shop) return new Response('Nothing lies at such a shop.', { status: 404 });
  const pages = shopNotePaper(shop, studio, todayOf(session));
  const { type, content } = await paperFile(pages, 'pdf', `Delivery note, ${shop.name}`);
  return sent('delivery-note.pdf', type, content);
}
