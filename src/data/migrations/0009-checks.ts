import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Month closings become a cache that may be thrown away; what the daily check of the books found. */
export const checks: Migration = {
  name: '0009-checks',
  statements: ({ appRole }) => [
    `DROP TRIGGER append_only ON closings`,
    `GRANT DELETE ON closings TO ${appRole}`,
    // What a check of all the books found for one studio; written by the role that sees all studios.
    `CREATE TABLE book_checks (
       studio_id uuid NOT NULL REFERENCES studios,
       checked_at timestamptz NOT NULL,
       movements bigint NOT NULL CHECK (movements >= 0),
       differences int NOT NULL CHECK (differences >= 0),
       first_difference text NOT NULL DEFAULT '',
       PRIMARY KEY (studio_id, checked_at)
     )`,
    ...guardByStudio(appRole)('book_checks'),
    `GRANT SELECT ON book_checks TO ${appRole}`,
    // A try counts as failed from its beginning, so that many at once are no more than one after the other.
    `CREATE FUNCTION begin_sign_in(keys text[], free int[]) RETURNS int
       LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
         DECLARE seconds int;
         BEGIN
           PERFORM pg_advisory_xact_lock(hashtextextended(key, 0)) FROM (SELECT DISTINCT unnest(keys) AS key ORDER BY 1) AS k;
           seconds := sign_in_wait(keys, free);
           IF seconds = 0 THEN PERFORM note_sign_in_failure(keys); END IF;
           RETURN seconds;
         END $$`,
    // What was counted against the account is forgotten; against others, this one try.
    `CREATE FUNCTION end_sign_in(account text, others text[]) RETURNS void
       LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$
         DELETE FROM sign_in_failures WHERE key = account OR last_at < clock_timestamp() - INTERVAL '1 day';
         UPDATE sign_in_failures SET failures = GREATEST(0, failures - 1) WHERE key = ANY (others) $$`,
    ...['begin_sign_in(text[], int[])', 'end_sign_in(text, text[])'].flatMap((signature) => [
      `REVOKE ALL ON FUNCTION ${signature} FROM PUBLIC`,
      `GRANT EXECUTE ON FUNCTION ${signature} TO ${appRole}`,
    ]),
  ],
};
