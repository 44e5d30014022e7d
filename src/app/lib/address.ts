import { headers } from 'next/headers';

/** The address a request came from, as far as the proxy in front tells; used only for slowing down guessing. */
export async function remoteAddress(): Promise<string> {
  const list = await headers();
  return list.get('x-forwarded-for')?.split(',').at(-1)?.trim() || list.get('x-real-ip') || 'unknown';
}
