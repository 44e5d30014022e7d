import { ageInDays, PRICED_METALS, STALE_DAYS, type PricedMetal } from '@/core/metalPrice/metalPrice';
import type { MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { httpMetalFeed } from '@/devices/metalFeed/http';
import type { DayPrice, MetalFeed } from '@/devices/metalFeed/port';
import { inStudio } from '@/data/inStudio';
import { refused, type Outcome } from '../kernel/outcome';
import { attempt, look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';

/** The last price that is known of a metal. */
export interface KnownPrice {
  readonly metal: PricedMetal;
  readonly day: string;
  readonly perKilogram: MinorUnits;
  readonly age: number;
  readonly stale: boolean;
}

/** How far back prices are fetched the first time. */
const HISTORY_DAYS = 730;
const DAY_MS = 86_400_000;

const feedFromEnvironment = (): MetalFeed | undefined => {
  const address = process.env['PEWTERER_METAL_FEED'];
  return address ? httpMetalFeed(address) : undefined;
};

/** The last price known of every metal, by the session's clock. */
export async function lastMetalPrices(tx: Tx): Promise<KnownPrice[]> {
  const rows = await tx.select<{ metal: PricedMetal; day: string; perKilogram: MinorUnits }>(
    `SELECT DISTINCT ON (metal) metal, day::text, per_kilogram AS "perKilogram" FROM metal_prices
      WHERE studio_id = $1 AND day <= $2::timestamptz::date ORDER BY metal, day DESC`,
    [tx.session.studioId, tx.session.now],
  );
  return PRICED_METALS.flatMap((metal) => {
    const row = rows.find((each) => each.metal === metal);
    if (!row) return [];
    const age = ageInDays(row.day, tx.session.now);
    return [{ ...row, age, stale: age > STALE_DAYS }];
  });
}

/** Prices of the day as the owner sees them, with their history for a chart. */
export function readMetalPrices(
  session: StudioSession,
): Promise<{ readonly last: readonly KnownPrice[]; readonly history: readonly DayPrice[] }> {
  ownerOnly(session);
  return look(session, async (tx) => ({
    last: await lastMetalPrices(tx),
    history: await tx.select<DayPrice>(
      `SELECT metal, day::text, per_kilogram AS "perKilogram" FROM metal_prices
        WHERE studio_id = $1 AND day > $2::timestamptz::date - ${HISTORY_DAYS} ORDER BY day LIMIT 4000`,
      [session.studioId, session.now],
    ),
  }));
}

/**
 * Fetches what is missing of the metals' prices. A feed that fails changes nothing: the last prices stay, and are shown with
 * their age. Fetching the same day again takes the newer word for it.
 */
export function fetchMetalPrices(
  session: StudioSession,
  feed: MetalFeed | undefined = feedFromEnvironment(),
): Promise<Outcome<{ readonly days: number }>> {
  return attempt(async () => {
    ownerOnly(session);
    if (!feed) throw refused('No metal price feed is set up here; type the prices of your wires yourself.');
    const { currency, since } = await look(session, async (tx) => ({
      currency: (await settingsIn(tx)).currency,
      since: (await lastMetalPrices(tx)).map(({ day }) => day).sort()[0],
    }));
    const today = session.now.toISOString().slice(0, 10);
    const first = since ?? new Date(session.now.valueOf() - HISTORY_DAYS * DAY_MS).toISOString().slice(0, 10);
    const prices = await feed.prices(currency, first, today).catch((fault: unknown) => {
      const why = fault instanceof Error ? fault.message : 'it did not answer';
      throw refused(
        `The metal price feed cannot be reached (${why}). The last prices known are kept and shown with their age.`,
      );
    });
    await inStudio(session, (tx) => keepPrices(tx, prices));
    return { days: new Set(prices.map(({ day }) => day)).size };
  });
}

const keepPrices = (tx: Tx, prices: readonly DayPrice[]): Promise<void> =>
  tx.run(
    `INSERT INTO metal_prices (studio_id, metal, day, per_kilogram, fetched_at)
     SELECT $1, v.metal, v.day, v.price, $5 FROM unnest($2::text[], $3::date[], $4::bigint[]) AS v(metal, day, price)
     ON CONFLICT (studio_id, metal, day) DO UPDATE SET per_kilogram = excluded.per_kilogram, fetched_at = excluded.fetched_at`,
    [
      tx.session.studioId,
      prices.map(({ metal }) => metal),
      prices.map(({ day }) => day),
      prices.map(({ perKilogram }) => perKilogram),
      tx.session.now,
    ],
  );

/** Whether the feed that ships is made to fail. @returns a refusal where another feed, or none, is set up */
export function feedMode(session: StudioSession): Promise<Outcome<{ readonly failing: boolean }>> {
  return attempt(() => {
    ownerOnly(session);
    return askMode('GET');
  });
}

/** Makes the feed that ships fail, or work again. */
export function setFeedMode(
  session: StudioSession,
  failing: boolean,
): Promise<Outcome<{ readonly failing: boolean }>> {
  return attempt(() => {
    ownerOnly(session);
    return askMode('POST', failing);
  });
}

async function askMode(method: 'GET' | 'POST', failing?: boolean): Promise<{ failing: boolean }> {
  const address = process.env['PEWTERER_METAL_FEED'];
  const none = refused('No simulated feed runs here.');
  if (!address) throw none;
  const url = new URL('/mode', address);
  if (failing !== undefined) url.searchParams.set('failing', failing ? '1' : '0');
  const answer = await fetch(url, { method, cache: 'no-store' }).catch(() => undefined);
  if (!answer?.ok) throw none;
  return (await answer.json()) as { failing: boolean };
}
