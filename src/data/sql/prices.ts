import type { Day } from '@/core/calendar/day';
import type { MinorUnits } from '@/core/units/money';
import type { PricedMetal } from '@/core/metalPrice/metalPrice';
import { big, instant, int, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** The last price known of every metal, by the session's clock. */
export const lastMetalPricesSql = statement({
  takes: { at: instant() },
  gives: { metal: text<PricedMetal>(), day: text<Day>(), perKilogram: big<MinorUnits>() },
  text: `SELECT DISTINCT ON (metal) metal, day::text, per_kilogram AS "perKilogram" FROM metal_prices
      WHERE studio_id = $studio AND day <= $at::timestamptz::date ORDER BY metal, day DESC`,
});

/** What articles would cost today, each by its own rule: last paid, typed, or reckoned from the metal's price. Where the rule has nothing to go by (no price of the day yet), the last price paid stands. */
export const pricesOfArticlesSql = statement({
  takes: { articleIds: many(uuid<'article'>()) },
  gives: {
    articleId: uuid<'article'>(),
    priceBy: text<'paid' | 'typed' | 'spot'>(),
    premium: int(),
    fabricationPerMetre: big<MinorUnits>(),
    paid: maybe(big<MinorUnits>()),
    paidFor: maybe(big()),
    typed: maybe(big<MinorUnits>()),
    typedFor: maybe(big()),
  },
  text: `SELECT a.article_id AS "articleId", a.price_by AS "priceBy", a.premium, a.fabrication_per_metre AS "fabricationPerMetre",
            l.price AS paid, l.quantity AS "paidFor", t.price AS typed, t.quantity AS "typedFor"
       FROM articles a
       LEFT JOIN LATERAL (SELECT price, quantity FROM lots WHERE studio_id = $studio AND article_id = a.article_id AND cost_is <> 'free'
                           ORDER BY bought_on DESC, created_at DESC LIMIT 1) AS l ON true
       LEFT JOIN LATERAL (SELECT price, quantity FROM typed_prices WHERE studio_id = $studio AND article_id = a.article_id
                           ORDER BY typed_at DESC, typed_price_id DESC LIMIT 1) AS t ON true
      WHERE a.studio_id = $studio AND a.article_id = ANY ($articleIds)`,
});
