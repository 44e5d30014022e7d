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

/**
 * Begins a try to sign in: it counts as failed until it ends well, however many are under way at once.
 * @returns seconds until it may be tried again, and then it was not counted; 0 when it may be tried now. The wait doubles with
 * each failure, a quarter of an hour at most.
 */
export async function beginSignIn(keys: readonly ThrottleKey[]): Promise<number> {
  const [row] = await ask<{ wait: number }>('SELECT begin_sign_in($1, $2) AS wait', [
    keysOf(keys),
    keys.map(({ free }) => free),
  ]);
  return row?.wait ?? 0;
}

/** Forgets the failures of an account whose password was right, and takes back that this try was counted for the others. */
export async function endSignIn(account: ThrottleKey, others: readonly ThrottleKey[]): Promise<void> {
  await ask('SELECT end_sign_in($1, $2)', [account.key, keysOf(others)]);
}

/** Whether the database answers. */
export async function databaseAnswers(): Promise<boolean> {
  const [row] = await ask<{ one: number }>('SELECT 1 AS one');
  return row?.one === 1;
}
