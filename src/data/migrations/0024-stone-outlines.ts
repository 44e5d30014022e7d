import type { Migration } from './migration';

/** What a freeform stone was traced as: places of its edge, mm from the middle of its measures; none while it was not traced. */
export const stoneOutlines: Migration = {
  name: '0024-stone-outlines',
  statements: () => [
    `ALTER TABLE stones ADD COLUMN traced jsonb NOT NULL DEFAULT '[]'
       CHECK (jsonb_typeof(traced) = 'array' AND jsonb_array_length(traced) <= 200)`,
  ],
};
