import { isUUID } from 'class-validator';
import type { NextRequest } from 'next/server';
import { forOwner } from '@/app/lib/forOwner';
import { sent } from '@/app/lib/sent';
import { lineSheetOf, lineSheetPaper } from '@/studio/paper/lineSheet';
import { paperFile } from '@/studio/paper/paperFile';

/** A line sheet as a PDF: `?channel=…&pattern=12&pattern=7&terms=…`. For the owner. */
export const GET = (request: NextRequest): Promise<Response> =>
  forOwner(async (session) => {
    const asked = request.nextUrl.searchParams;
    const channel = asked.get('channel') ?? '';
    const patterns = asked
      .getAll('pattern')
      .flatMap((each) => (/^\d{1,8}$/.test(each) ? [Number(each)] : []));
    if (!isUUID(channel)) return new Response('Choose where it is sold.', { status: 400 });
    if (patterns.length === 0) return new Response('Choose a pattern first.', { status: 400 });
    const made = await lineSheetOf(session, {
      channel,
      patterns,
      terms: (asked.get('terms') ?? '').slice(0, 1000),
    });
    if (!made) return new Response('Nothing is sold there any more.', { status: 404 });
    const { type, content } = await paperFile(lineSheetPaper(made), 'pdf', made.sheet.title);
    return sent('line-sheet.pdf', type, content);
  });
