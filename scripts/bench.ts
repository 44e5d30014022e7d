import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import { Sequelize } from 'sequelize';
import { cost } from '../src/core/units/money';
import { closeDatabase } from '../src/data/database';
import { inStudio, type StudioSession } from '../src/data/inStudio';
import { appUrlFor } from '../src/data/migrate';
import { Movement } from '../src/data/models/books';
import { hashPassword } from '../src/studio/people/passwords';
import { makePiece } from '../src/studio/making/makePiece';
import { proposeMaking } from '../src/studio/making/proposeMaking';
import { makeToken } from '../src/studio/tokens/tokens';
import { openStudio, receive, simplePattern } from '../tests/support/studio';
import { ensureBuilt } from './lib/build';
import { figures, get, sideBySide, tell } from './lib/figures';
import { measureCutting } from './lib/benchCutting';
import { grow, measureGrowth, measureHeavyMix, SIZES } from './lib/benchGrowth';
import { measureLog } from './lib/benchLog';
import { measurePieces } from './lib/benchPieces';
import { measureRedraw } from './lib/benchRedraw';
import { measureScript } from './lib/benchScript';
import { measureSelling } from './lib/benchSelling';
import { measureImport, measureLedger } from './lib/benchStockroom';
import { Refusal, runCommand, say } from './lib/say';
import { openThrowaway } from './lib/throwaway';
import { sessionCookieFor } from './lib/sessionCookie';

/** Gives the studio's owner a sign-in and answers with their session cookie. */
async function cookieOf(
  owner: Sequelize,
  { studioId, userId }: StudioSession,
  ownerUrl: string,
): Promise<string> {
  await owner.query(
    'UPDATE users SET password_hash = $hash WHERE studio_id = $studioId AND user_id = $userId',
    {
      bind: { hash: await hashPassword(randomUUID()), studioId, userId },
    },
  );
  return sessionCookieFor(ownerUrl, { studioId, userId, epoch: 1 });
}

/**
 * Fills a studio's rack to a number of stock pieces and movements, straight in the tables and in the shape that use leaves:
 * each piece received once and cut from many times. The balances follow from the movements, as check-books would find.
 */
async function fillRack(
  owner: Sequelize,
  { studioId, userId }: StudioSession,
  pieces: number,
  movements: number,
): Promise<void> {
  const cuts = Math.floor(movements / pieces) - 1;
  const bind = { studioId, userId, pieces, cuts };
  await owner.query(
    `INSERT INTO articles (studio_id, article_id, ware, name, said, identity, sort_key)
     SELECT $studioId, gen_random_uuid(), 'wire', 'copper ' || n, 'copper ' || n, 'copper ' || n, '00|0|' || lpad(n::text, 5, '0') FROM generate_series(1, 60) AS n`,
    { bind: { studioId } },
  );
  await owner.query(
    `INSERT INTO wire_specs (studio_id, spec_id, metal, profile, width_um, height_um, temper, finish, finish_name, gauge_system, gauge_number)
     SELECT studio_id, article_id, 'copper', 'round', 400 + n, 400 + n, 'dead soft', 'bare', '', 'mm', (0.4 + n / 1000.0)::text
       FROM (SELECT *, row_number() OVER (ORDER BY sort_key) AS n FROM articles WHERE studio_id = $studioId AND ware = 'wire') AS a`,
    { bind: { studioId } },
  );
  await owner.query(
    `INSERT INTO stock_pieces (studio_id, stock_piece_id, ware, number, article_id, form, initial_quantity, quantity, cost_units, sort_key, created_at)
     SELECT $studioId, gen_random_uuid(), 'wire', n, s.article_id, CASE WHEN n % 3 = 0 THEN 'off-cut' ELSE 'spool' END, 10000000, 10000000 - $cuts * 1000, 500000 - $cuts * 50, s.sort_key, now()
       FROM generate_series(1, $pieces) AS n
       JOIN (SELECT *, row_number() OVER (ORDER BY sort_key) AS i FROM articles WHERE studio_id = $studioId AND ware = 'wire') AS s ON s.i = 1 + n % 60`,
    { bind: { studioId, pieces, cuts } },
  );
  await owner.query(
    `INSERT INTO counters (studio_id, name, last) VALUES ($studioId, 'wire', $pieces)
     ON CONFLICT (studio_id, name) DO UPDATE SET last = excluded.last`,
    { bind: { studioId, pieces } },
  );
  await owner.query(
    `INSERT INTO movements (studio_id, post_key, happened_at, user_id, kind, stock_piece_id, article_id, quantity, cost_units)
     SELECT $studioId, gen_random_uuid(), now() - (1 - k::float8 / GREATEST($cuts, 1)) * INTERVAL '720 days', $userId, CASE WHEN k = 0 THEN 'received' ELSE 'cut' END, p.stock_piece_id, p.article_id,
            CASE WHEN k = 0 THEN 10000000 ELSE -1000 END, CASE WHEN k = 0 THEN 500000 ELSE -50 END
       FROM stock_pieces p CROSS JOIN generate_series(0, $cuts) AS k WHERE p.studio_id = $studioId`,
    { bind },
  );
}

/** Making a piece of six cuts beside the same number of rows inserted bare in one transaction. */
async function measureMaking(): Promise<void> {
  const session = await openStudio();
  await receive(session, { length: '5 km', price: '900.00 USD' });
  const pattern = await simplePattern(session, { count: '6' });
  const proposal = await proposeMaking(session, pattern.number);
  const from = proposal?.choices[0]?.id ?? '';
  const input = {
    cuts: (proposal?.cuts ?? []).map(({ cutIndex, copy }) => ({
      cutIndex,
      copy,
      from,
      cut: '100 mm',
      back: '0 mm',
    })),
    spoiled: [],
    minutes: '20',
    setUpMinutes: '10',
    sharedBy: '1',
  };
  const make = async () => {
    const outcome = await makePiece(session, randomUUID(), pattern, input);
    if (!outcome.ok) throw new Refusal(outcome.problem.message);
  };
  const bare = () =>
    inStudio(session, async (tx) => {
      for (let row = 0; row < 6; row += 1) {
        const common = {
          postKey: randomUUID(),
          happenedAt: session.now,
          userId: session.userId,
          stockPieceId: from,
          articleId: proposal?.choices[0]?.specId ?? '',
          lotId: null,
          reverses: null,
          pieceId: null,
        };
        await tx.add(Movement, [
          { ...common, kind: 'cut' as const, quantity: -1, costUnits: cost(0), reason: '' },
        ]);
      }
    });
  await sideBySide(10, make, bare);
  const [making, inserting] = await sideBySide(80, make, bare);
  tell({
    name: 'making a piece of 6 cuts against 6 bare inserts in one transaction',
    value: making / inserting,
    limit: 15,
    unit: ' ×',
  });
}

/** The rack with twenty-five times the lengths and movements. */
async function measureRack(url: string, cookies: readonly [string, string]): Promise<void> {
  const rack = (which: 0 | 1) => () => get(`${url}/rack`, cookies[which]);
  await sideBySide(40, rack(0), rack(1));
  const [few, many] = await sideBySide(150, rack(0), rack(1));
  tell({
    name: `rack page with 5,000 lengths and 100,000 movements (${many.toFixed(1)} ms) against 200 and 4,000 (${few.toFixed(1)} ms)`,
    value: many / few,
    limit: 1.5,
    unit: ' ×',
  });
}

const residentMegabytes = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

const REQUESTS = 10_000;
const AT_ONCE = 6;

/** Memory of the application over many requests of mixed pages: how high it stands, and whether it still climbs. */
async function measureMemory(pid: number, url: string, cookie: string): Promise<void> {
  const views = [
    '/rack',
    '/patterns',
    '/bench',
    '/shelf',
    '/rules',
    '/rack/W-0001',
    '/api/health',
    '/api/find?q=copper',
  ];
  const marks: number[] = [];
  for (let done = 0; done < REQUESTS; done += AT_ONCE) {
    await Promise.all(
      Array.from({ length: AT_ONCE }, (_, n) =>
        get(url + (views[(done + n) % views.length] ?? '/rack'), cookie),
      ),
    );
    if (done % 1000 < AT_ONCE) marks.push(residentMegabytes(pid));
  }
  const average = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / values.length;
  tell({
    name: `memory of the application after ${REQUESTS.toLocaleString('en-US')} requests`,
    value: residentMegabytes(pid),
    limit: 450,
    unit: ' MB',
  });
  // The last third against the middle one: a leak climbs on, a warm heap does not.
  const third = Math.floor(marks.length / 3);
  tell({
    name: 'memory in the last third of them against the middle third',
    value: average(marks.slice(-third)) / average(marks.slice(third, 2 * third)),
    limit: 1.1,
    unit: ' ×',
  });
}

/** What can be measured by itself. */
const PARTS = [
  ...['script', 'making', 'rack', 'growth', 'ledger', 'log'],
  ...['import', 'cutting', 'redraw', 'pieces', 'selling'],
];

/** "./run bench" measures everything; with names of {@link PARTS} only those, for working on them. */
runCommand(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.filter((part) => !PARTS.includes(part));
  if (unknown.length > 0)
    throw new Refusal(`There is no ${unknown.join(', ')} to measure; there are ${PARTS.join(', ')}.`);
  const wanted = (part: string) => asked.length === 0 || asked.includes(part);
  ensureBuilt();
  if (wanted('script')) await measureScript();
  // As durable as a studio's own, or writing would look faster than it is.
  const studio = await openThrowaway({ durable: true });
  const owner = new Sequelize(studio.ownerUrl, { dialect: 'postgres', logging: false });
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(studio.ownerUrl);
  try {
    const app = await studio.serve();
    const cookie = (session: StudioSession) => cookieOf(owner, session, studio.ownerUrl);
    /** Two studios, the second with many times what the first has. */
    const twoRacks = async (small: readonly [number, number], large: readonly [number, number]) => {
      const [a, b] = [await openStudio(), await openStudio()];
      await fillRack(owner, a, ...small);
      await fillRack(owner, b, ...large);
      await owner.query('VACUUM ANALYZE');
      return { large: b, sessions: [a, b] as const, cookies: [await cookie(a), await cookie(b)] as const };
    };
    if (wanted('making')) await measureMaking();
    if (wanted('rack')) {
      const { cookies } = await twoRacks([200, 4000], [5000, 100_000]);
      await measureRack(app.url, cookies);
      await measureMemory(app.process.pid ?? 0, app.url, cookies[1]);
    }
    if (wanted('growth')) {
      const { sessions, cookies } = await twoRacks([60, 600], [1000, 20_000]);
      for (const which of [0, 1] as const) await grow(sessions[which], SIZES[which]);
      await owner.query('VACUUM ANALYZE');
      await measureGrowth(app.url, cookies);
      await measureHeavyMix(app.process.pid ?? 0, app.url, cookies[1]);
    }
    if (wanted('ledger')) {
      const { large, cookies } = await twoRacks([200, 10_000], [5000, 1_000_000]);
      await measureLedger(app.url, large, cookies);
    }
    if (wanted('log')) await measureLog(app.url, owner, cookie);
    if (wanted('selling')) await measureSelling(app.url, owner, cookie);
    if (wanted('import')) await measureImport(await openStudio());
    if (wanted('cutting')) {
      const session = await openStudio();
      const token = await makeToken(session, randomUUID(), { name: 'bench', role: 'owner' }, 'bench');
      if (!token.ok) throw new Refusal(token.problem.message);
      const keys = { cookie: await cookie(session), token: token.value };
      await measureCutting(app.url, app.process.pid ?? 0, keys);
    }
    if (wanted('redraw')) {
      const session = await openStudio();
      await measureRedraw(app.url, session, await cookie(session));
    }
    if (wanted('pieces')) {
      const session = await openStudio();
      await measurePieces(app.url, session, await cookie(session));
    }
  } finally {
    await owner.close();
    await closeDatabase();
    await studio.destroy();
  }
  const missed = figures.filter(({ value, limit }) => !(value <= limit));
  if (missed.length > 0) throw new Refusal(`${missed.length} of ${figures.length} figures miss their limit.`);
  say(`All ${figures.length} figures hold.`);
});
