import type { Day } from '@/core/calendar/day';
import type { PricedMetal } from '@/core/metalPrice/metalPrice';

/** What a metal cost on a day, in minor units of a currency for a kilogram. */
export interface DayPrice {
  readonly metal: PricedMetal;
  readonly day: Day;
  readonly perKilogram: number;
}

/** A service that tells metal prices day by day. */
export interface MetalFeed {
  /**
   * Prices from one day to another, both included; days without trade are left out.
   * @throws Error when the service does not answer or answers nonsense
   */
  prices(currency: string, from: Day, to: Day): Promise<readonly DayPrice[]>;
}
