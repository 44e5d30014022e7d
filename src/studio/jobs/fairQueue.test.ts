import fc from 'fast-check';
import { FairQueue } from './fairQueue';

it('serves everybody in turn, each in their own order', () => {
  const queue = new FairQueue<string>();
  for (const thing of ['a1', 'a2', 'a3', 'b1', 'c1', 'c2']) queue.add(thing.charAt(0), thing);
  expect([queue.size, queue.sizeOf('a'), queue.sizeOf('nobody')]).toEqual([6, 3, 0]);
  const first = queue.take();
  queue.add('d', 'd1');
  const rest = Array.from({ length: 7 }, () => queue.take());
  expect([first, ...rest]).toEqual(['a1', 'b1', 'c1', 'a2', 'd1', 'c2', 'a3', undefined]);
});

it('nobody waits for more than one thing of each other', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1, maxLength: 40 }), (whose) => {
      const queue = new FairQueue<{ readonly who: string; readonly at: number }>();
      whose.forEach((who, at) => queue.add(who, { who, at }));
      const taken = whose.map(() => queue.take());
      expect(taken.map((thing) => thing?.at).sort((a = 0, b = 0) => a - b)).toEqual(whose.map((_, at) => at));
      for (const who of new Set(whose)) {
        const own = taken.flatMap((thing, order) => (thing?.who === who ? [{ ...thing, order }] : []));
        expect(own.map(({ at }) => at)).toEqual([...own].map(({ at }) => at).sort((a, b) => a - b));
        own.forEach(({ order }, nth) => expect(order).toBeLessThan((nth + 1) * new Set(whose).size));
      }
    }),
  );
});
