import { bool, int, many, text, uuid } from '../columns';
import { statement } from './statement';

/** Each calls one database function that runs with the owner's rights and gives away no more than it names. */
export const anyUsersSql = statement({
  takes: {},
  gives: { any: bool() },
  text: 'SELECT any_users() AS any',
});

export const signInOfSql = statement({
  takes: { login: text() },
  gives: { studioId: uuid<'studio'>(), userId: uuid<'user'>(), passwordHash: text() },
  text: 'SELECT studio_id AS "studioId", user_id AS "userId", password_hash AS "passwordHash" FROM find_sign_in($login)',
});

export const tokenOfSql = statement({
  takes: { hash: text() },
  gives: { studioId: uuid<'studio'>(), userId: uuid<'user'>(), role: text<'owner' | 'helper'>() },
  text: 'SELECT studio_id AS "studioId", user_id AS "userId", role FROM find_token($hash)',
});

export const beginSignInSql = statement({
  takes: { keys: many(text()), free: many(int()) },
  gives: { wait: int() },
  text: 'SELECT begin_sign_in($keys, $free) AS wait',
});

export const endSignInSql = statement({
  takes: { key: text(), others: many(text()) },
  gives: { ended: text() },
  text: 'SELECT end_sign_in($key, $others)::text AS ended',
});

export const answersSql = statement({ takes: {}, gives: { one: int() }, text: 'SELECT 1 AS one' });
