import { counted } from '../../units/counted';
import { ok, refuse } from '../../result';
import { spiralEnd } from '../../geometry/formulas';
import { choice, length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Ends rolled up flat, each from its wide turn to a small hole; of several every second one the other way, when they mirror one another. */
export const flatSpiral = actTechnique({
  id: 'flat-spiral',
  title: 'Flat spiral',
  group: 'coils and spirals',
  source: 'arc length of the Archimedean spiral, exact: p/(4π) · [θ√(1 + θ²) + asinh θ]',
  parameters: {
    wire: wire('Wire', roundWire(1.024), 'coiling'),
    across: length('Across, outside', 12, 2, 150),
    start: length('Hole in the middle', 1, 0, 40),
    gap: length('Gap between turns', 0, 0, 10),
    way: choice('Rolled up', ['to the right', 'to the left', 'mirrored'], 'to the right'),
    tail: length('Tail', 20, 0, 200),
  },
  ports: {
    ends: {
      label: 'Ends that are rolled up',
      does: 'curl up in a flat spiral',
      takes: ['end'],
      from: 1,
      to: 8,
      wire: 'wire',
      freshOnly: ['wire', 'tail'],
      fresh: ({ tail }) => ({ count: 1, name: 'spiral wire', tail, side: 'second' }),
    },
  },
  act: ({ wire: size, across, start, gap, way }, { ends, own }) => {
    // Rolled flat, half-round and flat wire stand on edge: their height is what lies turn beside turn.
    const { thick: D } = bendOf(size);
    const pitch = D + gap;
    const [from, to] = [(start + D) / 2, spiralEnd(across, D, pitch)];
    if (to <= from)
      return refuse(
        `A spiral of ${said(D)} wire round a hole of ${said(start)} is more than ${said(start + 2 * D)} across; ${said(across)} is not.`,
      );
    const turns = (to - from) / pitch;
    const rolled = ends('ends');
    const isLeft = (index: number) => way === 'to the left' || (way === 'mirrored' && index % 2 === 0);
    return ok({
      goesOn: rolled.map((end, index) => ({
        end,
        courses: [
          {
            kind: 'curled',
            id: own('spiral'),
            name: counted(turns.toFixed(1), 'turn'),
            inside: start,
            turns: isLeft(index) ? -turns : turns,
            pitch,
          },
        ],
        tail: 0,
      })),
      leaves: rolled.map(({ wire: id, side, label }, index) => ({
        id: `spiral ${index + 1}`,
        label: `${label}, its spiral`,
        takes: 'stretch',
        over: own('spiral'),
        wire: id,
        side,
      })),
      steps: [
        {
          id: 'roll',
          name: rolled.length > 1 ? 'roll the spirals' : 'roll the spiral',
          minutes: rolled.length * (1 + turns * 0.8),
          cautions: ['gripping'],
        },
      ],
      notes: [`By the rule π(R² − r²)/p it is ${said((Math.PI * (to ** 2 - from ** 2)) / pitch)}.`],
    });
  },
});
