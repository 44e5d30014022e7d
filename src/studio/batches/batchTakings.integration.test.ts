import { tag } from '@/core/tag';
import { BEADS, STONE } from '../../../tests/support/purchases';
import { batch, composedFrame, line, studioWithPattern } from '../../../tests/support/batches';
import {
  addTestHelper,
  closeBooks,
  done,
  makeOne,
  newKey,
  openStudio,
  receive,
  simplePattern,
} from '../../../tests/support/studio';
import { addCopies } from '../../../tests/support/copies';
import { selling, sellingStudio } from '../../../tests/support/selling';
import { receiveBeads, receiveStone } from '../drawers/receive';
import { sellPieces } from '../selling/sell';
import { pricePiece, showPiece } from '../shelf/shelf';
import { batchTakings, takingsAsTyped } from './batchTakings';
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

it('goes by what such pieces were sold for, in the months of the batch most of all', async () => {
  const { session, numbers, channel } = await sellingStudio(1);
  const [first = 0] = numbers;
  const { patternNumber = 0, version = 0 } = (await showPiece(session, first)) ?? {};
  const input = { version: String(version), school: 'market', goingPrice: '40.00 USD' };
  done(await pricePiece(session, newKey(), first, input));
  await addCopies(session, first, 5);
  const sell = async (piece: number, price: string, soldOn: string) =>
    done(
      await sellPieces(
        { ...session, now: new Date('2026-11-30T12:00:00Z') },
        newKey(),
        selling(channel, [[piece, price]], { soldOn }),
      ),
    );
  const due = async (dueOn: string) => takingsAsTyped(session, [line(patternNumber, 2)], dueOn);
  const none = await due('2026-12-10');
  expect(none).toMatchObject({
    around: '2026-12-10',
    channels: [],
    lines: [{ sale: { price: 4000 }, likely: { price: 4000, sold: 0 } }],
  });
  const later = Array.from({ length: 4 }, (_, index) => first + 1 + index);
  for (const piece of later.slice(0, 3)) await sell(piece, '52 USD', '2026-11-20');
  await sell(later[3] ?? 0, '36 USD', '2026-06-06');
  // 192.00 for four and three at 40.00 are 44.571…; with 156.00 for three of the season 48.2857.
  const winter = await due('2026-12-10');
  expect(winter?.lines[0]?.likely).toMatchObject({ price: 4829, sold: 4, inSeason: 3 });
  expect(winter?.lines[0]?.sale.price).toBe(4829);
  expect(winter?.channels).toMatchObject([{ channel: 'Harbour fair', pieces: 3, price: 15_600 }]);
  // In March nothing was sold yet: all of the year tells.
  const spring = await due('2027-03-10');
  expect(spring?.lines[0]?.likely).toMatchObject({ price: 4457, sold: 4, inSeason: 0 });
  expect(spring?.channels).toEqual([]);
  expect(spring?.together.price).toBe(2 * 4457);
});

it('tells helpers nothing of it', async () => {
  const { session, pattern } = await studioWithPattern();
  const { number } = done(await planBatch(session, newKey(), null, batch([line(pattern, 1)])));
  expect(await batchTakings(await addTestHelper(session), number)).toBeNull();
});

it('says the same while the batch is typed, leaves out what is not right yet, and changes nothing', async () => {
  const session = await openStudio();
  await receive(session);
  const pattern = await composedFrame(session);
  const other = { ...STONE, length: '27 mm', width: '19 mm', price: '14.00 USD' };
  const { number: stone } = done(await receiveStone(session, newKey(), other));
  const lines = [
    line(pattern, 3),
    line(pattern, 1, { stone: tag('stone', stone) }),
    line(pattern, 2, { metal: 'copper' }),
  ];
  const planned = batch(lines);
  const typed = await takingsAsTyped(session, lines, planned.dueOn);
  expect(typed?.lines).toHaveLength(3);
  const [own, forStone] = typed?.lines ?? [];
  // The stone is paid for in its piece, and its frame is another length.
  expect(forStone?.sale.sheet.total.actual).not.toBe(own?.sale.sheet.total.actual);
  const { number } = done(await planBatch(session, newKey(), null, planned));
  expect(await batchTakings(session, number)).toEqual(typed);

  const wrong = [
    line(pattern, 3),
    { ...line(pattern), count: 'many' },
    line(99),
    { spaceship: 1 },
    null,
    [],
    line(pattern, 1, { ring: 'US 7' }),
  ];
  expect((await takingsAsTyped(session, wrong))?.lines.map(({ line: at }) => at)).toEqual([1, 7]);
  expect(await takingsAsTyped(session, 'nothing')).toBeNull();
  expect(await takingsAsTyped(await addTestHelper(session), lines)).toBeNull();
});

it('findings for the own drawers cost and bring nothing', async () => {
  const { session, pattern } = await studioWithPattern();
  const rings = await simplePattern(session, { kind: 'finding' });
  const sold = await takingsAsTyped(session, [line(pattern, 3)]);
  const both = await takingsAsTyped(session, [line(pattern, 3), line(rings.number, 40)]);
  expect(both?.together).toEqual(sold?.together);
  expect(both?.lines[1]).toMatchObject({ count: 40, isForDrawer: true });
  expect(both?.lines[1]?.sale.sheet.total.actual).toBeGreaterThan(0);
});
