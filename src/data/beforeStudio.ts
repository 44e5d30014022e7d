import { ask } from './ask';
import { database } from './database';
import {
  answersSql,
  anyUsersSql,
  beginSignInSql,
  endSignInSql,
  signInOfSql,
  tokenOfSql,
} from './sql/beforeStudio';
import { type RowOf } from './sql/statement';

/** Whether anybody has set up a studio yet. */
export async function anyUsers(): Promise<boolean> {
  const [row] = await ask(database(), anyUsersSql, {});
  return row?.any ?? false;
}

export type SignInRow = RowOf<typeof signInOfSql>;

/** Who signs in by a name. */
export async function findSignIn(login: string): Promise<SignInRow | undefined> {
  const [row] = await ask(database(), signInOfSql, { login });
  return row;
}

export type TokenRow = RowOf<typeof tokenOfSql>;

/** Whom a token stands for, by its hash. */
export async function findToken(hash: string): Promise<TokenRow | undefined> {
  const [row] = await ask(database(), tokenOfSql, { hash });
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
  const [row] = await ask(database(), beginSignInSql, {
    keys: keysOf(keys),
    free: keys.map(({ free }) => free),
  });
  return row?.wait ?? 0;
}

/** Forgets the failures of an account whose password was right, and takes back that this try was counted for the others. */
export async function endSignIn(account: ThrottleKey, others: readonly ThrottleKey[]): Promise<void> {
  await ask(database(), endSignInSql, { key: account.key, others: keysOf(others) });
}

/** Whether the database answers. */
export async function databaseAnswers(): Promise<boolean> {
  const [row] = await ask(database(), answersSql, {});
  return row?.one === 1;
}
