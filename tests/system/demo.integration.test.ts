import { checkBooks } from '../../src/data/checkBooks';
import { appUrlFor } from '../../src/data/migrate';
import { closeDatabase } from '../../src/data/database';
import { findSignIn } from '../../src/data/beforeStudio';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { DEMO_OWNER } from '../../src/demo/people';
import { openDemo } from '../../src/demo/openDemo';
import { listOrders, showOrder } from '../../src/studio/orders/orders';
import { listPatterns } from '../../src/studio/patterns/patterns';
import { listCounts } from '../../src/studio/counting/counting';
import { showDrawer } from '../../src/studio/drawers/drawers';
import { showJars } from '../../src/studio/scrap/jars';
import { listToBuy } from '../../src/studio/toBuy/toBuy';
import { listSales } from '../../src/studio/selling/sales';
import { showShelf } from '../../src/studio/shelf/shelf';
import { EVER } from '../../src/studio/shelf/shelf.input';
import { showRack } from '../../src/studio/wire/rack';
import { openThrowaway, type Throwaway } from '../../scripts/lib/throwaway';

const DAY = new Date('2026-11-20T12:00:00Z');

let studio: Throwaway;
const before = process.env['PEWTERER_DATABASE_URL'];
beforeAll(async () => {
  studio = await openThrowaway();
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(studio.ownerUrl);
}, 60_000);
afterAll(async () => {
  await closeDatabase();
  if (before !== undefined) process.env['PEWTERER_DATABASE_URL'] = before;
  await studio.destroy();
});

it('is a working studio two years in, whose books add up; a run that is cut off goes on where it stopped', async () => {
  // Cut off in the middle, then run to the end, then once more.
  const cutOff = openDemo(DAY, (part) => {
    if (part > 0.3) throw new Error('pulled the plug');
  });
  await expect(cutOff).rejects.toThrow('pulled the plug');
  await openDemo(DAY, () => undefined);
  const books = await checkBooks(studio.ownerUrl);
  await openDemo(DAY, () => undefined);
  expect(await checkBooks(studio.ownerUrl)).toEqual(books);
  expect(books.differences).toEqual([]);

  const found = await findSignIn(DEMO_OWNER.login);
  const owner: StudioSession = {
    studioId: found?.studioId ?? '',
    userId: found?.userId ?? '',
    role: 'owner',
    now: DAY,
  };
  const rack = await showRack(owner, {});
  expect(rack.pieceCount).toBeGreaterThanOrEqual(300);
  expect(rack.specCount).toBeGreaterThanOrEqual(60);
  expect((await listPatterns(owner)).total).toBeGreaterThanOrEqual(12);
  for (const [ware, least] of [
    ['bead', 20],
    ['stone', 15],
    ['finding', 15],
    ['supply', 5],
  ] as const)
    expect((await showDrawer(owner, ware, {})).count).toBeGreaterThanOrEqual(least);
  const stones = (await showDrawer(owner, 'stone', {})).pieces;
  expect(
    stones.filter(({ detail }) => detail.ware === 'stone' && (detail.traced ?? []).length > 0),
  ).toHaveLength(1);
  expect((await showJars(owner)).length).toBeGreaterThanOrEqual(3);
  expect((await listCounts(owner)).map(({ postedAt }) => postedAt === null)).toEqual([true, false]);
  expect((await listToBuy(owner)).length).toBeGreaterThan(0);
  const shelf = await showShelf(owner, { state: EVER });
  expect(shelf.total).toBeGreaterThanOrEqual(250);
  const oldest = await showShelf(owner, { sort: 'oldest', state: EVER });
  const years =
    ((shelf.pieces[0]?.madeAt.valueOf() ?? 0) - (oldest.pieces[0]?.madeAt.valueOf() ?? 0)) / 86_400_000 / 365;
  expect(years).toBeGreaterThan(1.8);

  // Much of it was sold in two years, over four channels; some of it came back, some lies in a shop, and enough is there to sell.
  expect((await showShelf(owner)).total).toBeGreaterThanOrEqual(80);
  const [sales, returns] = [await listSales(owner), await listSales(owner, { only: 'returns' })];
  expect(sales.total).toBeGreaterThanOrEqual(100);
  const sold = await Promise.all(
    sales.channels.map(async ({ id }) => (await listSales(owner, { channel: id })).total),
  );
  expect(sold.filter((count) => count > 5)).toHaveLength(4);
  expect(returns.total).toBeGreaterThanOrEqual(2);
  expect((await showShelf(owner, { state: 'at a shop' })).total).toBeGreaterThan(3);
  // The weeks before the feasts bring more than those after them, when nobody stands on the green.
  const between = (from: string, to: string, channel?: string) => listSales(owner, { from, to, channel });
  expect((await between('2025-11-01', '2025-12-31')).gross).toBeGreaterThan(
    (await between('2026-01-01', '2026-02-28')).gross,
  );
  const fair = sales.channels.find(({ name }) => name === 'Fair on the green')?.id;
  expect((await between('2026-01-01', '2026-03-31', fair)).total).toBe(0);
  expect((await between('2025-11-01', '2025-12-31', fair)).total).toBeGreaterThan(5);
  // A quote is out, a ring is in work with its deposit, and a shop owes what it was handed over.
  const { orders, held, owed } = await listOrders(owner);
  expect(orders.map(({ standing }) => standing)).toEqual(['quoted', 'ordered', 'owed']);
  expect(held).toBe(2000);
  expect(owed).toBe(orders.at(-1)?.gross);
  expect((await showOrder(owner, 2))?.batch?.isOpen).toBe(true);
}, 900_000);
