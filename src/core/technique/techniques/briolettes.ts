import { integrate } from '../../geometry/integrate';
import type { Path } from '../../geometry/path';
import { refuse } from '../../result';
import { ring, stemWraps } from '../formulas';
import { count, length, roundWire, wire } from '../parameter';
import { bow, helix, straight } from '../shapes';
import { allowance, net, said, technique, type PlannedStep, type OrderRule } from '../technique';

const drop = {
  wire: wire('Wire', roundWire(0.405)),
  across: length('Width of the drop at its hole', 3, 0.5, 40),
  above: length('From the hole to above the tip', 3.5, 0.5, 40),
  loop: length('Loop, inside', 2.5, 0.5, 30),
  wraps: count('Wraps under the loop', 3, 1, 20),
  tail: length('Handling tail at each end', 15, 0, 100),
};

/** Wire through the drop, two legs that meet above its tip, a stem, and a loop on it. */
function hanging(D: number, across: number, above: number, loop: number, wraps: number) {
  const leg = Math.hypot(across / 2, above);
  const stem = wraps * D;
  const jog = (loop + D) / 2;
  const top = -above - stem;
  return {
    leg,
    stem,
    terms: [
      net('through the hole', across),
      net('two legs to above the tip', 2 * leg),
      net('stem and jog', stem + jog),
      net('loop', ring(loop, D)),
    ],
    drawn: [
      straight(-across / 2, 0, across / 2, 0),
      straight(-across / 2, 0, 0, -above),
      straight(across / 2, 0, 0, -above),
      straight(0, -above, 0, top),
      straight(0, top, jog, top),
      bow(0, top - jog, jog, 0, 2 * Math.PI),
    ],
  };
}

const steps: readonly PlannedStep[] = [
  { id: 'thread-drop', name: 'thread the drop to a third of the wire', minutes: 0.5 },
  { id: 'cross', name: 'bring both legs together above the tip', minutes: 1 },
  { id: 'loop', name: 'form the loop with the longer leg', minutes: 1.5 },
  { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
];
const order: readonly OrderRule[] = [
  { first: 'thread-drop', then: 'cross', why: 'the drop cannot be threaded when the legs are joined' },
  { first: 'hang', then: 'wrap', why: 'nothing can be hung in a loop that is wrapped shut' },
];

/** A briolette on a plain wrapped loop. */
export const brioletteLoop = technique({
  id: 'briolette-loop',
  title: 'Briolette on a wrapped loop',
  group: 'beads',
  source: 'legs by Pythagoras, loop π(a + D), wraps n √[(2πD)² + D²]: plane geometry',
  parameters: drop,
  plan: ({ wire: { width: D }, across, above, loop, wraps, tail }) => {
    const hung = hanging(D, across, above, loop, wraps);
    return {
      cuts: [
        {
          name: 'hanging wire',
          wire: 'wire',
          count: 1,
          terms: [
            ...hung.terms,
            net(`${wraps} wraps on the stem`, stemWraps(D, wraps)),
            allowance('handling tails', 2 * tail),
          ],
          marks: [
            { at: tail + hung.leg + across / 2, what: 'the drop sits here, not in the middle' },
            { at: tail + 2 * hung.leg + across + hung.stem, what: 'bend aside for the loop' },
          ],
          drawn: [...hung.drawn, helix(-hung.stem / 2, -above, D, wraps, D)],
        },
      ],
      steps: [
        ...steps,
        {
          id: 'wrap',
          name: 'wrap it shut with the shorter leg, trim and tuck',
          minutes: 2,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: 'briolette', count: 1 }],
    };
  },
});

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
  source: 'as on a wrapped loop; the cap is a conical helix, integrated',
  parameters: {
    ...drop,
    tail: length('Handling tail at each end', 25, 0, 100),
    cap: length('Width of the cap, outside', 5, 1, 40),
    down: length('Height of the cap', 4, 0.5, 40),
  },
  plan: ({ wire: { width: D }, across, above, loop, wraps, tail, cap, down }) => {
    if (cap < 3 * D)
      return refuse(`A cap of ${said(D)} wire is at least ${said(3 * D)} wide; ${said(cap)} is less.`);
    const hung = hanging(D, across, above, loop, wraps);
    const turns = down / D;
    const coiled = cone(D, (cap - D) / 2, turns, down, -above);
    return {
      cuts: [
        {
          name: 'hanging wire',
          wire: 'wire',
          count: 1,
          terms: [
            ...hung.terms,
            net(`${wraps} wraps on the stem`, stemWraps(D, wraps)),
            net(`${turns.toFixed(1)} turns of the cap`, coiled.length),
            allowance('handling tails', 2 * tail),
          ],
          marks: [{ at: tail + hung.leg + across / 2, what: 'the drop sits here' }],
          drawn: [...hung.drawn, helix(-hung.stem / 2, -above, D, wraps, D), coiled.path],
        },
      ],
      steps: [
        ...steps,
        { id: 'wrap', name: 'wrap the stem', minutes: 1.5 },
        {
          id: 'cap',
          name: 'coil the cap down over the tip, trim and tuck',
          minutes: 4,
          cautions: ['cut ends'],
        },
      ],
      order,
      parts: [{ name: 'briolette', count: 1 }],
    };
  },
});
