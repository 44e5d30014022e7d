import { randomUUID } from 'node:crypto';
import type { Id } from '@/core/id';
import { reckonOrder, type OrderedLine } from '@/core/selling/order';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { formatMoney, minor, type MinorUnits } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { Order, OrderLine } from '@/data/models/orders';
import type { RowIn } from '@/data/table';
import { wantedOf } from '../batches/lineBodies';
import { takeNumbers } from '../kernel/numbers';
import { invalid, refused, stale } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import type { ValuesOf } from '../kernel/typed';
import { todayOf } from '../kernel/useCase';
import { newestPatterns } from '../patterns/newestPatterns';
import { openChannel, type KnownChannel } from '../selling/channels';
import { MOST_SOLD } from '../selling/sell.input';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { allowed, lockOrder } from './lockOrder';
import { OrderInput } from './orders.input';

/** The order that a form was opened on, as it was then. */
export interface OrderBase {
  readonly number: number;
  readonly version: number;
}

/** What the lines of an order come to. @throws Refused beside what is too much */
function worthOf(
  lines: readonly OrderedLine[],
  { terms, rounding }: KnownChannel,
  deposit: MinorUnits,
  currency: string,
): MinorUnits {
  const pieces = lines.reduce((sum, { count }) => sum + count, 0);
  if (pieces > MOST_SOLD)
    throw refused(
      `These lines are ${counted(pieces, 'piece')}; an order holds ${MOST_SOLD} at most. Write them as several orders.`,
    );
  const { gross } = reckonOrder(lines, terms, rounding).total;
  if (deposit > gross)
    throw invalid(
      'deposit',
      `${formatMoney(deposit, currency)} was given; all of it comes to ${formatMoney(gross, currency)}.`,
    );
  return gross;
}

/** The lines of an order as they are kept. @throws Refused beside the pattern that is not there */
async function linesToKeep(
  tx: Tx,
  asked: ValuesOf<OrderInput>['lines'],
  currency: string,
): Promise<readonly Omit<RowIn<typeof OrderLine>, 'studioId' | 'orderId' | 'line'>[]> {
  const patterns = await newestPatterns(
    tx,
    asked.map(({ pattern }) => pattern),
  );
  return asked.map((line, index) => {
    const pattern = patterns.find(({ number }) => number === line.pattern);
    if (!pattern) throw invalid(`lines.${index}.pattern`, 'This pattern is no longer there; choose another.');
    const { patternId, body } = pattern;
    const price = inCurrency(`lines.${index}.price`, line.price, currency);
    return { patternId, name: body.name, count: line.count, wanted: wantedOf(line), price };
  });
}

/** Writes down what somebody asks for and what it is to cost, or changes it while it is not ordered: a quote. */
export const writeOrder = posts(
  'writeOrder',
  { input: OrderInput, by: 'owner' },
  async ({ tx, session }, input, base: OrderBase | null): Promise<{ readonly number: number }> => {
    const { currency } = await settingsIn(tx);
    const { lines: asked, channel: channelId, deposit: typed, ...said } = input;
    const channel = await openChannel(tx, channelId);
    const lines = await linesToKeep(tx, asked, currency);
    const deposit = typed === null ? minor(0) : inCurrency('deposit', typed, currency);
    const values = { ...said, channelId, deposit, gross: worthOf(lines, channel, deposit, currency) };
    const known = base && (await lockOrder(tx, base.number));
    if (known) {
      allowed(known, 'change');
      if (known.version !== base.version)
        throw stale(
          `Somebody changed ${tag('order', base.number)} while you had it open. What you typed is still here; open it in another tab to compare.`,
        );
      await tx.remove(OrderLine, { orderId: known.orderId });
      await tx.change(Order, { orderId: known.orderId }, { ...values, version: known.version + 1 });
    }
    const orderId: Id<'order'> = known?.orderId ?? randomUUID();
    const number = base?.number ?? (await takeNumbers(tx, 'order'));
    if (!known) {
      const { userId, now } = session;
      await tx.add(Order, [
        { orderId, number, ...values, quotedOn: todayOf(session), userId, createdAt: now },
      ]);
    }
    await tx.add(
      OrderLine,
      lines.map((line, index) => ({ orderId, line: index + 1, ...line })),
    );
    return { number };
  },
);
