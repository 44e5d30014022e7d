import fc from 'fast-check';
import { um } from '@/core/units/length';
import { massOfLength } from '@/core/wire/mass';
import { Bench, openAsker, operation, type Operation, type Sold } from '../../tests/support/randomWork';
import type { RandomOrder } from '../../tests/support/randomOrders';
import { HARBOUR_FAIR } from '../../tests/support/selling';
import { addTestHelper, done, newKey, openStudio, receive, simplePattern } from '../../tests/support/studio';
import { look, type StudioSession } from './kernel/useCase';
import { specsById } from './catalogue/wireSpecs';
import { listChannels, writeChannel } from './selling/channels';

/** Ten thousand random operations of a stockroom, several at a time: nothing may be lost or made up. */

const asker = openAsker();

/** Studios that work side by side, and how many each lane of them opens one after another. */
const LANES = 5;
const RUNS = 5;
const OPERATIONS = 400;
const AT_ONCE = 4;

interface Sum {
  readonly ware: string;
  readonly kind: string;
  readonly quantity: number;
  readonly cost: number;
}

/** Asks the database itself, past the application. */
async function asked<Row extends object>(sql: string, ...bind: readonly unknown[]): Promise<Row[]> {
  return asker().ask<Row>(sql, bind);
}

async function expectConserved({ owner, bought, sold, orders }: Bench): Promise<void> {
  const { studioId } = owner;
  const sums = await asked<Sum>(
    `SELECT a.ware, m.kind, sum(m.quantity)::float8 AS quantity, sum(m.cost_units)::float8 AS cost FROM movements m
       JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id WHERE m.studio_id = $1 GROUP BY 1, 2`,
    studioId,
  );
  const stock = await asked<Omit<Sum, 'kind'>>(
    'SELECT ware, sum(quantity)::float8 AS quantity, sum(cost_units)::float8 AS cost FROM stock_pieces WHERE studio_id = $1 GROUP BY 1',
    studioId,
  );
  const undone = new Set(
    (
      await asked<{ key: string }>(
        `SELECT m.post_key AS key FROM movements m JOIN movements r ON r.studio_id = m.studio_id AND r.reverses = m.movement_id
          WHERE m.studio_id = $1 AND m.kind = 'received'`,
        studioId,
      )
    ).map(({ key }) => key),
  );
  const of = (ware: string, ...kinds: string[]) => {
    const found = sums.filter((each) => each.ware === ware && kinds.includes(each.kind));
    return {
      quantity: found.reduce((total, each) => total + each.quantity, 0),
      cost: found.reduce((total, each) => total + each.cost, 0),
    };
  };
  for (const ware of ['wire', 'bead', 'finding']) {
    const mine = [...bought]
      .filter(([key, each]) => each.ware === ware && !undone.has(key))
      .map(([, each]) => each);
    const received = of(ware, 'received');
    // What the test bought and did not take back is what came in.
    expect(received).toEqual({
      quantity: mine.reduce((total, each) => total + each.quantity, 0),
      cost: mine.reduce((total, each) => total + each.price * 1000, 0),
    });
    const held = stock.find((each) => each.ware === ware) ?? { quantity: 0, cost: 0 };
    const gone = of(ware, 'cut', 'returned', 'used', 'scrapped', 'spoiled');
    const corrected = of(ware, 'weighed', 'counted');
    const made = of(ware, 'made', 'salvaged');
    const turned = of(ware, 'twisted', 'relabelled', 'split');
    expect(turned.cost).toBe(0);
    expect(received.quantity + made.quantity).toBe(
      held.quantity - gone.quantity - corrected.quantity - turned.quantity,
    );
    expect(received.cost + made.cost).toBe(held.cost - gone.cost - corrected.cost);
  }
  // The jars hold what was scrapped and spoiled and not sent off, in weight and in money.
  const held = stock.find(({ ware }) => ware === 'scrap') ?? { quantity: 0, cost: 0 };
  const [jarred, salvaged, refined, lost] = [
    of('scrap', 'jarred'),
    of('scrap', 'salvaged'),
    of('scrap', 'refined'),
    of('wire', 'scrapped', 'spoiled'),
  ];
  expect({
    quantity: jarred.quantity + salvaged.quantity + refined.quantity,
    cost: jarred.cost + salvaged.cost + refined.cost,
  }).toEqual({
    quantity: held.quantity,
    cost: held.cost,
  });
  expect(jarred.cost + lost.cost).toBe(0);
  await expectMassKept(owner, jarred.quantity);
  const paid = [...bought]
    .filter(([key]) => !undone.has(key))
    .reduce((total, [, { price }]) => total + price * 1000, 0);
  await expectMoneyKept(studioId, paid, sold);
  await expectDepositsKept(studioId, orders);
}

/** What was paid for orders is held for those that are open, was taken off what was handed over, went back, or is the studio’s own now. */
async function expectDepositsKept(studioId: string, orders: readonly RandomOrder[]): Promise<void> {
  const total = (of: (order: RandomOrder) => number) => orders.reduce((sum, order) => sum + of(order), 0);
  const [is] = await asked<Record<'held' | 'paid' | 'used' | 'kept' | 'count' | 'last', number>>(
    `SELECT (SELECT COALESCE(sum(paid), 0)::float8 FROM orders WHERE studio_id = $1 AND state = 'ordered') AS held,
            (SELECT COALESCE(sum(amount), 0)::float8 FROM order_payments WHERE studio_id = $1) AS paid,
            (SELECT COALESCE(sum(paid_before), 0)::float8 FROM sales WHERE studio_id = $1) AS used,
            (SELECT COALESCE(-sum(amount), 0)::float8 FROM order_payments WHERE studio_id = $1 AND kind = 'kept') AS kept,
            (SELECT count(*)::int FROM order_payments WHERE studio_id = $1) AS count,
            (SELECT COALESCE(max(number), 0)::int FROM order_payments WHERE studio_id = $1) AS last`,
    studioId,
  );
  expect(is).toMatchObject({
    held: total(({ held }) => held),
    used: total(({ used }) => used),
    kept: total(({ kept }) => kept),
    paid: total(({ held, used }) => held + used),
  });
  expect(is?.count).toBe(is?.last);
}

/**
 * What was paid for stock is in stock still, in pieces that are the studio's, in what was sold, or gone in a way that somebody wrote down; and
 * receipts sum to what the test asked, by its own arithmetic.
 */
async function expectMoneyKept(studioId: string, paid: number, sold: readonly Sold[]): Promise<void> {
  const [is] = await asked<Record<'stock' | 'pieces' | 'sold' | 'gone' | 'salvaged' | 'beside', number>>(
    `SELECT (SELECT COALESCE(sum(cost_units), 0)::float8 FROM stock_pieces WHERE studio_id = $1) AS stock,
            (SELECT COALESCE(sum(wire_cost + parts_taken + supplies_cost), 0)::float8 FROM pieces WHERE studio_id = $1
               AND struck_at IS NULL AND state IN ('on the shelf', 'reserved', 'at a shop')) AS pieces,
            (SELECT COALESCE(sum(cost_units), 0)::float8 FROM sale_lines WHERE studio_id = $1) AS sold,
            (SELECT COALESCE(-sum(cost_units), 0)::float8 FROM piece_events WHERE studio_id = $1 AND sale_id IS NULL) AS gone,
            (SELECT COALESCE(sum(cost_units), 0)::float8 FROM movements WHERE studio_id = $1 AND kind = 'salvaged') AS salvaged,
            -- Findings with the hours in them, what was used by hand, sent off, or set right by scale and count.
            (SELECT COALESCE(-sum(cost_units), 0)::float8 FROM movements WHERE studio_id = $1 AND piece_id IS NULL
               AND kind IN ('made', 'cut', 'used', 'refined', 'weighed', 'counted')) AS beside`,
    studioId,
  );
  if (!is) throw new Error('it has books');
  expect(paid).toBe(is.stock + is.pieces + is.sold + (is.gone - is.salvaged) + is.beside);
  const kept = sold.filter(({ isBack }) => !isBack);
  const sums = kept.map(({ asked: tags }) => tags.reduce((sum, each) => sum + each, 0));
  const total = (of: (gross: number) => number) => sums.reduce((sum, gross) => sum + of(gross), 0);
  const [told] = await asked<Record<'gross' | 'tax' | 'fees', number>>(
    `SELECT COALESCE(sum(gross), 0)::float8 AS gross, COALESCE(sum(tax), 0)::float8 AS tax, COALESCE(sum(fees), 0)::float8 AS fees
       FROM sales WHERE studio_id = $1`,
    studioId,
  );
  expect(told).toEqual({
    gross: total((gross) => gross),
    // A sixth of what is paid is tax; halves of a cent go up.
    tax: total((gross) => Math.floor(gross / 6 + 0.5)),
    fees: total((gross) => Math.floor((gross * 3) / 100 + 0.5) + 10),
  });
  const [receipts] = await asked<{ count: number; last: number }>(
    'SELECT count(*)::int AS count, COALESCE(max(number), 0) AS last FROM sales WHERE studio_id = $1',
    studioId,
  );
  expect(receipts?.count).toBe(receipts?.last);
}

/** Every snip weighs what its length of its wire does. */
async function expectMassKept(owner: StudioSession, jarred: number): Promise<void> {
  const snips = await asked<{ article: string; length: number }>(
    `SELECT article_id AS article, -quantity::float8 AS length FROM movements WHERE studio_id = $1 AND kind IN ('scrapped', 'spoiled')`,
    owner.studioId,
  );
  const specs = await look(owner, (tx) => specsById(tx, [...new Set(snips.map(({ article }) => article))]));
  const mass = snips.reduce((total, { article, length }) => {
    const spec = specs.get(article);
    const each = spec ? Math.max(1, massOfLength(spec, um(Math.abs(length)))) : 0;
    return total + Math.sign(length) * each;
  }, 0);
  expect(jarred).toBe(mass);
}

/** Lets a fresh studio do some random work, and checks that all of it is still there. @returns how many operations were taken */
async function workAndCheck(operations: readonly Operation[]): Promise<number> {
  const owner = await openStudio();
  const helper = await addTestHelper(owner);
  await receive(owner, { length: '3 m', price: '12.34 USD' });
  // Its parts are the head pins that come in: pieces take them out of the drawer while there are any.
  const pattern = await simplePattern(owner, { count: '2', part: 'brass head pin' });
  done(await writeChannel(owner, newKey(), null, HARBOUR_FAIR));
  const [stall] = await listChannels(owner);
  const bench = new Bench(asker(), owner, helper, pattern, stall?.id);
  const [first] = await asked<{ key: string }>(
    'SELECT post_key AS key FROM movements WHERE studio_id = $1',
    owner.studioId,
  );
  bench.bought.set(first?.key ?? '', { ware: 'wire', quantity: 3_000_000, price: 1234 });
  for (let index = 0; index < operations.length; index += AT_ONCE)
    await Promise.all(operations.slice(index, index + AT_ONCE).map((each) => bench.run(each)));
  await expectConserved(bench);
  return bench.taken;
}

it('received = in stock + in pieces + sold + used + scrapped + spoiled + corrections, in length, count, mass and money', async () => {
  let taken = 0;
  const manyOperations = fc.array(operation, {
    minLength: OPERATIONS,
    maxLength: OPERATIONS,
    size: 'max',
  });
  const property = fc.asyncProperty(manyOperations, async (operations) => {
    const done = await workAndCheck(operations);
    taken += done;
  });
  await Promise.all(
    Array.from({ length: LANES }, () => fc.assert(property, { numRuns: RUNS, endOnFailure: true })),
  );
  const [parts] = await asked<{ taken: number }>(
    `SELECT count(*)::int AS taken FROM movements m JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
      WHERE m.kind = 'used' AND m.piece_id IS NOT NULL AND a.name = 'brass head pin'`,
  );
  expect(parts?.taken).toBeGreaterThan(LANES * RUNS);
  const [life] = await asked<Record<'sales' | 'returns' | 'broken' | 'orders', number>>(
    `SELECT (SELECT count(*) FROM sales WHERE return_of IS NULL)::int AS sales, (SELECT count(*) FROM sales WHERE return_of IS NOT NULL)::int AS returns,
            (SELECT count(*) FROM orders WHERE state = 'handed over')::int AS orders,
            (SELECT count(*) FROM piece_events WHERE turn = 'broken up' AND undoes IS NULL)::int AS broken`,
  );
  expect(life?.sales).toBeGreaterThan(LANES * RUNS * 5);
  expect(life?.returns).toBeGreaterThan(LANES * RUNS);
  expect(life?.broken).toBeGreaterThan(LANES * RUNS);
  expect(life?.orders).toBeGreaterThan(LANES * RUNS);
  // Most of the ten thousand are taken; the rest is refused, as it should be.
  expect(taken).toBeGreaterThan(0.4 * LANES * RUNS * OPERATIONS);
}, 2_400_000);
