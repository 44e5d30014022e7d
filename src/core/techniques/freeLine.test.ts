import { pieceOf } from '../../../tests/support/acts';
import { cutNamed, planFor, planOf, refusalOf } from '../../../tests/support/techniques';
import { expectOk } from '../result';
import { initialValues, roundWire } from '../parameter/parameter';
import { textsOf, readTexts } from '../parameter/readTexts';
import { named } from '../../../tests/support/techniques';

describe('a line of one’s own', () => {
  it('is as long as it lies: a half circle of points, π × 10', () => {
    const points = [30, 60, 90, 120, 150, 180].map((degrees) => {
      const angle = (degrees * Math.PI) / 180;
      return { x: 10 * Math.sin(angle), y: 10 - 10 * Math.cos(angle) };
    });
    const [term] = cutNamed(planOf('free-line', { points }), 'wire').terms;
    expect(term?.name).toBe('line of your own');
    expect((term?.length ?? NaN) / (10 * Math.PI)).toBeCloseTo(1, 2);
  });

  it('refuses a bend that is tighter than its wire is thick, with where and how tight, and two points in one place', () => {
    const sharp = [
      { x: 10, y: 0 },
      { x: 10.5, y: 0.5 },
      { x: 10, y: 1 },
      { x: 0, y: 1 },
    ];
    expect(refusalOf('free-line', { points: sharp })).toMatch(
      /^1\d[\d.]* mm along it the line bends round 0\.\d+ mm; wire of 0\.81 mm is bent round 0\.81 mm at the least/,
    );
    // A thin wire goes round it.
    expect(planFor(named('free-line'), { points: sharp, wire: roundWire(0.25) }).ok).toBe(true);
    const twice = [
      { x: 5, y: 0 },
      { x: 5, y: 0 },
    ];
    expect(refusalOf('free-line', { points: twice })).toMatch(
      /^Point 2 lies where the line is already, within 0\.08 mm/,
    );
  });

  it('goes on from an end as that lies, and mirrors the second one', () => {
    const { run } = pieceOf([
      [
        'frame',
        'bundle-frame',
        {
          stone: { outline: 'oval', length: 20, width: 14, depth: 5, edge: 2 },
          wires: 1,
          bound: 0,
          holds: 2,
        },
      ],
      [
        'line',
        'free-line',
        {
          points: [
            { x: 6, y: 3 },
            { x: 9, y: 9 },
          ],
        },
        { ends: ['frame.left 1', 'frame.right 1'] },
      ],
    ]);
    const [wire] = run.wires;
    const [left, right] = [wire?.first, wire?.second].map((hand) =>
      hand?.find(({ name }) => name === 'line of your own')?.path.at(-1),
    );
    // Nine on upward and nine aside of where they stand, each to its own side or both inward: mirrored about the middle.
    expect(left?.x).toBeCloseTo(-(right?.x ?? NaN), 6);
    expect(left?.y).toBeCloseTo(right?.y ?? NaN, 6);
    const begins = wire?.first.find(({ name }) => name === 'line of your own')?.path[0];
    expect((begins?.y ?? NaN) - (left?.y ?? NaN)).toBeCloseTo(9, 1);
    expect(Math.abs((begins?.x ?? NaN) - (left?.x ?? NaN))).toBeCloseTo(9, 1);
  });

  it('is typed as points, and a wrong one is said', () => {
    const technique = named('free-line');
    const texts = textsOf(technique.parameters, initialValues(technique.parameters), 'mm');
    expect(texts['points']).toBe('8,0 15,6 13,14 6,13');
    const read = (points: string) => readTexts(technique.parameters, { ...texts, points }, 'mm');
    expect(expectOk(read('10,0 20,-5'))['points']).toEqual([
      { x: 10, y: 0 },
      { x: 20, y: -5 },
    ]);
    const wrong = read('10,0 20');
    expect(!wrong.ok && wrong.error['points']).toMatch(/“20” is no point; write them like/);
    const none = read('');
    expect(!none.ok && none.error['points']).toMatch(/There are 0 points; 1 to 40 are allowed/);
  });
});
