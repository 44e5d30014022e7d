import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { simulatedPrices } from '@/devices/metalFeed/simulated';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import { fetchMetalPrices, readMetalPrices, typeMetalPrice } from '../prices/metalPrices';
import { readDevices, setDevice } from './devices';

/** What a studio has beside it: of a new one nothing, and nothing that is invented ever enters real books. */

afterAll(closeBooks);

const MODE = process.env['PEWTERER_MODE'];
afterEach(() => {
  if (MODE === undefined) delete process.env['PEWTERER_MODE'];
  else process.env['PEWTERER_MODE'] = MODE;
});

const prices = { device: 'metal prices', kind: 'address' };

it('a new studio has none, and no price is fetched for it', async () => {
  const session = await openStudio();
  const devices = await readDevices(session);
  expect(Object.values(devices).map(({ kind }) => kind)).toEqual(['none', 'none', 'none', 'none']);
  expect(problemOf(await fetchMetalPrices(session)).message).toMatch(/No service for metal prices/);
  expect((await readMetalPrices(session)).last).toEqual([]);
});

it('a studio that keeps real books is given no stand-in', async () => {
  const session = await openStudio();
  process.env['PEWTERER_MODE'] = 'start';
  const simulated = { device: 'metal prices', kind: 'simulated', address: '' };
  expect(problemOf(await setDevice(session, newKey(), simulated)).fields?.['kind']).toMatch(/demonstration/);
  process.env['PEWTERER_MODE'] = 'demo';
  done(await setDevice(session, newKey(), simulated));
  expect((await readDevices(session))['metal prices'].kind).toBe('simulated');
});

it('prices come from the address that the house rules say', async () => {
  const session = await openStudio();
  const asked: string[] = [];
  const service = http.createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://service');
    asked.push(url.pathname);
    const [from, to] = [url.searchParams.get('from') ?? '', url.searchParams.get('to') ?? ''];
    response.end(JSON.stringify(simulatedPrices('USD', from, to)));
  });
  await new Promise<void>((listening) => service.listen(0, '127.0.0.1', listening));
  const { port } = service.address() as AddressInfo;
  try {
    done(await setDevice(session, newKey(), { ...prices, address: `http://127.0.0.1:${port}` }));
    expect(done(await fetchMetalPrices(session)).days).toBeGreaterThan(200);
    expect(asked).toEqual(['/prices']);
  } finally {
    service.close();
  }
  expect((await readMetalPrices(session)).last.map(({ metal }) => metal).sort()).toEqual([
    'copper',
    'gold',
    'silver',
  ]);
});

it.each([
  [{ ...prices, address: 'the market' }, 'address'],
  [{ ...prices, address: 'file:///etc/passwd' }, 'address'],
  [{ device: 'scale', kind: 'address', address: 'http://127.0.0.1' }, 'kind'],
  [{ device: 'kiln', kind: 'none', address: '' }, 'device'],
])('says beside the field what is wrong with %j', async (input, field) => {
  const session = await openStudio();
  expect(Object.keys(problemOf(await setDevice(session, newKey(), input)).fields ?? {})).toContain(field);
});

it('a price is typed as it was read, with its history', async () => {
  const session = await openStudio();
  const typed = { metal: 'silver', day: '2026-05-04', price: '31.1034768 USD', per: 'troy ounce' };
  expect(problemOf(await typeMetalPrice(session, newKey(), typed)).fields?.['price']).toMatch(
    /figures after/,
  );
  // 30.00 for 31.1034768 g are 964.52 a kilogram.
  done(await typeMetalPrice(session, newKey(), { ...typed, price: '30.00 USD' }));
  done(
    await typeMetalPrice(session, newKey(), {
      ...typed,
      day: '2026-05-05',
      price: '980.00 USD',
      per: 'kilogram',
    }),
  );
  const { last, history } = await readMetalPrices(session);
  expect(history.map(({ day, perKilogram }) => [day, perKilogram])).toEqual([
    ['2026-05-04', 96_452],
    ['2026-05-05', 98_000],
  ]);
  expect(last).toMatchObject([{ metal: 'silver', day: '2026-05-05' }]);
  const helper = await addTestHelper(session);
  expect(problemOf(await typeMetalPrice(helper, newKey(), { ...typed, price: '30.00 USD' })).kind).toBe(
    'forbidden',
  );
});
