import { daysLater, type Day } from '@/core/calendar/day';
import { groupBy } from '@/core/groupBy';
import {
  bothLike,
  likelyPrice,
  NONE_LIKE,
  seasonOf,
  type Likely,
  type SoldLike,
} from '@/core/selling/likelyPrice';
import type { MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { soldLikeSql } from '@/data/sql/patterns';

/** What was sold so long ago tells nothing of what sells now. */
const DAYS = 730;

/** What such pieces were sold for in a channel, in the months around a day. */
export interface SoldInChannel extends SoldLike {
  readonly channel: string;
}

/** What pieces of some patterns are likely to bring, from the studio’s own sales. */
export interface LikelyPrices {
  /** Of a pattern, by its number, with the price that is asked for it; null where nothing is known. */
  readonly of: (pattern: number, asked: MinorUnits | null) => Likely | null;
  /** Where such pieces were sold in these months, most first. */
  readonly channels: readonly SoldInChannel[];
}

/** Asks the studio’s own sales of two years what pieces of patterns bring around a day. */
export async function likelyPrices(tx: Tx, patterns: readonly number[], on: Day): Promise<LikelyPrices> {
  const rows = await tx.rows(soldLikeSql, {
    patterns: [...new Set(patterns)],
    months: [...seasonOf(Number(on.slice(5, 7)))],
    since: daysLater(on, -DAYS),
  });
  const sum = (some: readonly SoldLike[]): SoldLike => some.reduce(bothLike, NONE_LIKE);
  const byPattern = groupBy(rows, ({ pattern }) => pattern);
  const season = rows.filter(({ inSeason }) => inSeason);
  return {
    of: (pattern, asked) => {
      const like = byPattern.get(pattern) ?? [];
      return likelyPrice(asked, sum(like), sum(like.filter(({ inSeason }) => inSeason)));
    },
    channels: [...groupBy(season, ({ channel }) => channel)]
      .map(([channel, some]) => ({ channel, ...sum(some) }))
      .toSorted((one, other) => other.pieces - one.pieces),
  };
}
