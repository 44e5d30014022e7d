import { unsealData } from 'iron-session';
import type { SignedIn } from '@/studio/people/signIn';

export const COOKIE_NAME = 'pewterer-session';

/** A fortnight: long enough for a bench tablet, short enough for one that is lost. */
export const LIFETIME_SECONDS = 14 * 24 * 3600;

export type Cookie = Partial<SignedIn>;

/** What only this installation knows. */
export function installationSecret(): string {
  const secret = process.env['PEWTERER_SESSION_SECRET'];
  if (!secret) throw new Error('PEWTERER_SESSION_SECRET is not set; start Pewterer with ./run');
  return secret;
}

/** Whether a request carries a cookie that this installation sealed; whether it still holds is for the database to say. */
export async function isSignedIn(cookies: {
  readonly get: (name: string) => { readonly value: string } | undefined;
}): Promise<boolean> {
  const sealed = cookies.get(COOKIE_NAME)?.value;
  if (sealed === undefined || sealed.length > 4096) return false;
  const { userId } = await unsealData<Cookie>(sealed, {
    password: installationSecret(),
    ttl: LIFETIME_SECONDS,
  }).catch((): Cookie => ({}));
  return userId !== undefined;
}
