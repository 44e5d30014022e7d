import { expectOk } from '../result';
import { LARGE, SMALL, type Fineness, type LineDrawing } from '../drawing/lineDrawing';
import { linesOf } from '../../../tests/support/pathData';
import { drawPlan, drawSmall } from './drawPlan';
import { TECHNIQUES, techniqueOf } from '../techniques/registry';
import { initialPlan, type AnyTechnique, takesWire } from '../technique/technique';

const drawingOf = (technique: AnyTechnique) => drawPlan(expectOk(initialPlan(technique)));
const named = (id: string) => techniqueOf(id) as AnyTechnique;

it('every technique is drawn within its box, in numbers, of points that can be counted', () => {
  for (const technique of TECHNIQUES.filter(takesWire)) {
    const { layers, box } = drawingOf(technique);
    const numbers = layers.flatMap(({ d }) => linesOf(d).flat(2));
    expect([technique.id, numbers.some(Number.isNaN)]).toEqual([technique.id, false]);
    expect([technique.id, numbers.length < 30_000]).toEqual([technique.id, true]);
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

it('a small picture takes a fraction of the points', () => {
  const size = (fineness: Fineness) =>
    TECHNIQUES.filter(takesWire)
      .flatMap((technique) => drawPlan(expectOk(initialPlan(technique)), fineness).layers)
      .reduce((sum, { d }) => sum + d.length, 0);
  expect(size(SMALL) / size(LARGE)).toBeLessThan(0.5);
});

it('a small piece keeps its roundings in a small picture, a long one does not pay for them', () => {
  const sagOf = (id: string): number => {
    const { layers, box } = drawSmall(expectOk(initialPlan(named(id))));
    const side = Math.max(box.width, box.height);
    // Chords of the inmost round of a spiral and of a bead: how far their middles lie from what they stand for, by their turns.
    const sags = layers.flatMap(({ d }) =>
      linesOf(d).flatMap((points) => {
        return points.slice(2).flatMap(([x = 0, y = 0], index) => {
          const [[ax = 0, ay = 0], [bx = 0, by = 0]] = [points[index] ?? [], points[index + 1] ?? []];
          const chord = Math.hypot(bx - ax, by - ay);
          const turned = Math.abs(
            Math.atan2(
              (bx - ax) * (y - by) - (by - ay) * (x - bx),
              (bx - ax) * (x - bx) + (by - ay) * (y - by),
            ),
          );
          return turned < 1 ? [(chord * Math.tan(turned / 4)) / 2] : [];
        });
      }),
    );
    return Math.max(...sags) / side;
  };
  expect(sagOf('flat-spiral')).toBeLessThan(1 / 250);
  expect(sagOf('jump-rings')).toBeLessThan(1 / 250);
});

/** How far up and down the weaving wire goes, in the layers before its frame wires and behind them. */
function acrossIn({ layers }: LineDrawing): { readonly over: number; readonly under: number } {
  const frame = layers.findIndex((each) => each.kind === 'wire' && each.wire === 'a.base');
  const across = (side: LineDrawing['layers']) =>
    side
      .flatMap(({ kind, d }) => (kind === 'wire' ? linesOf(d) : []))
      .reduce((sum, points) => {
        const ys = points.map(([, y]) => y);
        return sum + ys.slice(1).reduce((way, y, index) => way + Math.abs(y - (ys[index] ?? y)), 0);
      }, 0);
  return { under: across(layers.slice(0, frame)), over: across(layers.slice(frame + 1)) };
}

it('a weave goes over and under its frame wires: as much before them as behind, from both sides', () => {
  const weave = named('straight-weave');
  for (const view of ['front', 'back'] as const) {
    const { over, under } = acrossIn(drawPlan(expectOk(initialPlan(weave)), LARGE, view));
    expect(over).toBeGreaterThan(100);
    expect(under / over).toBeCloseTo(1, 1);
  }
});

it('stones and beads are drawn where they are held', () => {
  const bodies = ({ layers }: LineDrawing) => layers.filter(({ kind }) => kind === 'body');
  expect(bodies(drawingOf(named('bundle-frame')))).toHaveLength(1);
  const beads = bodies(drawingOf(named('bead-channel')));
  expect(beads).toHaveLength(13);
  for (const { d } of beads) {
    const xs = linesOf(d).flatMap((points) => points.map(([x]) => x));
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(3, 1);
  }
});
