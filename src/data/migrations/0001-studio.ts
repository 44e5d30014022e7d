import type { Migration } from './migration';

/** Studios, people, settings; the row security that keeps studios apart; sign-in throttling. */
export const studio: Migration = {
  name: '0001-studio',
  statements: ({ appRole }) => [
    `REVOKE CREATE ON SCHEMA public FROM PUBLIC`,
    `GRANT USAGE ON SCHEMA public TO ${appRole}`,

    // The studio of the transaction, set by inStudio; no studio, no rows.
    `CREATE FUNCTION current_studio() RETURNS uuid LANGUAGE sql STABLE PARALLEL SAFE
       AS $$ SELECT NULLIF(current_setting('pewterer.studio', true), '')::uuid $$`,

    `CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
       BEGIN RAISE EXCEPTION '% is append-only: write a new row instead', TG_TABLE_NAME; END $$`,

    `CREATE TABLE studios (
       studio_id uuid PRIMARY KEY,
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       currency text NOT NULL CHECK (currency ~ '^[A-Z]{3}$'),
       length_system text NOT NULL CHECK (length_system IN ('in', 'mm')),
       hourly_rate bigint NOT NULL CHECK (hourly_rate >= 0),
       overhead_per_hour bigint NOT NULL CHECK (overhead_per_hour >= 0),
       target_per_hour bigint NOT NULL CHECK (target_per_hour >= 0),
       materials_factor int NOT NULL CHECK (materials_factor BETWEEN 100 AND 5000),
       target_margin int NOT NULL CHECK (target_margin BETWEEN 0 AND 9900),
       fee_percent int NOT NULL CHECK (fee_percent BETWEEN 0 AND 9900),
       fee_fixed bigint NOT NULL CHECK (fee_fixed >= 0),
       tax_percent int NOT NULL CHECK (tax_percent BETWEEN 0 AND 10000),
       tax_included boolean NOT NULL,
       price_from text NOT NULL CHECK (price_from IN ('actual', 'replacement')),
       price_endings jsonb NOT NULL,
       rounding text NOT NULL CHECK (rounding IN ('up', 'nearest')),
       useful_minimum_um bigint NOT NULL CHECK (useful_minimum_um >= 0),
       version int NOT NULL DEFAULT 1,
       created_at timestamptz NOT NULL
     )`,
    `CREATE TABLE useful_minimums (
       studio_id uuid NOT NULL REFERENCES studios,
       scope text NOT NULL CHECK (scope IN ('metal', 'spec')),
       of text NOT NULL,
       length_um bigint NOT NULL CHECK (length_um >= 0),
       PRIMARY KEY (studio_id, scope, of)
     )`,
    `CREATE TABLE users (
       studio_id uuid NOT NULL REFERENCES studios,
       user_id uuid NOT NULL,
       login text NOT NULL CHECK (login = lower(login)),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       role text NOT NULL CHECK (role IN ('owner', 'helper')),
       password_hash text NOT NULL,
       session_epoch int NOT NULL DEFAULT 1,
       active boolean NOT NULL DEFAULT true,
       created_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, user_id)
     )`,
    // Sign-in names are unique over all studios, since they are typed before a studio is known.
    `CREATE UNIQUE INDEX users_login ON users (login)`,
    `CREATE TABLE counters (
       studio_id uuid NOT NULL REFERENCES studios,
       name text NOT NULL,
       last int NOT NULL,
       PRIMARY KEY (studio_id, name)
     )`,
    // One row per submitted form: its key, so that it is posted at most once, and what came of it.
    `CREATE TABLE posts (
       studio_id uuid NOT NULL REFERENCES studios,
       post_key uuid NOT NULL,
       use_case text NOT NULL,
       user_id uuid NOT NULL,
       posted_at timestamptz NOT NULL,
       outcome jsonb NOT NULL,
       PRIMARY KEY (studio_id, post_key)
     )`,

    ...['studios', 'useful_minimums', 'users', 'counters', 'posts'].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT, UPDATE ON studios, users, counters TO ${appRole}`,
    `GRANT SELECT, INSERT, UPDATE, DELETE ON useful_minimums TO ${appRole}`,
    `GRANT SELECT, INSERT ON posts TO ${appRole}`,

    // What has to be known before a studio is: these run as the owner and give away no more than they name.
    `CREATE FUNCTION any_users() RETURNS boolean LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
       AS $$ SELECT EXISTS (SELECT FROM users) $$`,
    `CREATE FUNCTION find_sign_in(wanted text) RETURNS TABLE (studio_id uuid, user_id uuid, password_hash text)
       LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
       AS $$ SELECT studio_id, user_id, password_hash FROM users WHERE login = lower(wanted) AND active $$`,

    `CREATE TABLE sign_in_failures (
       key text PRIMARY KEY,
       failures int NOT NULL,
       last_at timestamptz NOT NULL
     )`,
    `CREATE FUNCTION sign_in_wait(keys text[], free int[]) RETURNS int
       LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
         SELECT COALESCE(MAX(GREATEST(0, CEIL(EXTRACT(EPOCH FROM
                  f.last_at + LEAST(900, 5 * POWER(2, LEAST(f.failures - k.free, 10))) * INTERVAL '1 second' - clock_timestamp())))), 0)::int
           FROM unnest(keys, free) AS k(key, free) JOIN sign_in_failures f ON f.key = k.key
          WHERE f.failures >= k.free AND f.last_at > clock_timestamp() - INTERVAL '1 hour' $$`,
    `CREATE FUNCTION note_sign_in_failure(keys text[]) RETURNS void
       LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$
         INSERT INTO sign_in_failures AS f (key, failures, last_at)
         SELECT key, 1, clock_timestamp() FROM (SELECT DISTINCT unnest(keys) AS key ORDER BY 1) AS k
         ON CONFLICT (key) DO UPDATE SET
           failures = CASE WHEN f.last_at < clock_timestamp() - INTERVAL '1 hour' THEN 1 ELSE f.failures + 1 END,
           last_at = clock_timestamp() $$`,
    `CREATE FUNCTION forget_sign_in_failures(keys text[]) RETURNS void
       LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$
         DELETE FROM sign_in_failures WHERE key = ANY (keys) OR last_at < clock_timestamp() - INTERVAL '1 day' $$`,
    ...[
      'any_users()',
      'find_sign_in(text)',
      'sign_in_wait(text[], int[])',
      'note_sign_in_failure(text[])',
      'forget_sign_in_failures(text[])',
    ].flatMap((signature) => [
      `REVOKE ALL ON FUNCTION ${signature} FROM PUBLIC`,
      `GRANT EXECUTE ON FUNCTION ${signature} TO ${appRole}`,
    ]),
  ],
};

/** Row security for a table: the app's role sees and writes only the rows of the transaction's studio. */
export function guardByStudio(appRole: string): (table: string) => string[] {
  return (table) => [
    `ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY`,
    `CREATE POLICY same_studio ON ${table} TO ${appRole}
       USING (studio_id = (SELECT current_studio())) WITH CHECK (studio_id = (SELECT current_studio()))`,
  ];
}
