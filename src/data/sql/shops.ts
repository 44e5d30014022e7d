import type { MinorUnits } from '@/core/units/money';
import { big, instant, int, maybe, text } from '../columns';
import { statement } from './statement';

/** Pieces that lie at a shop, with which and since when; by shop, those first that lie there longest. */
export const atShopsSql = statement({
  takes: { most: big() },
  gives: {
    number: int(),
    name: text(),
    size: text(),
    price: maybe(big<MinorUnits>()),
    shop: text(),
    since: instant(),
  },
  text: `SELECT f.number, f.name, f.size, f.price, e.who AS shop, e.happened_at AS since
      FROM pieces f
      JOIN LATERAL (SELECT t.who, t.happened_at FROM piece_events t
                     WHERE t.studio_id = f.studio_id AND t.piece_id = f.piece_id AND t.turn = 'taken to a shop' AND t.undoes IS NULL
                     ORDER BY t.event_id DESC LIMIT 1) AS e ON true
     WHERE f.studio_id = $studio AND f.state = 'at a shop' AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL
     ORDER BY lower(e.who), e.happened_at, f.number LIMIT $most`,
});
