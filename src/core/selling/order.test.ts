import fc from 'fast-check';
import { day } from '../calendar/day';
import { minor } from '../units/money';
import type { ChannelTerms } from './channel';
import {
  allowOrder,
  mayOrder,
  ORDER_STATES,
  payBack,
  payByOf,
  pricesOfOrder,
  reckonOrder,
  standingOfOrder,
  stillToPay,
  takeMoney,
  type OrderAct,
  type OrderDays,
} from './order';

const TERMS: ChannelTerms = {
  feePercent: 0,
  feeOn: 'net',
  feeFixed: minor(0),
  postageAsked: minor(600),
  postage: minor(550),
  packing: minor(40),
  tax: { kind: 'added', percent: 2000 },
};

describe('what an order comes to', () => {
  it('asks the price of a line for each of its pieces, and is taxed and sent as a sale is', () => {
    const lines = [
      { count: 3, price: minor(1250) },
      { count: 1, price: minor(4000) },
    ];
    expect(pricesOfOrder(lines)).toEqual([1250, 1250, 1250, 4000]);
    // By hand: 3 × 12.50 + 40.00 + 6.00 sending = 83.50; a fifth of that is 16.70.
    expect(reckonOrder(lines, TERMS, 'document').total).toEqual({ net: 8350, tax: 1670, gross: 10_020 });
  });
});

describe('what is done with an order', () => {
  it('is allowed as far as it is', () => {
    const allowed = (act: OrderAct) => ORDER_STATES.filter((state) => mayOrder(state, act));
    expect(allowed('change')).toEqual(['quoted']);
    expect(allowed('accept')).toEqual(['quoted']);
    expect(allowed('take money')).toEqual(['ordered', 'handed over']);
    expect(allowed('hand over')).toEqual(['ordered']);
    expect(allowed('cancel')).toEqual(['quoted', 'ordered']);
  });

  it('is refused with how it stands', () => {
    expect(allowOrder('cancelled', 'take money', 'Q-0003')).toEqual({
      ok: false,
      error: 'Q-0003 is cancelled; nothing is paid for it.',
    });
    expect(allowOrder('ordered', 'hand over', 'Q-0003')).toEqual({ ok: true, value: null });
  });
});

describe('money of an order', () => {
  it('takes no more than is still to pay, and pays back no more than was paid', () => {
    const money = { gross: minor(10_020), paid: minor(3000) };
    expect(stillToPay(money)).toBe(7020);
    expect(takeMoney(money, minor(7020), 'USD')).toEqual({ ok: true, value: 10_020 });
    expect(takeMoney(money, minor(7021), 'USD')).toEqual({
      ok: false,
      error: '$70.21 was given; $70.20 is still to pay.',
    });
    expect(takeMoney({ gross: minor(100), paid: minor(100) }, minor(1), 'USD')).toEqual({
      ok: false,
      error: '$0.01 was given; all of it is paid.',
    });
    expect(payBack(money, minor(3000), 'USD')).toEqual({ ok: true, value: 0 });
    expect(payBack(money, minor(3001), 'USD')).toEqual({
      ok: false,
      error: '$30.01 was given; $30.00 was paid for it.',
    });
  });

  it('whatever is given and taken back, what was paid stays between nothing and all of it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 50_000 }),
        fc.array(fc.integer({ min: -30_000, max: 30_000 }), { maxLength: 30 }),
        (gross, moves) => {
          let paid = minor(0);
          for (const move of moves) {
            const next =
              move < 0
                ? payBack({ paid }, minor(-move), 'EUR')
                : takeMoney({ gross: minor(gross), paid }, minor(move), 'EUR');
            if (next.ok) {
              expect(next.value - paid).toBe(move);
              paid = next.value;
            }
            expect(paid).toBeGreaterThanOrEqual(0);
            expect(paid + stillToPay({ gross: minor(gross), paid })).toBe(gross);
          }
        },
      ),
    );
  });
});

describe('how an order stands on a day', () => {
  const ORDER: OrderDays = {
    state: 'quoted',
    validUntil: day('2026-03-10'),
    dueOn: day('2026-04-01'),
    payBy: null,
    gross: minor(5000),
    paid: minor(1000),
  };
  const stands = (more: Partial<OrderDays>, today: string) =>
    standingOfOrder({ ...ORDER, ...more }, day(today));

  it('a quote holds through its last day', () => {
    expect(stands({}, '2026-03-10')).toBe('quoted');
    expect(stands({}, '2026-03-11')).toBe('lapsed');
    expect(stands({ validUntil: null }, '2029-01-01')).toBe('quoted');
  });

  it('what is promised is late after its day, and only until it is handed over', () => {
    expect(stands({ state: 'ordered' }, '2026-04-01')).toBe('ordered');
    expect(stands({ state: 'ordered' }, '2026-04-02')).toBe('late');
    expect(stands({ state: 'handed over', paid: minor(5000) }, '2026-04-02')).toBe('handed over');
  });

  it('what is handed over is owed until it is paid, and overdue after its day', () => {
    const owed = { state: 'handed over', payBy: payByOf(day('2026-04-01'), 30) } as const;
    expect(owed.payBy).toBe('2026-05-01');
    expect(stands(owed, '2026-05-01')).toBe('owed');
    expect(stands(owed, '2026-05-02')).toBe('overdue');
    expect(stands({ ...owed, paid: minor(5000) }, '2026-05-02')).toBe('handed over');
    expect(payByOf(day('2026-04-01'), 0)).toBeNull();
    expect(stands({ state: 'cancelled' }, '2030-01-01')).toBe('cancelled');
  });
});
