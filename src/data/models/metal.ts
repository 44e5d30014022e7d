import type { PricedMetal } from '@/core/metalPrice/metalPrice';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import { big, date, instant, key, serial, text, uuid } from '../columns';
import { belongsTo, table } from '../table';
import { Article } from './articles';
import { StockPiece } from './stock';

/** A price of a pure metal on a day, in minor units of the studio's currency for a kilogram. */
export const MetalPrice = table('metal_prices', {
  metal: key(text<PricedMetal>()),
  day: key(date()),
  perKilogram: big<MinorUnits>(),
  fetchedAt: instant(),
});

/** A replacement price that somebody typed. Never changed. */
export const TypedPrice = table(
  'typed_prices',
  {
    typedPriceId: serial(),
    articleId: uuid<'article'>(),
    typedAt: instant(),
    userId: uuid<'user'>(),
    price: big<MinorUnits>(),
    quantity: big(),
  },
  {
    article: belongsTo(Article, 'articleId'),
  },
);

/** Scrap that went to a refiner, and what came back for it. Never changed. */
export const Refining = table(
  'refinings',
  {
    refiningId: key(uuid<'refining'>()),
    postKey: uuid<'post'>(),
    stockPieceId: uuid<'stock piece'>(),
    sentOn: date(),
    refiner: text(),
    massUg: big<Micrograms>(),
    proceeds: big<MinorUnits>(),
  },
  {
    stockPiece: belongsTo(StockPiece, 'stockPieceId'),
  },
);
