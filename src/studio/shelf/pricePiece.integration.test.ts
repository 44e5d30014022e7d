import { minor } from '@/core/units/money';
import {
  addTestHelper,
  closeBooks,
  settingsInput,
  done,
  makeOne,
  newKey,
  openStudio,
  problemOf,
  SPOOL,
} from '../../../tests/support/studio';
import { type Outcome } from '../kernel/outcome';
import { writePattern } from '../patterns/writePattern';
import { changeSettings, readSettings } from '../settings/settings';
import { receiveWire } from '../wire/receiveWire';
import { pricePiece, showPiece, showShelf } from './shelf';

afterAll(closeBooks);

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
