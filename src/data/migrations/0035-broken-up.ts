import type { Migration } from './migration';

/** What comes out of a finished piece that is broken up goes back into stock: a kind of movement of its own. */
export const brokenUp: Migration = {
  name: '0035-broken-up',
  statements: () => [
    `ALTER TABLE movements DROP CONSTRAINT movements_signs`,
    // A reversing movement keeps its original's kind and turns its signs.
    `ALTER TABLE movements ADD CONSTRAINT movements_signs CHECK (
       CASE WHEN kind IN ('received', 'opened', 'returned', 'made', 'jarred', 'salvaged')
              THEN CASE WHEN reverses IS NULL THEN quantity > 0 AND cost_units >= 0 ELSE quantity < 0 AND cost_units <= 0 END
            WHEN kind IN ('cut', 'used', 'scrapped', 'spoiled', 'refined')
              THEN CASE WHEN reverses IS NULL THEN quantity < 0 AND cost_units <= 0 ELSE quantity > 0 AND cost_units >= 0 END
            WHEN kind IN ('split', 'twisted', 'relabelled', 'weighed', 'counted') THEN quantity <> 0 AND cost_units * sign(quantity) >= 0
            ELSE false END)`,
    // What lies in which case.
    `CREATE INDEX pieces_in_place ON pieces (studio_id, place_id) WHERE place_id IS NOT NULL AND struck_at IS NULL`,
  ],
};
