import { daysLater, type Day } from '@/core/calendar/day';
import { ageInDays, PRICED_METALS, STALE_DAYS, type PricedMetal } from '@/core/metalPrice/metalPrice';
import { GRAMS_PER_TROY_OUNCE } from '@/core/units/mass';
import { minor, plainMoney, type MinorUnits } from '@/core/units/money';
import { moreThan } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { httpMetalFeed } from '@/devices/metalFeed/http';
import type { DayPrice, MetalFeed } from '@/devices/metalFeed/port';
import { inStudio } from '@/data/inStudio';
import { MetalPrice } from '@/data/models/metal';
import { lastMetalPricesSql } from '@/data/sql/prices';
import { invalid, refused, type Outcome } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { attempt, look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { devicesIn } from '../settings/devices';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { TypeMetalPriceInput } from './typeMetalPrice.input';

/** The last price that is known of a metal. */
export interface KnownPrice {
  readonly metal: PricedMetal;
  readonly day: Day;
  readonly perKilogram: MinorUnits;
  readonly age: number;
  readonly stale: boolean;
}

/** How far back prices are fetched the first time. */
const HISTORY_DAYS = 730;

/** Where the studio's prices come from: the stand-in that runs beside the demonstration, an address of its own, or nowhere. */
async function feedAddress(tx: Tx): Promise<string | undefined> {
  const { kind, address } = (await devicesIn(tx))['metal prices'];
  if (kind === 'simulated') return process.env['PEWTERER_METAL_FEED'];
  return kind === 'address' ? address : undefined;
}

/** The last price known of every metal, by the session's clock. */
export async function lastMetalPrices(tx: Tx): Promise<KnownPrice[]> {
  const rows = await tx.rows(lastMetalPricesSql, { at: tx.session.now });
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
    history: await tx.all(MetalPrice, ['metal', 'day', 'perKilogram'], {
      where: { day: moreThan(daysLater(todayOf(session), -HISTORY_DAYS)) },
      order: ['day'],
      limit: 4000,
    }),
  }));
}

/**
 * Fetches what is missing of the metals' prices. A feed that fails changes nothing: the last prices stay, and are shown with
 * their age. Fetching the same day again takes the newer word for it.
 */
export function fetchMetalPrices(
  session: StudioSession,
  given?: MetalFeed,
): Promise<Outcome<{ readonly days: number }>> {
  return attempt(async () => {
    ownerOnly(session);
    const { currency, since, address } = await look(session, async (tx) => ({
      address: await feedAddress(tx),
      currency: (await settingsIn(tx)).currency,
      since: (await lastMetalPrices(tx)).map(({ day }) => day).sort()[0],
    }));
    const feed = given ?? (address === undefined ? undefined : httpMetalFeed(address));
    if (!feed)
      throw refused(
        'No service for metal prices is set up in the house rules; type the prices as you read them.',
      );
    const today = todayOf(session);
    const first = since ?? daysLater(today, -HISTORY_DAYS);
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
  tx.put(
    MetalPrice,
    prices.map(({ perKilogram, ...price }) => ({
      ...price,
      perKilogram: minor(perKilogram),
      fetchedAt: tx.session.now,
    })),
    ['perKilogram', 'fetchedAt'],
  );

/** Keeps a metal's price of a day as somebody read it; typed again, the newer word stands. */
export const typeMetalPrice = posts(
  'typeMetalPrice',
  { input: TypeMetalPriceInput, by: 'owner' },
  async ({ tx }, input) => {
    const price = inCurrency('price', input.price, (await settingsIn(tx)).currency);
    const perKilogram = input.per === 'kilogram' ? price : Math.round((price * 1000) / GRAMS_PER_TROY_OUNCE);
    if (perKilogram > MOST_PER_KILOGRAM)
      throw invalid(
        'price',
        `${plainMoney(price, input.price.code)} ${input.price.code} for a ${input.per} is more than any metal costs; look at what it is for.`,
      );
    await keepPrices(tx, [{ metal: input.metal, day: input.day, perKilogram }]);
    return null;
  },
);

/** More than ten times what gold has ever cost, in minor units a kilogram. */
const MOST_PER_KILOGRAM = 1_000_000_000_000;

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
