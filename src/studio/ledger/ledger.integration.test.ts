import { day, dayIn } from '@/core/calendar/day';
import { checkBooks } from '@/data/checkBooks';
import { dropClosings } from '@/data/dropClosings';
import { recordBookCheck } from '@/data/recordBookCheck';
import { BEADS } from '../../../tests/support/purchases';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  newKey,
  openAsOwner,
  openStudio,
  problemOf,
  receive,
  ofGauge,
} from '../../../tests/support/studio';
import { lastBookCheck } from '../books/lastCheck';
import { receiveBeads } from '../drawers/receive';
import { type StudioSession } from '../kernel/useCase';
import { sendForRefining, showJar, showJars } from '../scrap/jars';
import { takeOut } from '../stock/takeOut';
import { partWire } from '../wire/partWire';
import { showStockPiece } from '../wire/rack';
import { relabelWire } from '../wire/relabelWire';
import { showLedger } from './ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { stockValueOn } from './valueOn';

afterAll(closeBooks);

const lastMovement = async (session: StudioSession) => (await showLedger(session, {})).lines[0]?.id ?? 0;
const take = (length: string, kind = 'used') => ({ kind, quantity: length, reason: 'marred by pliers' });

describe('taking back', () => {
  it('undoes what moved together, and refuses what has been used since', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const bobbin = done(
      await partWire(session, newKey(), spool, { form: 'bobbin', length: '4 m', place: '' }),
    ).number;
    const winding = await lastMovement(session);
    done(await takeOut(session, newKey(), 'wire', bobbin, take('1 m')));
    const taking = await lastMovement(session);
    const reason = { reason: 'a slip' };
    expect(problemOf(await reverseMovement(session, newKey(), winding, reason)).message).toMatch(
      /W-0002 has been used since \(used on/,
    );
    done(await reverseMovement(session, newKey(), taking, reason));
    expect(problemOf(await reverseMovement(session, newKey(), taking, reason)).message).toMatch(
      /taken back already/,
    );
    expect(
      problemOf(await reverseMovement(session, newKey(), await lastMovement(session), reason)).message,
    ).toMatch(/takes something back itself/);
    done(await reverseMovement(session, newKey(), winding, reason));
    expect(await showStockPiece(session, spool)).toMatchObject({ length: 10_000_000, cost: 5_000_000 });
    expect((await showStockPiece(session, bobbin))?.length).toBe(0);
    const helper = await addTestHelper(session);
    expect(problemOf(await reverseMovement(helper, newKey(), winding, reason)).kind).toBe('forbidden');
  });

  it('leads a relabelled wire back through what it was, and keeps scrap that was sent off', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const spec = ofGauge('21');
    done(await takeOut(session, newKey(), 'wire', spool, take('1 m', 'spoiled')));
    const spoiling = (await showLedger(session, { kind: 'spoiled' })).lines[0]?.id ?? 0;
    done(await relabelWire(session, newKey(), spool, spec));
    expect(problemOf(await reverseMovement(session, newKey(), spoiling, { reason: 'x' })).message).toMatch(
      /relabelled on/,
    );
    done(
      await reverseMovement(session, newKey(), await lastMovement(session), { reason: 'measured wrongly' }),
    );
    expect((await showStockPiece(session, spool))?.spec.label.number).toBe('20');

    const [jar] = await showJars(session);
    const send = { mass: '2 g', refiner: 'Heron Refiners', sentOn: '2026-05-05', proceeds: '1.50 USD' };
    done(await sendForRefining(session, newKey(), jar?.number ?? 0, send));
    expect(problemOf(await reverseMovement(session, newKey(), spoiling, { reason: 'x' })).message).toMatch(
      /J-0001 has been used since \(refined/,
    );
    const after = await showJar(session, jar?.number ?? 0);
    expect(after?.refinings).toMatchObject([{ refiner: 'Heron Refiners', mass: 2_000_000, proceeds: 150 }]);
    expect((after?.mass ?? 0) / 1e6).toBeCloseTo(3.365, 2);
    expect(
      problemOf(await sendForRefining(session, newKey(), jar?.number ?? 0, { ...send, mass: '9 g' })).message,
    ).toMatch(/left; 9 g is more/);
  });
});

describe('the ledger', () => {
  it('is filtered by item, kind, ware, person and day, and paged without losing or repeating a line', async () => {
    const session = await openStudio();
    const helper = await addTestHelper(session);
    const spool = await receive(session);
    for (let n = 0; n < 65; n += 1)
      done(await takeOut(n % 2 ? session : helper, newKey(), 'wire', spool, take('1 mm')));
    done(await receiveBeads(session, newKey(), BEADS));
    const ids: number[] = [];
    for (let before: string | undefined; ;) {
      const page = await showLedger(session, before === undefined ? {} : { before });
      ids.push(...page.lines.map(({ id }) => id));
      if (page.next === null) break;
      before = page.next;
    }
    expect(ids).toHaveLength(67);
    expect(new Set(ids).size).toBe(67);
    const count = async (query: Parameters<typeof showLedger>[1]) =>
      (await showLedger(session, query)).lines.length;
    expect(await count({ kind: 'received' })).toBe(2);
    expect(await count({ ware: 'bead' })).toBe(1);
    expect(await count({ item: 'garnet round' })).toBe(1);
    expect(await count({ item: 'B-0001' })).toBe(1);
    expect(await count({ item: `F-0001` })).toBe(0);
    expect(await count({ person: helper.userId })).toBe(33);
    expect(await count({ to: day('2001-01-01') })).toBe(0);
    expect(await count({ from: day('2001-01-01'), kind: 'received' })).toBe(2);
    expect(await count({ before: 'nonsense~1' })).toBe(60);
    expect((await showLedger(helper, {})).lines.every(({ cost }) => cost === null)).toBe(true);
  });

  it('knows what the stock carried on any past day', async () => {
    const now = Date.UTC(2026, 4, 20);
    const session = await openStudio();
    const on = (daysAgo: number): StudioSession => ({
      ...session,
      now: new Date(now - daysAgo * 86_400_000),
    });
    await receive(on(100), { price: '50.00 USD' });
    done(await takeOut(on(70), newKey(), 'wire', 1, take('5 m')));
    done(await receiveBeads(on(40), newKey(), BEADS));
    done(await takeOut(on(10), newKey(), 'wire', 1, take('5 m', 'spoiled')));
    const total = async (daysAgo: number) => (await stockValueOn(on(0), dayIn('UTC', on(daysAgo).now))).total;
    expect(await Promise.all([101, 100, 71, 70, 40, 11, 10, 0].map(total))).toEqual([
      0, 5_000_000, 5_000_000, 2_500_000, 3_700_000, 3_700_000, 1_200_000, 1_200_000,
    ]);
    expect((await stockValueOn(on(0))).total).toBe(1_200_000);
    // The jar carries what was spoiled, apart from the total.
    expect((await stockValueOn(on(0))).wares.find(({ ware }) => ware === 'scrap')?.cost).toBe(2_500_000);
    const helper = await addTestHelper(session);
    await expect(stockValueOn(helper)).rejects.toThrow(/Only the studio’s owner/);
  });
});

it('a clock that stood in the future, or stands in the past, leaves no closing that is wrong', async () => {
  const session = await openStudio();
  const at = (day: string): StudioSession => ({ ...session, now: new Date(`${day}T12:00:00Z`) });
  const valueOn = async (on: string, now: string) => (await stockValueOn(at(now), day(on))).total;
  const use = async (day: string) => done(await takeOut(at(day), newKey(), 'wire', 1, take('1 m')));
  const closed = async () => {
    const owner = openAsOwner();
    const rows = await owner.ask<{ month: string }>(
      'SELECT DISTINCT month::text FROM closings WHERE studio_id = $1 ORDER BY 1',
      [session.studioId],
    );
    await owner.close();
    return rows.map(({ month }) => month);
  };
  const wrong = async () =>
    (await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences.filter(
      ({ studio }) => studio === session.studioId,
    );
  await receive(at('2026-01-10'), { price: '50.00 USD' });
  const whole = await valueOn('2026-01-31', '2026-03-20');
  expect(await closed()).toEqual(['2026-01-01', '2026-02-01']);

  // The clock jumps to 2031: months that have not been are closed. Set right again, what is posted opens them.
  await valueOn('2031-01-01', '2031-05-04');
  expect((await closed()).at(-1)).toBe('2031-04-01');
  await use('2026-04-02');
  expect((await closed()).at(-1)).toBe('2026-03-01');
  const after = await valueOn('2026-04-30', '2026-06-20');
  expect(after).toBeLessThan(whole);
  expect(await valueOn('2026-03-31', '2026-06-20')).toBe(whole);
  expect(await wrong()).toEqual([]);

  // It jumps back to 2025: what is posted there is worth less on every day since.
  await use('2025-11-05');
  expect(await closed()).toEqual([]);
  expect(await valueOn('2026-03-31', '2026-06-20')).toBe(after);
  expect((await closed()).at(0)).toBe('2025-11-01');
  expect(await wrong()).toEqual([]);

  // And the whole cache may be dropped.
  expect(await dropClosings(process.env['PEWTERER_OWNER_URL'] ?? '')).toBeGreaterThan(0);
  expect(await closed()).toEqual([]);
  expect(await valueOn('2026-03-31', '2026-06-20')).toBe(after);
});

it('the daily check is kept for the house rules: when, how much, and the first difference', async () => {
  const owner = process.env['PEWTERER_OWNER_URL'] ?? '';
  const session = await openStudio();
  await receive(session);
  expect(await lastBookCheck(session)).toBeUndefined();
  expect(await recordBookCheck(owner, 0)).toBeDefined();
  expect(await lastBookCheck(session)).toMatchObject({ movements: 1, differences: 0, firstDifference: '' });
  // Fresh enough: nothing is done.
  expect(await recordBookCheck(owner, 20)).toBeUndefined();
  await asOwner('UPDATE stock_pieces SET quantity = quantity + 1 WHERE studio_id = $1', [session.studioId]);
  await recordBookCheck(owner, 0);
  await asOwner('UPDATE stock_pieces SET quantity = quantity - 1 WHERE studio_id = $1', [session.studioId]);
  expect(await lastBookCheck(session)).toMatchObject({
    differences: 2,
    firstDifference: expect.stringContaining('W-0001: '),
  });
  expect(() => lastBookCheck({ ...session, role: 'helper' })).toThrow(/Only the studio’s owner/);
});

it('check-books finds a jar, a shade and a closing that were tampered with', async () => {
  const session = await openStudio();
  await receive(session);
  done(await takeOut(session, newKey(), 'wire', 1, take('1 m', 'spoiled')));
  const tamper = (sql: string) => asOwner(sql, [session.studioId]);
  const found = async () =>
    (await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '')).differences
      .filter(({ studio }) => studio === session.studioId)
      .map(({ what }) => what);
  await tamper(`UPDATE stock_pieces SET quantity = quantity + 1 WHERE studio_id = $1 AND ware = 'scrap'`);
  expect(await found()).toEqual(['J-0001', 'all scrap']);
  await tamper(`UPDATE stock_pieces SET quantity = quantity - 1 WHERE studio_id = $1 AND ware = 'scrap'`);
  await tamper(
    `UPDATE stock_pieces SET shades = '[{"name": "pale", "count": 99999999}]' WHERE studio_id = $1 AND ware = 'wire'`,
  );
  expect(await found()).toEqual(['W-0001 by its shades']);
  await tamper(`UPDATE stock_pieces SET shades = '[]' WHERE studio_id = $1`);
});

it('check-books finds a balance that was tampered with', async () => {
  const session = await openStudio();
  const number = await receive(session);
  const tamper = (by: number) =>
    asOwner('UPDATE stock_pieces SET quantity = quantity + $1 WHERE studio_id = $2 AND number = $3', [
      by,
      session.studioId,
      number,
    ]);
  await tamper(1);
  const { differences } = await checkBooks(process.env['PEWTERER_OWNER_URL'] ?? '');
  expect(differences.filter(({ studio }) => studio === session.studioId)).toMatchObject([
    {
      what: 'W-0001',
      kept: expect.stringMatching(/^10000001, 5000000 cost units/),
      rebuilt: expect.stringMatching(/^10000000, 5000000 cost units/),
    },
    { what: 'all wire' },
  ]);
  await tamper(-1);
});
