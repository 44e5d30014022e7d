import { NextResponse, type NextRequest } from 'next/server';
import { isSignedIn } from './app/lib/seal';

/** A strict policy: scripts run only with this request's nonce, nothing comes from elsewhere, nobody may frame the page. */
function contentSecurityPolicy(nonce: string): string {
  const development = process.env.NODE_ENV === 'development';
  return [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? ` 'unsafe-eval'` : ''}`,
    `style-src 'self' ${development ? `'unsafe-inline'` : `'nonce-${nonce}'`}`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ');
}

const HEADERS: Readonly<Record<string, string>> = {
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'same-origin',
  'Permissions-Policy': 'camera=(self), microphone=(), geolocation=(), payment=(), usb=()',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
};

/** Bytes that somebody may send who has not signed in: a form to sign in or to set up is a few hundred. */
const MOST_OF_STRANGER = 16_384;

/**
 * The answer that refuses a stranger's body before anything reads it; undefined when it may come in. Programs are told apart by
 * their token, and what they send is read no further than it may be long.
 */
async function refuseBody(request: NextRequest): Promise<NextResponse | undefined> {
  if (request.method === 'GET' || request.method === 'HEAD') return undefined;
  if (request.nextUrl.pathname.startsWith('/api/') || (await isSignedIn(request.cookies))) return undefined;
  const length = request.headers.get('content-length');
  if (length === null && request.headers.has('transfer-encoding'))
    return new NextResponse('Say how long it is.', { status: 411 });
  if (Number(length ?? 0) <= MOST_OF_STRANGER) return undefined;
  return new NextResponse(`At most ${MOST_OF_STRANGER} bytes may be sent before signing in.`, {
    status: 413,
  });
}

/** Gives every request an id and every answer its security headers. */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  const refusal = await refuseBody(request);
  if (refusal) return refusal;
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const requestId = crypto.randomUUID();
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('content-security-policy', policy);
  headers.set('x-nonce', nonce);
  headers.set('x-request-id', requestId);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Request-Id', requestId);
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  if (request.headers.get('x-forwarded-proto') === 'https') {
    response.headers.set('Strict-Transport-Security', 'max-age=31536000');
  }
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image).*)'] };
