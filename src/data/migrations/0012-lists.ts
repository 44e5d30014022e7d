import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Lists as makers keep them: what was asked about a file and answered, what was mended in it, and words that are remembered. */
export const lists: Migration = {
  name: '0012-lists',
  statements: ({ appRole }) => [
    `ALTER TABLE imports
       ADD COLUMN answers jsonb NOT NULL DEFAULT '{}',
       ADD COLUMN mends jsonb NOT NULL DEFAULT '{}',
       ADD COLUMN questions jsonb NOT NULL DEFAULT '[]',
       ADD COLUMN passed_over int NOT NULL DEFAULT 0`,
    `CREATE TABLE list_answers (
       studio_id uuid NOT NULL REFERENCES studios,
       list text NOT NULL,
       question text NOT NULL CHECK (length(question) BETWEEN 1 AND 200),
       answer text NOT NULL CHECK (length(answer) BETWEEN 1 AND 120),
       PRIMARY KEY (studio_id, list, question)
     )`,
    ...guardByStudio(appRole)('list_answers'),
    `GRANT SELECT, INSERT, UPDATE ON list_answers TO ${appRole}`,
  ],
};
