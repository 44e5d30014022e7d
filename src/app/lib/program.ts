import { randomUUID } from 'node:crypto';
import { NextResponse, type NextRequest } from 'next/server';
import { log } from '@/studio/kernel/log';
import type { Outcome, Problem } from '@/studio/kernel/outcome';
import type { StudioSession } from '@/studio/kernel/useCase';
import { sessionOfToken } from '@/studio/tokens/tokens';

/** Longest request that is read, bytes: a traced outline is some ten thousand. */
const MOST = 200_000;

const STATUS: Readonly<Record<Problem['kind'], number>> = {
  invalid: 400,
  refused: 409,
  stale: 409,
  forbidden: 403,
  'signed-out': 401,
  fault: 503,
};

const say = (status: number, message: string, more: object = {}): NextResponse =>
  NextResponse.json({ message, ...more }, { status });

/** The session of the token that a program sent, or the answer that refuses it. */
async function bearer(request: NextRequest): Promise<StudioSession | NextResponse> {
  const sent = /^Bearer\s+(\S{1,200})$/i.exec(request.headers.get('authorization') ?? '')?.[1];
  const found = sent === undefined ? undefined : await sessionOfToken(sent, new Date());
  if (found) return found;
  const message = sent
    ? 'This token is none, or it was taken back; make one in the house rules.'
    : 'Send a token: “Authorization: Bearer …”; make one in the house rules.';
  const answer = say(401, message);
  answer.headers.set('www-authenticate', 'Bearer');
  return answer;
}

/** What was sent; undefined, with nothing more read, as soon as it is longer than so many bytes. */
async function readUpTo(request: NextRequest, most: number): Promise<Uint8Array | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return undefined;
  const chunks: Uint8Array[] = [];
  let length = 0;
  for await (const chunk of request.body ?? []) {
    length += chunk.byteLength;
    if (length > most) return undefined;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** What a program sent, or the answer that refuses it. */
async function bodyOf(request: NextRequest): Promise<{ readonly plain: unknown } | NextResponse> {
  const bytes = await readUpTo(request, MOST);
  if (!bytes) return say(413, `More than ${MOST} bytes were sent; so many are read at most.`);
  const text = new TextDecoder().decode(bytes);
  try {
    return { plain: JSON.parse(text) as unknown };
  } catch {
    return say(400, 'This is not JSON.');
  }
}

/** Answers a program: its token is checked, faults are logged under an id that it is told. */
export async function answerProgram(
  request: NextRequest,
  work: (session: StudioSession) => Promise<Outcome<object> | NextResponse>,
): Promise<NextResponse> {
  try {
    const session = await bearer(request);
    if (session instanceof NextResponse) return session;
    const outcome = await work(session);
    if (outcome instanceof NextResponse) return outcome;
    if (outcome.ok) return NextResponse.json(outcome.value, { headers: { 'cache-control': 'no-store' } });
    const { kind, message, fields } = outcome.problem;
    return say(STATUS[kind], message, fields ? { fields } : {});
  } catch (fault) {
    const errorId = randomUUID().slice(0, 8);
    log.error(
      { errorId, requestId: request.headers.get('x-request-id'), err: fault },
      'program’s question failed',
    );
    return say(500, `Something broke on our side (error ${errorId}).`);
  }
}

/** Answers a program that sent JSON. */
export const answerPosted = (
  request: NextRequest,
  work: (plain: unknown, session: StudioSession) => Promise<Outcome<object> | NextResponse>,
): Promise<NextResponse> =>
  answerProgram(request, async (session) => {
    const body = await bodyOf(request);
    return body instanceof NextResponse ? body : work(body.plain, session);
  });

/** The answer to an address that names nothing. */
export const notThere = (message: string): NextResponse => say(404, message);
