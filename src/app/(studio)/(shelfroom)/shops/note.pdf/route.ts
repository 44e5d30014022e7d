import type { NextRequest } from 'next/server';
import { forOwner } from '@/app/lib/forOwner';
import { sent } from '@/app/lib/sent';
import { todayOf } from '@/studio/kernel/useCase';
import { paperFile } from '@/studio/paper/paperFile';
import { shopNotePaper } from '@/studio/paper/shopPaper';
import { listShops } from '@/studio/selling/shops';

/** The note that goes to a shop with its pieces: `?shop=The+shop+at+the+ferry`. For the owner. */
export const GET = (request: NextRequest): Promise<Response> =>
  forOwner(async (session) => {
    const asked = request.nextUrl.searchParams.get('shop') ?? '';
    const { shops, studio } = await listShops(session);
    const shop = shops.find(({ name }) => name.toLowerCase() === asked.toLowerCase());
    if (!shop) return new Response('Nothing lies at such a shop.', { status: 404 });
    const pages = shopNotePaper(shop, studio, todayOf(session));
    const { type, content } = await paperFile(pages, 'pdf', `Delivery note, ${shop.name}`);
    return sent('delivery-note.pdf', type, content);
  });
