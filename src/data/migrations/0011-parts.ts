import type { Migration } from './migration';

/** What a piece took out of the drawers besides wire, at what was paid: apart from what the pattern says, so that it can be checked. */
export const parts: Migration = {
  name: '0011-parts',
  statements: () => [
    `ALTER TABLE pieces ADD COLUMN parts_taken bigint NOT NULL DEFAULT 0 CHECK (parts_taken BETWEEN 0 AND parts_cost)`,
    `UPDATE pieces f SET parts_taken = t.taken
       FROM (SELECT m.studio_id, m.piece_id, -sum(m.cost_units) AS taken FROM movements m
               JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id AND a.ware IN ('bead', 'stone', 'finding')
              WHERE m.kind = 'used' AND m.reverses IS NULL AND m.piece_id IS NOT NULL GROUP BY 1, 2) AS t
      WHERE t.studio_id = f.studio_id AND t.piece_id = f.piece_id`,
  ],
};
