import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** What came of turns that were bent round something: how much wire springs open. */
export const bends: Migration = {
  name: '0032-bends',
  statements: ({ appRole }) => [
    `CREATE TABLE bend_log (
       studio_id uuid NOT NULL REFERENCES studios,
       piece_id uuid NOT NULL,
       place int NOT NULL CHECK (place >= 0),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 200),
       article_id uuid NOT NULL,
       bent_on bigint NOT NULL CHECK (bent_on > 0),
       came bigint NOT NULL CHECK (came > 0),
       made_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, piece_id, place),
       FOREIGN KEY (studio_id, piece_id) REFERENCES pieces,
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    `CREATE INDEX bend_log_of_wire ON bend_log (studio_id, article_id, made_at DESC)`,
    ...guardByStudio(appRole)('bend_log'),
    `GRANT SELECT, INSERT ON bend_log TO ${appRole}`,
  ],
};
