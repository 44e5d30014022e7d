import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { parallelOf, perimeterOf } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import type { Bead, Cab } from '../../piece/piece';
import { placeRound } from '../../piece/shape';
import { expectOk, ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { boundBeads as boundOn, through } from '../../techniqueKit/boundBead';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, stone, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Beads all round a framed stone, each bound to the frame with wraps between. */
export const beadHalo = technique({
  id: 'bead-halo',
  title: 'Halo of beads round a stone',
  group: 'beads',
  source:
    'n = ⌊P/(b + w·d)⌋ beads where their holes lie, P round; n·w wraps, n·b through the beads and the rise to each hole, 2(√(h² − r²) − r·acos(r/h))',
  parameters: {
    stone: stone('Stone', { outline: 'oval', length: 18, width: 13, depth: 6, edge: 2 }),
    frame: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Binding wire', roundWire(0.321), 'weaving'),
    bead: beadLength('Bead, along its hole', 2.5, 0.5, 20),
    drilled: drilled(0.8),
    through,
    wraps: count('Wraps between beads', 3, 1, 30),
    tail: length('Tail at each end', 60, 0, 200),
  },
  plan: ({ stone: held, frame, wire: thin, bead, drilled: hole, wraps, tail, through: times }) => {
    const outline = outlineOf(held);
    if (!outline.ok) return outline;
    const { height: lining, pitch } = bendOf(thin);
    const bound = wraps * pitch;
    // The wraps lie between stone and frame; the beads lie outside of the frame, their holes along it.
    const round = perimeterOf(parallelOf(outline.value, lining + frame.width / 2));
    const far = perimeterOf(parallelOf(outline.value, lining + frame.width + bead / 2));
    const beads = Math.floor(Math.min(far / (bead + bound), round / bound) + 1e-9);
    if (beads < 3)
      return refuse(
        `Where beads would lie it is ${said(far)} round; a halo is three beads at least, which take ${said(3 * (bead + bound))}.`,
      );
    const spare = far - beads * (bead + bound);
    const bodies = Array.from({ length: beads }, (_, index): Bead => ({
      kind: 'bead',
      id: `bead ${index + 1}`,
      width: bead,
      length: bead,
      hole,
    }));
    const stoneAt: Cab = { kind: 'cab', id: 'stone', size: held, pose: pose(vec3(0, 0), vec3(1, 0)) };
    const lie = { play: lining, height: held.edge / 2 };
    const cut = cutsOfPiece(
      {
        bodies: [stoneAt, ...bodies],
        wires: [
          {
            id: 'frame',
            name: 'frame wire',
            cutFrom: 'frame',
            size: frame,
            start: pose(expectOk(placeRound(lie, stoneAt, frame, 0)), vec3(1, 0)),
            // It is closed: its ends meet at the top.
            first: [
              {
                kind: 'round',
                name: 'round the stone',
                body: 'stone',
                from: { mm: 0 },
                to: { mm: round - frame.width },
                ...lie,
              },
            ],
            second: [],
            tails: { first: 0, second: 0 },
          },
          {
            id: 'binding',
            name: 'binding wire',
            cutFrom: 'wire',
            size: thin,
            first: boundOn({
              on: { wire: 'frame', from: pitch / 2, towards: 'first' },
              frame,
              thin,
              // The wraps between the first bead and the last are begun at the top and closed there.
              wraps: { first: Math.ceil(wraps / 2), between: wraps, last: Math.floor(wraps / 2) },
              beads: bodies,
              times,
              side: 'left',
              step: (round - pitch) / beads,
            }),
            second: [],
            tails: { first: tail, second: tail },
          },
        ],
      },
      { given: ['frame'], middle: 'begin to wrap, at the top', tails: 'tails' },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'count-out', name: 'count out the beads, alike on both sides', minutes: 1 + beads * 0.05 },
        {
          id: 'bind',
          makes: ['binding wire', 'bead'],
          name: 'bind them on, from the top and back to it',
          minutes: 1 + beads * 0.9,
        },
        { id: 'tuck', name: 'trim and tuck', minutes: 1, cautions: ['cut ends'] },
      ],
      order: [{ first: 'count-out', then: 'bind', why: 'a strand that runs out leaves the halo open' }],
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [
        `${counted(beads, 'bead')} go round; ${said(spare / beads)} are left over at each, so spread the wraps evenly.`,
      ],
    });
  },
});
