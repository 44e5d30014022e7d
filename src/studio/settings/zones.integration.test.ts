import { day, daysLater, firstOfMonth, type Day } from '@/core/calendar/day';
import { batch, line } from '../../../tests/support/batches';
import {
  asOwner,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  settingsInput,
  simplePattern,
} from '../../../tests/support/studio';
import { showSchedule } from '../schedule/benchHours';
import { planBatch } from '../batches/planBatch';
import { todayOf, type StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { stockValueOn } from '../ledger/valueOn';
import { changeSettings, readSettings } from './settings';

afterAll(closeBooks);

/** A studio somewhere, at a moment. */
async function studioIn(zone: string, at: string): Promise<StudioSession> {
  const session = await openStudio();
  await asOwner('UPDATE studios SET time_zone = $2 WHERE studio_id = $1', [session.studioId, zone]);
  return { ...session, zone, now: new Date(at) };
}

// Eleven at night of 31 May in Los Angeles is six in the evening of 1 June in Auckland.
const MOMENT = '2026-06-01T06:00:00Z';
const PLACES = [
  ['America/Los_Angeles', day('2026-05-31'), day('2026-06-01')],
  ['Pacific/Auckland', day('2026-06-01'), day('2026-06-02')],
  ['UTC', day('2026-06-01'), day('2026-06-02')],
] as const;

describe.each(PLACES)('in %s', (zone, today, tomorrow) => {
  it(`it is ${today}: in the ledger, in what the stock cost on a day, and on the calendar of the bench`, async () => {
    const session = await studioIn(zone, MOMENT);
    await receive(session, { boughtOn: today });
    expect(todayOf(session)).toBe(today);
    const lines = async (from: Day, to: Day) => (await showLedger(session, { from, to })).lines.length;
    expect(await lines(today, today)).toBe(1);
    expect(await lines(tomorrow, tomorrow)).toBe(0);
    expect((await stockValueOn(session)).day).toBe(today);
    const yesterday = daysLater(today, -1);
    expect((await stockValueOn(session, today)).total).toBe(5_000_000);
    expect((await stockValueOn(session, yesterday)).total).toBe(0);

    const { number: pattern } = await simplePattern(session);
    done(await planBatch(session, newKey(), null, batch([line(pattern)], { dueOn: tomorrow })));
    expect((await showSchedule(session)).days[0]?.day).toBe(today);
  });

  it('a month is closed when it is over there', async () => {
    const session = await studioIn(zone, MOMENT);
    await receive(session, { boughtOn: today });
    // Two months on, the month of the receiving is closed.
    const later = { ...session, now: new Date('2026-08-20T12:00:00Z') };
    expect((await stockValueOn(later, day('2026-07-15'))).total).toBe(5_000_000);
    const before = daysLater(firstOfMonth(today), -1);
    expect((await stockValueOn(later, before)).total).toBe(0);
    expect((await stockValueOn(later, today)).total).toBe(5_000_000);
  });
});

it('a studio that moves closes its months anew; what is no time zone is refused', async () => {
  const session = await studioIn('UTC', MOMENT);
  await receive(session);
  const later = { ...session, now: new Date('2026-08-20T12:00:00Z') };
  expect((await stockValueOn(later, day('2026-07-15'))).total).toBe(5_000_000);
  const moved = settingsInput({ timeZone: 'Pacific/Auckland' });
  done(await changeSettings(later, newKey(), moved));
  expect((await readSettings(later)).timeZone).toBe('Pacific/Auckland');
  const there = { ...later, zone: 'Pacific/Auckland' };
  expect((await stockValueOn(there, day('2026-05-31'))).total).toBe(0);
  expect((await stockValueOn(there, day('2026-06-01'))).total).toBe(5_000_000);
  const wrong = settingsInput({ version: '2', timeZone: 'Middle/Earth' });
  expect(problemOf(await changeSettings(there, newKey(), wrong)).fields).toEqual({
    timeZone: '“Middle/Earth” is not a time zone; choose one of the list, like Pacific/Auckland.',
  });
});
