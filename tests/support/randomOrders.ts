import type { Outcome } from '../../src/studio/kernel/outcome';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { acceptOrder, cancelOrder, handOver, payOrder } from '../../src/studio/orders/orderActs';
import { EMPTY_ORDER_LINE } from '../../src/studio/orders/orders.input';
import { writeOrder } from '../../src/studio/orders/writeOrder';
import { selling } from './selling';
import { newKey } from './studio';

/** What came of a random order: what of its deposit is held still, was kept, or was taken off its sale. */
export interface RandomOrder {
  readonly held: number;
  readonly kept: number;
  readonly used: number;
  /** The sale that it was handed over by, with what was asked for each piece. */
  readonly sale: { readonly number: number; readonly asked: readonly number[] } | null;
}

const dollars = (cents: number): string => `${(cents / 100).toFixed(2)} USD`;

/**
 * An order of pieces that lie on the shelf: quoted, accepted, paid for in part, some of that paid back; then handed over, cancelled, or left.
 * @param part decides how much is paid and what comes of it
 * @returns null where it was refused before anything was paid
 */
export async function orderAtRandom(
  owner: StudioSession,
  channel: string,
  pattern: number,
  pieces: readonly number[],
  part: number,
): Promise<{ readonly order: RandomOrder | null; readonly outcome: Outcome<unknown> }> {
  const asked = pieces.map((_, index) => 500 + ((part * 13 + index * 311) % 8000));
  const gross = asked.reduce((sum, each) => sum + each, 0);
  const written = await writeOrder(owner, newKey(), null, {
    ...{
      channel,
      buyer: 'Ines',
      address: '',
      wishes: '',
      validUntil: '',
      dueOn: '',
      deposit: '',
      payDays: '0',
    },
    lines: asked.map((price) => ({ ...EMPTY_ORDER_LINE, pattern: String(pattern), price: dollars(price) })),
  });
  if (!written.ok) return { order: null, outcome: written };
  const { number } = written.value;
  const accepted = await acceptOrder(owner, newKey(), number, { version: '1', dueOn: '', isMade: false });
  if (!accepted.ok) return { order: null, outcome: accepted };
  const pay = (way: string, amount: number) =>
    payOrder(owner, newKey(), number, {
      ...{ way, amount: dollars(amount), paidBy: 'cash', paidOn: '2026-05-03', note: '' },
    });
  const deposit = 1 + (part % gross);
  const paid = await pay('taken', deposit);
  if (!paid.ok) return { order: null, outcome: paid };
  // More than is still to pay is never taken.
  const tooMuch = await pay('taken', gross - deposit + 1);
  expect(tooMuch.ok).toBe(false);
  const back = Math.floor(deposit / 3);
  const isBack = back > 0 && (await pay('paid back', back)).ok;
  const held = deposit - (isBack ? back : 0);
  const left: RandomOrder = { held, kept: 0, used: 0, sale: null };
  if (part % 4 === 0) return { order: left, outcome: paid };
  if (part % 4 === 1) {
    const kept = part % 8 === 1;
    const how = { deposit: kept ? 'kept' : 'paid back', paidBy: 'cash', paidOn: '2026-05-04', note: '' };
    const outcome = await cancelOrder(owner, newKey(), number, how);
    return { order: outcome.ok ? { ...left, held: 0, kept: kept ? held : 0 } : left, outcome };
  }
  const form = selling(
    channel,
    pieces.map((piece, index) => [piece, dollars(asked[index] ?? 0)]),
    { soldOn: '2026-05-04' },
  );
  const outcome = await handOver(owner, newKey(), number, form);
  return outcome.ok
    ? { order: { held: 0, kept: 0, used: held, sale: { number: outcome.value.number, asked } }, outcome }
    : { order: left, outcome };
}
