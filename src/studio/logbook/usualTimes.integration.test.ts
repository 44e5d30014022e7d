import { minutesOf } from '@/core/pattern/pattern';
import { inStudio } from '@/data/inStudio';
import { batch, composedFrame, line } from '../../../tests/support/batches';
import { asProposed, madeFrom } from '../../../tests/support/cuttingTable';
import { addTestHelper, closeBooks, done, newKey, openStudio } from '../../../tests/support/studio';
import { planBatch } from '../batches/planBatch';
import { reverseMovement } from '../corrections/reverseMovement';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { makePiece } from '../making/makePiece';
import { proposeMaking } from '../making/proposeMaking';
import { showPattern, type PatternView } from '../patterns/patterns';
import { showSchedule } from '../schedule/benchHours';
import { timesOf } from './learnedTimes';
import { showHistory } from './patternHistory';

afterAll(closeBooks);

async function patternOf(session: StudioSession, number: number): Promise<PatternView> {
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('no such pattern');
  return pattern;
}

const timeOf = async (session: StudioSession, number: number) => {
  const pattern = await patternOf(session, number);
  return (await showHistory(session, pattern, pattern.body)).time;
};

/** Makes a piece of a pattern, each step of it so many times as long as planned. */
async function makeTimed(session: StudioSession, number: number, ratio: number): Promise<void> {
  const proposal = await proposeMaking(session, number);
  if (!proposal) throw new Error('the pattern lies on the bench');
  const { steps } = proposal.pattern.body;
  done(
    await makePiece(session, newKey(), madeFrom(proposal), {
      ...asProposed(proposal),
      minutes: String(Math.round(minutesOf({ steps }).each * ratio)),
      steps: steps.map(({ minutes }, step) => ({ step, minutes: String(minutes * ratio) })),
    }),
  );
}

describe('a pattern whose work was done in another', () => {
  it('is expected to take what that took, until its own makings tell more', async () => {
    const session = await openStudio();
    const [made, fresh] = [await composedFrame(session), await composedFrame(session, 'Sluice drop')];
    expect(await timeOf(session, fresh)).toBeNull();
    for (let making = 0; making < 4; making += 1) await makeTimed(session, made, 1.6);
    const planned = minutesOf((await patternOf(session, fresh)).body).each;
    const time = await timeOf(session, fresh);
    expect(time).toMatchObject({ count: 0, others: 4 });
    expect((time?.minutes ?? 0) / planned).toBeGreaterThan(1.35);
    expect((time?.minutes ?? 0) / planned).toBeLessThan(1.6);
    // What it takes itself is no news of other patterns.
    expect(await timeOf(session, made)).toMatchObject({ count: 4, others: 0 });
    // The schedule goes by it and says so.
    const form = batch([line(fresh, 2)], { dueOn: '2027-01-30' });
    done(await planBatch(session, newKey(), null, form));
    const { batches } = await showSchedule(session);
    expect(batches[0]?.learned).toMatchObject([
      { planned, from: '4 makings of other patterns with the same work' },
    ]);
    for (let making = 0; making < 6; making += 1) await makeTimed(session, fresh, 0.9);
    const own = await timeOf(session, fresh);
    expect(own).toMatchObject({ count: 6, others: 4 });
    expect((own?.minutes ?? 0) / planned).toBeLessThan(1.15);
  });

  it('learns nothing of a making that was taken back, nor of another studio', async () => {
    const session = await openStudio();
    const [made, fresh] = [await composedFrame(session), await composedFrame(session, 'Sluice drop')];
    await makeTimed(session, made, 1.6);
    expect(await timeOf(session, fresh)).toMatchObject({ others: 1 });
    const other = await openStudio();
    expect(await timeOf(other, await composedFrame(other))).toBeNull();
    const [movement] = (await showLedger(session, { kind: 'cut' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'miscounted' }));
    expect(await timeOf(session, fresh)).toBeNull();
  });

  it('is known to a helper as well, and for each of many patterns without its own', async () => {
    const session = await openStudio();
    const [one, two] = [await composedFrame(session), await composedFrame(session, 'Sluice drop')];
    await makeTimed(session, one, 1.6);
    await makeTimed(session, two, 0.8);
    const helper = await addTestHelper(session);
    expect(await timeOf(helper, two)).toMatchObject({ count: 0, others: 1 });
    const all = [await patternOf(session, one), await patternOf(session, two)].map(({ number, body }) => ({
      pattern: number,
      body,
    }));
    const [first, second] = await inStudio(session, async (tx) => all.map(await timesOf(tx, all)));
    // Each is told by the other.
    expect(first?.usual?.value).toBeLessThan(0);
    expect(second?.usual?.value).toBeGreaterThan(0);
  });
});
