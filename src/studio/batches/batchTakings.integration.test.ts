import { BEADS } from '../../../tests/support/purchases';
import { batch, line, studioWithPattern } from '../../../tests/support/batches';
import { addTestHelper, closeBooks, done, newKey } from '../../../tests/support/studio';
import { receiveBeads } from '../drawers/receive';
import { makeOne } from '../../../tests/support/studio';
import { pricePiece, showPiece } from '../shelf/shelf';
import { batchTakings } from './batchTakings';
import { namePart, pickableArticles } from './namePart';
import { planBatch } from './planBatch';

/** What a batch should bring is known before anything is cut. */

afterAll(closeBooks);

it('says what its pieces cost, with every part in them, and what they bring', async () => {
  const { session, pattern } = await studioWithPattern();
  const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 4)])));
  const before = await batchTakings(session, number);
  // The beads are at the pattern’s 0.25 each while the drawers know none.
  const parts = (of: typeof before) =>
    of?.lines[0]?.sale.sheet.lines.find(({ id }) => id === 'parts')?.actual;
  expect(parts(before)).toBe(50_000);
  // Forty for 12.00: two are 0.60.
  done(await receiveBeads(session, newKey(), BEADS));
  const [garnet] = await pickableArticles(session);
  done(await namePart(session, newKey(), 'bead', garnet?.id ?? ''));
  const after = await batchTakings(session, number);
  expect(parts(after)).toBe(60_000);
  expect(after?.lines[0]).toMatchObject({ count: 4, uncosted: [], sale: { isReckoned: true } });
  expect(after?.together.price).toBe(4 * (after?.lines[0]?.sale.price ?? 0));
});

it('goes by the last price that the pattern sold for', async () => {
  const { session, pattern } = await studioWithPattern();
  const piece = await makeOne(session);
  const made = await showPiece(session, piece);
  const input = { version: String(made?.version ?? 0), school: 'market', goingPrice: '45.00 USD' };
  done(await pricePiece(session, newKey(), piece, input));
  const { number } = done(
    await planBatch(session, newKey(), null, batch([line(made?.patternNumber ?? pattern, 3)])),
  );
  expect(await batchTakings(session, number)).toMatchObject({
    lines: [{ sale: { price: 4500, isReckoned: false } }],
    together: { price: 13_500 },
  });
});

it('tells helpers nothing of it', async () => {
  const { session, pattern } = await studioWithPattern();
  const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 1)])));
  expect(await batchTakings(await addTestHelper(session), number)).toBeNull();
});
