import { getIronSession, type IronSession } from 'iron-session';
import { cookies, headers } from 'next/headers';
import type { SignedIn } from '@/studio/people/signIn';
import { COOKIE_NAME, installationSecret, LIFETIME_SECONDS, type Cookie } from './seal';

/** The signed and sealed session cookie: httpOnly, same-site, secure behind https. */
export async function sessionCookie(): Promise<IronSession<Cookie>> {
  const password = installationSecret();
  const secure = (await headers()).get('x-forwarded-proto') === 'https';
  return getIronSession<Cookie>(await cookies(), {
    password,
    cookieName: COOKIE_NAME,
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
