import type { PatternKind } from '@/core/pattern/pattern';
import type { Ware } from '@/core/stock/ware';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import { big, instant, int, many, maybe, text, uuid } from '../columns';
import { statement } from './statement';

/** What stands on the tags of finished pieces, in the order in which their numbers are asked. */
export const carriedPiecesSql = statement({
  takes: { numbers: many(int()) },
  gives: {
    number: int(),
    name: text(),
    size: text(),
    kind: text<PatternKind>(),
    price: maybe(big<MinorUnits>()),
    weighed: maybe(big<Micrograms>()),
    madeAt: instant(),
  },
  text: `SELECT f.number, f.name, f.size, f.kind, f.price, f.weighed_ug AS weighed, f.made_at AS "madeAt"
      FROM unnest($numbers::int[]) WITH ORDINALITY AS w(number, place)
      JOIN pieces f ON f.studio_id = $studio AND f.number = w.number AND f.struck_at IS NULL AND f.drawer_stock_id IS NULL
     ORDER BY w.place`,
});

/** What is in finished pieces: the most of each ware first. What was spoiled on the way is not in them. */
export const materialsOfPiecesSql = statement({
  takes: { numbers: many(int()) },
  gives: { number: int(), ware: text<Ware>(), articleId: uuid<'article'>(), name: text(), quantity: big() },
  text: `SELECT f.number, a.ware, a.article_id AS "articleId", a.name, (-sum(m.quantity))::bigint AS quantity
      FROM pieces f
      JOIN movements m ON m.studio_id = f.studio_id AND m.piece_id = f.piece_id AND m.kind IN ('cut', 'used')
      JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
     WHERE f.studio_id = $studio AND f.number = ANY ($numbers) AND a.ware IN ('wire', 'bead', 'stone', 'finding')
     GROUP BY f.number, a.ware, a.article_id, a.name HAVING sum(m.quantity) < 0
     ORDER BY f.number, a.ware = 'wire' DESC, sum(m.quantity)`,
});
