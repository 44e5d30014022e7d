import { asToday, basisToday, outcomeOf } from '@/core/selling/whatIf';
import { tag } from '@/core/tag';
import { returning, selling, sellingStudio } from '../../../tests/support/selling';
import {
  addTestHelper,
  closeBooks,
  done,
  expectBooksAgree,
  makeOne,
  newKey,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { turnPieces } from '../shelf/pieceLife';
import { pricePiece, showPiece } from '../shelf/shelf';
import { dropScenario, keepScenario, listScenarios, pricesNow, reprice, trayNow } from './pricesNow';
import { sellPieces, takeReturn } from './sell';

afterAll(closeBooks);

/** A studio with priced pieces, by their numbers. */
async function pricedStudio(prices: readonly string[]) {
  const studio = await sellingStudio(prices.length);
  for (const [index, price] of prices.entries())
    done(
      await pricePiece(studio.session, newKey(), studio.numbers[index] ?? 0, {
        version: '1',
        school: 'market',
        goingPrice: price,
      }),
    );
  return studio;
}

const SUPPOSED = {
  name: 'Silver up a fifth',
  metals: [{ metal: 'sterling', part: '120' }],
  ...{ stones: '100', minutes: '90', prices: '100', step: 'weave', stepPart: '80' },
  ...{ hourlyRate: '20 USD', overheadPerHour: '6 USD', feePercent: '0' },
};

describe('prices of the whole shelf', () => {
  it('are looked at with what each piece takes today, as its cost sheet has it', async () => {
    const { session, numbers } = await pricedStudio(['40 USD', '2 USD']);
    const [one = 0, two = 0] = numbers;
    const { shelf, today, proposals, unpriced } = await pricesNow(session);
    expect(shelf.map(({ number, price }) => [number, price])).toEqual([
      [two, 200],
      [one, 4000],
    ]);
    expect(unpriced).toBe(0);
    const sheet = (await showPiece(session, one))?.money?.sheet;
    const piece = shelf.find(({ number }) => number === one);
    if (!sheet || !piece) throw new Error('it is on the shelf');
    // Nothing is dearer yet: what it costs today is what it was to buy again then.
    const told = outcomeOf(piece, asToday(today), today);
    expect(told.materials).toBeCloseTo(sheet.materials.replacement / 1000, 2);
    expect(told.cost).toBeCloseTo(sheet.total.replacement / 1000, 2);
    expect(Object.keys(piece.wire)).toEqual(['sterling']);
    expect(proposals).toMatchObject([{ number: two, reason: 'under cost', price: 200 }]);

    // Wire is bought at twice the price: what of the piece is wire costs twice as much.
    await receive(session, { price: '100.00 USD', boughtOn: '2026-06-01' });
    const dearer = (await pricesNow(session)).shelf.find(({ number }) => number === one);
    expect(dearer?.wire.sterling).toBe(2 * (piece.wire.sterling ?? NaN));
    expect(dearer?.rest).toBe(piece.rest);
  });

  it('tell what a year sold, without what came back or was sold before', async () => {
    const { session, numbers, channel } = await pricedStudio(['40 USD', '30 USD', '20 USD', '10 USD']);
    const [one = 0, two = 0, three = 0] = numbers;
    const at = { ...session, now: new Date('2026-06-30T12:00:00Z') };
    const sold = done(
      await sellPieces(
        at,
        newKey(),
        selling(
          channel,
          [
            [one, '36 USD'],
            [two, '30 USD'],
          ],
          { soldOn: '2026-06-20' },
        ),
      ),
    );
    done(await sellPieces(at, newKey(), selling(channel, [[three, '20 USD']], { soldOn: '2025-06-01' })));
    done(await takeReturn(at, newKey(), sold.number, returning([two], { soldOn: '2026-06-25' })));
    const view = await pricesNow(at);
    expect(view.sold.map(({ number, price }) => [number, price])).toEqual([[one, 3600]]);
    expect(view.shelf.map(({ number }) => number)).toEqual([numbers[3], two]);
    const helper = await addTestHelper(session);
    await expect(async () => pricesNow(helper)).rejects.toThrow();
  });

  it('tell what a new piece of each pattern takes, and which part of it each step does', async () => {
    const { session, numbers } = await pricedStudio(['40 USD']);
    const pattern = (await showPiece(session, numbers[0] ?? 0))?.patternNumber ?? 0;
    const { patterns, shares, today } = await pricesNow(session);
    const one = patterns.find((each) => each.number === pattern);
    // As the last of it was tagged.
    expect(one).toMatchObject({ pattern, price: 4000 });
    const steps = Object.values(shares[pattern] ?? {});
    expect(steps.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    // The cut of a wire costs what the price of its metal makes it: what the piece itself took of it, and what is lost on the average.
    const made = await showPiece(session, numbers[0] ?? 0);
    const wire = made?.money?.sheet.lines.find(({ id }) => id === 'wire')?.replacement ?? 0;
    expect(Object.keys(one?.wire ?? {})).toEqual(['sterling']);
    expect((one?.wire.sterling ?? 0) / wire).toBeGreaterThan(0.9);
    expect((one?.wire.sterling ?? 0) / wire).toBeLessThan(1.2);
    const [name = ''] = Object.keys(shares[pattern] ?? {});
    const profit = (part: number) =>
      one && outcomeOf(one, { ...asToday(today), step: { name, part } }, today, shares).profit;
    expect(profit(5000)).toBeGreaterThan(profit(10_000) ?? Infinity);
  });
});

describe('prices that are changed together', () => {
  type Row = readonly [piece: number, from: string, price: string];
  const form = (...pieces: Row[]) => ({
    pieces: pieces.map(([piece, from, price]) => ({ piece: tag('piece', piece), from, price })),
  });

  it('are put on pieces of a tray that have none yet, too', async () => {
    const { session, numbers, channel } = await pricedStudio(['40 USD', '30 USD', '20 USD']);
    const [one = 0, two = 0, three = 0] = numbers;
    const bare = await makeOne(session);
    done(await sellPieces(session, newKey(), selling(channel, [[three, '20 USD']])));
    // What is sold is not priced again, and what is of no number is nothing.
    const { pieces, today } = await trayNow(session, [bare, three, one, 9999, two]);
    expect(pieces.map(({ number, price }) => [number, price])).toEqual([
      [one, 4000],
      [two, 3000],
      [bare, null],
    ]);
    expect(today).toMatchObject({ hourlyRate: 2000 });
    const sheet = (await showPiece(session, bare))?.money?.sheet;
    const [, , piece] = pieces;
    if (!sheet || !piece) throw new Error('it is there');
    const basis = basisToday(piece, today);
    expect(basis.materials).toBeCloseTo(sheet.materials.replacement / 1000, 2);
    expect(basis.labour + basis.overhead + basis.materials).toBeCloseTo(sheet.total.replacement / 1000, 1);

    const stale = await reprice(
      session,
      newKey(),
      form([one, '40 USD', '25 USD'], [bare, '5 USD', '25 USD']),
    );
    expect(problemOf(stale).fields).toHaveProperty(['pieces.1.price']);
    const all = form([one, '40 USD', '25 USD'], [bare, '', '25 USD']);
    expect(done(await reprice(session, newKey(), all))).toEqual({ changed: 2 });
    expect((await showPiece(session, bare))?.money?.price).toBe(2500);
    expect(problemOf(await reprice(session, newKey(), all)).fields).toHaveProperty(['pieces.0.price']);
    const helper = await addTestHelper(session);
    await expect(async () => trayNow(helper, [one])).rejects.toThrow();
  });

  it('are changed all or none, once', async () => {
    const { session, numbers } = await pricedStudio(['40 USD', '30 USD', '20 USD']);
    const [one = 0, two = 0, three = 0] = numbers;
    const key = newKey();
    const both = form([one, '40 USD', '44 USD'], [two, '30 USD', '27 USD']);
    expect(done(await reprice(session, key, both))).toEqual({ changed: 2 });
    expect(done(await reprice(session, key, both))).toEqual({ changed: 2 });
    const priceOf = async (piece: number) => (await showPiece(session, piece))?.money?.price;
    expect([await priceOf(one), await priceOf(two)]).toEqual([4400, 2700]);

    const stale = await reprice(
      session,
      newKey(),
      form([three, '20 USD', '22 USD'], [one, '40 USD', '48 USD']),
    );
    expect(problemOf(stale).fields).toEqual({
      'pieces.1.price': `${tag('piece', one)} has another price by now; reload the page.`,
    });
    expect(await priceOf(three)).toBe(2000);
    // The form of one piece that was open meanwhile is out of date, too.
    const open = await pricePiece(session, newKey(), one, {
      version: '2',
      school: 'market',
      goingPrice: '9 USD',
    });
    expect(problemOf(open).kind).toBe('stale');
    done(await turnPieces(session, newKey(), [three], { turn: 'given', to: '', note: '' }));
    const refused = async (...pieces: Row[]) =>
      problemOf(await reprice(session, newKey(), form(...pieces))).fields;
    expect(await refused([three, '20 USD', '22 USD'])).toHaveProperty(['pieces.0.piece']);
    expect(await refused([two, '27 USD', '28 USD'], [two, '27 USD', '29 USD'])).toHaveProperty([
      'pieces.1.piece',
    ]);
    expect(await refused([two, '27 USD', '0 USD'])).toHaveProperty(['pieces.0.price']);
    expect(await refused([two, '27 EUR', '28 USD'])).toHaveProperty(['pieces.0.from']);
    const helper = await addTestHelper(session);
    expect(problemOf(await reprice(helper, newKey(), form([two, '27 USD', '28 USD']))).kind).toBe(
      'forbidden',
    );
    await expectBooksAgree();
  });
});

describe('what somebody supposes', () => {
  it('is kept by its name, and let go of', async () => {
    const { session } = await sellingStudio(0);
    done(await keepScenario(session, newKey(), SUPPOSED));
    const [kept] = await listScenarios(session);
    expect(kept).toMatchObject({
      name: 'Silver up a fifth',
      supposed: {
        metals: { sterling: 12_000, copper: 10_000 },
        ...{ stones: 10_000, minutes: 9000, prices: 10_000, step: { name: 'weave', part: 8000 } },
        ...{ hourlyRate: 2000, overheadPerHour: 600, feePercent: 0 },
      },
    });
    for (const [changed, field] of [
      [{ name: '' }, 'name'],
      [{ minutes: '1001' }, 'minutes'],
      [{ metals: [{ metal: 'lead', part: '100' }] }, 'metals.0.metal'],
      [{ hourlyRate: '20 EUR' }, 'hourlyRate'],
    ] as const)
      expect(
        problemOf(await keepScenario(session, newKey(), { ...SUPPOSED, ...changed })).fields,
      ).toHaveProperty([field]);
    done(await dropScenario(session, newKey(), kept?.id ?? ''));
    expect(await listScenarios(session)).toEqual([]);
    const helper = await addTestHelper(session);
    expect(problemOf(await keepScenario(helper, newKey(), SUPPOSED)).kind).toBe('forbidden');
    await expect(async () => listScenarios(helper)).rejects.toThrow();
  });
});
