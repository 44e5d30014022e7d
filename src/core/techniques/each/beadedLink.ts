import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Bead, Course, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { beadId, boundBeads as boundOn, wrapsId } from '../../techniqueKit/boundBead';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Why the link is only sketched where it closes. */
const CLOSED = 'the link is closed: its ends are one';
/** Turns of each tail on the wire of the bead beside it, and how far off the bead and off the link they lie at least, in thicknesses. */
const [TURNS, OFF, FOOT] = [2, 1, 2.8];
/** How far the wire stands off the bead that the turns lie on, down at the link, so that they do not lie in the bead; in thicknesses. */
const APART = 2;
/** Room for both where the round is joined, in thicknesses. */
const JOINT = 4 + 2 * APART;

/** Beads all round the outside of a closed link, bound on one after another from the inside; both tails close the round. */
export const beadedLink = technique({
  id: 'beaded-link',
  title: 'Beads all round a closed link',
  group: 'beads',
  source:
    'n = ⌊π(I + 2D + b)/(b + w·d)⌋ beads where their holes lie; n·w wraps, n·b through the beads and the rise to each hole, 2(√(h² − r²) − r·acos(r/h)); two turns of each tail',
  parameters: {
    link: wire('Wire of the link', roundWire(1.024), 'frame'),
    wire: wire('Binding wire', roundWire(0.321), 'weaving'),
    inside: length('Link, inside', 14, 3, 120),
    bead: beadLength('Bead, along its hole', 3, 0.5, 20),
    drilled: drilled(0.8),
    wraps: count('Wraps between beads', 2, 1, 20),
    tail: length('Tail at each end', 60, 0, 200),
  },
  plan: ({ link, wire: thin, inside, bead, drilled: hole, wraps, tail }) => {
    const { thick, pitch } = bendOf(thin);
    const D = link.width;
    const bound = wraps * pitch;
    const [round, far] = [Math.PI * (inside + D), Math.PI * (inside + 2 * D + bead)];
    // Where it is joined both tails lie side by side between two beads; farther apart out where the beads are.
    const joint = JOINT * thick;
    const open = far * (1 - (pitch + joint) / round);
    const beads = Math.floor(Math.min(open / (bead + bound), round / bound) + 1e-9);
    if (beads < 3)
      return refuse(
        `Where beads would lie it is ${said(far)} round; three beads at least take ${said(3 * (bead + bound))}.`,
      );
    const bodies = Array.from({ length: beads }, (_, index): Bead => ({
      kind: 'bead',
      id: `bead ${index + 1}`,
      width: bead,
      length: bead,
      hole,
    }));
    // From the link up to a hole, tangent to both.
    const rise = Math.sqrt(Math.max(0, ((D + bead) / 2) ** 2 - ((D + thick) / 2) ** 2));
    if (rise < (TURNS + OFF + FOOT) * thick)
      return refuse(
        `Each tail takes ${counted(TURNS, 'turn')} of ${said(thick)} on the wire beside a bead of ${said(bead)}, which is ${said(rise)} long; ${said((TURNS + OFF + FOOT) * thick)} are the least.`,
      );
    const riser = Math.hypot(rise, APART * thick);
    const closing = (endOf: string, on: number, towards: Side): Course => ({
      kind: 'wound',
      name: `${counted(2 * TURNS, 'turn')} of both tails round the wires of their neighbours`,
      on: [{ wire: 'binding', from: { side: 'first', endOf, on }, towards }],
      groups: [{ kind: 'wrap', first: 0, last: 0, wraps: TURNS }],
    });
    const cut = cutsOfPiece(
      {
        bodies,
        wires: [
          {
            id: 'link',
            name: 'link',
            cutFrom: 'link',
            size: link,
            start: pose(vec3(0, -(inside + D) / 2), vec3(1, 0)),
            first: [{ kind: 'bent', name: 'once round', about: inside, angle: 360, sketched: CLOSED }],
            second: [],
            tails: { first: 0, second: 0 },
          },
          {
            id: 'binding',
            name: 'binding wire',
            cutFrom: 'wire',
            size: thin,
            first: [
              ...boundOn({
                on: { wire: 'link', from: (pitch + joint) / 2, towards: 'first' },
                frame: link,
                thin,
                // Between the last bead and the first the tails take the place of wraps.
                wraps: { first: 1, between: wraps, last: 1 },
                beads: bodies,
                times: 'once',
                side: 'left',
                step: (round - pitch - joint) / beads,
                apart: APART * thick,
              }),
              closing(wrapsId(0), (FOOT + TURNS) * thick, 'second'),
            ],
            second: [closing(beadId(beads - 1), riser - (FOOT + TURNS) * thick, 'first')],
            tails: { first: tail, second: tail },
          },
        ],
      },
      { given: ['link'], middle: 'begin inside of the link', tails: 'tails' },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        { id: 'count-out', name: 'count out the beads', minutes: 1 + beads * 0.05 },
        {
          id: 'bind',
          makes: ['binding wire', 'bead'],
          name: 'begin inside of the link, and bind the beads on all round it',
          minutes: 1 + beads * 0.9,
        },
        {
          id: 'close',
          makes: ['of both tails round the wires of their neighbours'],
          name: 'join the last bead to the first: wind each tail round the wire of its neighbour, trim and tuck',
          minutes: 3,
          cautions: ['cut ends'],
        },
      ],
      order: [{ first: 'count-out', then: 'bind', why: 'a strand that runs out leaves the link open' }],
      parts: [
        { name: `closed link, ${said(inside)} inside`, count: 1 },
        { name: `bead, ${said(bead)}`, count: beads },
      ],
      notes: [
        `${counted(beads, 'bead')} go round; ${said((far - beads * (bead + bound)) / beads)} are left over at each, so spread the wraps evenly.`,
      ],
    });
  },
});
