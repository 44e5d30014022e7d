import { expectOk } from '../result';
import { drawPlan } from './drawPlan';
import { initialValues } from './parameter';
import { TECHNIQUES, techniqueOf, type AnyTechnique, takesWire } from './registry';
import { initialPlan } from './technique';

const drawingOf = (technique: AnyTechnique) =>
  drawPlan(expectOk(initialPlan(technique)), initialValues(technique.parameters));
const named = (id: string) => techniqueOf(id) as AnyTechnique;

it('every technique is drawn within its box, in numbers, of points that can be counted', () => {
  for (const technique of TECHNIQUES.filter(takesWire)) {
    const { behind, level, before, box } = drawingOf(technique);
    const lines = [...behind, ...level, ...before];
    const numbers = lines.flatMap(({ d }) => d.slice(1).split(/[ML ]/).map(Number));
    expect([technique.id, numbers.some(Number.isNaN)]).toEqual([technique.id, false]);
    expect(numbers.length).toBeLessThan(20_000);
    const [xs, ys] = [0, 1].map((which) => numbers.filter((_, index) => index % 2 === which)) as [
      number[],
      number[],
    ];
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(box.x);
    expect(Math.max(...xs)).toBeLessThanOrEqual(box.x + box.width);
    expect(Math.min(...ys)).toBeGreaterThanOrEqual(box.y);
    expect(Math.max(...ys)).toBeLessThanOrEqual(box.y + box.height);
  }
});

it('a weave goes over and under its frame wires: as much before them as behind', () => {
  const { behind, before, level } = drawingOf(named('straight-weave'));
  expect(level.find(({ wire }) => wire === 'base')?.d.match(/M/g)).toHaveLength(2);
  const across = (lines: typeof before) =>
    lines
      .filter(({ wire }) => wire === 'weaving')
      .flatMap(({ d }) => d.slice(1).split('M'))
      .reduce((sum, run) => {
        const ys = run.split('L').map((point) => Number(point.split(' ')[1]));
        return sum + ys.slice(1).reduce((way, y, index) => way + Math.abs(y - (ys[index] ?? y)), 0);
      }, 0);
  expect(across(before)).toBeGreaterThan(100);
  expect(across(behind) / across(before)).toBeCloseTo(1, 1);
});

it('stones and beads are drawn where they are held', () => {
  expect(drawingOf(named('bundle-frame')).stones).toHaveLength(1);
  const { beads } = drawingOf(named('bead-channel'));
  expect(beads).toHaveLength(13);
  expect(beads.every(({ diameter }) => diameter === 3)).toBe(true);
});
