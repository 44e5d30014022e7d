import { minor } from '@/core/units/money';
import { closeDatabase } from '@/data/database';
import { checkBooks } from '@/data/checkBooks';
import {
  addTestHelper,
  asOwner,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
  SPOOL,
} from '../../tests/support/studio';
import { findAnything } from './find/findAnything';
import type { Outcome } from './kernel/outcome';
import type { StudioSession } from './kernel/useCase';
import { makePiece } from './making/makePiece';
import { proposeMaking } from './making/proposeMaking';
import { listPatterns, listSpecs, showPattern } from './patterns/patterns';
import { writePattern } from './patterns/writePattern';
import { changeCurrency, isCurrencyOpen } from './settings/changeCurrency';
import { changeSettings, readSettings } from './settings/settings';
import { pricePiece, showPiece, showShelf } from './shelf/shelf';
import { listSuppliers, showRack, showStockPiece } from './wire/rack';
import { receiveWire } from './wire/receiveWire';

afterAll(closeDatabase);

describe('receiving wire', () => {
  it('works out the length from the weight', async () => {
    const session = await openStudio();
    const number = await receive(session, { length: '', mass: '1 oz t' });
    const piece = await showStockPiece(session, number);
    // 31.1034768 g at 5.365 g/m (20 ga, 0.812 mm, sterling 10.36): 5.80 m.
    expect((piece?.length ?? 0) / 1e6).toBeCloseTo(5.8, 2);
    expect(piece).toMatchObject({
      cost: 5_000_000,
      lot: { supplier: 'Tern & Daughter Metals', boughtOn: '2026-05-04', label: '20 AWG' },
    });
  });

  it('knows the same wire under another label, and keeps the label as bought', async () => {
    const session = await openStudio();
    await receive(session);
    const number = await receive(session, { gaugeSystem: 'mm', gaugeNumber: '0.812' });
    expect(await listSpecs(session)).toHaveLength(1);
    expect((await showStockPiece(session, number))?.lot?.label).toBe('0.812 mm');
    await receive(session, { temper: 'dead soft' });
    expect(await listSpecs(session)).toHaveLength(2);
    expect(await listSuppliers(session)).toEqual(['Tern & Daughter Metals']);
  });

  it.each<[string, object, RegExp]>([
    ['neither length nor weight', { length: '', mass: '' }, /Enter a length/],
    ['a negative length', { length: '-3 m' }, /negative/],
    ['a bare number', { length: '10' }, /no unit/],
    ['a gauge that does not exist', { gaugeNumber: '77' }, /no AWG number “77”/],
    ['a price of nothing', { price: '0 USD' }, /more than 0/],
    ['a price in another currency', { price: '5 EUR' }, /in EUR, but this studio keeps its books in USD/],
    ['a coating without a colour', { finish: 'coated' }, /which colour/],
    ['a metal nobody knows', { metal: 'unobtainium' }, /Choose a metal: copper/],
    ['a day to come', { boughtOn: '2199-01-01' }, /still to come/],
    ['a day that is none', { boughtOn: '2026-02-30' }, /is not a day/],
    ['an endless supplier', { supplier: 'x'.repeat(5000) }, /5,000 characters long; 120 are allowed/],
    ['a number for a text', { price: 12 }, /as text/],
  ])('refuses %s and posts nothing', async (_what, changed, message) => {
    const session = await openStudio();
    expect(problemOf(await receiveWire(session, newKey(), { ...SPOOL, ...changed })).message).toMatch(
      message,
    );
    expect((await showRack(session, {})).pieceCount).toBe(0);
  });

  it('posts one form once, and refuses its key for another', async () => {
    const session = await openStudio();
    const key = newKey();
    const first = done(await receiveWire(session, key, SPOOL));
    expect(done(await receiveWire(session, key, SPOOL))).toEqual(first);
    expect((await showRack(session, {})).pieceCount).toBe(1);
    expect(problemOf(await writePattern(session, key, null, {})).kind).toBe('invalid');
    expect(problemOf(await receiveWire(session, 'no key', SPOOL)).message).toMatch(/lost its key/);
  });
});

describe('the rack', () => {
  it('pages in its own order without losing or repeating a length', async () => {
    const session = await openStudio();
    for (let n = 0; n < 45; n += 1)
      await receive(session, { gaugeNumber: String(16 + (n % 5) * 2), length: `${n + 1} m` });
    const numbers: number[] = [];
    for (let after: string | undefined; ;) {
      const page = await showRack(session, after === undefined ? {} : { after });
      numbers.push(...page.groups.flatMap(({ pieces }) => pieces.map(({ number }) => number)));
      expect(page).toMatchObject({
        pieceCount: 45,
        specCount: 5,
        totalLength: 1_035_000_000,
        totalCost: 225_000_000,
      });
      if (page.next === null) break;
      after = page.next;
    }
    expect(numbers).toHaveLength(45);
    expect(new Set(numbers).size).toBe(45);
  });

  it('filters and searches, treating what is typed as words, not as patterns', async () => {
    const session = await openStudio();
    await receive(session);
    await receive(session, {
      metal: 'copper',
      gaugeNumber: '26',
      temper: 'dead soft',
      finish: 'coated',
      finishName: 'teal',
    });
    const count = async (query: Parameters<typeof showRack>[1]) =>
      (await showRack(session, query)).pieceCount;
    expect(await count({ metal: 'copper' })).toBe(1);
    expect(await count({ gauge: '26 AWG' })).toBe(1);
    expect(await count({ temper: 'half hard' })).toBe(1);
    expect(await count({ words: 'TEAL copper' })).toBe(1);
    expect(await count({ words: 'W-0001' })).toBe(1);
    expect(await count({ words: '%' })).toBe(0);
    expect(await count({ words: `' OR 1=1 --` })).toBe(0);
    expect(await count({ after: 'no cursor' })).toBe(2);
  });

  it('is found by tag or words from the command box', async () => {
    const session = await openStudio();
    await receive(session);
    await simplePattern(session);
    expect(await findAnything(session, 'w-1')).toMatchObject([
      { kind: 'wire', tag: 'W-0001', name: '20 ga round sterling, half hard' },
    ]);
    expect((await findAnything(session, 'loop')).map(({ kind }) => kind)).toEqual(['pattern']);
    expect(await findAnything(session, '   ')).toEqual([]);
  });
});

describe('patterns', () => {
  it('keep every revision, and tell who was overtaken', async () => {
    const session = await openStudio();
    await receive(session);
    const base = await simplePattern(session);
    const pattern = await showPattern(session, base.number);
    const [spec] = await listSpecs(session);
    const body = (net: string) => ({
      name: pattern?.name ?? '',
      kind: 'ring',
      notes: '',
      cuts: [{ name: 'wire', specId: spec?.id ?? '', count: '1', net, allowances: [] }],
      parts: [],
      steps: [],
    });
    expect(done(await writePattern(session, newKey(), base, body('90 mm')))).toEqual({
      number: base.number,
      revision: 2,
    });
    expect(problemOf(await writePattern(session, newKey(), base, body('95 mm')))).toMatchObject({
      kind: 'stale',
      message: /changed to revision 2 while you had revision 1/,
    });
    expect(await showPattern(session, base.number)).toMatchObject({
      revision: 2,
      kind: 'ring',
      body: { cuts: [{ net: 90_000 }] },
    });
    expect(problemOf(await writePattern(session, newKey(), null, body('95 mm'))).fields?.['name']).toMatch(
      /already a pattern called/,
    );
  });

  it('may hold markup as a name, and say what is wrong deep inside', async () => {
    const session = await openStudio();
    await receive(session);
    const [spec] = await listSpecs(session);
    const cut = {
      name: '<script>alert(1)</script>',
      specId: spec?.id ?? '',
      count: '1',
      net: '1 in',
      allowances: [],
    };
    const body = { name: '<b>bold</b>', kind: 'ring', notes: '', cuts: [cut], parts: [], steps: [] };
    const { number } = done(await writePattern(session, newKey(), null, body));
    expect((await showPattern(session, number))?.name).toBe('<b>bold</b>');
    const wrong = {
      ...body,
      name: 'x'.repeat(5000),
      cuts: [{ ...cut, allowances: [{ name: 'tail', length: 'ten' }] }],
    };
    const problem = problemOf(await writePattern(session, newKey(), null, wrong));
    expect(Object.keys(problem.fields ?? {})).toEqual(['name', 'cuts.0.allowances.0.length']);
    expect(problemOf(await writePattern(session, newKey(), null, { ...body, cuts: [] })).message).toMatch(
      /at least one wire/,
    );
    expect(
      problemOf(
        await writePattern(session, newKey(), null, {
          ...body,
          name: 'other',
          cuts: [{ ...cut, specId: newKey() }],
        }),
      ).fields,
    ).toHaveProperty(['cuts.0.specId']);
    expect((await listPatterns(session)).total).toBe(1);
  });
});

async function makeOne(session: StudioSession): Promise<number> {
  await receive(session);
  const pattern = await simplePattern(session);
  const proposal = await proposeMaking(session, pattern.number);
  const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from }) => ({
    cutIndex,
    copy,
    from: from ?? '',
    cut: '100 mm',
    back: '0 mm',
  }));
  return done(
    await makePiece(session, newKey(), pattern, {
      cuts,
      spoiled: [],
      minutes: '20',
      setUpMinutes: '10',
      sharedBy: '1',
    }),
  ).number;
}

describe('pricing a piece', () => {
  it('takes the chosen school’s price, with the endings of the house', async () => {
    const session = await openStudio({ priceEndings: [minor(0), minor(500)] });
    const number = await makeOne(session);
    // Wire 0.50, beads 0.50, half an hour at 20.00 and 6.00: 14.00; doubled twice is 56.00, up to 60.00.
    expect(
      done(await pricePiece(session, newKey(), number, { version: '1', school: 'doubled', goingPrice: '' }))
        .price,
    ).toBe(6000);
    expect(await showPiece(session, number)).toMatchObject({
      version: 2,
      money: { school: 'doubled', price: 6000 },
    });
    expect(await showShelf(session)).toMatchObject({ total: 1, unpriced: 0, priceTotal: 6000 });
  });

  it('tells who was overtaken, and who left out the going price', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    expect(
      problemOf(
        await pricePiece(session, newKey(), number, { version: '1', school: 'market', goingPrice: '' }),
      ).fields,
    ).toHaveProperty('goingPrice');
    done(
      await pricePiece(session, newKey(), number, {
        version: '1',
        school: 'market',
        goingPrice: '24.00 USD',
      }),
    );
    expect(
      problemOf(
        await pricePiece(session, newKey(), number, { version: '1', school: 'hourly', goingPrice: '' }),
      ).kind,
    ).toBe('stale');
  });

  it('keeps what a piece cost when the rates change', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    const before = (await showPiece(session, number))?.money?.sheet;
    done(await changeSettings(session, newKey(), settingsInput({ hourlyRate: '99.00 USD' })));
    expect((await showPiece(session, number))?.money?.sheet).toEqual(before);
  });
});

const settingsInput = (changed: object = {}) => ({
  version: '1',
  name: 'Bench',
  lengthSystem: 'in',
  hourlyRate: '25.00 USD',
  overheadPerHour: '5.00 USD',
  targetPerHour: '35.00 USD',
  materialsFactor: '3.5',
  targetMargin: '30',
  feePercent: '6.5',
  feeFixed: '0.30 USD',
  taxPercent: '20',
  taxIncluded: true,
  priceFrom: 'actual',
  rounding: 'nearest',
  priceEndings: ['0.00 USD', '5.00 USD'],
  usefulMinimum: '2 in',
  minimums: [{ scope: 'metal', of: 'sterling', length: '1 in' }],
  ...changed,
});

describe('the house rules', () => {
  it('are kept as typed, and read back the same', async () => {
    const session = await openStudio();
    done(await changeSettings(session, newKey(), settingsInput()));
    expect(await readSettings(session)).toMatchObject({
      version: 2,
      hourlyRate: 2500,
      materialsFactor: 350,
      feePercent: 650,
      taxIncluded: true,
      endings: [0, 500],
      usefulMinimum: 50_800,
      minimums: [{ scope: 'metal', of: 'sterling', length: 25_400 }],
    });
    expect(problemOf(await changeSettings(session, newKey(), settingsInput())).kind).toBe('stale');
  });

  it.each<[string, object, string]>([
    ['a margin of everything', { targetMargin: '100' }, 'targetMargin'],
    ['an ending that is no amount', { priceEndings: ['5.00 USD', 'nine USD'] }, 'priceEndings'],
    [
      'a minimum for no metal',
      { minimums: [{ scope: 'metal', of: 'cheese', length: '1 in' }] },
      'minimums.0.of',
    ],
    ['a rate in words', { hourlyRate: 'twenty USD' }, 'hourlyRate'],
  ])('refuse %s', async (_what, changed, field) => {
    const session = await openStudio();
    expect(
      Object.keys(problemOf(await changeSettings(session, newKey(), settingsInput(changed))).fields ?? {}),
    ).toEqual([field]);
    expect((await readSettings(session)).version).toBe(1);
  });

  it('decide which off-cuts are kept', async () => {
    const session = await openStudio();
    await receive(session, { length: '140 mm' });
    const pattern = await simplePattern(session);
    done(await changeSettings(session, newKey(), settingsInput()));
    const proposal = await proposeMaking(session, pattern.number);
    const from = proposal?.choices[0]?.id ?? '';
    const input = {
      cuts: [{ cutIndex: 0, copy: 0, from, cut: '100 mm', back: '26 mm' }],
      spoiled: [],
      minutes: '5',
      setUpMinutes: '0',
      sharedBy: '1',
    };
    done(await makePiece(session, newKey(), pattern, input));
    // 26 mm and 40 mm are both over the inch that sterling is kept from.
    expect((await showRack(session, {})).groups[0]?.pieces.map(({ length }) => length).sort()).toEqual([
      26_000, 40_000,
    ]);
  });
});

describe('the currency of the books', () => {
  it('can be corrected while they are empty; the rates keep their figures', async () => {
    const session = await openStudio();
    expect(await isCurrencyOpen(session)).toBe(true);
    done(await changeCurrency(session, newKey(), { version: '1', currency: 'JPY' }));
    // 20.00 dollars an hour becomes 20 yen an hour, and back again 20.00.
    expect(await readSettings(session)).toMatchObject({
      currency: 'JPY',
      places: 0,
      hourlyRate: 20,
      version: 2,
    });
    done(await changeCurrency(session, newKey(), { version: '2', currency: 'EUR' }));
    expect(await readSettings(session)).toMatchObject({ currency: 'EUR', places: 2, hourlyRate: 2000 });
    await receive(session, { price: '50.00 EUR' });
    expect(await isCurrencyOpen(session)).toBe(false);
  });

  it('stays once there are amounts, and is for the owner to change', async () => {
    const session = await openStudio();
    const change = { version: '1', currency: 'EUR' };
    expect(problemOf(await changeCurrency(await addTestHelper(session), newKey(), change)).kind).toBe(
      'forbidden',
    );
    expect(
      problemOf(await changeCurrency(session, newKey(), { ...change, currency: 'XYZ' })).fields,
    ).toHaveProperty('currency');
    expect(problemOf(await changeCurrency(session, newKey(), { ...change, version: '9' })).kind).toBe(
      'stale',
    );
    await receive(session);
    expect(problemOf(await changeCurrency(session, newKey(), change)).message).toMatch(
      /amounts in USD in the books already/,
    );
    expect((await readSettings(session)).currency).toBe('USD');
  });
});

it('a helper may make a piece, but not receive, write, price or rule', async () => {
  const owner = await openStudio();
  const number = await makeOne(owner);
  const helper = await addTestHelper(owner);
  const refusals: Outcome<unknown>[] = [
    await receiveWire(helper, newKey(), SPOOL),
    await writePattern(helper, newKey(), null, {}),
    await pricePiece(helper, newKey(), number, {}),
    await changeSettings(helper, newKey(), {}),
  ];
  expect(refusals.map((outcome) => problemOf(outcome).kind)).toEqual(Array(4).fill('forbidden'));
  await expect(readSettings(helper)).rejects.toThrow(/Only the studio’s owner/);
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
