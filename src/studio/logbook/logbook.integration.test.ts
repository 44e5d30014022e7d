import { NOT_RULED } from '@/core/learning/ruling';
import { um } from '@/core/units/length';
import { inStudio } from '@/data/inStudio';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { reverseMovement } from '../corrections/reverseMovement';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { makePiece, type MadeFrom } from '../making/makePiece';
import { proposeMaking } from '../making/proposeMaking';
import { showPattern } from '../patterns/patterns';
import { adviseFromLog } from './advice';
import { showLogbook } from './logbook';
import { showHistory, type PatternHistory } from './patternHistory';
import { ruleFigure, type FigureOf } from './rulings';
import { timesOf, type PatternTimes } from './learnedTimes';

afterAll(closeBooks);

const DAY_MS = 86_400_000;

interface Done {
  readonly cut: number;
  readonly back: number;
  readonly minutes?: string;
  readonly isLikeAnother?: boolean;
  readonly steps?: readonly { readonly step: number; readonly minutes: string }[];
  /** What was spoiled of the wire of the first cut. */
  readonly lost?: readonly { readonly length: string; readonly reason: string }[];
}

/** Makes one piece of a pattern whose wire is planned as 100 mm, 20 mm of it to be trimmed: cut and given back as told, mm. */
async function make(
  session: StudioSession,
  pattern: MadeFrom,
  { cut, back, minutes = '20', isLikeAnother = false, steps, lost = [] }: Done,
): Promise<number> {
  const proposal = await proposeMaking(session, pattern.number);
  const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from }) => ({
    cutIndex,
    copy,
    from: from ?? '',
    cut: `${cut} mm`,
    back: `${back} mm`,
  }));
  const spoiled = lost.map((each) => ({ ...each, from: cuts[0]?.from ?? '' }));
  const input = { cuts, spoiled, minutes, setUpMinutes: '10', sharedBy: '1', ...(steps && { steps }) };
  return done(await makePiece(session, newKey(), { ...pattern, isLikeAnother }, input)).number;
}

const learned = async (session: StudioSession, number: number) =>
  (await proposeMaking(session, number))?.learned ?? [];

/** How a pattern went, as somebody sees it. */
async function historyOf(session: StudioSession, number: number): Promise<PatternHistory> {
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('no such pattern');
  return showHistory(session, pattern, pattern.body);
}

/** How long a pattern takes in the schedule and in prices. */
async function timesIn(session: StudioSession, number: number): Promise<PatternTimes> {
  const pattern = await showPattern(session, number);
  if (!pattern) throw new Error('no such pattern');
  const made = { pattern: number, body: pattern.body };
  return inStudio(session, async (tx) => (await timesOf(tx, [made]))(made));
}

describe('what is learned of a wire', () => {
  it('comes from what was cut and what came back, and moves with every making', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    expect(await learned(session, pattern.number)).toEqual([]);
    // 80 mm were planned to stay; 88 mm do: a tenth more.
    const more: number[] = [];
    for (let making = 0; making < 4; making += 1) {
      await make(session, pattern, { cut: 120, back: 32 });
      const [one] = await learned(session, pattern.number);
      expect(one).toMatchObject({ cutIndex: 0, own: making + 1, others: 0 });
      more.push(one?.more ?? 0);
    }
    expect(more).toEqual([...more].sort((one, other) => one - other));
    // One making counts 2/π beside the default; four of them four times that.
    expect(more[0]).toBeCloseTo(1.1 ** (2 / Math.PI / (1 + 2 / Math.PI)) - 1, 6);
    expect(more[3]).toBeCloseTo(1.1 ** (8 / Math.PI / (1 + 8 / Math.PI)) - 1, 6);
    const [now] = await learned(session, pattern.number);
    expect(now?.length).toBeGreaterThan(um(108_000));
    expect(now?.plannedSure).toBeLessThan(0.2);
    expect(now?.sure).toBeGreaterThan(0.9);
  });

  it('is nothing from a form that was sent as it was opened, or from a piece that is like another', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    await make(session, pattern, { cut: 100, back: 20 });
    await make(session, pattern, { cut: 120, back: 32, isLikeAnother: true });
    expect(await learned(session, pattern.number)).toEqual([]);
    expect(await showLogbook(session)).toMatchObject({ total: 2, measured: 0 });
    await make(session, pattern, { cut: 100, back: 21 });
    expect(await showLogbook(session)).toMatchObject({ total: 3, measured: 1 });
  });

  it('is apart for each maker: what another took counts as what others take', async () => {
    const session = await openStudio();
    await receive(session);
    const helper = await addTestHelper(session);
    const pattern = await simplePattern(session);
    for (let making = 0; making < 3; making += 1) await make(session, pattern, { cut: 120, back: 32 });
    expect(await learned(session, pattern.number)).toMatchObject([{ own: 3, others: 0 }]);
    const [before] = await learned(helper, pattern.number);
    expect(before).toMatchObject({ own: 0, others: 3 });
    await make(helper, pattern, { cut: 100, back: 24 });
    const [after] = await learned(helper, pattern.number);
    expect(after).toMatchObject({ own: 1, others: 3 });
    expect(after?.more).toBeLessThan(before?.more ?? 0);
  });

  it('is another thing for the cut of another pattern that was written by hand', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    const other = await simplePattern(session);
    await make(session, pattern, { cut: 120, back: 32 });
    expect(await learned(session, other.number)).toEqual([]);
  });

  it('forgets a making that is taken back, and fades with time', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    await make(session, pattern, { cut: 120, back: 32 });
    const [fresh] = await learned(session, pattern.number);
    const later = { ...session, now: new Date(session.now.getTime() + 730 * DAY_MS) };
    const [faded] = await learned(later, pattern.number);
    expect(faded?.more).toBeGreaterThan(0);
    expect(faded?.more).toBeLessThan((fresh?.more ?? 0) / 2);
    const [movement] = (await showLedger(session, { kind: 'cut' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'miscounted' }));
    expect(await learned(session, pattern.number)).toEqual([]);
    expect((await showLogbook(session)).lines).toEqual([]);
  });

  it('knows nothing of another studio', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    await make(session, pattern, { cut: 120, back: 32 });
    const other = await openStudio();
    expect((await showLogbook(other)).total).toBe(0);
  });
});

describe('the logbook', () => {
  it('shows what was planned and what came of it, the newest first', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session, { count: '2' });
    const first = await make(session, pattern, { cut: 100, back: 20 });
    const second = await make(session, pattern, { cut: 130, back: 38, minutes: '27' });
    const { lines, makers } = await showLogbook(session);
    expect(lines.map(({ number }) => number)).toEqual([second, first]);
    expect(lines[0]).toMatchObject({
      minutes: 27,
      plannedMinutes: 20,
      spoiled: null,
      maker: makers[0]?.name,
    });
    expect(lines[0]?.wires).toMatchObject([
      {
        name: 'frame wire',
        count: 2,
        planned: um(100_000),
        tails: um(20_000),
        cut: um(130_000),
        back: um(38_000),
        isMeasured: true,
      },
    ]);
    expect(lines[1]?.wires[0]).toMatchObject({ cut: um(100_000), isMeasured: false });
  });

  it('finds pieces by what is asked', async () => {
    const session = await openStudio();
    await receive(session);
    const helper = await addTestHelper(session);
    const [pattern, other] = [await simplePattern(session), await simplePattern(session)];
    const measured = await make(session, pattern, { cut: 130, back: 38 });
    const theirs = await make(helper, other, { cut: 100, back: 20 });
    const numbersOf = async (query: Parameters<typeof showLogbook>[1]) =>
      (await showLogbook(session, query)).lines.map(({ number }) => number);
    expect(await numbersOf({ with: 'measured' })).toEqual([measured]);
    expect(await numbersOf({ maker: helper.userId })).toEqual([theirs]);
    expect(await numbersOf({ pattern: `P-${String(other.number).padStart(4, '0')}` })).toEqual([theirs]);
    expect(await numbersOf({ with: 'spoiled' })).toEqual([]);
    expect(await numbersOf({ sort: 'oldest' })).toEqual([measured, theirs]);
  });

  it('tells a helper the minutes of their own pieces, and no others', async () => {
    const session = await openStudio();
    await receive(session);
    const helper = await addTestHelper(session);
    const pattern = await simplePattern(session);
    await make(session, pattern, { cut: 100, back: 20 });
    await make(helper, pattern, { cut: 100, back: 20, minutes: '33' });
    expect((await showLogbook(helper)).lines.map(({ minutes }) => minutes)).toEqual([33, null]);
    expect((await showLogbook(session)).lines.map(({ minutes }) => minutes)).toEqual([33, 20]);
  });
});

describe('what the log advises', () => {
  it('is what comes out otherwise than planned again and again, and what spoils most, for the owner', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    const nothing = await adviseFromLog(session);
    expect(nothing).toMatchObject({ wires: [], steps: [], rings: [], spoiled: null });
    for (let making = 0; making < 6; making += 1)
      await make(session, pattern, {
        cut: 120,
        back: 28 + (making % 3),
        minutes: '40',
        steps: [{ step: 1, minutes: String(39 + (making % 3)) }],
        lost:
          making < 2
            ? [{ length: '30 mm', reason: 'snapped' }]
            : [{ length: '10 mm', reason: 'cut too short' }],
      });
    const { wires, steps, rings, composed, spoiled } = await adviseFromLog(session);
    expect(wires.map(({ of }) => [of.number, of.wire])).toEqual([[pattern.number, 'frame wire']]);
    expect(wires[0]?.learned).toMatchObject({ count: 6 });
    expect(wires[0]?.learned.value).toBeGreaterThan(Math.log(1.08));
    expect(steps.map(({ of }) => [of.step, of.planned])).toEqual([['form', 20]]);
    expect(rings).toEqual([]);
    expect(composed.size).toBe(0);
    // 10 m cost $50: 60 mm snapped are 30 cents, 40 mm too short 20, in thousandths of a cent.
    expect(spoiled).toEqual({ reason: 'snapped', times: 2, cost: 30_000, all: 50_000 });
    const helper = await addTestHelper(session);
    expect(() => adviseFromLog(helper)).toThrow(/owner/);
  });
});

describe('how a pattern went', () => {
  it('tells an owner of each maker how long it takes them; a helper sees their own', async () => {
    const session = await openStudio();
    await receive(session);
    const helper = await addTestHelper(session);
    const pattern = await simplePattern(session);
    for (const [who, minutes] of [
      [session, '22'],
      [helper, '36'],
      [helper, '37'],
    ] as const)
      await make(who, pattern, { cut: 100, back: 20, minutes });
    const { makers } = await historyOf(session, pattern.number);
    expect(makers.map(({ time }) => time.count).sort()).toEqual([1, 2]);
    const [slow, quick] = makers.toSorted((one, other) => other.time.minutes - one.time.minutes);
    expect(slow?.name).toBe('Ash');
    expect(slow?.time.minutes).toBeGreaterThan((quick?.time.minutes ?? 0) + 5);
    expect(await historyOf(helper, pattern.number)).toMatchObject({ makers: [], time: { count: 2 } });
  });

  it('tells which of its steps takes longer than planned, from what was timed', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session); // to lay out, 10 min a sitting; to form, 20 min
    expect(await historyOf(session, pattern.number)).toEqual({
      makings: [],
      cuts: [],
      steps: [],
      drift: null,
      time: null,
      makers: [],
      weight: null,
      spoiled: null,
      ruled: { time: NOT_RULED, ring: null, wires: [NOT_RULED] },
    });
    for (let making = 0; making < 3; making += 1)
      await make(session, pattern, {
        cut: 100,
        back: 16,
        minutes: '40',
        steps: [
          { step: 1, minutes: '40' },
          { step: 7, minutes: '5' },
        ],
      });
    const { makings, steps, time, cuts } = await historyOf(session, pattern.number);
    expect(makings).toHaveLength(3);
    expect(makings[0]?.wire).toBeCloseTo(84 / 80, 10);
    expect(makings[0]?.time).toBe(2);
    // A step that the pattern does not have is not kept.
    expect(steps.map(({ name, planned }) => [name, planned])).toEqual([['form', 20]]);
    expect(steps[0]?.learned.minutes).toBeGreaterThan(30);
    expect(steps[0]?.learned.minutes).toBeLessThan(40);
    expect(time?.minutes).toBeCloseTo(steps[0]?.learned.minutes ?? 0, 6);
    expect(cuts).toMatchObject([{ cutIndex: 0, own: 3 }]);
  });

  it('is not told by a form that was sent with the minutes that it was opened with', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    await make(session, pattern, { cut: 100, back: 20, minutes: '20' });
    expect(await historyOf(session, pattern.number)).toMatchObject({
      makings: [{ wire: null, time: null }],
      time: null,
    });
  });
});

describe('what the owner says against the log', () => {
  const rule = (session: StudioSession, of: FigureOf, act: string, value = '') =>
    ruleFigure(session, newKey(), of, { act, value });
  /** Six makings in which 104 mm stay of 80, each in 40 minutes of 20. */
  async function logged() {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    for (let making = 0; making < 6; making += 1)
      await make(session, pattern, { cut: 130, back: 26, minutes: '40' });
    const wire = { pattern: pattern.number, figure: 'wire', cutIndex: 0 } as const;
    const time = { pattern: pattern.number, figure: 'time' } as const;
    return { session, pattern, wire, time };
  }

  it('goes in place of what stays of a wire, until it goes by the log again', async () => {
    const { session, pattern, wire } = await logged();
    const [before] = await learned(session, pattern.number);
    expect(before?.more).toBeGreaterThan(0.2);
    expect(before?.isRuled).toBe(false);
    done(await rule(session, wire, 'say', '5'));
    const [said] = await learned(session, pattern.number);
    expect(said).toMatchObject({ own: 6, isRuled: true });
    expect(said?.more).toBeCloseTo(0.05, 12);
    expect(said?.deviation).toBeGreaterThan(0);
    const [ruling] = (await historyOf(session, pattern.number)).ruled?.wires ?? [];
    expect(ruling?.since).toBeNull();
    expect(Math.exp(ruling?.fixed ?? 0)).toBeCloseTo(1.05, 12);
    done(await rule(session, wire, 'follow'));
    expect((await learned(session, pattern.number))[0]).toEqual(before);
  });

  it('forgets what was logged so far; what is logged after counts', async () => {
    const { session, pattern, wire, time } = await logged();
    const later = { ...session, now: new Date(session.now.getTime() + 1000) };
    done(await rule(later, wire, 'forget'));
    done(await rule(later, time, 'forget'));
    expect(await learned(later, pattern.number)).toEqual([]);
    expect(await historyOf(later, pattern.number)).toMatchObject({ time: null, cuts: [] });
    const next = { ...session, now: new Date(later.now.getTime() + 1000) };
    await make(next, pattern, { cut: 100, back: 18, minutes: '22' });
    expect(await learned(next, pattern.number)).toMatchObject([{ own: 1 }]);
    const { time: after, makings } = await historyOf(next, pattern.number);
    expect(after?.count).toBe(1);
    expect(after?.minutes).toBeLessThan(22);
    // The log itself keeps all of it.
    expect(makings).toHaveLength(7);
    done(await rule(next, time, 'follow'));
    expect((await historyOf(next, pattern.number)).time?.count).toBe(7);
  });

  it('says how long a pattern takes, in the schedule and in prices, even where nothing was timed', async () => {
    const session = await openStudio();
    await receive(session);
    const { number } = await simplePattern(session);
    const time = { pattern: number, figure: 'time' } as const;
    const taken = async () => {
      const { learned, ratios } = await timesIn(session, number);
      return { minutes: learned?.minutes, ratios };
    };
    expect(await taken()).toEqual({ minutes: undefined, ratios: [] });
    done(await rule(session, time, 'say', '30'));
    const said = await taken();
    expect(said.minutes).toBeCloseTo(30, 9);
    expect(said.ratios).toHaveLength(1);
    expect(said.ratios[0]).toBeCloseTo(1.5, 9);
  });

  it('moves what pieces took about what was said, for the chance that work is ready', async () => {
    const { session, pattern, time } = await logged();
    done(await rule(session, time, 'say', '25'));
    const { ratios } = await timesIn(session, pattern.number);
    expect(ratios).toHaveLength(6);
    for (const ratio of ratios) expect(ratio).toBeCloseTo(1.25, 9);
  });

  it('is the owner’s to say, in figures that can be', async () => {
    const { session, pattern, wire, time } = await logged();
    const helper = await addTestHelper(session);
    expect(problemOf(await rule(helper, wire, 'forget')).kind).toBe('forbidden');
    const wrong = [
      [wire, 'a lot'],
      [wire, '-70'],
      [wire, '--5'],
      [time, '0'],
      [time, '-20'],
      [{ pattern: pattern.number, figure: 'ring' } as const, '5'],
    ] as const;
    for (const [of, value] of wrong)
      expect(problemOf(await rule(session, of, 'say', value)).fields?.['value']).toContain(`“${value}”`);
    expect(problemOf(await rule(session, { ...wire, cutIndex: 4 }, 'forget')).message).toMatch(/any more/);
    expect(problemOf(await rule(session, { ...wire, pattern: 4711 }, 'forget')).message).toMatch(/any more/);
    expect(await historyOf(helper, pattern.number)).toMatchObject({ ruled: null });
  });
});
