import type { Id } from '@/core/id';
import type { Day } from '@/core/calendar/day';
import { randomUUID } from 'node:crypto';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { Micrograms } from '@/core/units/mass';
import type { CostIs } from '@/core/stock/costIs';
import { minor, toCost, type MinorUnits } from '@/core/units/money';
import type { GaugeLabel } from '@/core/wire/gauge';
import { calledAlike } from '@/data/conditions';
import type { Tx } from '@/data/inStudio';
import { Lot, Supplier } from '@/data/models/purchases';
import type { Amount, ValuesOf } from '../kernel/typed';
import { Posting } from '../ledger/posting';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { ensurePlace } from './places';
import type { PurchaseFields } from './purchase.input';

/** What was bought. */
export interface Goods {
  readonly ware: Ware;
  readonly articleId: Id<'article'>;
  readonly sortKey: string;
  readonly form: StockForm;
  readonly quantity: number;
  readonly mass?: Micrograms | null;
  /** The label wire was bought under. */
  readonly label?: GaugeLabel;
}

/** What was paid for goods, where they came from and where they are put. */
export interface Purchase {
  readonly costIs: CostIs;
  /** In the studio's currency. */
  readonly price: MinorUnits;
  /** As it was paid. */
  readonly paid: Amount;
  readonly supplier: string;
  readonly boughtOn: Day;
  readonly place: string;
  readonly note: string;
  /** The delivery it came with; undefined when it came by itself. */
  readonly delivery?: {
    readonly id: Id<'delivery'>;
    readonly line: number;
    readonly postage: MinorUnits;
    readonly tax: MinorUnits;
  };
}

/** The purchase that a form tells of. @throws Refused when it was typed under another currency than the studio's */
export async function readPurchase(tx: Tx, fields: ValuesOf<PurchaseFields>): Promise<Purchase> {
  const { currency } = await settingsIn(tx);
  const { costIs = 'paid', supplier, boughtOn, place, note } = fields;
  const price = fields.price ? inCurrency('price', fields.price, currency) : minor(0);
  const paid = (fields.price && fields.paid) ?? { money: price, code: currency };
  return { costIs, price, paid, supplier, boughtOn, place, note };
}

/** Takes in a purchase: its lot, its stock piece with the whole cost on it, and the movement. @returns the number on its tag */
export async function takeIn(
  tx: Tx,
  postKey: Id<'post'>,
  { ware, articleId, sortKey, form, quantity, mass = null, label }: Goods,
  { costIs, price, paid, supplier, boughtOn, place, note, delivery }: Purchase,
): Promise<{ readonly number: number; readonly id: Id<'stock piece'> }> {
  const lotId = randomUUID();
  await tx.add(Lot, [
    {
      lotId,
      articleId,
      supplierId: await ensureSupplier(tx, supplier),
      boughtOn,
      gaugeSystem: label?.system ?? null,
      gaugeNumber: label?.number ?? null,
      quantity,
      massUg: mass,
      price,
      paid: paid.money,
      paidCurrency: paid.code,
      note,
      costIs,
      ...(delivery && {
        deliveryId: delivery.id,
        deliveryLine: delivery.line,
        postageShare: delivery.postage,
        taxShare: delivery.tax,
      }),
      createdAt: tx.session.now,
    },
  ]);
  const posting = new Posting(tx, postKey);
  const placeId = await ensurePlace(tx, place);
  const stock = { ware, articleId, sortKey, lotId, form, placeId };
  const id = posting.open(stock, 'received', quantity, toCost(price), { lotId });
  return { number: (await posting.commit()).get(id) ?? 0, id };
}

/** The supplier of a name, made when there is none yet; null for no name. */
export async function ensureSupplier(tx: Tx, name: string): Promise<string | null> {
  const said = name.trim();
  if (said === '') return null;
  const found = await tx.one(Supplier, ['supplierId'], { where: calledAlike(said) });
  if (found) return found.supplierId;
  const supplierId = randomUUID();
  await tx.add(Supplier, [{ supplierId, name: said }]);
  return supplierId;
}
