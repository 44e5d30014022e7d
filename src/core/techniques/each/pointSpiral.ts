import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course, Piece, Point, Side } from '../../piece/piece';
import { refuse } from '../../result';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { said, saidBy, technique, type Plan } from '../../technique/technique';

/** How far above the tip both strands stand upright, in thicknesses of the wire. */
const RISE = 3;
/** Minutes that a turn round a point takes, with both strands. */
const MINUTES_A_TURN = 1.5;

/**
 * A wire folded shut under one tip of a point, both strands side by side wound up it, bent upright over the other tip; a loop of both, their
 * ends wound about both below it.
 */
export const pointSpiral = technique({
  id: 'point-spiral',
  title: 'Double spiral round a point',
  group: 'holding a stone',
  source:
    'two helices on a point that tapers, measured; a fold of half a turn, loops of three quarters, wraps about two wires',
  parameters: {
    wire: wire('Wire', roundWire(0.8), 'frame'),
    across: length('Point across', 8, 2, 60),
    long: length('Length of the point', 30, 5, 150),
    taper: length('Each tip tapers for', 8, 0.5, 70),
    turns: count('Turns of each half', 4, 1, 30),
    loop: length('Hanging loop, inside', 3, 1, 20),
    wraps: count('Wraps of each end under the loop', 2, 1, 20),
    tail: length('Handling tail at each end', 30, 0, 120),
  },
  plan: ({ wire: size, across, long, taper, turns, loop, wraps, tail }) => {
    const D = size.width;
    const pitch = long / turns;
    if (pitch < 2 * D)
      return refuse(
        `${counted(turns, 'turn')} on ${said(long)} lie ${said(pitch)} apart; two wires of ${said(D)} side by side take ${said(2 * D)}.`,
      );
    if (2 * taper > long)
      return refuse(`Two tips of ${said(taper)} are longer than the point of ${said(long)}.`);
    const point: Point = {
      kind: 'point',
      id: 'point',
      length: long,
      width: across,
      tapers: [taper, taper],
      pose: pose(vec3(0, long / 2), vec3(0, -1)),
    };
    const top = -long / 2 - RISE * D;
    const round = (loop + D) / 2;
    const neck = round + (2 * wraps + 2) * D;
    const shut = `${counted(wraps, 'wrap')} of each end under it`;
    const over = 'upright over the tip';
    const hand = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      const strand = side === 'first' ? ('upper' as const) : ('lower' as const);
      const climb = { kind: 'climbing', body: 'point', begin: 0, play: 0, strand } as const;
      return [
        { kind: 'bent', name: 'fold under the tip', about: 0, angle: 90 * way },
        { ...climb, name: `${counted(turns, 'turn')} of each half`, from: 0, to: long, turns },
        // Over the tip both rise about one another until they lie side by side.
        { ...climb, name: over, from: long, to: long + (RISE - 1) * D, turns: 0.25 },
        { kind: 'led', name: over, to: pose(vec3((way * D) / 2, top), vec3(0, -1)) },
        { kind: 'laid', name: 'neck', length: neck },
        { kind: 'bent', name: 'hanging loop', about: loop, angle: 270, roll: 90 },
        // The end of the one crosses before both, under the end of the other.
        ...(side === 'first'
          ? [
              {
                kind: 'led',
                name: shut,
                to: pose(vec3(0, top - neck + round + 1.5 * D, D), vec3(-1, 0)),
              } as const,
            ]
          : []),
        {
          kind: 'wound',
          name: shut,
          // Both ends cross to the same side and go round together, one under the other.
          on: (['second', 'first'] as const).map((of) => ({
            wire: 'wire',
            from: { side: of, endOf: 'neck', on: -round - (side === 'first' ? 2 * D : D) },
            towards: of === 'first' ? ('second' as const) : ('first' as const),
          })),
          groups: [{ kind: 'wrap', first: 0, last: 1, wraps }],
          pitch: 2 * D,
        },
      ];
    };
    const piece: Piece = {
      bodies: [point],
      wires: [
        {
          id: 'wire',
          name: 'wire',
          cutFrom: 'wire',
          size,
          // The fold goes under the tip, from before it to behind it.
          start: pose(vec3(0, (long + D) / 2), vec3(0, 0, 1), vec3(1, 0)),
          first: hand('first'),
          second: hand('second'),
          tails: { first: tail, second: tail },
        },
      ],
    };
    const cut = cutsOfPiece(piece, {
      middle: 'fold here, under the tip of the point',
      marked: [
        { wire: 'wire', side: 'first', at: 'neck', what: 'upright over the other tip' },
        { wire: 'wire', side: 'second', at: 'neck', what: 'upright over the other tip' },
      ],
    });
    if (!cut.ok) return cut;
    return {
      ok: true,
      value: {
        cuts: cut.value.cuts,
        run: cut.value.run,
        steps: [
          {
            id: 'fold',
            makes: ['fold under the tip'],
            name: 'fold the wire shut at its middle and set the fold under one tip',
            minutes: 2,
          },
          {
            id: 'wind',
            makes: ['of each half'],
            name: 'wind both strands up side by side, evenly',
            minutes: 3 + turns * MINUTES_A_TURN,
          },
          {
            id: 'upright',
            makes: ['upright over the tip'],
            name: 'bend both strands upright over the other tip',
            minutes: 1,
          },
          {
            id: 'loop',
            makes: ['neck', 'hanging loop'],
            name: 'turn a loop of both over a mandrel',
            minutes: 2,
          },
          { id: 'hang', name: 'hang what belongs in the loop', minutes: 0.5 },
          {
            id: 'shut',
            makes: ['of each end under it'],
            name: 'wind both ends below the loop, trim and tuck',
            minutes: 3,
            cautions: ['cut ends'],
          },
          { id: 'tighten', name: 'tighten the spirals by kinking them, all round', minutes: 2 },
        ],
        order: [
          { first: 'wind', then: 'loop', why: 'the point does not pass under a closed loop' },
          { first: 'hang', then: 'shut', why: 'nothing can be hung in a loop that is wound shut' },
        ],
        parts: [{ name: `point, ${saidBy(long, across)}`, count: 1 }],
        notes: [`The turns lie ${said(pitch)} apart; a point thinner than that at its tip slides out there.`],
      } satisfies Partial<Plan>,
    };
  },
});
