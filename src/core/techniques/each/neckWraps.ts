import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok } from '../../result';
import type { ActWire, GoesOn } from '../../technique/act';
import { choice, count, length, roundWire, wire } from '../../parameter/parameter';
import { endsLeft } from '../../techniqueKit/endsLeft';
import { actTechnique } from '../../technique/planActs';
import { bendOf } from '../../wrap/winding';
import { windingEnd } from '../../techniqueKit/windingEnd';

/** Turns about all ends that stand upright together: by one of them, or by a wire of its own. */
export const neckWraps = actTechnique({
  id: 'neck-wraps',
  title: 'Neck wound about upright ends',
  group: 'holding a stone',
  source: 'n √[(hull of the middles + π(D + d))² + p²]: a helix about the hull of a bundle, unrolled',
  parameters: {
    bundled: wire('Upright wire', roundWire(0.812), 'frame'),
    upright: count('Upright wires', 6, 2, 24),
    wire: wire('Binding wire', roundWire(0.405), 'bundle binding'),
    turns: count('Turns', 3, 1, 60),
    way: choice('Wound', ['clockwise', 'against the clock'], 'clockwise'),
    tail: length('Tail at each end of the binding wire', 30, 0, 200),
  },
  ports: {
    bundle: {
      label: 'Ends that are bound together',
      does: 'be bound together in a neck',
      takes: ['end'],
      from: 2,
      to: 24,
      wire: 'bundled',
      freshOnly: ['bundled', 'upright'],
      fresh: ({ upright }) => ({
        count: upright,
        name: 'upright wire',
        tail: 0,
        isGiven: true,
        // In two rows, as both sides of a frame meet at its top.
        start: (index, { width: D }) =>
          pose(
            vec3(
              (index % 2 === 0 ? -D : D) / 2,
              0,
              ((Math.ceil(upright / 2) - 1) / 2 - Math.floor(index / 2)) * D,
            ),
            vec3(0, -1),
          ),
      }),
    },
    winder: windingEnd('End that winds about them', 'wind about upright ends', 'binding wire'),
  },
  act: ({ wire: thin, turns, way, tail }, { ends, own }) => {
    const [bundle, [winder]] = [ends('bundle'), ends('winder')];
    const long = turns * bendOf(thin).pitch;
    const bound = {
      kind: 'bound',
      name: `${counted(turns, 'turn')} about ${counted(bundle.length, 'wire')}`,
      id: own('neck'),
      on: bundle.map(({ wire: on, side, places }) => ({ wire: on, from: places, towards: side })),
      turns: way === 'clockwise' ? turns : -turns,
      long,
    } as const;
    const bindingWire: ActWire = {
      id: own('binding'),
      name: 'binding wire',
      cutFrom: 'wire',
      size: thin,
      first: [bound],
      second: [],
      tails: { first: tail, second: tail },
      middle: 'begin to bind',
    };
    return ok({
      wires: winder ? [] : [bindingWire],
      goesOn: [
        ...(winder ? [{ end: winder, courses: [bound], tail }] : []),
        // What goes on from the neck leaves it as it is.
        ...bundle.map((end): GoesOn => ({
          end,
          courses: [
            { kind: 'reaching', name: 'to the neck', to: end.places },
            { kind: 'laid', name: 'through the neck', length: long },
          ],
        })),
      ],
      leaves: [
        {
          id: 'winder',
          label: winder?.label ?? 'binding wire, its end',
          takes: 'end',
          wire: winder?.wire ?? own('binding'),
          side: winder?.side ?? 'first',
        },
        ...endsLeft(bundle),
      ],
      marked: winder
        ? [{ wire: winder.wire, side: winder.side, at: own('neck'), what: 'out to the side, round the neck' }]
        : [],
      steps: [{ id: 'bind', name: 'wind the neck', minutes: 1 + 0.4 * turns, cautions: ['cut ends'] }],
    });
  },
});
