import fc from 'fast-check';
import { closeDatabase } from '@/data/database';
import {
  done,
  expectBooksAgree,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
  addTestHelper,
} from '../../../tests/support/studio';
import { PURCHASE } from '../../../tests/support/purchases';
import type { StudioSession } from '../kernel/useCase';
import { showDrawerPiece } from '../drawers/drawers';
import { receiveFindings } from '../drawers/receive';
import { showLedger } from '../ledger/ledgerPage';
import { reverseMovement } from '../corrections/reverseMovement';
import { showPiece, showShelf } from '../shelf/shelf';
import { showRack, showStockPiece } from '../wire/rack';
import { makePiece } from './makePiece';
import type { MakePieceInput } from './makePiece.input';
import { proposeMaking } from './proposeMaking';

afterAll(closeDatabase);

/** The proposal, accepted as it stands. */
async function proposed(
  session: StudioSession,
  pattern: number,
  changed: Partial<MakePieceInput> = {},
): Promise<MakePieceInput> {
  const proposal = await proposeMaking(session, pattern);
  if (!proposal) throw new Error('no such pattern');
  return {
    cuts: proposal.cuts.map(({ cutIndex, copy, from, length }) => ({
      cutIndex,
      copy,
      from: from ?? newKey(),
      cut: `${length / 1000} mm`,
      back: '0 mm',
    })),
    spoiled: [],
    minutes: '20',
    setUpMinutes: '10',
    sharedBy: '1',
    ...changed,
  };
}

const first = (input: MakePieceInput) => {
  const [cut] = input.cuts;
  if (!cut) throw new Error('no cut');
  return cut;
};

describe('making findings of a pattern', () => {
  const drawer = { finding: 'bail', material: 'sterling', size: '6 mm', count: '4', place: 'Findings box' };

  it('puts them into the drawer with wire, scrap, parts and hours in their cost, and nothing on the shelf', async () => {
    const session = await openStudio(); // 20.00 an hour and 6.00 of overhead
    await receive(session); // 10 m for $50.00: half a cent a millimetre
    const { number: lot } = done(
      await receiveFindings(session, newKey(), {
        ...PURCHASE,
        finding: 'spacer',
        material: 'brass',
        size: '',
        count: '10',
        price: '3.00 USD',
      }),
    );
    const pattern = await simplePattern(session, { count: '2', part: 'brass spacer' });
    const input = await proposed(session, pattern.number, {
      minutes: '12',
      setUpMinutes: '6',
      sharedBy: '2',
      goesTo: 'drawer',
      drawer,
    });
    const made = done(await makePiece(session, newKey(), pattern, input));
    expect(made).toEqual({ number: lot + 1, as: 'finding' });
    const findings = await showDrawerPiece(session, 'finding', made.number);
    // By hand: 200 mm of wire are 1.00, two spacers 0.60, a quarter of an hour at 26.00 with overhead is 6.50.
    expect(findings).toMatchObject({ quantity: 4, cost: 810_000 });
    expect((await showShelf(session)).pieces).toEqual([]);
    expect((await showDrawerPiece(session, 'finding', lot))?.quantity).toBe(8);
    await expectBooksAgree();

    const [movement] = (await showLedger(session, { kind: 'made' })).lines;
    done(await reverseMovement(session, newKey(), movement?.id ?? 0, { reason: 'miscounted' }));
    expect((await showDrawerPiece(session, 'finding', made.number))?.quantity).toBe(0);
    expect((await showDrawerPiece(session, 'finding', lot))?.quantity).toBe(10);
    await expectBooksAgree();
  });

  it('asks how many came of it', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session);
    const input = await proposed(session, pattern.number, {
      goesTo: 'drawer',
      drawer: { ...drawer, count: '0' },
    });
    expect(problemOf(await makePiece(session, newKey(), pattern, input)).fields).toEqual({
      'drawer.count': '“0” is nothing; it must be more than 0.',
    });
  });
});

describe('making a ring', () => {
  it('keeps the size that the mandrel says when it is finished', async () => {
    const session = await openStudio();
    await receive(session);
    const pattern = await simplePattern(session, { kind: 'ring' });
    const wrong = await makePiece(session, newKey(), pattern, {
      ...(await proposed(session, pattern.number)),
      finished: 'US 40',
    });
    expect(problemOf(wrong).fields?.['finished']).toContain('“40” is 44.1 mm across inside');
    const tooSmall = await makePiece(session, newKey(), pattern, {
      ...(await proposed(session, pattern.number)),
      finished: '4 mm',
    });
    expect(problemOf(tooSmall).fields?.['finished']).toBe(
      '“4 mm” was given; 10 mm to 30 mm are allowed, or a size that is within that.',
    );
    const { number } = done(
      await makePiece(session, newKey(), pattern, {
        ...(await proposed(session, pattern.number)),
        finished: 'US 7 1/4',
      }),
    );
    expect((await showPiece(session, number))?.size).toBe('US 7¼ · UK O · ISO 55.1');
    const unread = done(
      await makePiece(session, newKey(), pattern, {
        ...(await proposed(session, pattern.number)),
        finished: '',
      }),
    );
    expect((await showPiece(session, unread.number))?.size).toBe('');
  });
});

describe('making a piece', () => {
  it('takes wire with its share of the cost, keeps what came back, logs what was spoiled', async () => {
    const session = await openStudio();
    const spool = await receive(session); // 10 m for $50.00: half a cent a millimetre
    const pattern = await simplePattern(session, { count: '2' });
    const input = await proposed(session, pattern.number);
    const { from } = first(input);
    const { number } = done(
      await makePiece(session, newKey(), pattern, {
        ...input,
        cuts: [
          { ...first(input), cut: '160 mm', back: '60 mm' }, // comes back as an off-cut
          { ...first(input), copy: 1, cut: '120 mm', back: '20 mm' }, // too short to keep
        ],
        spoiled: [{ from, length: '30 mm', reason: 'snapped at a kink' }],
      }),
    );

    const stock = await showStockPiece(session, spool);
    expect(stock).toMatchObject({ length: 9_690_000, cost: 4_845_000 });
    expect(stock?.history.map(({ kind, quantity }) => [kind, quantity])).toEqual([
      ['scrapped', -20_000],
      ['cut', -100_000],
      ['cut', -160_000],
      ['spoiled', -30_000],
      ['received', 10_000_000],
    ]);
    const rack = await showRack(session, {});
    const offCut = rack.groups[0]?.pieces.find(({ form }) => form === 'off-cut');
    expect(offCut).toMatchObject({ length: 60_000, cost: 30_000 });

    const piece = await showPiece(session, number);
    const line = (id: string) => piece?.money?.sheet.lines.find((each) => each.id === id)?.actual;
    expect(line('wire')).toBe(100_000); // 200 mm used
    expect(line('scrap')).toBe(10_000);
    expect(line('spoilage')).toBe(15_000);
    expect(line('parts')).toBe(50_000);
    expect(line('labour')).toBe(1_000_000); // half an hour at $20
    await expectBooksAgree();
  });

  it('shows the replacement cost at the last price paid', async () => {
    const session = await openStudio();
    await receive(session, { boughtOn: '2025-01-10', price: '50.00 USD', length: '1 m' });
    await receive(session, { boughtOn: '2026-02-10', price: '100.00 USD', length: '1 m' });
    const pattern = await simplePattern(session);
    const { number } = done(
      await makePiece(session, newKey(), pattern, await proposed(session, pattern.number)),
    );
    const wire = (await showPiece(session, number))?.money?.sheet.lines[0];
    expect(wire).toMatchObject({ id: 'wire', actual: 500_000, replacement: 1_000_000 });
  });

  it('scraps the tail of a length that is too short to keep, at the piece’s expense', async () => {
    const session = await openStudio();
    const stub = await receive(session, { length: '130 mm', price: '1.30 USD', form: 'coil' });
    const pattern = await simplePattern(session);
    const { number } = done(
      await makePiece(session, newKey(), pattern, await proposed(session, pattern.number)),
    );
    expect(await showStockPiece(session, stub)).toMatchObject({ length: 0, cost: 0 });
    expect((await showPiece(session, number))?.money?.sheet.lines).toMatchObject([
      { actual: 100_000 },
      { id: 'scrap', actual: 30_000 },
      {},
      {},
      {},
      {},
      {},
    ]);
  });

  it('says how much is short of what, and posts nothing', async () => {
    const session = await openStudio();
    const spool = await receive(session, { length: '150 mm' });
    const pattern = await simplePattern(session, { count: '2' });
    const proposal = await proposeMaking(session, pattern.number);
    expect(proposal?.shortages).toMatchObject([{ missing: 100_000, cuts: 1, longestInStock: 150_000 }]);
    const input = await proposed(session, pattern.number);
    const from = proposal?.choices[0]?.id ?? '';
    const problem = problemOf(
      await makePiece(session, newKey(), pattern, {
        ...input,
        cuts: input.cuts.map((cut) => ({ ...cut, from })),
      }),
    );
    expect(problem.kind).toBe('refused');
    expect(problem.message).toMatch(
      /W-\d{4} has 150 mm left; 200 mm is wanted from it: 50 mm short of 20 ga round sterling, half hard/,
    );
    expect(Object.keys(problem.fields ?? {})).toEqual(['cuts.0.from', 'cuts.1.from']);
    expect(await showStockPiece(session, spool)).toMatchObject({ length: 150_000 });
    expect((await showShelf(session)).total).toBe(0);
  });

  it.each<[string, (input: MakePieceInput) => unknown, RegExp]>([
    ['no length', (i) => ({ ...i, cuts: [{ ...first(i), cut: '' }] }), /Enter a length/],
    ['a negative length', (i) => ({ ...i, cuts: [{ ...first(i), cut: '-3 mm' }] }), /negative/],
    ['nought', (i) => ({ ...i, cuts: [{ ...first(i), cut: '0 mm' }] }), /more than 0/],
    ['more back than was cut', (i) => ({ ...i, cuts: [{ ...first(i), back: '101 mm' }] }), /More came back/],
    ['a wire left out', (i) => ({ ...i, cuts: [] }), /Nothing is said about frame wire/],
    ['a wire given twice', (i) => ({ ...i, cuts: [first(i), first(i)] }), /given twice/],
    [
      'a wire that is not there',
      (i) => ({ ...i, cuts: [{ ...first(i), from: newKey() }] }),
      /no longer on the rack/,
    ],
    [
      'spoilage without a reason',
      (i) => ({ ...i, spoiled: [{ from: first(i).from, length: '1 mm', reason: ' ' }] }),
      /reason/,
    ],
    ['a field nobody asked for', (i) => ({ ...i, price: '0' }), /no field “price”/],
    ['something that is no form', () => 'cuts', /Nothing readable/],
  ])('refuses %s and posts nothing', async (_what, change, message) => {
    const session = await openStudio();
    const spool = await receive(session);
    const pattern = await simplePattern(session);
    const problem = problemOf(
      await makePiece(session, newKey(), pattern, change(await proposed(session, pattern.number))),
    );
    expect(problem.message).toMatch(message);
    expect(await showStockPiece(session, spool)).toMatchObject({
      length: 10_000_000,
      history: [{ kind: 'received' }],
    });
  });

  it('posts the same form once, however often it is sent', async () => {
    const session = await openStudio();
    const spool = await receive(session);
    const pattern = await simplePattern(session);
    const [key, input] = [newKey(), await proposed(session, pattern.number)];
    const outcomes = await Promise.all(
      Array.from({ length: 5 }, () => makePiece(session, key, pattern, input)),
    );
    outcomes.push(await makePiece(session, key, pattern, input));
    expect(new Set(outcomes.map((outcome) => done(outcome).number)).size).toBe(1);
    expect(await showStockPiece(session, spool)).toMatchObject({ length: 9_900_000 });
    expect((await showShelf(session)).total).toBe(1);
  });

  it('lets one of two have the last wire and tells the other', async () => {
    const session = await openStudio();
    await receive(session, { length: '100 mm' });
    const pattern = await simplePattern(session);
    const input = await proposed(session, pattern.number);
    const outcomes = await Promise.all([
      makePiece(session, newKey(), pattern, input),
      makePiece(session, newKey(), pattern, input),
    ]);
    expect(outcomes.filter(({ ok }) => ok)).toHaveLength(1);
    const [loser] = outcomes.filter(({ ok }) => !ok);
    expect(loser && problemOf(loser).message).toMatch(/is used up; 100 mm is wanted/);
  });

  it('keeps exact books through fifty cuts at once', async () => {
    const session = await openStudio();
    const spool = await receive(session, { length: '3.333 m', price: '47.11 USD' });
    const pattern = await simplePattern(session);
    const input = await proposed(session, pattern.number);
    const outcomes = await Promise.all(
      Array.from({ length: 50 }, () => makePiece(session, newKey(), pattern, input)),
    );
    const made = outcomes.filter(({ ok }) => ok).length;
    expect(made).toBe(33);
    // 33 mm are left: too short to keep, so the thirty-third cut scraps them.
    expect(await showStockPiece(session, spool)).toMatchObject({ length: 0, cost: 0 });
    expect((await showShelf(session)).total).toBe(made);
    await expectBooksAgree();
  }, 120_000);

  it('keeps length and cost whatever is cut, spoiled and brought back, in any order', async () => {
    const session = await openStudio();
    const spool = await receive(session, { length: '7.777777 m', price: '33.33 USD' });
    const pattern = await simplePattern(session);
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 400_000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.option(fc.integer({ min: 1, max: 50_000 })),
        async (cut, backPart, lost) => {
          const input = await proposed(session, pattern.number);
          const { from } = first(input);
          const back = Math.floor(cut * backPart);
          await makePiece(session, newKey(), pattern, {
            ...input,
            cuts: [{ ...first(input), cut: `${cut} µm`, back: `${back} µm` }],
            spoiled: lost === null ? [] : [{ from, length: `${lost} µm`, reason: 'marred by pliers' }],
          });
        },
      ),
      { numRuns: 40 },
    );
    expect(await showStockPiece(session, spool)).not.toBeNull();
    await expectBooksAgree();
  }, 120_000);

  it('shows a helper the wire and the piece, never the money', async () => {
    const owner = await openStudio();
    const spool = await receive(owner);
    const pattern = await simplePattern(owner);
    const helper = await addTestHelper(owner);
    const { number } = done(
      await makePiece(helper, newKey(), pattern, await proposed(helper, pattern.number)),
    );
    const seen = JSON.stringify([
      await showPiece(helper, number),
      await showStockPiece(helper, spool),
      await showRack(helper, {}),
      await showShelf(helper),
      await proposeMaking(helper, pattern.number),
    ]);
    const amounts = [...seen.matchAll(/"(cost|price|totalCost|priceTotal|money|unitCost)":([^,}\]]+)/g)].map(
      ([, , value]) => value,
    );
    expect(amounts.length).toBeGreaterThan(5);
    expect(new Set(amounts)).toEqual(new Set(['null']));
  });
});
