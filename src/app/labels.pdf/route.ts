import type { NextRequest } from 'next/server';
import { CARD_KINDS } from '@/core/paper/cards';
import { cardPdf, cardsOf } from '@/studio/labels/cards';
import { CODES, labelPdf, LAYOUTS } from '@/studio/labels/labelPdf';
import { labelsOf } from '@/studio/labels/labels';
import { currentMember } from '../lib/member';

/** Labels as a PDF: `?items=W-0042,B-0003&layout=sheet&code=qr`; or tags and cards of finished pieces: `?items=F-0012&as=price+tag`. */
export async function GET(request: NextRequest) {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  const asked = request.nextUrl.searchParams;
  const tags = (asked.get('items') ?? '').split(/[\s,;]+/).filter(Boolean);
  const layout = LAYOUTS.find((each) => each === asked.get('layout')) ?? 'sheet';
  const code = CODES.find((each) => each === asked.get('code')) ?? 'qr';
  const card = CARD_KINDS.find((each) => each === asked.get('as'));
  const pdf = card
    ? await cardPdf(await cardsOf(member.session, tags), card, member.sheet)
    : await labelPdf(await labelsOf(member.session, tags), layout, code, member.sheet);
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'inline; filename="labels.pdf"',
      'cache-control': 'no-store',
    },
  });
}
