import { QueryTypes } from 'sequelize';
import { database } from './database';

/**
 * The few questions that come before a studio is known. Each calls one database function that runs with the owner's rights
 * and gives away no more than it names.
 */
async function ask<Row extends object>(sql: string, bind: unknown[] = []): Promise<Row[]> {
  return database().query<Row>(sql, { bind, type: QueryTypes.SELECT });
}

/** Whether anybody has set up a studio yet. */
export async function anyUsers(): Promise<boolean> {
  const [row] = await ask<{ any: boolean }>('SELECT any_users() AS any');
  return row?.any ?? false;
}

export interface SignInRow {
  readonly studioId: string;
  readonly userId: string;
  readonly passwordHash: string;
}

/** Who signs in by a name. */
export async function findSignIn(login: string): Promise<SignInRow | undefined> {
  const [row] = await ask<SignInRow>(
    'SELECT studio_id AS "studioId", user_id AS "userId", password_hash AS "passwordHash" FROM find_sign_in($1)',
    [login],
  );
  return row;
}

export interface TokenRow {
  readonly studioId: string;
  readonly userId: string;
  readonly role: 'owner' | 'helper';
}

/** Whom a token stands for, by its hash. */
export async function findToken(hash: string): Promise<TokenRow | undefined> {
  const [row] = await ask<TokenRow>(
    'SELECT studio_id AS "studioId", user_id AS "userId", role FROM find_token($1)',
    [hash],
  );
  return row;
}

/** Keys whose failures are counted, each with the number of failures that cost no waiting. */
export interface ThrottleKey {
  readonly key: string;
  readonly free: number;
}

const keysOf = (keys: readonly ThrottleKey[]) => keys.map(({ key }) => key);

/** Seconds until signing in may be tried again; doubles with each failure, a quarter of an hour at most. */
export async function signInWait(keys: readonly ThrottleKey[]): Promise<number> {
  const [row] = await ask<{ wait: number }>('SELECT sign_in_wait($1, $2) AS wait', [
    keysOf(keys),
    keys.map(({ free }) => free),
  ]);
  return row?.wait ?? 0;
}

export async function noteSignInFailure(keys: readonly ThrottleKey[]): Promise<void> {
  await ask('SELECT note_sign_in_failure($1)', [keysOf(keys)]);
}

export async function forgetSignInFailures(keys: readonly ThrottleKey[]): Promise<void> {
  await ask('SELECT forget_sign_in_failures($1)', [keysOf(keys)]);
}

/** Whether the database answers. */
export async function databaseAnswers(): Promise<boolean> {
  const [row] = await ask<{ one: number }>('SELECT 1 AS one');
  return row?.one === 1;
}
