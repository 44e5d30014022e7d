import { FINDING } from '../../../tests/support/purchases';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import { showDrawerPiece } from '../drawers/drawers';
import { receiveFindings } from '../drawers/receive';
import { takeOut } from '../stock/takeOut';
import { listToBuy, setMinimum, showMinimum } from './toBuy';

afterAll(closeBooks);

describe('running out', () => {
  it('lists what to buy by supplier, rounded to how it is sold', async () => {
    const session = await openStudio();
    const { number } = done(await receiveFindings(session, newKey(), { ...FINDING, count: '30' }));
    const articleId = (await showDrawerPiece(session, 'finding', number))?.articleId ?? '';
    const rule = { version: '1', minimumBy: 'typed', minimum: '100', soldBy: '1 dozen' };
    done(await setMinimum(session, newKey(), articleId, rule));
    // Seventy short: six dozen at 12.00 for thirty.
    expect(await listToBuy(session)).toMatchObject([
      {
        name: 'sterling jump ring, 4 mm',
        short: 70,
        packs: 6,
        quantity: 72,
        supplier: 'Gull & Sons',
        cost: 2_880_000,
      },
    ]);
    expect(
      problemOf(await setMinimum(session, newKey(), articleId, { ...rule, version: '2', minimum: '0' }))
        .fields?.['minimum'],
    ).toMatch(/more than 0/);
    done(
      await takeOut(session, newKey(), 'finding', number, { kind: 'used', quantity: '29', reason: 'order' }),
    );
    done(
      await setMinimum(session, newKey(), articleId, {
        version: '2',
        minimumBy: 'use',
        minimum: '',
        soldBy: '',
      }),
    );
    expect(await showMinimum(session, articleId)).toMatchObject({ used: 29, least: 10 });
    expect(await listToBuy(session)).toMatchObject([{ short: 9, packs: 1, packOf: 30 }]);
    const helper = await addTestHelper(session);
    expect((await listToBuy(helper))[0]?.cost).toBeNull();
    expect(problemOf(await setMinimum(helper, newKey(), articleId, rule)).kind).toBe('forbidden');
  });
});
