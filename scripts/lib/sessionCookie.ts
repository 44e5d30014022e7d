import { sealData } from 'iron-session';
import type { SignedIn } from '../../src/studio/people/signIn';
import { deriveSecret } from '../../src/data/migrate';

/** The cookie of somebody who is signed in, for measuring pages without driving the sign-in form. */
export async function sessionCookieFor(ownerUrl: string, who: SignedIn): Promise<string> {
  const password = process.env['SESSION_SECRET'] ?? deriveSecret(ownerUrl, 'sessions');
  return `pewterer-session=${encodeURIComponent(await sealData(who, { password, ttl: 3600 }))}`;
}
