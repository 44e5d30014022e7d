import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** What an owner says against the log: from when on it counts, or what goes in its place. */
export const rulings: Migration = {
  name: '0030-rulings',
  statements: ({ appRole }) => [
    `CREATE TABLE rulings (
       studio_id uuid NOT NULL REFERENCES studios,
       figure text NOT NULL CHECK (figure IN ('wire', 'time', 'ring')),
       subject text NOT NULL CHECK (length(subject) BETWEEN 1 AND 300),
       since timestamptz,
       fixed double precision CHECK (fixed BETWEEN -20 AND 20),
       user_id uuid NOT NULL,
       ruled_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, figure, subject),
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    ...guardByStudio(appRole)('rulings'),
    `GRANT SELECT, INSERT, UPDATE ON rulings TO ${appRole}`,
  ],
};
