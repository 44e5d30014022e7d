import { keepPages } from '@/ui/kept/keepPages';
import { KEPT } from '@/ui/kept/settings';

const SCRIPT = `(${keepPages.toString()})(self, ${JSON.stringify(KEPT)});\n`;

/** The worker that keeps pages on a device; nothing of it is anybody’s own. */
export const GET = () =>
  new Response(SCRIPT, {
    headers: { 'Content-Type': 'text/javascript; charset=utf-8', 'Cache-Control': 'no-cache' },
  });
