import fc from 'fast-check';
import { um } from '@/core/units/length';
import { massOfLength } from '@/core/wire/mass';
import { Bench, openAsker, operation, type Operation } from '../../tests/support/randomWork';
import { addTestHelper, openStudio, receive, simplePattern } from '../../tests/support/studio';
import { look, type StudioSession } from './kernel/useCase';
import { specsById } from './catalogue/wireSpecs';

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

async function expectConserved({ owner, bought }: Bench): Promise<void> {
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
    const made = of(ware, 'made');
    const turned = of(ware, 'twisted', 'relabelled', 'split');
    expect(turned.cost).toBe(0);
    expect(received.quantity + made.quantity).toBe(
      held.quantity - gone.quantity - corrected.quantity - turned.quantity,
    );
    expect(received.cost + made.cost).toBe(held.cost - gone.cost - corrected.cost);
  }
  // The jars hold what was scrapped and spoiled and not sent off, in weight and in money.
  const held = stock.find(({ ware }) => ware === 'scrap') ?? { quantity: 0, cost: 0 };
  const [jarred, refined, lost] = [
    of('scrap', 'jarred'),
    of('scrap', 'refined'),
    of('wire', 'scrapped', 'spoiled'),
  ];
  expect({ quantity: jarred.quantity + refined.quantity, cost: jarred.cost + refined.cost }).toEqual({
    quantity: held.quantity,
    cost: held.cost,
  });
  expect(jarred.cost + lost.cost).toBe(0);
  await expectMassKept(owner, jarred.quantity);
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
  const bench = new Bench(asker(), owner, helper, pattern);
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

it('received = in stock + used + scrapped + spoiled + corrections, in length, count, mass and money', async () => {
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
  // Most of the ten thousand are taken; the rest is refused, as it should be.
  expect(taken).toBeGreaterThan(0.4 * LANES * RUNS * OPERATIONS);
}, 2_400_000);
