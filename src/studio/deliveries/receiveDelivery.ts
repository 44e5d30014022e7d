import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { landedCosts } from '@/core/stock/delivery';
import type { Ware } from '@/core/stock/ware';
import { um } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import { minor, type MinorUnits } from '@/core/units/money';
import { massOfLength } from '@/core/wire/mass';
import type { Tx } from '@/data/inStudio';
import { Delivery } from '@/data/models/purchases';
import { ARRIVALS, type ArrivalOf } from '../drawers/receive';
import { takeNumbers } from '../kernel/numbers';
import { invalid, Refused, refused } from '../kernel/outcome';
import type { Amount, ValuesOf } from '../kernel/typed';
import { posts } from '../kernel/posts';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { ensureSupplier, takeIn, type Goods } from '../stock/takeIn';
import { wireGoods } from '../wire/receiveWire';
import { specsById } from '../catalogue/wireSpecs';
import { DeliveryInput, type DeliveryLine } from './delivery.input';

/** A line as it was read. */
type LineRead = ValuesOf<DeliveryLine>;

/** What came in. */
export interface DeliveryReceived {
  readonly number: number;
  readonly lines: number;
}

/** A line that is known or made in the stockroom. */
interface Arrived {
  readonly line: LineRead;
  readonly goods: Goods;
  readonly price: MinorUnits;
  readonly weight: Micrograms | undefined;
  readonly afterwards: ((stockPieceId: Id<'stock piece'>) => Promise<void>) | undefined;
}

/**
 * Takes in several purchases that came together, all or none: each carries its price and its share of the postage and the tax, so that
 * the stock carries exactly what was paid.
 */
export const receiveDelivery = posts(
  'receiveDelivery',
  { input: DeliveryInput, by: 'owner' },
  async ({ tx, session, postKey }, input) => {
    const { currency: own } = await settingsIn(tx);
    const { currency, supplier, boughtOn, note, sharedBy } = input;
    const [postage, tax] = [extra('postage', input.postage, currency), extra('tax', input.tax, currency)];
    const cameTo = readCameTo(input, own);
    const arrived: Arrived[] = [];
    for (const [index, line] of input.lines.entries())
      arrived.push(await arrive(tx, line, `lines.${index}`, currency));
    const lines = arrived.map(({ price, weight }) => ({ price, weight }));
    if (sharedBy === 'weight' && postage > 0) refuseUnweighed(arrived);
    const landed = landedCosts({ lines, postage, tax, sharedBy, cameTo });
    if (!landed.ok) throw refused(`${landed.error} Nothing was posted.`);

    const deliveryId = randomUUID();
    const number = await takeNumbers(tx, 'delivery');
    await tx.add(Delivery, [
      {
        deliveryId,
        number,
        supplierId: await ensureSupplier(tx, supplier),
        boughtOn,
        note,
        currency,
        postage,
        tax,
        sharedBy,
        postKey,
        userId: session.userId,
        receivedAt: session.now,
      },
    ]);
    for (const [index, { line, goods, afterwards }] of arrived.entries()) {
      const share = landed.value[index];
      const { costIs } = line;
      if (!share || (costIs !== 'free' && share.cost === 0))
        throw invalid(`lines.${index}.price`, `This comes to nothing in ${own}; give what it really cost.`);
      const { id } = await takeIn(tx, postKey, goods, {
        costIs,
        price: share.cost,
        paid: { money: share.paid, code: currency },
        supplier,
        boughtOn,
        place: line.place,
        note,
        delivery: { id: deliveryId, line: index + 1, postage: share.postage, tax: share.tax },
      });
      await afterwards?.(id);
    }
    return { number, lines: arrived.length };
  },
);

const extra = (field: string, amount: Amount | null, currency: string): MinorUnits =>
  amount ? inCurrency(field, amount, currency) : minor(0);

/** What the invoice came to in the studio's currency, when it is in another. @throws Refused beside the field */
function readCameTo({ currency, cameTo }: ValuesOf<DeliveryInput>, own: string): MinorUnits | undefined {
  if (currency === own) return undefined;
  if (!cameTo) throw invalid('cameTo', `The invoice is in ${currency}; say what it came to in ${own}.`);
  return inCurrency('cameTo', cameTo, own);
}

async function arrive(tx: Tx, line: LineRead, at: string, currency: string): Promise<Arrived> {
  const price = extra(`${at}.price`, line.price, currency);
  const { goods, afterwards } = await beside(at, () => goodsOf(tx, line));
  return { line, goods, price, weight: line.weight ?? (await weightOf(tx, goods)), afterwards };
}

/** What a wire weighs by itself; of anything else it is not known. */
async function weightOf(tx: Tx, { ware, articleId, quantity, mass }: Goods): Promise<Micrograms | undefined> {
  if (ware !== 'wire') return undefined;
  const spec = (await specsById(tx, [articleId])).get(articleId);
  return mass ?? (spec && massOfLength(spec, um(quantity)));
}

/** What came as a line: its article is known or made. */
async function goodsOf(tx: Tx, line: LineRead): Promise<Pick<Arrived, 'goods' | 'afterwards'>> {
  switch (line.ware) {
    case 'wire':
      return { goods: await wireGoods(tx, line), afterwards: undefined };
    case 'bead':
      return intoDrawer(tx, 'bead', ARRIVALS.bead, line);
    case 'stone':
      return intoDrawer(tx, 'stone', ARRIVALS.stone, line);
    case 'finding':
      return intoDrawer(tx, 'finding', ARRIVALS.finding, line);
    case 'supply':
      return intoDrawer(tx, 'supply', ARRIVALS.supply, line);
  }
}

async function intoDrawer<Fields>(
  tx: Tx,
  ware: Ware,
  { arrive: arriveInDrawer, afterwards }: ArrivalOf<Fields>,
  fields: ValuesOf<Fields>,
): Promise<Pick<Arrived, 'goods' | 'afterwards'>> {
  return {
    goods: { ware, ...(await arriveInDrawer(tx, fields)) },
    afterwards: afterwards && ((id) => afterwards(tx, fields, id)),
  };
}

/** Does something for a line: what is refused about a field is told beside the line's. */
async function beside<T>(at: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (fault) {
    if (!(fault instanceof Refused) || !fault.problem.fields) throw fault;
    const fields = Object.entries(fault.problem.fields).map(([field, said]) => [`${at}.${field}`, said]);
    throw new Refused({ ...fault.problem, fields: Object.fromEntries(fields) as Record<string, string> });
  }
}

/** @throws Refused beside the first line that bears postage by weight and does not say what it weighs */
function refuseUnweighed(arrived: readonly Arrived[]): void {
  const index = arrived.findIndex(({ price, weight = 0 }) => price > 0 && weight === 0);
  if (index >= 0)
    throw invalid(
      `lines.${index}.weight`,
      'Say what this weighs, so that the postage can be shared by weight, or share it by value.',
    );
}
