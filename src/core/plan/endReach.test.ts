import { usesOf, type Told } from '../../../tests/support/acts';
import { named } from '../../../tests/support/techniques';
import { roundWire } from '../parameter/parameter';
import { endReached, endsTaken } from './endReach';
import { planActs } from '../technique/planActs';
import { askedFor } from './reach';

const FRAME: Told = [
  'frame',
  'bundle-frame',
  { wire: roundWire(0.8), bound: 0, bail: 3, holds: 2, tail: 40 },
];
const CURL: Told = ['curl', 'flat-spiral', { across: 8, start: 2, gap: 0.4 }, { ends: ['frame.left 1'] }];
const across = askedFor(named('flat-spiral')).find(({ key }) => key === 'across');

describe('what is left of one end of a piece', () => {
  const uses = usesOf([FRAME, CURL]);
  const [end] = endsTaken({ takes: { ends: ['frame.left 1'] } }, planActs(uses).uses[1]?.offered ?? []);
  if (!end || !across) throw new Error('it takes an end');

  it('is as large a curl as its spiral takes: 84 mm, by the arc length of Archimedes’ spiral', () => {
    const reached = endReached(uses, 'curl', end, across, 84);
    if (!reached.ok) throw new Error(reached.error);
    const { value, cut } = reached.value;
    expect(cut).toBeLessThanOrEqual(84);
    // p/(4π) · [θ√(1 + θ²) + asinh θ] from the hole to the rim, r = pθ/2π (standard; plane geometry), 0.8 wire, 0.4 between turns. Across, it is the
    // outermost turn on one side and that half a turn before on the other.
    const pitch = 1.2;
    const arc = (radius: number) => {
      const theta = (2 * Math.PI * radius) / pitch;
      return (pitch / (4 * Math.PI)) * (theta * Math.hypot(1, theta) + Math.asinh(theta));
    };
    const need = (wide: number) => arc((wide - 0.8) / 2 + pitch / 4) - arc((2 + 0.8) / 2);
    expect(need(value) / cut).toBeCloseTo(1, 2);
    expect(need(value + 0.2)).toBeGreaterThan(84);
  });

  it('is found where it lies far below what it is told to be: between the least that can be made and that', () => {
    const large = usesOf([
      FRAME,
      ['curl', 'flat-spiral', { across: 12, start: 1 }, { ends: ['frame.left 1'] }],
    ]);
    const reached = endReached(large, 'curl', end, across, 84);
    if (!reached.ok) throw new Error(reached.error);
    expect(reached.value.value).toBeGreaterThan(8);
    expect(reached.value.value).toBeLessThan(12);
    expect(84 - reached.value.cut).toBeLessThan(4);
  });

  it('is for all that goes on from there: what a later technique does with the end comes off it', () => {
    const bent: Told = [
      'bent',
      'bent-ends',
      { about: 4, degrees: 180, after: 10, tail: 6 },
      { ends: ['frame.left 1'] },
    ];
    const after: Told = ['curl', 'flat-spiral', { across: 8, start: 2, gap: 0.4 }, { ends: ['bent.end 1'] }];
    const both = usesOf([FRAME, bent, after]);
    const straight = askedFor(both[1]?.technique as never).find(({ key }) => key === 'after');
    if (!straight) throw new Error('it goes on straight');
    const reached = endReached(both, 'bent', end, straight, 84);
    if (!reached.ok) throw new Error(reached.error);
    // The bend of π(4 + 0.8)/2, the curl as it is, and what is straight: all of the 84.
    const curl = planActs(both)
      .pieces[0]?.run.wires.find(({ wire }) => wire.id === end.wire)
      ?.[end.side].at(-1);
    const left = 84 - (Math.PI * 4.8) / 2 - (curl?.length ?? NaN);
    expect(Math.abs(reached.value.value - left)).toBeLessThan(0.15);
  });

  it('says when it is not enough, and of what it does not depend', () => {
    const bent = usesOf([FRAME, ['bent', 'bent-ends', { about: 4 }, { ends: ['frame.left 1'] }]]);
    const straight = askedFor(named('bent-ends')).find(({ key }) => key === 'after');
    const short = straight && endReached(bent, 'bent', end, straight, 5);
    // Half a round of π(4 + 0.8)/2 and the tail of 20.
    expect(short?.ok === false ? short.error : '').toBe(
      '5 mm are not enough: 27.5 mm are the least that it takes.',
    );
    // What the left end does takes nothing of the right one.
    const right = { ...end, side: end.side === 'first' ? ('second' as const) : ('first' as const) };
    const other = endReached(uses, 'curl', right, across, 200);
    expect(other.ok ? '' : other.error).toMatch(/does not depend on “Across, outside”/);
  });
});
