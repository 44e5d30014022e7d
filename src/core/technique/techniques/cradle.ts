import { counted } from '../../units/counted';
import { parallelOf, perimeterOf, placeAt } from '../../outline/outline';
import { outlineOf } from '../../outline/outlineOf';
import { minus, norm, scaled, type Vec } from '../../geometry/vector';
import { advice } from '../../judgement/judgement';
import { ok, refuse } from '../../result';
import { flatSpiral, spiralEnd } from '../formulas';
import { count, length, roundWire, stone, wire } from '../parameter';
import { allRound, moved, partRound, setAt, spiral, straight } from '../shapes';
import { allowance, evenHolds, net, said, technique } from '../technique';
import { frameRow, winding } from '../winding';

/** How far from the middle of the stone its scrolls sit, of the way to its edge. */
const OVER_FACE = 0.7;

/** The least distance between two of some points, mm. */
const closestPair = (points: readonly Vec[]): number =>
  Math.min(...points.flatMap((a, index) => points.slice(index + 1).map((b) => norm(minus(a, b)))));

/** A heavy wire round and under a stone, with thinner wires bound along it that end in scrolls over its face. */
export const cradle = technique({
  id: 'cradle',
  title: 'Heavy cradle with scrollwork',
  group: 'holding a stone',
  source: 'perimeter + πD and bars across the back for the cradle; scrolls are Archimedean spirals, exact',
  parameters: {
    stone: stone('Stone', { outline: 'round', length: 30, width: 30, depth: 8, edge: 4 }),
    cradle: wire('Cradle wire', roundWire(1.628), 'heavy frame'),
    bars: count('Bars across the back', 2, 1, 6),
    cradleTail: length('Handling tail at each end of the cradle wire', 30, 0, 150),
    wire: wire('Scroll wire', roundWire(0.812), 'frame'),
    wires: count('Scroll wires', 3, 1, 10),
    along: length('Each scroll wire along the cradle', 45, 5, 300),
    wraps: count('Wraps of each round the cradle', 6, 0, 40),
    scroll: length('Each scroll across, outside', 8, 2, 40),
    tail: length('Handling tail at each end of a scroll wire', 60, 0, 200),
  },
  plan: ({ stone: held, cradle: heavy, bars, cradleTail, wire: thin, wires, along, wraps, scroll, tail }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const [D, d] = [heavy.width, thin.width];
    const line = parallelOf(outline.value, D / 2);
    const round = perimeterOf(line);
    if (along > round)
      return refuse(`The cradle is ${said(round)} round; ${said(along)} of scroll wire do not lie along it.`);
    const [from, to] = [d, spiralEnd(scroll, d, d)];
    if (to <= from)
      return refuse(
        `A scroll of ${said(d)} wire is more than ${said(3 * d)} across; ${said(scroll)} is not.`,
      );
    const rolled = flatSpiral(from, to, d);
    const bound = winding(frameRow(heavy, 1), thin, wraps);
    // Bars run from edge to edge under the stone, as far apart as they are from its ends.
    const across = held.width + D;
    // A scroll lies over the face, where its wire leaves the cradle.
    const scrollsOf = (index: number) => {
      const start = (round * index) / wires;
      return [start, start + along].map((at) => scaled(placeAt(line, at).point, OVER_FACE));
    };
    const closest = closestPair(Array.from({ length: wires }, (_, index) => scrollsOf(index)).flat());
    const run = (index: number) => {
      const start = (round * index) / wires;
      const [first, last] = scrollsOf(index);
      const roll = spiral(0, 0, from, to, d);
      return [
        partRound(line, start, start + along, (D + d) / 2),
        setAt(moved(bound.path, -bound.along / 2, 0), placeAt(line, start + along / 2)),
        ...[first, last].flatMap((at) => (at ? [moved(roll, at.x, at.y, held.depth / 2)] : [])),
      ];
    };
    return ok({
      cuts: [
        {
          name: 'cradle wire',
          wire: 'cradle',
          count: 1,
          terms: [
            net('round the stone', round),
            net(`${counted(bars, 'bar')} across the back`, bars * across),
            allowance('handling tails', 2 * cradleTail),
          ],
          marks: [
            { at: cradleTail + bars * across, what: 'the bars end, the round begins' },
            { at: cradleTail + bars * across + round / 2, what: 'middle of the round' },
          ],
          drawn: [
            allRound(line),
            ...Array.from({ length: bars }, (_, index) => {
              const y = (held.length * (index + 1)) / (bars + 1) - held.length / 2;
              return straight(-across / 2, y, across / 2, y, -held.depth / 2);
            }),
          ],
        },
        {
          name: 'scroll wire',
          wire: 'wire',
          count: wires,
          terms: [
            net('along the cradle', along),
            net(`${counted(wraps, 'wrap')} round the cradle`, bound.length),
            net('two scrolls', 2 * rolled),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            { at: tail + rolled, what: 'the first scroll ends' },
            { at: tail + rolled + (along + bound.length) / 2, what: 'middle: bind it here' },
            { at: tail + rolled + along + bound.length, what: 'the second scroll begins' },
          ],
          drawn: run(0),
          places: Array.from({ length: wires - 1 }, (_, index) => run(index + 1)).flat(),
        },
      ],
      steps: [
        {
          id: 'cradle',
          name: 'form the cradle round and under the stone',
          minutes: 10,
          cautions: ['gripping'],
        },
        { id: 'try', name: 'try the stone', minutes: 1 },
        { id: 'bind', name: 'bind the scroll wires to the cradle', minutes: wires * (2 + wraps * 0.15) },
        { id: 'stone', name: 'put the stone in', minutes: 1 },
        { id: 'scrolls', name: 'roll the scrolls over its face', minutes: wires * 6, cautions: ['piercing'] },
        { id: 'tuck', name: 'trim and tuck every end', minutes: 3, cautions: ['cut ends'] },
      ],
      order: [
        { first: 'try', then: 'bind', why: 'a bound cradle cannot be formed any more' },
        { first: 'stone', then: 'scrolls', why: 'the scrolls are what holds the stone from the front' },
      ],
      ...(closest < scroll && {
        advice: [
          advice(
            'scroll',
            `Scrolls of ${said(scroll)} lie over one another: two of them are ${said(closest)} apart.`,
            'Wire that lies on wire rocks, catches, and hides the stone (common practice).',
            `Roll them to ${said(closest)} across at most, or take fewer scroll wires.`,
          ),
        ],
      }),
      holds: evenHolds(perimeterOf(outline.value), 2 * wires, scroll / 2),
      solids: [{ kind: 'outline', outline: outline.value }],
    });
  },
});
