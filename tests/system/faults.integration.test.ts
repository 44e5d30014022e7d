import { readdirSync, readFileSync, openSync, closeSync, mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { ANSWERED, PAGES } from '../browser/support/routes';
import { startApp, type App } from '../../scripts/lib/app';
import { freePort } from '../../scripts/lib/ports';
import { sessionCookieFor } from '../../scripts/lib/sessionCookie';
import { openThrowaway, type Throwaway } from '../../scripts/lib/throwaway';
import { closeDatabase } from '../../src/data/database';
import { appUrlFor } from '../../src/data/migrate';
import { needsSetUp, setUpStudio } from '../../src/studio/people/setUpStudio';

/** The production build when things break under it: the error page, the log, a killed database, two copies. */

const scratch = mkdtempSync(path.join(os.tmpdir(), 'pewterer-faults-'));
const logFile = path.join(scratch, 'log');
const before = process.env['PEWTERER_DATABASE_URL'];
let studio: Throwaway;
let app: App;
let cookie = '';
let log: number;

const SET_UP = {
  studioName: 'Kettle Lane',
  ownerName: 'Ines',
  login: 'ines',
  password: 'long enough now',
  currency: 'EUR',
  lengthSystem: 'mm',
  hourlyRate: '20.00 EUR',
  overheadPerHour: '3.00 EUR',
};

beforeAll(async () => {
  // Durable: what is confirmed has to outlive the killing.
  studio = await openThrowaway({ durable: true });
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(studio.ownerUrl);
  log = openSync(logFile, 'w');
  app = await startApp({
    ownerUrl: studio.ownerUrl,
    host: '127.0.0.1',
    port: await freePort(),
    mode: 'test',
    output: log,
  });
}, 90_000);

afterAll(async () => {
  await app.stop();
  closeSync(log);
  await closeDatabase();
  if (before !== undefined) process.env['PEWTERER_DATABASE_URL'] = before;
  await studio.destroy();
  rmSync(scratch, { recursive: true, force: true });
});

const get = (url: string, base = app.url) => fetch(base + url, { headers: { cookie }, redirect: 'manual' });

it('leads the first visit to setting up, and lets one of two first visits win', async () => {
  const first = await get('/rack');
  expect([first.status, new URL(first.headers.get('location') ?? '', app.url).pathname]).toEqual([
    307,
    '/set-up',
  ]);
  expect(await needsSetUp()).toBe(true);
  const outcomes = await Promise.all([
    setUpStudio(SET_UP, new Date()),
    setUpStudio({ ...SET_UP, login: 'other' }, new Date()),
  ]);
  expect(outcomes.filter(({ ok }) => ok)).toHaveLength(1);
  const [winner] = outcomes.flatMap((outcome) => (outcome.ok ? [outcome.value] : []));
  if (!winner) throw new Error('nobody won');
  cookie = await sessionCookieFor(studio.ownerUrl, {
    studioId: winner.studioId,
    userId: winner.userId,
    epoch: 1,
  });
  expect((await get('/rack')).status).toBe(200);
});

it('takes no cookie that it did not seal', async () => {
  const response = await fetch(`${app.url}/rack`, {
    headers: { cookie: 'pewterer-session=Fe26.2*1*made*up' },
    redirect: 'manual',
  });
  expect(response.status).toBe(307);
});

it('serves one studio from two copies that share nothing but the database', async () => {
  const copy = await startApp({
    ownerUrl: studio.ownerUrl,
    host: '127.0.0.1',
    port: await freePort(),
    mode: 'test',
    output: 'ignore',
  });
  try {
    expect((await get('/rack', copy.url)).status).toBe(200);
  } finally {
    await copy.stop();
  }
});

describe('what strangers send', () => {
  const send = (path: string, body: string | ReadableStream, headers: Record<string, string> = {}) =>
    fetch(app.url + path, {
      method: 'POST',
      body,
      headers: { 'content-type': 'application/json', ...headers },
      redirect: 'manual',
      ...(typeof body === 'string' ? {} : { duplex: 'half' }),
    } as RequestInit);
  const brackets = '['.repeat(11_000_000);

  it('is refused by its length before anything reads it: brackets, form fields, a body that says no length', async () => {
    const action = { 'next-action': 'a'.repeat(42) };
    expect((await send('/sign-in', brackets, action)).status).toBe(413);
    const form = new FormData();
    for (let field = 0; field < 50_000; field += 1) form.append(`${field}`, '');
    expect((await fetch(`${app.url}/sign-in`, { method: 'POST', body: form })).status).toBe(413);
    let chunks = 0;
    const unsaid = new ReadableStream({
      pull: (into) => ((chunks += 1) > 200 ? into.close() : into.enqueue(new Uint8Array(65_536).fill(91))),
    });
    expect((await send('/sign-in', unsaid, action)).status).toBe(411);
    expect(
      (await send('/rack', brackets, { ...action, cookie: 'pewterer-session=Fe26.2*1*made*up' })).status,
    ).toBe(413);
  });

  it('is read no further than it may be long when it comes with a token', async () => {
    expect((await send('/api/v1/calculate/wire', brackets)).status).toBe(401);
    expect((await send('/api/v1/calculate/wire', brackets, { authorization: 'Bearer made-up' })).status).toBe(
      401,
    );
  });

  it('the forms that strangers may send still come in', async () => {
    const page = await (await fetch(`${app.url}/sign-in`)).text();
    expect(page).toMatch(/Sign in/);
    expect((await send('/sign-in', '[]', { 'next-action': 'a'.repeat(42) })).status).not.toBe(413);
  });
});

it('shows an error page with an id that the log knows, and gives nothing else away', async () => {
  const owner = new pg.Client(studio.ownerUrl);
  await owner.connect();
  await owner.query('ALTER TABLE stock_pieces RENAME TO mislaid');
  const response = await get('/rack');
  await owner.query('ALTER TABLE mislaid RENAME TO stock_pieces');
  await owner.end();
  expect(response.status).toBe(500);
  const page = await response.text();
  expect(page).not.toMatch(/stock_pieces|SELECT|node_modules/);
  const entries = readFileSync(logFile, 'utf8')
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map(
      (line) =>
        JSON.parse(line) as {
          errorId?: string;
          requestId?: string;
          err?: { message: string };
          path?: string;
        },
    );
  const entry = entries.find(({ err }) => err?.message.includes('stock_pieces'));
  expect(entry).toMatchObject({ path: '/rack', requestId: response.headers.get('x-request-id') });
  expect(page).toContain(entry?.errorId ?? 'no id in the log');
  expect((await get('/rack')).status).toBe(200);
});

describe('addresses', () => {
  /** Every part of a query that some page reads. */
  const KEYS = [
    ...new Set(
      sourcesOfPages().flatMap((source) =>
        [...source.matchAll(/'([a-zA-Z]+)'/g)].map(([, key]) => key ?? ''),
      ),
    ),
  ];
  const ODD = [
    '',
    'x',
    '-1',
    '0',
    '99999999999999999999',
    '1e999',
    "' OR 1=1 --",
    '%',
    '2026-02-31',
    '🪡',
    '\u0000',
    '../..',
    'S-0001',
    'a'.repeat(300),
  ];

  it.each([...PAGES, ...ANSWERED].map(({ address }) => address.split('?')[0] ?? ''))(
    '%s answers whatever its query is',
    async (address) => {
      const queries = [
        ...ODD.map((value) => new URLSearchParams(KEYS.map((key) => [key, value]))),
        new URLSearchParams(
          KEYS.flatMap((key) => [
            [key, 'x'],
            [key, '1'],
          ]),
        ),
      ];
      for (const query of queries) {
        const { status } = await get(`${address}?${query.toString()}`);
        if (status >= 500)
          throw new Error(`${address} answers ${status} to ${query.toString().slice(0, 400)}`);
      }
    },
  );
});

/** The pages and routes, as they are written. */
function sourcesOfPages(folder = 'src/app'): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /^(page|route)\.tsx?$/.test(entry.name))
    .map((entry) => readFileSync(path.join(entry.parentPath, entry.name), 'utf8'));
}

it('tells when the database is gone, and heals by itself when it is back', async () => {
  for (let round = 0; round < 3; round += 1) {
    const pid = studio.cluster.pid();
    if (pid === undefined) throw new Error('the database is not running');
    process.kill(pid, 'SIGKILL');
    await until(async () => (await get('/api/health')).status === 503);
    await studio.cluster.revive();
    expect((await get('/rack')).status).toBe(200);
    expect((await get('/api/health')).status).toBe(200);
  }
}, 90_000);

async function until(what: () => Promise<boolean>): Promise<void> {
  const giveUp = Date.now() + 20_000;
  while (!(await what())) {
    if (Date.now() > giveUp) throw new Error('it did not come to pass');
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}
