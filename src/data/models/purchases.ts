import type { CostIs } from '@/core/stock/costIs';
import type { SharedBy } from '@/core/stock/delivery';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import { big, byDefault, date, instant, int, key, maybe, text, uuid } from '../columns';
import { belongsTo, mayBelongTo, table } from '../table';
import { Article } from './articles';
import { User } from './studio';

/** Where stock is bought. */
export const Supplier = table('suppliers', {
  supplierId: key(uuid<'supplier'>()),
  name: text(),
});

/** Several purchases that came together. */
export const Delivery = table(
  'deliveries',
  {
    deliveryId: key(uuid<'delivery'>()),
    number: int(),
    supplierId: maybe(uuid<'supplier'>()),
    boughtOn: date(),
    note: text(),
    /** Of the invoice, with postage and tax in its minor units. */
    currency: text(),
    postage: big<MinorUnits>(),
    tax: big<MinorUnits>(),
    sharedBy: text<SharedBy>(),
    postKey: uuid<'post'>(),
    userId: uuid<'user'>(),
    receivedAt: instant(),
  },
  {
    supplier: mayBelongTo(Supplier, 'supplierId'),
    user: belongsTo(User, 'userId'),
  },
);

/** One purchase. */
export const Lot = table(
  'lots',
  {
    lotId: key(uuid<'lot'>()),
    articleId: uuid<'article'>(),
    supplierId: maybe(uuid<'supplier'>()),
    /** Calendar day, ISO. */
    boughtOn: date(),
    /** The label wire was bought under. */
    gaugeSystem: maybe(text<GaugeSystem>()),
    gaugeNumber: maybe(text()),
    quantity: big(),
    massUg: maybe(big<Micrograms>()),
    /** In the studio's currency. */
    price: big<MinorUnits>(),
    /** As it was paid, in the currency of the purchase. */
    paid: big<MinorUnits>(),
    paidCurrency: text(),
    /** What stands on the invoice. */
    note: text(),
    /** Whether the price was paid, is an estimate for old stock, or is nothing, for a gift. */
    costIs: byDefault(text<CostIs>(), 'paid'),
    /** The delivery it came with, and as which line; null when it came by itself. */
    deliveryId: byDefault(maybe(uuid<'delivery'>()), null),
    deliveryLine: byDefault(maybe(int()), null),
    /** What of the price is its share of the delivery's postage and tax, in the currency of the purchase. */
    postageShare: byDefault(big<MinorUnits>(), 0),
    taxShare: byDefault(big<MinorUnits>(), 0),
    createdAt: instant(),
  },
  {
    article: belongsTo(Article, 'articleId'),
    supplier: mayBelongTo(Supplier, 'supplierId'),
    delivery: mayBelongTo(Delivery, 'deliveryId'),
  },
);
