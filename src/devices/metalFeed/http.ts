import { isDay } from '@/core/calendar/day';
import { PRICED_METALS } from '@/core/metalPrice/metalPrice';
import type { DayPrice, MetalFeed } from './port';

const PATIENCE_MS = 4000;

const isDayPrice = (each: unknown): each is DayPrice => {
  if (typeof each !== 'object' || each === null) return false;
  const { metal, day, perKilogram } = each as Record<string, unknown>;
  return (
    PRICED_METALS.some((known) => known === metal) &&
    typeof day === 'string' &&
    isDay(day) &&
    Number.isSafeInteger(perKilogram) &&
    Number(perKilogram) > 0
  );
};

/** A metal price feed that is asked over HTTP: `GET /prices?currency=USD&from=2026-05-01&to=2026-05-04`. */
export function httpMetalFeed(address: string): MetalFeed {
  return {
    prices: async (currency, from, to) => {
      const url = new URL('/prices', address);
      url.search = new URLSearchParams({ currency, from, to }).toString();
      const response = await fetch(url, { signal: AbortSignal.timeout(PATIENCE_MS), cache: 'no-store' });
      if (!response.ok) throw new Error(`the feed answered ${response.status}`);
      const answer: unknown = await response.json();
      if (!Array.isArray(answer) || !answer.every(isDayPrice)) throw new Error('the feed answered nonsense');
      return answer;
    },
  };
}
