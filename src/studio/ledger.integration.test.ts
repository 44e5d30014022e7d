import fc from 'fast-check';
import { closeDatabase } from '@/data/database';
import {
  addTestHelper,
  expectBooksAgree,
  newKey,
  openStudio,
  receive,
  simplePattern,
} from '../../tests/support/studio';
import type { StudioSession } from './kernel/useCase';
import { makePiece } from './making/makePiece';
import { proposeMaking } from './making/proposeMaking';
import { showPiece, showShelf } from './shelf/shelf';
import { showRack } from './wire/rack';

/** Random work by two people at once, then the books: nothing of what was bought may be lost or made up. */

afterAll(closeDatabase);

interface Work {
  readonly receives: boolean;
  readonly length: number;
  readonly price: number;
  /** Parts of the proposal's length, per thousand. */
  readonly cut: number;
  readonly back: number;
  readonly spoiled: number;
  readonly byHelper: boolean;
  /** Sent twice, as after a lost answer. */
  readonly twice: boolean;
}

const work: fc.Arbitrary<Work> = fc.record({
  receives: fc.integer({ min: 0, max: 9 }).map((roll) => roll === 0),
  length: fc.integer({ min: 60_000, max: 2_500_000 }),
  price: fc.integer({ min: 1, max: 9_999 }),
  cut: fc.integer({ min: 700, max: 1600 }),
  back: fc.integer({ min: 0, max: 900 }),
  spoiled: fc.oneof(fc.constant(0), fc.integer({ min: 1, max: 60_000 })),
  byHelper: fc.boolean(),
  twice: fc.boolean(),
});

async function make(
  session: StudioSession,
  pattern: { number: number; revision: number },
  each: Work,
): Promise<void> {
  const proposal = await proposeMaking(session, pattern.number);
  const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from, length }) => {
    const cut = Math.round((length * each.cut) / 1000);
    return {
      cutIndex,
      copy,
      from: from ?? newKey(),
      cut: `${cut} µm`,
      back: `${Math.floor((cut * each.back) / 1000)} µm`,
    };
  });
  const from = proposal?.choices[0]?.id;
  const spoiled =
    each.spoiled > 0 && from ? [{ from, length: `${each.spoiled} µm`, reason: 'marred by pliers' }] : [];
  const key = newKey();
  const send = () =>
    makePiece(session, key, pattern, { cuts, spoiled, minutes: '10', setUpMinutes: '0', sharedBy: '1' });
  const outcomes = await Promise.all(each.twice ? [send(), send()] : [send()]);
  // Either the same piece twice, or the same refusal twice.
  expect(
    new Set(outcomes.map((outcome) => (outcome.ok ? outcome.value.number : outcome.problem.kind))).size,
  ).toBe(1);
}

it('loses and makes up nothing: received = on the rack + used + scrapped + spoiled, in length and in money', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(work, { minLength: 8, maxLength: 24 }), async (works) => {
      const owner = await openStudio();
      const helper = await addTestHelper(owner);
      let [length, price] = [3_000_000, 1234];
      await receive(owner, { length: '3 m', price: '12.34 USD' });
      const pattern = await simplePattern(owner, { count: '2' });
      // Two at a time, as at two benches.
      for (let index = 0; index < works.length; index += 2) {
        await Promise.all(
          works.slice(index, index + 2).map(async (each) => {
            if (!each.receives) return make(each.byHelper ? helper : owner, pattern, each);
            length += each.length;
            price += each.price;
            await receive(owner, {
              length: `${each.length} µm`,
              price: `${(each.price / 100).toFixed(2)} USD`,
            });
          }),
        );
      }

      let [used, spent] = [0, 0];
      const shelf = await showShelf(owner);
      for (const { number } of shelf.pieces) {
        const piece = await showPiece(owner, number);
        for (const wire of piece?.wires ?? []) {
          used -= wire.length;
          spent -= wire.cost ?? 0;
        }
        const material =
          piece?.money?.sheet.lines.filter(({ id }) => ['wire', 'scrap', 'spoilage'].includes(id)) ?? [];
        const told = (piece?.wires ?? []).reduce((sum, wire) => sum - (wire.cost ?? 0), 0);
        expect(material.reduce((sum, { actual }) => sum + actual, 0)).toBe(told);
      }
      const rack = await showRack(owner, {});
      expect(rack.totalLength + used).toBe(length);
      expect((rack.totalCost ?? 0) + spent).toBe(price * 1000);
      expect(shelf.total).toBeLessThanOrEqual(40);
    }),
    { numRuns: 12 },
  );
  await expectBooksAgree();
}, 240_000);
