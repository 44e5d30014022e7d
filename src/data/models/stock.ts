import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits } from '@/core/units/money';
import { big, byDefault, instant, int, json, key, maybe, serial, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Article, Place, SpoolType } from './articles';
import { Lot } from './purchases';
import { User } from './studio';

/** One physical thing in stock with what is left of it and of its cost. */
export const StockPiece = table(
  'stock_pieces',
  {
    stockPieceId: key(uuid<'stock piece'>()),
    ware: text<Ware>(),
    number: int(),
    articleId: uuid<'article'>(),
    lotId: maybe(uuid<'lot'>()),
    form: text<StockForm>(),
    /** In the ware's unit: µm of wire, single things, thousandths of a supply's unit, µg of scrap. */
    initialQuantity: big(),
    quantity: big(),
    costUnits: big<CostUnits>(),
    sortKey: text(),
    placeId: maybe(uuid<'place'>()),
    spoolTypeId: byDefault(maybe(uuid<'spool type'>()), null),
    emptyMassUg: byDefault(maybe(big<Micrograms>()), null),
    note: byDefault(text(), ''),
    version: byDefault(int(), 1),
    /** Shade groups of a strand, light to dark. */
    shades: byDefault(json<readonly ShadeGroup[]>(), []),
    createdAt: instant(),
  },
  {
    article: belongsTo(Article, 'articleId'),
    lot: mayBelongTo(Lot, 'lotId'),
    place: mayBelongTo(Place, 'placeId'),
    spoolType: mayBelongTo(SpoolType, 'spoolTypeId'),
  },
);

/** One reading taken of a spool. Never changed. */
export const Weighing = table(
  'weighings',
  {
    weighingId: serial(),
    postKey: uuid<'post'>(),
    stockPieceId: uuid<'stock piece'>(),
    weighedAt: instant(),
    userId: uuid<'user'>(),
    grossUg: big<Micrograms>(),
    emptyUg: big<Micrograms>(),
    resolutionUg: big<Micrograms>(),
    beforeUm: big<Micrometres>(),
    afterUm: big<Micrometres>(),
    uncertaintyUm: big<Micrometres>(),
    /** What spoke against the reading, and why it was taken nevertheless. */
    warning: text(),
    overrideReason: text(),
  },
  {
    stockPiece: belongsTo(StockPiece, 'stockPieceId'),
    user: belongsTo(User, 'userId'),
  },
);
