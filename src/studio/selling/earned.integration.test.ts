import { day } from '@/core/calendar/day';
import { cost } from '@/core/units/money';
import { earnedBy } from '@/core/selling/earned';
import { returning, selling, sellingStudio } from '../../../tests/support/selling';
import { addTestHelper, closeBooks, done, newKey, problemOf } from '../../../tests/support/studio';
import { showPiece } from '../shelf/shelf';
import { writeChannel } from './channels';
import { showEarned, showPieceEarned } from './earned';
import { EARNED_BY } from './earned.input';
import { listSales } from './sales';
import { sellPieces, takeReturn } from './sell';
import { listStanding, strikeStanding, writeStanding } from './standing';

afterAll(closeBooks);

const MAY = { from: '2026-05-01', to: '2026-05-31' };

describe('what was really earned', () => {
  it('is what each piece brought, less all it took, as its own cost sheet says', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0] = numbers;
    done(
      await sellPieces(
        session,
        newKey(),
        selling(channel, [
          [one, '60 USD'],
          [two, '30 USD'],
        ]),
      ),
    );
    const { all, lines, by } = await showEarned(session, MAY);
    expect(by).toBe('month');
    expect(lines).toEqual([{ ...all, name: '2026-05' }]);
    // 90.00 with a sixth of tax; 3 % and 0.10 of it; two boxes.
    expect(all).toMatchObject({ pieces: 2, takings: 7500, fees: 280, sending: 80 });
    const sheets = await Promise.all([one, two].map((number) => showPiece(session, number)));
    const of = (...ids: string[]) =>
      sheets
        .flatMap((piece) => piece?.money?.sheet.lines ?? [])
        .filter(({ id }) => ids.includes(id))
        .reduce((sum, { actual }) => sum + actual, 0);
    expect(all?.materials).toBe(of('wire', 'scrap', 'spoilage', 'parts', 'supplies'));
    expect(all?.labour).toBe(of('labour'));
    expect(all?.overhead).toBe(of('overhead'));
    expect(all?.minutes).toBeCloseTo(
      sheets.reduce((sum, piece) => sum + (piece?.money?.sheet.minutes ?? 0), 0),
      9,
    );
    if (!all) throw new Error('something was sold');
    const { profit } = earnedBy(all);
    const total = of('wire', 'scrap', 'spoilage', 'parts', 'supplies', 'labour', 'overhead');
    expect(profit).toBe(Math.round(7500 - 280 - 80 - total / 1000));
  });

  it('is told by months, channels, fairs, patterns, kinds and metals, which sum to the same', async () => {
    const { session, numbers, channel } = await sellingStudio(4);
    done(await writeChannel(session, newKey(), null, { ...WORKSHOP }));
    const { channels } = await listSales(session);
    const direct = channels.find(({ name }) => name === WORKSHOP.name)?.id ?? '';
    for (const [index, piece] of numbers.entries())
      done(
        await sellPieces(
          session,
          newKey(),
          selling(index < 3 ? channel : direct, [[piece, `${20 + index} USD`]], {
            soldOn: index === 0 ? '2026-04-30' : '2026-05-02',
          }),
        ),
      );
    const whole = { from: '2026-04-01', to: '2026-05-31' };
    const named = async (by: string) => {
      const { lines, all } = await showEarned(session, { ...whole, by });
      const takings = lines.reduce((sum, line) => sum + line.takings, 0);
      if (by !== 'fair') expect([by, takings]).toEqual([by, all?.takings]);
      return lines.map(({ name, pieces }) => [name, pieces]);
    };
    expect(await named('month')).toEqual([
      ['2026-04', 1],
      ['2026-05', 3],
    ]);
    expect(await named('channel')).toEqual([
      ['Harbour fair', 3],
      ['The workshop', 1],
    ]);
    expect(await named('fair')).toEqual([
      ['2026-04-30 Harbour fair', 1],
      ['2026-05-02 Harbour fair', 2],
    ]);
    expect(await named('pattern')).toHaveLength(4);
    expect(await named('kind')).toEqual([['pendant', 4]]);
    expect(await named('metal')).toEqual([['sterling', 4]]);
    expect(EARNED_BY).toHaveLength(6);
    // Nothing outside the days that are asked.
    expect((await showEarned(session, MAY)).all?.pieces).toBe(3);
    expect((await showEarned(session, { from: '2025-01-01', to: '2025-12-31' })).all).toBeNull();
  });

  it('has what came back taken off, but for the fees that are kept and what sending cost', async () => {
    const { session, numbers, channel } = await sellingStudio(1);
    const [one = 0] = numbers;
    const { number } = done(await sellPieces(session, newKey(), selling(channel, [[one, '60 USD']])));
    done(await takeReturn(session, newKey(), number, returning([one], { keepsFees: true })));
    const { all } = await showEarned(session, MAY);
    expect(all).toMatchObject({
      ...{ pieces: 0, takings: 0, fees: 190, sending: 40 },
      ...{ materials: 0, replaced: 0, minutes: 0, labour: 0, overhead: 0, days: 0 },
    });
    expect(all && earnedBy(all).profit).toBe(-230);
  });

  it('bears what standing there cost: by what was paid where pieces were sold, and whole where none was', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0, three = 0] = numbers;
    const sale = (asked: readonly (readonly [number, string])[], soldOn: string) =>
      sellPieces(session, newKey(), selling(channel, asked, { soldOn }));
    done(await sale([[one, '60 USD']], '2026-05-02'));
    done(await sale([[two, '30 USD']], '2026-05-02'));
    const third = done(await sale([[three, '30 USD']], '2026-05-09'));
    const stood = (day: string, amount: string) =>
      writeStanding(session, newKey(), { channel, day, amount, note: 'stall' });
    for (const [day, amount] of [
      ['2026-05-02', '20 USD'],
      ['2026-05-02', '10 USD'],
      ['2026-05-09', '7 USD'],
      ['2026-05-16', '5 USD'],
      ['2026-05-23', '99 USD'],
    ] as const)
      done(await stood(day, amount));
    const [wrong] = await listStanding(session);
    expect(wrong).toMatchObject({ day: '2026-05-23', amount: 9900, channel: 'Harbour fair' });
    done(await strikeStanding(session, newKey(), wrong?.id ?? ''));
    expect(problemOf(await strikeStanding(session, newKey(), wrong?.id ?? '')).kind).toBe('refused');

    const standing = async (by: string) =>
      (await showEarned(session, { ...MAY, by })).lines.map(({ name, standing: cents }) => [
        name,
        cents / 1000,
      ]);
    expect(await standing('month')).toEqual([['2026-05', 4200]]);
    expect(await standing('channel')).toEqual([['Harbour fair', 4200]]);
    // Nothing was sold on the last: it cost all the same.
    expect(await standing('fair')).toEqual([
      ['2026-05-02 Harbour fair', 3000],
      ['2026-05-09 Harbour fair', 700],
      ['2026-05-16 Harbour fair', 500],
    ]);
    expect(await standing('kind')).toEqual([['pendant', 3700]]);
    expect((await standing('pattern')).map(([, cents]) => cents)).toEqual([2000, 1000, 700]);
    const { all } = await showEarned(session, MAY);
    if (!all) throw new Error('something was sold');
    expect(earnedBy(all).forHours).toBe(earnedBy({ ...all, standing: cost(0) }).forHours - 4200);
    // What comes back has stood there all the same.
    done(await takeReturn(session, newKey(), third.number, returning([three], { soldOn: '2026-05-20' })));
    expect((await standing('pattern')).map(([, cents]) => cents)).toEqual([2000, 1000, 700]);
  });

  it('is told of one piece by itself, with its share of what standing there cost, while its buyer has it', async () => {
    const { session, numbers, channel } = await sellingStudio(3);
    const [one = 0, two = 0, three = 0] = numbers;
    const sale = done(
      await sellPieces(
        session,
        newKey(),
        selling(channel, [
          [one, '60 USD'],
          [two, '30 USD'],
        ]),
      ),
    );
    done(await writeStanding(session, newKey(), { channel, day: '2026-05-02', amount: '9 USD', note: '' }));
    const told = await showPieceEarned(session, one);
    expect(told).toMatchObject({ sale: sale.number, channel: 'Harbour fair', soldOn: '2026-05-02' });
    const { all } = await showEarned(session, MAY);
    const other = await showPieceEarned(session, two);
    if (!told || !other || !all) throw new Error('both are sold');
    // 60.00 with a sixth of tax; two thirds of the rent.
    expect(told.line).toMatchObject({ takings: 5000, standing: 600_000, pieces: 1 });
    for (const of of [
      'takings',
      'fees',
      'sending',
      'materials',
      'replaced',
      'labour',
      'standing',
      'days',
    ] as const)
      expect([of, told.line[of] + other.line[of]]).toEqual([of, all[of]]);
    expect(await showPieceEarned(session, three)).toBeNull();
    done(await takeReturn(session, newKey(), sale.number, returning([one])));
    expect(await showPieceEarned(session, one)).toBeNull();
    // Sold again, it is told of its new sale.
    const again = done(
      await sellPieces(session, newKey(), selling(channel, [[one, '36 USD']], { soldOn: '2026-05-20' })),
    );
    expect(await showPieceEarned(session, one)).toMatchObject({
      sale: again.number,
      line: { takings: 3000, standing: 0 },
    });
    const helper = await addTestHelper(session);
    await expect(async () => showPieceEarned(helper, one)).rejects.toThrow();
  });

  it('tells what prices that were tried have to do with how soon pieces are sold', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    for (const [index, piece] of numbers.entries())
      done(await sellPieces(session, newKey(), selling(channel, [[piece, `${20 + index} USD`]])));
    // Each of another pattern: nothing is tried yet.
    expect(await showEarned(session, MAY)).toMatchObject({
      tried: { points: [], isKnown: false },
      triedOf: [],
    });
  });

  it('takes only what can have been paid, of the owner', async () => {
    const { session, channel } = await sellingStudio(0);
    const typed = { channel, day: '2026-05-02', amount: '20 USD', note: '' };
    const stood = (more: object, who = session) => writeStanding(who, newKey(), { ...typed, ...more });
    expect(problemOf(await stood({ amount: '0 USD' })).fields).toHaveProperty('amount');
    expect(problemOf(await stood({ amount: '5 EUR' })).fields).toHaveProperty('amount');
    expect(problemOf(await stood({ day: '2999-01-01' })).fields).toHaveProperty('day');
    expect(problemOf(await stood({ channel: newKey() })).fields).toHaveProperty('channel');
    const helper = await addTestHelper(session);
    expect(problemOf(await stood({}, helper)).kind).toBe('forbidden');
    await expect(async () => listStanding(helper)).rejects.toThrow();
  });

  it('is the last year when nothing is said, and the owner’s', async () => {
    const { session } = await sellingStudio(0);
    const at = { ...session, now: new Date('2026-06-30T12:00:00Z') };
    expect(await showEarned(at)).toMatchObject({ from: day('2025-07-01'), to: day('2026-06-30'), all: null });
    const helper = await addTestHelper(session);
    await expect(async () => showEarned(helper)).rejects.toThrow();
  });
});

const WORKSHOP = {
  ...{ kind: 'direct', name: 'The workshop', feePercent: '0', feeOn: 'gross', feeFixed: '0 USD' },
  ...{
    postageAsked: '0 USD',
    postage: '0 USD',
    packing: '0 USD',
    isOpen: true,
    pricePercent: '100',
    endings: [],
  },
  ...{ taxKind: 'none', taxPercent: '0', taxRounding: 'document' },
};
