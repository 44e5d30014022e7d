import fc from 'fast-check';
import { usesOf } from '../../../tests/support/acts';
import { BUNDLE_PENDANT } from '../../../tests/support/wholePieces';
import { seenFrom, type Seen, type View } from '../drawing/view';
import { atPart, atParts } from '../geometry/onLine';
import { vec } from '../geometry/vector';
import { planActs } from '../technique/planActs';
import { placesLeft } from './placesLeft';
import { pointing, thingsOf } from './things';

/** The whole pendant of common practice: a bundle about a stone, its neck, bail, bends, weave, beads and curls. */
const PENDANT = (() => {
  const told = usesOf(BUNDLE_PENDANT);
  const { uses: planned, pieces, left } = planActs(told);
  const [piece] = pieces;
  if (!piece || pieces.length > 1) throw new Error('it makes one piece');
  const uses = planned.map(({ offered }, index) => ({ use: told[index] as (typeof told)[0], offered }));
  const places = placesLeft(left, pieces);
  return { uses, places, piece, things: thingsOf({ piece, uses }, places) };
})();
const VIEWS: readonly View[] = ['front', 'back', 'side'];

it('stones, beads and what techniques do with each wire are named', () => {
  const { uses, things, piece } = PENDANT;
  const names = things.all.map(({ name }) => name);
  expect(new Set(names).size).toBe(names.length);
  expect(names).toContain('stone, 32 × 19 mm: Bundle frame round a stone');
  expect(names.filter((name) => name.startsWith('bead, 4 mm: Bead'))).toHaveLength(2);
  expect(names).toContain('lead wire: Bundle frame round a stone');
  // Two of them are called alike but for what they take up.
  expect(names.filter((name) => name.endsWith(': Flat spiral'))).toHaveLength(1);
  for (const { wire } of piece.run.wires)
    expect(names.some((name) => name.startsWith(`${wire.name}: `))).toBe(true);
  expect(new Set(things.all.map(({ use }) => use))).toEqual(new Set(uses.map(({ use }) => use.id)));
});

it('what one points at on a wire is that wire there, or what lies over it', () => {
  for (const view of VIEWS) {
    const ask = pointing(PENDANT.things, view);
    const course = fc.nat(PENDANT.things.courses.length - 1);
    fc.assert(
      fc.property(course, fc.double({ min: 0, max: 1, noNaN: true }), (index, part) => {
        const meant = PENDANT.things.courses[index];
        const [seen] = seenFrom(view, [atPart(meant?.path ?? [], part)]) as [Seen];
        const found = ask(vec(seen.x, seen.y), 0.6);
        expect(found).toBeDefined();
        if (found?.name === meant?.name) return;
        // Something else is found there: it lies there too, and as near to the eye.
        const others = PENDANT.things.courses.filter(({ name }) => name === found?.name);
        const overIt = others.some(({ path, thick }) =>
          seenFrom(view, atParts(path, 400)).some(
            ({ x, y, near }) =>
              Math.hypot(x - seen.x, y - seen.y) < Math.max(thick / 2, 0.2) + 0.1 && near > seen.near - 0.2,
          ),
        );
        expect(others.length === 0 || overIt).toBe(true);
      }),
      { numRuns: 150 },
    );
  }
});

it('a wire beside the point is meant as far as a finger reaches, and no farther', () => {
  const ask = pointing(PENDANT.things, 'front');
  const all = PENDANT.things.courses.flatMap(({ path, thick }) => path.map((at) => ({ ...at, thick })));
  const right = all.reduce((most, each) => (each.x > most.x ? each : most));
  expect(ask(vec(right.x + 1.4, right.y), 1.5)?.name).toMatch(/mm$/);
  expect(ask(vec(right.x + 1.6, right.y), 1.5)).toBeUndefined();
});

it('a stone is pointed at where no wire lies over it, from the front, and from the back through none', () => {
  const { piece, things } = PENDANT;
  const stone = piece.run.bodies.find(({ kind }) => kind === 'cab');
  const { x, y } = stone?.pose.at ?? { x: NaN, y: NaN };
  const found = pointing(things, 'front')(vec(x, y), 0.5);
  expect(found?.name).toMatch(/^stone, /);
  expect(found?.left).toBeUndefined();
});

it('what is left of a stretch to go on from comes with it', () => {
  const { places, things } = PENDANT;
  const stretches = places.filter(({ offer }) => offer.takes === 'stretch');
  expect(stretches.length).toBeGreaterThan(2);
  const found = stretches.filter(({ offer, line }) =>
    VIEWS.some((view) =>
      Array.from({ length: 41 }, (_, index) => index / 40).some((part) => {
        const [{ x, y }] = seenFrom(view, [atPart(line, part)]) as [Seen];
        return pointing(things, view)(vec(x, y), 0.3)?.left?.offer.ref === offer.ref;
      }),
    ),
  );
  expect(found).toHaveLength(stretches.length);
});
