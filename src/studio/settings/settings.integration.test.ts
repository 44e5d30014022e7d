import {
  addTestHelper,
  closeBooks,
  settingsInput,
  done,
  newKey,
  openStudio,
  problemOf,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { makePiece } from '../making/makePiece';
import { proposeMaking } from '../making/proposeMaking';
import { showRack } from '../wire/rack';
import { changeCurrency, isCurrencyOpen } from './changeCurrency';
import { changeSettings, readSettings } from './settings';

afterAll(closeBooks);

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
    ['a paper that nobody sells', { sheet: 'A0' }, 'sheet'],
    ['a third way to write numbers', { numbers: 'dash' }, 'numbers'],
    ['a date that begins with the hour', { days: 'hour' }, 'days'],
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
