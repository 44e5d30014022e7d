import { counted } from '../../units/counted';
import { integrate } from '../../geometry/integrate';
import type { Path } from '../../geometry/path';
import { refuse } from '../../result';
import { drop, hangingCut, order, stepsOf } from '../hangingDrop';
import { length } from '../parameter';
import { net, said, technique } from '../technique';

/** A conical coil from one radius to another. */
function cone(from: number, to: number, turns: number, height: number, y: number) {
  const radius = (t: number) => from + (to - from) * t;
  const speed = (t: number) => Math.hypot(to - from, 2 * Math.PI * turns * radius(t), height);
  const points = Math.max(24, Math.ceil(turns * 60));
  const path: Path = Array.from({ length: points + 1 }, (_, index) => {
    const t = index / points;
    const angle = 2 * Math.PI * turns * t;
    return { x: radius(t) * Math.sin(angle), y: y + height * t, z: radius(t) * Math.cos(angle) };
  });
  return { length: integrate(speed, 0, 1), path };
}

/** A briolette under a cap of wire that is coiled down over its tip. */
export const brioletteCap = technique({
  id: 'briolette-cap',
  title: 'Briolette under a cone cap',
  group: 'beads',
  source: 'as on a wrapped loop; the cap is a conical helix, integrated, its turns touching along the slant',
  parameters: {
    ...drop,
    tail: length('Handling tail at each end', 25, 0, 100),
    cap: length('Width of the cap, outside', 5, 1, 40),
    down: length('Height of the cap', 4, 0.5, 40),
  },
  plan: ({ cap, down, ...told }) => {
    const D = told.wire.width;
    if (cap < 3 * D)
      return refuse(`A cap of ${said(D)} wire is at least ${said(3 * D)} wide; ${said(cap)} is less.`);
    // Turn lies on turn along the slant, not down the axis.
    const [from, to] = [D, (cap - D) / 2];
    const turns = Math.hypot(down, to - from) / D;
    const coiled = cone(from, to, turns, down, -told.above);
    return {
      cuts: [
        hangingCut(told, {
          sits: 'the drop sits here',
          loopOf: 'short',
          terms: [net(`${counted(turns.toFixed(1), 'turn')} of the cap`, coiled.length)],
          drawn: [coiled.path],
        }),
      ],
      steps: [
        ...stepsOf('short'),
        { id: 'wrap', name: 'wrap the stem', minutes: 1.5 },
        {
          id: 'cap',
          name: 'coil the cap down over the tip, trim and tuck',
          minutes: 4,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: `briolette, hole at least ${said(told.drilled)}`, count: 1 }],
    };
  },
});
