import type { Migration } from './migration';

/** Old stock and gifts: what something cost may be paid, estimated, or nothing. */
export const costs: Migration = {
  name: '0015-costs',
  statements: () => [
    `ALTER TABLE lots ADD COLUMN cost_is text NOT NULL DEFAULT 'paid' CHECK (cost_is IN ('paid', 'estimated', 'free')),
       DROP CONSTRAINT wire_lots_price_check, DROP CONSTRAINT lots_paid_check`,
    `ALTER TABLE lots ADD CONSTRAINT lots_price_check CHECK ((price > 0) = (cost_is <> 'free') AND price >= 0),
       ADD CONSTRAINT lots_paid_check CHECK ((paid > 0) = (cost_is <> 'free') AND paid >= 0)`,
  ],
};
