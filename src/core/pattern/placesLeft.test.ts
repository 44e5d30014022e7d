import { usesOf, type Told } from '../../../tests/support/acts';
import { lengthOfPath } from '../geometry/path';
import { distance3, vec3 } from '../geometry/vec3';
import { planActs } from '../technique/planActs';
import { placesLeft } from './placesLeft';

const FRAME: Told = [
  'a',
  'bundle-frame',
  { stone: { outline: 'oval', length: 24, width: 18, depth: 6, edge: 2.4 }, holds: 2, tail: 50 },
];

function leftOf(...told: readonly Told[]) {
  const { left, pieces } = planActs(usesOf(told));
  return { left, pieces, places: placesLeft(left, pieces) };
}

describe('what a piece leaves, where it lies', () => {
  it('ends stand where their wires end, straight on as long as they are held', () => {
    const { places, pieces } = leftOf(FRAME);
    const ends = places.filter(({ offer }) => offer.takes === 'end');
    expect(ends.map(({ offer }) => offer.label)).toEqual(
      [1, 2, 3].flatMap((wire) => ['left', 'right'].map((side) => `frame wire ${wire}, ${side} end`)),
    );
    for (const { offer, at, line, left, cut } of ends) {
      const wire = pieces[0]?.run.wires.find((each) => each.wire.id === offer.wire);
      const end = offer.side === 'first' ? wire?.path.at(-1) : wire?.path[0];
      expect(distance3(at, end ?? vec3(99, 99))).toBeLessThan(1e-9);
      expect([left, lengthOfPath(line)]).toEqual([50, expect.closeTo(50, 9)]);
      // What both ends of it are held by, and what lies round the stone between them.
      expect(cut).toBeCloseTo(50 + lengthOfPath(wire?.path ?? []) + 50, 0);
      // They stand up over the stone, each on its own side.
      expect(line.at(-1)?.y ?? 0).toBeLessThan(-12 - 50);
      expect(Math.sign(at.x)).toBe(offer.label.includes('left') ? -1 : 1);
    }
  });

  it('a stretch is pointed at in its middle, on its wire', () => {
    const { places, pieces } = leftOf(FRAME);
    const stretches = places.filter(({ offer }) => offer.takes === 'stretch');
    expect(stretches).toHaveLength(6);
    for (const { offer, at, line, left } of stretches) {
      const path = pieces[0]?.run.wires.find((each) => each.wire.id === offer.wire)?.path ?? [];
      expect(left).toBeUndefined();
      expect(line.length).toBeLessThan(path.length);
      // Half of it lies to each side.
      const nearest = line.reduce((best, each) => (distance3(each, at) < distance3(best, at) ? each : best));
      const before = lengthOfPath(line.slice(0, line.indexOf(nearest) + 1));
      expect(Math.abs(before / lengthOfPath(line) - 0.5)).toBeLessThan(0.03);
    }
  });

  it('what was taken on is left no more, and what takes it on leaves its own, farther on', () => {
    const curl: Told = ['b', 'flat-spiral', { across: 8, tail: 5 }, { ends: ['a.right 1'] }];
    const [before, after] = [leftOf(FRAME), leftOf(FRAME, curl)];
    const refs = (of: typeof before) => of.places.map(({ offer }) => offer.ref);
    expect(refs(before)).toContain('a.right 1');
    expect(refs(after)).not.toContain('a.right 1');
    const own = after.places.filter(({ offer }) => offer.use === 'b');
    expect(own.length).toBeGreaterThan(0);
    const stood = before.places.find(({ offer }) => offer.ref === 'a.right 1');
    for (const { at } of own) expect(distance3(at, stood?.at ?? at)).toBeGreaterThan(1);
  });

  it('a whole wire is pointed at in its middle; whatever has no place is left out', () => {
    const weave: Told = ['a', 'straight-weave', { length: 30 }];
    const { places, left } = leftOf(weave);
    const whole = places.filter(({ offer }) => offer.takes === 'wire');
    expect(whole.length).toBeGreaterThan(1);
    for (const { line, at } of whole) {
      expect(lengthOfPath(line)).toBeGreaterThan(29);
      expect(Math.min(...line.map((each) => distance3(each, at)))).toBeLessThan(16);
    }
    expect(placesLeft(left, [])).toEqual([]);
  });
});
