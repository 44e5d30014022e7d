import type { Migration } from './migration';

/** What findings that were made out of a batch bear of what its cutting table scrapped and spoiled. */
export const wasteOfMade: Migration = {
  name: '0023-waste-of-made',
  statements: () => [
    `ALTER TABLE made_labour ADD COLUMN waste_units bigint NOT NULL DEFAULT 0 CHECK (waste_units >= 0)`,
  ],
};
