import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { WirePlace } from '../../piece/piece';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import type { TakenEnd } from '../../technique/act';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { bendOf } from '../../wrap/winding';

/** A short wire wound about stretches of wires where they pass one another, so that they cannot move. */
export const lashing = actTechnique({
  id: 'lashing',
  title: 'Lashing of wires that pass one another',
  group: 'holding a stone',
  source: 'n √[(hull of the middles + π(D + d))² + p²]: a helix about the hull of what it holds, unrolled',
  parameters: {
    held: wire('Wire that is held', roundWire(0.812), 'frame'),
    wires: count('Wires that are held', 2, 2, 6),
    wire: wire('Lashing wire', { profile: 'half-round', width: 0.723, height: 0.36 }, 'bundle binding'),
    turns: count('Turns', 2, 1, 40),
    tail: length('Tail at each end', 10, 0, 200),
  },
  ports: {
    held: {
      label: 'What it holds; it is wound on where the first two pass nearest to one another',
      does: 'be lashed where they pass one another',
      takes: ['stretch'],
      from: 2,
      to: 6,
      wire: 'held',
      freshOnly: ['held', 'wires'],
      fresh: ({ wires }) => ({
        count: wires,
        name: 'wire that is held',
        tail: 0,
        isGiven: true,
        start: (index, { width: D }) => pose(vec3((index - (wires - 1) / 2) * D, 0), vec3(0, -1)),
      }),
    },
  },
  act: ({ held: size, wire: thin, turns, tail }, { ends, own }) => {
    const held = ends('held');
    const long = turns * bendOf(thin).pitch;
    // Wires that are there for nothing else are as long as to be seen; their middle is lashed.
    const seen = long + 4 * size.width;
    const isAlone = (at: WirePlace) => typeof at === 'number';
    const from = ({ side, at }: TakenEnd): WirePlace =>
      isAlone(at) ? { side, endOf: own('held'), on: -seen / 2 } : at;
    return ok({
      wires: [
        {
          id: own('lashing'),
          name: 'lashing wire',
          cutFrom: 'wire',
          size: thin,
          middle: 'begin to lash',
          first: [
            {
              kind: 'bound',
              name: `${counted(turns, 'turn')} about ${counted(held.length, 'wire')}`,
              on: held.map((end) => ({ wire: end.wire, from: from(end), towards: end.side, passing: long })),
              turns,
              long,
            },
          ],
          second: [],
          tails: { first: tail, second: tail },
        },
      ],
      goesOn: held.flatMap((end) =>
        isAlone(end.at)
          ? [{ end, courses: [{ kind: 'laid', name: 'held', id: own('held'), length: seen }] }]
          : [],
      ),
      steps: [
        {
          id: 'lash',
          name: 'pass a short wire round what lies together, wind it tight, and press both ends in behind',
          minutes: 1.5 + 0.5 * turns,
          cautions: ['cut ends'],
        },
      ],
    });
  },
});
