import { usesOf, type Told } from '../../../tests/support/acts';
import { insteadOf, type Instead } from './insteadOf';
import { roundWire } from '../parameter/parameter';
import { planActs } from '../technique/planActs';
import { cutOf } from '../technique/technique';

const FRAME: Told = [
  'frame',
  'bundle-frame',
  { wire: roundWire(0.8), bound: 0, bail: 3, holds: 2, tail: 40 },
];
const CURL: Told = ['curl', 'flat-spiral', { across: 8, start: 2, gap: 0.4 }, { ends: ['frame.left 1'] }];

/** What is cut of the wire whose end is curled. */
const wireOf = (told: readonly Told[]) => {
  const planned = planActs(usesOf(told));
  const run = planned.pieces[0]?.run;
  const curled = run?.wires.find(({ first, second }) =>
    [...first, ...second].some(({ course }) => course && planned.pieces[0]?.by.get(course) === 'curl'),
  );
  const made = planned.uses[0]?.plan;
  const cut = made?.ok ? made.value.cuts.find(({ name }) => name === curled?.wire.name) : undefined;
  if (!cut) throw new Error('it is cut');
  return { name: cut.name, long: cutOf(cut) };
};

const insteads = (
  told: readonly Told[],
  short: number,
  keys?: readonly string[],
  alike: Readonly<Record<string, readonly string[]>> = {},
): readonly Instead[] => {
  const uses = usesOf(told);
  const { name, long } = wireOf(told);
  const changeable = (id: string) => ({
    keys: keys ?? Object.keys(uses.find((use) => use.id === id)?.technique.parameters ?? {}),
    alike: alike[id] ?? [],
  });
  return [...insteadOf(uses, { use: 'frame', name }, long - short, changeable)].flatMap((each) => each ?? []);
};

describe('what is done with a wire that is too short', () => {
  it('is a smaller curl: what it is short of comes off the arc of Archimedes’ spiral', () => {
    const curl = insteads([FRAME, CURL], 12).find(({ use, key }) => use === 'curl' && key === 'across');
    if (!curl) throw new Error('the curl is made of it');
    expect(curl).toMatchObject({ was: 8, name: expect.any(String) as string });
    // p/(4π) · [θ√(1 + θ²) + asinh θ], r = pθ/2π (standard; plane geometry), 0.8 wire, 0.4 between turns: as for an end in hand.
    const pitch = 1.2;
    const arc = (wide: number) => {
      const theta = (2 * Math.PI * ((wide - 0.8) / 2 + pitch / 4)) / pitch;
      return (pitch / (4 * Math.PI)) * (theta * Math.hypot(1, theta) + Math.asinh(theta));
    };
    expect(arc(8) - arc(curl.value)).toBeGreaterThanOrEqual(12 - 0.3);
    expect(arc(8) - arc(curl.value + 0.15)).toBeLessThan(12);
  });

  it('makes the wire do: with any of them it is long enough, with a little more it is not', () => {
    const bent: Told = [
      'bent',
      'bent-ends',
      { about: 4, degrees: 90, after: 14 },
      { ends: ['frame.left 1'] },
    ];
    const after: Told = ['curl', 'flat-spiral', { across: 8, start: 2, gap: 0.4 }, { ends: ['bent.end 1'] }];
    const piece = [FRAME, bent, after];
    const { long } = wireOf(piece);
    const all = insteads(piece, 12);
    expect(all.map(({ use, key }) => [use, key])).toEqual(
      expect.arrayContaining([
        ['bent', 'after'],
        ['curl', 'across'],
      ]),
    );
    for (const { use, key, value, was, cut } of all) {
      expect(value).toBeLessThan(was);
      const told = piece.map(([id, technique, values, ...takes]): Told =>
        id === use
          ? [id, technique, { ...values, [key]: value }, ...takes]
          : [id, technique, values, ...takes],
      );
      expect(wireOf(told).long).toBeCloseTo(cut, 6);
      expect(cut).toBeLessThanOrEqual(long - 12 + 1e-6);
    }
  });

  it('is half as much of each of two that are alike on both ends of the wire', () => {
    const other: Told = ['other', 'flat-spiral', CURL[2], { ends: ['frame.right 1'] }];
    const across = (alike: Readonly<Record<string, readonly string[]>>) =>
      insteads([FRAME, CURL, other], 20, ['across'], alike).find(({ use }) => use === 'curl')?.value ?? NaN;
    const [alone, both] = [across({}), across({ curl: ['other'] })];
    // Both ends of one wire are curled: each of two that change together gives up less.
    expect(both).toBeGreaterThan(alone + 0.5);
    const told = [FRAME, CURL, other].map(([id, technique, values, ...takes]): Told =>
      id === 'frame'
        ? [id, technique, values, ...takes]
        : [id, technique, { ...values, across: both }, ...takes],
    );
    expect(wireOf(told).long).toBeLessThanOrEqual(wireOf([FRAME, CURL, other]).long - 20 + 1e-6);
  });

  it('is nothing of what may not be changed, and nothing when no measure can take up so much', () => {
    expect(insteads([FRAME, CURL], 12, [])).toEqual([]);
    expect(insteads([FRAME, CURL], 12, ['across']).map(({ key }) => key)).toEqual(['across']);
    expect(insteads([FRAME, CURL], 500)).toEqual([]);
  });
});
