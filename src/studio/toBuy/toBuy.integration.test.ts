import { batch, line, planned, studioWithPattern } from '../../../tests/support/batches';
import { fromTray, make } from '../../../tests/support/cuttingTable';
import { BEADS, FINDING } from '../../../tests/support/purchases';
import {
  addTestHelper,
  closeBooks,
  done,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import { showDrawerPiece } from '../drawers/drawers';
import { cancelBatch } from '../batches/cancelBatch';
import { cutAsPlanned } from '../cuttingTable/cutWire';
import { namePart, pickableArticles } from '../batches/namePart';
import { planBatch } from '../batches/planBatch';
import { receiveBeads, receiveFindings } from '../drawers/receive';
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

  it('counts what open batches are short of, all together, and no more once it is cut or made', async () => {
    const { session, pattern } = await studioWithPattern();
    done(await receiveBeads(session, newKey(), { ...BEADS, count: '4', shades: '' }));
    const [article] = await pickableArticles(session);
    done(await namePart(session, newKey(), 'bead', article?.id ?? ''));
    expect(await listToBuy(session)).toEqual([]);
    const { number: first } = done(await planBatch(session, newKey(), null, batch([line(pattern, 1)])));
    await planned(session, first);
    expect(await listToBuy(session)).toEqual([]);
    // One piece more of two beads is enough; seventy more want 140 of four, and seven metres of ten.
    const { number: second } = done(await planBatch(session, newKey(), null, batch([line(pattern, 70)])));
    expect(await listToBuy(session)).toMatchObject([
      { ware: 'bead', short: 138, forBatches: 142, inStock: 4 },
    ]);
    // Thirty more of the pattern do not come out of the ten metres either: 101 cuts of 100 mm.
    done(await planBatch(session, newKey(), null, batch([line(pattern, 30)])));
    expect(await listToBuy(session)).toMatchObject([
      { ware: 'bead', short: 198 },
      { ware: 'wire', short: 100_000, forBatches: 10_100_000 },
    ]);
    // A wire that lies cut in the tray wants nothing more, and lies on no spool either.
    done(await cutAsPlanned(session, newKey(), first));
    expect(await listToBuy(session)).toMatchObject([
      { ware: 'bead', short: 198 },
      { ware: 'wire', short: 100_000 },
    ]);
    done(await make(session, await fromTray(session, first)));
    done(await cancelBatch(session, newKey(), second));
    expect(await listToBuy(session)).toMatchObject([{ ware: 'bead', short: 58, forBatches: 60, inStock: 2 }]);
  });
});
