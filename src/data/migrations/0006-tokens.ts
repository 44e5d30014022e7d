import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Tokens that programs sign in with: kept as hashes, taken back but never deleted. */
export const tokens: Migration = {
  name: '0006-tokens',
  statements: ({ appRole }) => [
    `CREATE TABLE tokens (
       studio_id uuid NOT NULL REFERENCES studios,
       token_id uuid NOT NULL,
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       role text NOT NULL CHECK (role IN ('owner', 'helper')),
       -- SHA-256 of the token: it has 256 random bits, so a slow hash would protect nothing more.
       hash text NOT NULL UNIQUE CHECK (hash ~ '^[0-9a-f]{64}$'),
       made_by uuid NOT NULL,
       made_at timestamptz NOT NULL,
       revoked_at timestamptz,
       PRIMARY KEY (studio_id, token_id),
       FOREIGN KEY (studio_id, made_by) REFERENCES users
     )`,
    ...guardByStudio(appRole)('tokens'),
    `GRANT SELECT, INSERT, UPDATE (revoked_at) ON tokens TO ${appRole}`,
    `CREATE FUNCTION find_token(wanted text) RETURNS TABLE (studio_id uuid, user_id uuid, role text)
       LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
         SELECT t.studio_id, t.made_by, t.role FROM tokens t
           JOIN users u ON u.studio_id = t.studio_id AND u.user_id = t.made_by
          WHERE t.hash = wanted AND t.revoked_at IS NULL AND u.active $$`,
    'REVOKE ALL ON FUNCTION find_token(text) FROM PUBLIC',
    `GRANT EXECUTE ON FUNCTION find_token(text) TO ${appRole}`,
  ],
};
