import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { channelBeads, laced, railsApart, reachOnRail, type Station } from '../../techniqueKit/channel';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';

/** Beads in a row between two frame wires: the thin wire goes round one, through a bead, round the other, and back behind it. */
export const beadChannel = technique({
  id: 'bead-channel',
  title: 'Channel of beads between two wires',
  group: 'beads',
  source:
    'n = ⌊P/max(b, 1.1 w·d)⌋ beads, wound with a little air; for each w turns on both rails, through the bead and back behind it, measured as it lies',
  parameters: {
    base: wire('Frame wires', roundWire(1.024), 'frame'),
    wire: wire('Lacing wire', roundWire(0.321), 'weaving'),
    along: length('Length of the channel', 40, 2, 600),
    bead: beadLength('Bead', 3, 0.5, 40),
    drilled: drilled(0.8),
    wraps: count('Turns on each wire between beads', 1, 1, 60),
    tail: length('Tail at each end of the lacing wire', 60, 0, 200),
    frameTail: length('Tail at each end of the frame wires', 40, 0, 200),
  },
  plan: ({ base, wire: thin, along, bead, drilled: hole, wraps, tail, frameTail }) => {
    const bound = reachOnRail(thin, wraps);
    const step = Math.max(bead, bound);
    const beads = Math.floor(along / step + 1e-9);
    if (beads < 1) return refuse(`${said(along)} of channel hold no bead; ${said(step)} hold one.`);
    const apart = railsApart(base, thin, bead);
    const from = (along - beads * step) / 2;
    const stations = Array.from({ length: beads }, (_, index): Station => {
      const on = from + (index + 0.5) * step;
      return { at: vec3(on - along / 2, apart / 2), out: vec3(0, -1), inner: on, outer: on };
    });
    const bodies = channelBeads(stations, apart, bead, hole, (index) => `bead ${index + 1}`);
    const rail = (id: string, y: number) => ({
      id,
      name: 'frame wire',
      cutFrom: 'base',
      size: base,
      start: pose(vec3(-along / 2, y), vec3(1, 0)),
      first: [{ kind: 'laid', name: 'along the channel', length: along } as const],
      second: [],
      tails: { first: frameTail, second: frameTail },
    });
    const cut = cutsOfPiece(
      {
        bodies,
        wires: [
          rail('inner', apart / 2),
          rail('outer', -apart / 2),
          {
            id: 'lacing',
            name: 'lacing wire',
            cutFrom: 'wire',
            size: thin,
            first: laced({
              stations,
              beads: bodies,
              inner: { wire: 'inner', towards: 'first' },
              outer: { wire: 'outer', towards: 'first' },
              rail: base,
              thin,
              wraps,
              close: CLOSE,
              outward: 'left',
            }),
            second: [],
            tails: { first: tail, second: tail },
          },
        ],
      },
      {
        middle: { inner: 'the channel begins', outer: 'the channel begins', lacing: 'begin to lace' },
        marked: ['inner', 'outer'].flatMap((id) => [
          { wire: id, side: 'first' as const, at: along / 2, what: 'middle' },
          { wire: id, side: 'first' as const, at: along, what: 'the channel ends' },
        ]),
        tails: 'tails',
      },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'count-out', name: 'count out the beads', minutes: 1 + beads * 0.05 },
        {
          id: 'lace',
          makes: ['lacing wire', 'bead'],
          name: 'lace the beads between the wires',
          minutes: 2 + beads * 1.1,
          cautions: ['gripping'],
        },
        { id: 'tuck', name: 'trim and tuck', minutes: 1, cautions: ['cut ends'] },
      ],
      order: [{ first: 'count-out', then: 'lace', why: 'a strand that runs out leaves the channel open' }],
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [
        bound > bead
          ? `${counted(wraps, 'turn')} reach ${said(bound)}, so the beads lie ${said(bound - bead)} apart.`
          : `${counted(wraps, 'turn')} reach ${said(bound)} of the ${said(bead)} from bead to bead; ${Math.round(bead / thin.width)} would fill them.`,
      ],
    });
  },
});

/** Turns that finish it. */
const CLOSE = 2;
