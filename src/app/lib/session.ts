import { getIronSession, type IronSession } from 'iron-session';
import { cookies, headers } from 'next/headers';
import type { SignedIn } from '@/studio/people/signIn';

/** A fortnight: long enough for a bench tablet, short enough for one that is lost. */
const LIFETIME_SECONDS = 14 * 24 * 3600;

type Cookie = Partial<SignedIn>;

/** What only this installation knows. */
export function installationSecret(): string {
  const secret = process.env['PEWTERER_SESSION_SECRET'];
  if (!secret) throw new Error('PEWTERER_SESSION_SECRET is not set; start Pewterer with ./run');
  return secret;
}

/** The signed and sealed session cookie: httpOnly, same-site, secure behind https. */
export async function sessionCookie(): Promise<IronSession<Cookie>> {
  const password = installationSecret();
  const secure = (await headers()).get('x-forwarded-proto') === 'https';
  return getIronSession<Cookie>(await cookies(), {
    password,
    cookieName: 'pewterer-session',
    ttl: LIFETIME_SECONDS,
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure, path: '/' },
  });
}

/** Signs somebody in on this browser. */
export async function keepSession(signedIn: SignedIn): Promise<void> {
  const cookie = await sessionCookie();
  const { studioId, userId, epoch } = signedIn;
  Object.assign(cookie, { studioId, userId, epoch });
  await cookie.save();
}

export async function endSession(): Promise<void> {
  (await sessionCookie()).destroy();
}
