import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** Batches: what is to be made until when, what of the stock is set aside for it, and how its wires are to be cut. */
export const batches: Migration = {
  name: '0007-batches',
  statements: ({ appRole }) => [
    `CREATE TABLE batches (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       number int NOT NULL CHECK (number > 0),
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       due_on date,
       notes text NOT NULL DEFAULT '' CHECK (length(notes) <= 2000),
       state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'cancelled')),
       -- How its cuts stand: 'stale' when stock that was set aside for them is not there any more.
       planning text NOT NULL DEFAULT 'none' CHECK (planning IN ('none', 'working', 'planned', 'stale', 'failed')),
       -- Who is planning, and how far: a later start takes it over.
       planning_key uuid,
       planning_said text NOT NULL DEFAULT '',
       planning_beat timestamptz,
       user_id uuid NOT NULL,
       created_at timestamptz NOT NULL,
       version int NOT NULL DEFAULT 1,
       PRIMARY KEY (studio_id, batch_id),
       CONSTRAINT batches_number UNIQUE (studio_id, number),
       FOREIGN KEY (studio_id, user_id) REFERENCES users
     )`,
    `CREATE INDEX batches_open ON batches (studio_id, due_on, number) WHERE state = 'open'`,
    `CREATE TABLE batch_lines (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       line int NOT NULL CHECK (line > 0),
       pattern_id uuid NOT NULL,
       revision int NOT NULL,
       count int NOT NULL CHECK (count BETWEEN 1 AND 500),
       -- What was asked for, as typed, and what the pattern comes to for it.
       wanted jsonb NOT NULL,
       body jsonb NOT NULL,
       -- The stone of the drawer that it is made for.
       stone_id uuid,
       PRIMARY KEY (studio_id, batch_id, line),
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches,
       FOREIGN KEY (studio_id, pattern_id, revision) REFERENCES pattern_revisions,
       FOREIGN KEY (studio_id, stone_id) REFERENCES stock_pieces
     )`,
    `CREATE TABLE set_asides (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       stock_piece_id uuid NOT NULL,
       quantity bigint NOT NULL CHECK (quantity > 0),
       PRIMARY KEY (studio_id, stock_piece_id, batch_id),
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches,
       FOREIGN KEY (studio_id, stock_piece_id) REFERENCES stock_pieces
     )`,
    `CREATE INDEX set_asides_of_batch ON set_asides (studio_id, batch_id)`,
    `CREATE TABLE cutting_plans (
       studio_id uuid NOT NULL REFERENCES studios,
       batch_id uuid NOT NULL,
       spec_id uuid NOT NULL,
       plan jsonb NOT NULL,
       made_at timestamptz NOT NULL,
       PRIMARY KEY (studio_id, batch_id, spec_id),
       FOREIGN KEY (studio_id, batch_id) REFERENCES batches,
       FOREIGN KEY (studio_id, spec_id) REFERENCES wire_specs
     )`,
    // What patterns call a bead or finding, and what it is in the drawers.
    `CREATE TABLE part_names (
       studio_id uuid NOT NULL REFERENCES studios,
       name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
       article_id uuid NOT NULL,
       PRIMARY KEY (studio_id, name),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    // When there is time at the bench: minutes of each weekday, Monday first, and days on which nobody works.
    `CREATE TABLE bench_hours (
       studio_id uuid PRIMARY KEY REFERENCES studios,
       weekly int[] NOT NULL CHECK (array_length(weekly, 1) = 7),
       days_off date[] NOT NULL DEFAULT '{}',
       version int NOT NULL DEFAULT 1
     )`,
    ...['batches', 'batch_lines', 'set_asides', 'cutting_plans', 'part_names', 'bench_hours'].flatMap(
      guardByStudio(appRole),
    ),
    `GRANT SELECT, INSERT, UPDATE ON batches, bench_hours TO ${appRole}`,
    `GRANT SELECT, INSERT, UPDATE, DELETE ON batch_lines, set_asides, cutting_plans, part_names TO ${appRole}`,
  ],
};
