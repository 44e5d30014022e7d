import { batch, line, studioWithPattern } from '../../../tests/support/batches';
import { asProposed, madeFrom } from '../../../tests/support/cuttingTable';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import { benchCalendar } from './benchCalendar';
import { setBenchHours, showSchedule } from './benchHours';
import { batchTakings } from '../batches/batchTakings';
import { planBatch } from '../batches/planBatch';
import { makePiece } from '../making/makePiece';
import { proposeMaking } from '../making/proposeMaking';

afterAll(closeBooks);

describe('the hours', () => {
  const hours = (more: object = {}) => ({
    version: '0',
    weekly: ['1', '1', '1', '1', '1', '0', '0'],
    daysOff: '',
    ...more,
  });
  // 7 December 2026 is a Monday.
  const monday = new Date('2026-12-07T09:00:00');

  it('say which batch will be late, and what would bring it in time', async () => {
    const { session, pattern } = await studioWithPattern();
    const at = { ...session, now: monday };
    const due = (dueOn: string, name: string) => ({ dueOn, name });
    // 10 minutes to set up and 20 for each: 110 and 230 minutes.
    done(await planBatch(at, newKey(), null, batch([line(pattern, 5)], due('2026-12-09', 'First'))));
    done(await planBatch(at, newKey(), null, batch([line(pattern, 11)], due('2026-12-11', 'Second'))));
    done(await setBenchHours(at, newKey(), hours()));
    const { days, batches } = await showSchedule(at);
    expect(days.slice(0, 3).map(({ work }) => work.map(({ number, minutes }) => [number, minutes]))).toEqual([
      [[1, 60]],
      [
        [1, 50],
        [2, 10],
      ],
      [[2, 60]],
    ]);
    // Five hours until Friday are 300 minutes of 340.
    expect(batches).toMatchObject([
      { name: 'First', readyOn: '2026-12-08', late: 0 },
      {
        name: 'Second',
        readyOn: '2026-12-14',
        late: 40,
        remedy: { moreEachDay: 8, fewer: { line: 1, pieces: 2 }, after: [1] },
      },
    ]);
    done(await setBenchHours(at, newKey(), hours({ version: '1', daysOff: '2026-12-08\n2026-12-09' })));
    expect((await showSchedule(at)).batches.map(({ late }) => late)).toEqual([50, 160]);
    const calendar = benchCalendar(await showSchedule(at));
    expect(calendar).toMatch(/^BEGIN:VCALENDAR/);
    expect(calendar).toContain('SUMMARY:First: 60 min at the bench');
    expect(calendar).toMatch(/SUMMARY:Second is due/);
    expect(calendar).toMatch(/DTSTART;VALUE=DATE:20261211/);
  });

  it('go by what pieces really took, say so, and how likely a batch is ready', async () => {
    const { session, pattern } = await studioWithPattern();
    const at = { ...session, now: monday };
    done(await setBenchHours(at, newKey(), hours()));
    const due = { dueOn: '2026-12-09', name: 'First' };
    const { number } = done(await planBatch(at, newKey(), null, batch([line(pattern, 6)], due)));
    const shown = async () => (await showSchedule(at)).batches[0];
    // 130 planned minutes in the three hours until Wednesday: nobody has timed one.
    expect(await shown()).toMatchObject({ minutes: 130, learned: [], late: 0 });
    const unknown = (await shown())?.chance ?? NaN;
    expect(unknown).toBeGreaterThan(0.5);
    for (const minutes of ['38', '40', '41', '42', '40']) {
      const proposal = await proposeMaking(at, pattern);
      if (!proposal) throw new Error('the pattern is there');
      const told = { ...asProposed(proposal), minutes };
      done(await makePiece(at, newKey(), madeFrom(proposal), told));
    }
    const known = await shown();
    expect(known?.learned).toMatchObject([{ planned: 20, from: '5 makings' }]);
    expect(known?.learned[0]?.minutes).toBeGreaterThan(30);
    expect(known?.minutes).toBeGreaterThan(10 + 6 * 30);
    expect(known?.late).toBeGreaterThan(0);
    expect(known?.chance).toBeLessThan(unknown / 2);
    // The same minutes are in what the batch is expected to earn.
    const takings = await batchTakings(at, number);
    expect(takings?.together.minutes).toBeCloseTo(known?.minutes ?? 0, -1);
  });

  it('are set by the owner, by what was read', async () => {
    const session = await openStudio();
    expect((await showSchedule(session)).hours).toMatchObject({
      version: 0,
      weekly: [240, 240, 240, 240, 240, 0, 0],
    });
    const wrong = await setBenchHours(session, newKey(), hours({ daysOff: '2026-02-30' }));
    expect(problemOf(wrong).fields?.['daysOff']).toMatch(/“2026-02-30” is not a day/);
    const many = await setBenchHours(
      session,
      newKey(),
      hours({ weekly: ['25', '1', '1', '1', '1', '0', '0'] }),
    );
    expect(Object.values(problemOf(many).fields ?? {})[0]).toMatch(/“25” is not a number from 0 to 24/);
    done(await setBenchHours(session, newKey(), hours()));
    expect(problemOf(await setBenchHours(session, newKey(), hours())).kind).toBe('stale');
    expect(problemOf(await setBenchHours(await addTestHelper(session), newKey(), hours())).kind).toBe(
      'forbidden',
    );
  });
});
