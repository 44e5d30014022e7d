import { addDays, formatISO } from 'date-fns';
import { batch, line, planned, studioWithPattern } from '../../../tests/support/batches';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  simplePattern,
} from '../../../tests/support/studio';
import type { StudioSession } from '../kernel/useCase';
import { STONE } from '../../../tests/support/purchases';
import { receiveStone } from '../drawers/receive';
import { partWire } from '../wire/partWire';
import { setBenchHours } from '../schedule/benchHours';
import { planBatch } from '../batches/planBatch';
import { whatCouldIMake } from './whatCouldIMake';

afterAll(closeBooks);

const dayIn = (days: number) => formatISO(addDays(new Date(), days), { representation: 'date' });

const ask = (session: StudioSession, more: object = {}) =>
  whatCouldIMake(session, { until: dayIn(1), aim: 'pieces', kind: 'any', most: '6', ...more });

/** Two hours on every day of the week. */
const twoHoursADay = async (session: StudioSession) =>
  done(
    await setBenchHours(session, newKey(), {
      version: '0',
      weekly: ['2', '2', '2', '2', '2', '2', '2'],
      daysOff: '',
    }),
  );

describe('what could I make?', () => {
  it('fills the hours until a day with what is free', async () => {
    const { session, pattern } = await studioWithPattern();
    await twoHoursADay(session);
    // Today and tomorrow are four hours: ten minutes to lay out, then twenty for each.
    const answer = done(await ask(session, { most: '20' }));
    expect(answer.lines).toMatchObject([{ pattern, count: 11, minutesEach: 20 }]);
    expect(answer).toMatchObject({ freeMinutes: 240, minutes: 230, stoppedBy: 'hours', looked: 1 });
    expect(done(await ask(session)).lines).toMatchObject([{ count: 6 }]);
    expect(done(await ask(session)).stoppedBy).toBe('most of each');
    expect(done(await ask(session, { kind: 'ring' }))).toMatchObject({ lines: [], looked: 0 });
  });

  it('leaves alone what is set aside for batches, and their hours', async () => {
    const { session, pattern } = await studioWithPattern();
    await twoHoursADay(session);
    const { number } = done(
      await planBatch(session, newKey(), null, batch([line(pattern, 5)], { dueOn: dayIn(1) })),
    );
    await planned(session, number);
    // The batch takes 110 of the 240 minutes.
    expect(done(await ask(session))).toMatchObject({ freeMinutes: 130, lines: [{ count: 6 }] });
    const large = done(
      await planBatch(
        session,
        newKey(),
        null,
        batch([line(pattern, 94)], { name: 'Large', dueOn: dayIn(60) }),
      ),
    );
    await planned(session, large.number);
    // 9.9 of the 10 m are set aside; the hours of the large one come before the day too, since nothing else is due.
    expect(done(await ask(session, { until: dayIn(60) }))).toMatchObject({
      lines: [{ count: 1 }],
      stoppedBy: 'stock',
    });
  });

  it('goes by what is left for the hours: the last price less fees, tax, material and overhead', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number: other } = await simplePattern(session, { net: '980 mm' });
    await twoHoursADay(session);
    const answer = done(await ask(session, { aim: 'margin', most: '2' }));
    // Both take as long and are priced by the studio’s margin; the longer wire makes the price higher, and leaves more.
    expect(answer.lines.map(({ pattern: of, count }) => [of, count])).toEqual([
      [pattern, 2],
      [other, 2],
    ]);
    const [short] = answer.lines;
    // 100 mm of wire 0.50 and two beads 0.50 are 1 dollar; overhead 2.00 and labour 6.67 for twenty minutes: 9.67 at 30 % margin is 13.81,
    // of which 10.81 are left for the hours (all common practice).
    expect(short).toMatchObject({ price: 1381, marginEach: 1081, isReckoned: true });
    const prices = answer.lines.map(({ count, marginEach }) => count * (marginEach ?? 0));
    expect(answer.margin).toBe(prices.reduce((sum, each) => sum + each, 0));
    await asOwner(`UPDATE studios SET fee_percent = 1000 WHERE studio_id = $1`, [session.studioId]);
    expect(done(await ask(session, { aim: 'margin', most: '2' })).lines[0]?.price).toBeGreaterThan(1381);
  });

  it('uses up old off-cuts when that is wanted', async () => {
    const { session, wire } = await studioWithPattern();
    await twoHoursADay(session);
    done(await partWire(session, newKey(), wire, { form: 'off-cut', length: '210 mm', place: '' }));
    await asOwner(
      `UPDATE stock_pieces SET created_at = created_at - INTERVAL '300 days' WHERE studio_id = $1 AND form = 'off-cut'`,
      [session.studioId],
    );
    const answer = done(await ask(session, { aim: 'off-cuts' }));
    expect(answer.lines).toMatchObject([{ count: 2 }]);
    expect(answer.offCuts).toEqual({ count: 1, oldestDays: 300 });
  });

  it('makes no more than there are stones for, and says what nobody counts', async () => {
    const { session, pattern } = await studioWithPattern();
    const { number: set } = await simplePattern(session, { part: 'prehnite cab' });
    for (let count = 0; count < 3; count += 1) done(await receiveStone(session, newKey(), STONE));
    const { lines } = done(await ask(session, { until: dayIn(7) }));
    expect(lines.map(({ pattern: of, count, uncounted }) => [of, count, uncounted]).sort()).toEqual([
      [pattern, 6, ['bead']],
      [set, 1, []],
    ]);
  });

  it('shows helpers no money, and asks none of them for margins', async () => {
    const { session } = await studioWithPattern();
    const helper = await addTestHelper(session);
    const answer = done(await ask(helper, { until: dayIn(7) }));
    expect(answer.margin).toBeNull();
    expect(answer.lines[0]).toMatchObject({ price: null, marginEach: null });
    expect(problemOf(await ask(helper, { aim: 'margin' })).kind).toBe('forbidden');
  });

  it.each([
    [{ until: dayIn(-1) }, 'until', /a day from today to a year from now/],
    [{ until: '' }, 'until', /a day from today/],
    [{ until: 'soon' }, 'until', /“soon” is not a day/],
    [{ most: '0' }, 'most', /from 1 to 100/],
    [{ aim: 'fame' }, 'aim', /Choose what it is to be/],
    [{ kind: 'hat' }, 'kind', /Choose a kind/],
  ])('%j is refused beside its field', async (wrong, field, said) => {
    expect(problemOf(await ask(await openStudio(), wrong)).fields?.[field]).toMatch(said);
  });
});
