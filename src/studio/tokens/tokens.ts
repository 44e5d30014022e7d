import type { Id } from '@/core/id';
import { createHash, createHmac, randomUUID } from 'node:crypto';
import { isUUID } from 'class-validator';
import { findToken } from '@/data/beforeStudio';
import { Token } from '@/data/models/studio';
import { refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { acts } from '../kernel/posts';
import { look, ownerOnly, post, type StudioSession } from '../kernel/useCase';
import { MakeTokenInput } from './tokens.input';

/** A program that signs in. */
export interface KnownToken {
  readonly tokenId: Id<'token'>;
  readonly name: string;
  readonly role: 'owner' | 'helper';
  readonly madeAt: Date;
  readonly revokedAt: Date | null;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** How every token begins, so that one that lies about is known for what it is. */
const PREFIX = 'pewterer_';

/** All tokens of the studio, those that work first. */
export async function listTokens(session: StudioSession): Promise<KnownToken[]> {
  ownerOnly(session);
  return look(session, async () => {
    const rows = await Token.findAll({
      where: {},
      order: [['madeAt', 'DESC']],
    });
    const known = rows.map(({ tokenId, name, role, madeAt, revokedAt }) => ({
      tokenId,
      name,
      role,
      madeAt,
      revokedAt,
    }));
    return [...known.filter(({ revokedAt }) => !revokedAt), ...known.filter(({ revokedAt }) => revokedAt)];
  });
}

/**
 * Makes a token for a program. Its text is made of the form’s key and a secret of this process, so that a form sent twice gets the
 * same token, and it is kept nowhere.
 * @param secret what only this installation knows
 * @returns the token, to be shown once
 */
export async function makeToken(
  session: StudioSession,
  postKey: Id<'post'>,
  plain: unknown,
  secret: string,
): Promise<Outcome<string>> {
  const token =
    PREFIX + createHmac('sha256', secret).update(`${session.studioId} ${postKey}`).digest('base64url');
  const outcome = await keepToken(session, postKey, plain, token);
  return outcome.ok ? { ok: true, value: token } : outcome;
}

/** Keeps a token that is known already, as the demonstration’s is. */
export function keepToken(
  session: StudioSession,
  postKey: Id<'post'>,
  plain: unknown,
  token: string,
): Promise<Outcome<null>> {
  const prepare = () => {
    ownerOnly(session);
    return readInput(MakeTokenInput, plain);
  };
  return post(session, 'makeToken', postKey, prepare, async (tx, { name, role }) => {
    await tx.add(Token, [
      {
        tokenId: randomUUID(),
        name,
        role: role === 'owner' ? 'owner' : 'helper',
        hash: hashOf(token),
        madeBy: session.userId,
        madeAt: session.now,
      },
    ]);
    return null;
  });
}

/** Takes a token back: programs that hold it are refused from now on. */
export const revokeToken = acts(
  'revokeToken',
  async ({ tx, session }, tokenId: Id<'token'>) => {
    if (!isUUID(tokenId)) throw refused('There is no such token.');
    const count = await tx.change(Token, { tokenId, revokedAt: null }, { revokedAt: session.now });
    if (count === 0) throw refused('This token was taken back already.');
    return null;
  },
  { by: 'owner' },
);

/** Whom a program stands for; undefined when its token is none, or was taken back. */
export async function sessionOfToken(token: string, now: Date): Promise<StudioSession | undefined> {
  const found = await findToken(hashOf(token));
  return found && { ...found, now };
}
