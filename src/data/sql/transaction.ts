import { text } from '../columns';
import { statement } from './statement';

/** How long who is to run alone waits for those before it: while it does, newcomers wait behind it. */
const TURN = '2s';

/** Takes a transaction's turn beside the others that write. */
export const turnBesideOthersSql = statement({
  takes: {},
  gives: {},
  text: 'LOCK TABLE turns IN ROW SHARE MODE',
});

/** Takes a transaction's turn alone, in the order given. */
export const turnAloneSql = [
  statement({ takes: {}, gives: {}, text: `SET LOCAL lock_timeout = '${TURN}'` }),
  statement({ takes: {}, gives: {}, text: 'LOCK TABLE turns IN EXCLUSIVE MODE' }),
  statement({ takes: {}, gives: {}, text: 'SET LOCAL lock_timeout = 0' }),
] as const;

/** Says which studio a transaction is in, and where that is. */
export const enterStudioSql = statement({
  takes: { zone: text() },
  gives: { studio: text(), zone: text() },
  text: `SELECT set_config('pewterer.studio', $studio::uuid::text, true) AS studio, set_config('TimeZone', $zone, true) AS zone`,
});

/** Lets a transaction write nothing. */
export const readOnlySql = statement({
  takes: {},
  gives: {},
  text: 'SET LOCAL transaction_read_only = on',
});
