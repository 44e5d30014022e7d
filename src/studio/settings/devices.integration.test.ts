import { day } from '@/core/calendar/day';
import { tag } from '@/core/tag';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { simulatedPrices } from '@/devices/metalFeed/simulated';
import {
  addTestHelper,
  closeBooks,
  done,
  makeOne,
  newKey,
  openStudio,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { fetchMetalPrices, readMetalPrices, typeMetalPrice } from '../prices/metalPrices';
import { readPdf } from '../../../tests/support/readPdf';
import { printLabels, readCalliper, readScale } from '../instruments/instruments';
import type { Outcome } from '../kernel/outcome';
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

/** A device on loopback for as long as something is done with it. */
async function withDevice<T>(
  answer: (request: http.IncomingMessage, response: http.ServerResponse) => void,
  work: (address: string) => Promise<T>,
): Promise<T> {
  const device = http.createServer(answer);
  await new Promise<void>((listening) => device.listen(0, '127.0.0.1', listening));
  try {
    return await work(`http://127.0.0.1:${(device.address() as AddressInfo).port}/`);
  } finally {
    await new Promise((closed) => device.close(closed));
  }
}

describe('instruments at an address', () => {
  const reads = async (device: string, answer: string, status = 200): Promise<Outcome<unknown>> => {
    const session = await openStudio();
    return withDevice(
      (_, response) => response.writeHead(status).end(answer),
      async (address) => {
        done(await setDevice(session, newKey(), { device, kind: 'address', address }));
        return device === 'scale' ? readScale(session) : readCalliper(session);
      },
    );
  };

  it.each([
    // The avoirdupois ounce is 28.349523125 g exactly (1959 yard and pound agreement).
    ['60.12 g', { mass: 60_120_000, division: 10_000 }],
    ['{"reading": "2 oz avdp", "division": "0.1 g"}', { mass: 56_699_046, division: 100_000 }],
  ])('a scale that shows %s', async (answer, weighed) => {
    expect(done(await reads('scale', answer))).toEqual(weighed);
  });

  it.each([
    ['0.72 mm', 720],
    ['0.72', 720],
    ['{"reading": ".0285 in", "resting": true}', 724],
  ])('a calliper that shows %s', async (answer, size) => {
    expect(done(await reads('calliper', answer))).toBe(size);
  });

  it.each([
    ['{"reading": "60.12 g", "resting": false}', 200, /not at rest/],
    ['heavy', 200, /shows “heavy”/],
    ['{"reading": ', 200, /answered “\{"reading":”/],
    ['x'.repeat(3000), 200, /longer than a reading/],
    ['60 g', 503, /answered 503/],
  ])('a scale that answers %.20s with %d is no reading', async (answer, status, why) => {
    expect(problemOf(await reads('scale', answer, status)).message).toMatch(why);
  });

  it('one that is not there is said, and so is one that the house rules do not have', async () => {
    const session = await openStudio();
    expect(problemOf(await readScale(session)).message).toMatch(/no scale at an address/);
    const gone = await withDevice(
      (_, response) => response.end(),
      (address) => Promise.resolve(address),
    );
    done(await setDevice(session, newKey(), { device: 'scale', kind: 'address', address: gone }));
    expect(problemOf(await readScale(session)).message).toMatch(/nothing answers at its address/);
  });

  it('a label printer is sent a page for each label', async () => {
    const session = await openStudio();
    await receive(session);
    await receive(session);
    const sent: Buffer[] = [];
    const kinds: unknown[] = [];
    const count = await withDevice(
      (request, response) => {
        kinds.push(request.method, request.headers['content-type']);
        request.on('data', (chunk: Buffer) => sent.push(chunk));
        request.on('end', () => response.end());
      },
      async (address) => {
        done(await setDevice(session, newKey(), { device: 'label printer', kind: 'address', address }));
        return printLabels(session, { tags: ['W-0001', 'W-0002'] });
      },
    );
    expect(done(count)).toBe(2);
    expect(kinds).toEqual(['POST', 'application/pdf']);
    const pages = readPdf(Buffer.concat(sent));
    expect(pages.map(({ texts }) => texts[0]?.text)).toEqual(['W-0001', 'W-0002']);
  });

  it('a label printer is sent tags of finished pieces, each a page as large as it is', async () => {
    const session = await openStudio();
    const piece = tag('piece', await makeOne(session));
    const printing = (tags: string[], as: string) =>
      withDevice(
        (request, response) => {
          request.on('data', (chunk: Buffer) => sent.push(chunk));
          request.on('end', () => response.end());
        },
        async (address) => {
          done(await setDevice(session, newKey(), { device: 'label printer', kind: 'address', address }));
          return printLabels(session, { tags, as });
        },
      );
    const sent: Buffer[] = [];
    expect(done(await printing([piece, 'W-0001'], 'string tag'))).toBe(1);
    const [page, ...more] = readPdf(Buffer.concat(sent));
    expect(more).toEqual([]);
    // 74 × 16 mm, in points of 1/72 in.
    expect(page?.width).toBeCloseTo((74 / 25.4) * 72, 0);
    expect(page?.height).toBeCloseTo((16 / 25.4) * 72, 0);
    expect(page?.texts.map(({ text }) => text)).toContain(piece);
    expect(problemOf(await printing(['W-0001'], 'price tag')).message).toMatch(/None of these is a finished/);
    expect(problemOf(await printing([piece], 'care card')).fields).toHaveProperty('as');
  });
});

it('prices come from the address that the house rules say', async () => {
  const session = await openStudio();
  const asked: string[] = [];
  const service = http.createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://service');
    asked.push(url.pathname);
    const [from, to] = [day(url.searchParams.get('from') ?? ''), day(url.searchParams.get('to') ?? '')];
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
  [{ device: 'scale', kind: 'by letter', address: '' }, 'kind'],
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
