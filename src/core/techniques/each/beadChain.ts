import { counted } from '../../units/counted';
import { advice } from '../../judgement/judgement';
import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Bead, PieceWire } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { loopMiddle, plainLoop } from '../../techniqueKit/loops';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** Links that one chain is made of at most; a longer one is several. */
const MOST = 200;
/** A loop is an open turn: a ring lies a little off its middle, in thicknesses. */
const TILT = 0.3;
/** Rings side by side in a loop need so much more than they are thick, in thicknesses: it is round. */
const ROOM = 0.9;
/** Why a ring is only sketched where it closes. */
const CLOSED = 'a ring is closed: its ends are one';

/** Bead links joined to a finished length: by rings, or loop in loop. */
export const beadChain = technique({
  id: 'bead-chain',
  title: 'Chain of bead links',
  group: 'links and loops',
  source:
    'a link is as long as its bead and its loops from one inner edge to the other, a ring adds its inside; a loop and a ring are π(a + D): plane geometry',
  parameters: {
    wire: wire('Link wire', roundWire(0.812), 'frame'),
    bead: beadLength('Bead, along its hole', 8, 0.5, 100),
    drilled: drilled(1),
    loop: length('Loop, inside', 3, 0.5, 30),
    trim: length('Trim at each end of a link', 1, 0, 20),
    ringWire: wire('Ring wire', roundWire(0.812), 'frame'),
    ring: length('Ring between links, inside', 4, 0.8, 60),
    rings: count(
      'Rings between two links',
      1,
      0,
      3,
      'Two are safer than one; without any, loops hang in loops',
    ),
    clasp: length(
      'Clasp, from ring to ring',
      22,
      0,
      100,
      'Made or bought apart; 0 for a strand that stays open',
    ),
    long: length('Finished length', 185, 10, 3000),
  },
  plan: ({ wire: size, bead, drilled: hole, loop, trim, ringWire, ring, rings, clasp, long }) => {
    const [D, r] = [bendOf(size).thick, bendOf(ringWire).thick];
    if (rings > 0 && ring < 2 * D)
      return refuse(
        `A ring of ${said(ring)} inside does not hold two loops of ${said(D)} wire; it takes ${said(2 * D)}.`,
      );
    const inLoop = rings > 0 ? (rings + ROOM) * r : D;
    if (loop < inLoop)
      return refuse(
        `A loop of ${said(loop)} inside does not hold ${rings > 0 ? counted(rings, 'ring') : 'the next loop'}; it takes ${said(inLoop)}.`,
      );
    // Rings side by side lie as far out in a round loop as the outer ones of them go.
    const outermost = rings > 0 ? ((rings - 1) / 2 + TILT) * r : 0;
    const inside = rings > 0 ? Math.sqrt(((loop - r) / 2) ** 2 - outermost ** 2) + r / 2 : loop / 2;
    const link = bead + 2 * (loopMiddle({ inside: loop, size }) + inside);
    const step = link + (rings > 0 ? ring : 0);
    // With a clasp there is a ring at each end as well.
    const joints = (links: number) => (rings === 0 ? 0 : clasp > 0 ? links + 1 : links - 1);
    const lengthOf = (links: number) => links * link + joints(links) * ring + clasp;
    const links = Math.floor((long - lengthOf(0)) / step + 1e-9);
    if (links < 1)
      return refuse(`One link makes ${said(lengthOf(1))} already; ${said(long)} is shorter than that.`);
    if (links > MOST) return refuse(`That is ${counted(links, 'link')}; ${MOST} are made at once.`);
    const middleOf = (index: number) => (index - (links - 1) / 2) * step;
    const loops = plainLoop({ name: 'two plain loops', id: 'loop', inside: loop, size });
    const beads = Array.from({ length: links }, (_, index): Bead => ({
      kind: 'bead',
      id: `bead ${index + 1}`,
      width: bead,
      length: bead,
      hole,
    }));
    /** Loops that hang in one another stand across one another, each through the middle of the other’s open turn. */
    const startOf = (index: number): Pose => {
      const x = middleOf(index) - bead / 2;
      if (rings > 0) return pose(vec3(x, 0), vec3(1, 0));
      return index % 2 === 1
        ? pose(vec3(x, 0, D / 2), vec3(1, 0), vec3(0, 1))
        : pose(vec3(x, D / 2), vec3(1, 0));
    };
    const linkWires = beads.map(({ id }, index): PieceWire => ({
      id: `link ${index + 1}`,
      name: 'link wire',
      cutFrom: 'wire',
      size,
      start: startOf(index),
      first: [{ kind: 'threaded', name: 'through the bead', bead: id }, ...loops],
      second: loops,
      tails: { first: trim, second: trim },
    }));
    // Rings stand across the loops, those of a joint side by side.
    const firstJoint = clasp > 0 ? -1 : 0;
    const ringWires = Array.from({ length: joints(links) * rings }, (_, index): PieceWire => {
      const x = middleOf(firstJoint + Math.floor(index / rings)) + step / 2;
      const y = ((index % rings) - (rings - 1) / 2) * r;
      return {
        id: `ring ${index + 1}`,
        name: 'ring',
        cutFrom: 'ringWire',
        size: ringWire,
        start: pose(vec3(x, y, (D - ring - r) / 2), vec3(1, 0), vec3(0, -1)),
        first: [{ kind: 'bent', name: 'once round', about: ring, angle: 360, sketched: CLOSED }],
        second: [],
        tails: { first: 0, second: 0 },
      };
    });
    const cut = cutsOfPiece(
      { bodies: beads, wires: [...linkWires, ...ringWires] },
      {
        tails: 'flush trim',
        marked: linkWires.flatMap(({ id }) => [
          { wire: id, side: 'second', at: 'loop', what: 'bend for the first loop' } as const,
          { wire: id, side: 'first', at: 'loop', what: 'bend for the second loop' } as const,
        ]),
      },
    );
    if (!cut.ok) return cut;
    const made = lengthOf(links);
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'first-loop',
          name: 'turn a plain loop at one end of every link',
          minutes: 1.5 * links,
          cautions: ['cut ends'],
        },
        {
          id: 'thread-bead',
          makes: ['through the bead', 'bead'],
          name: 'thread the beads',
          minutes: 0.5 * links,
        },
        {
          id: 'last-loop',
          makes: ['two plain loops'],
          name: 'turn the loop at the other end of each, in the same plane',
          minutes: 2 * links,
        },
        {
          id: 'join',
          makes: ['ring'],
          name:
            rings > 0
              ? 'join them by rings, closed flush'
              : 'open the loops sideways and hang them in one another',
          minutes: Math.max(0.5, rings > 0 ? 0.6 * rings * joints(links) : 0.5 * (links - 1)),
        },
        ...(clasp > 0 ? [{ id: 'clasp', name: 'close the clasp in at both ends', minutes: 1.5 }] : []),
      ],
      order: [
        {
          first: 'thread-bead',
          then: 'last-loop',
          why: 'a bead cannot be threaded when both loops are turned',
        },
      ],
      parts: [
        { name: `bead, ${said(bead)}`, count: links },
        ...(clasp > 0 ? [{ name: `clasp, ${said(clasp)}`, count: 1 }] : []),
      ],
      ...(made < long - step / 2 && {
        advice: [
          advice(
            'long',
            `${counted(links, 'link')} make ${said(made)}, ${said(long - made)} short of ${said(long)}.`,
            'Whole links make the length (common practice).',
            `Take a ring or two more at the clasp, or make it ${said(made + step)} with one link more.`,
          ),
        ],
      }),
      notes: [
        `${counted(links, 'link')} of ${said(link)} make ${said(made)}; one more makes ${said(made + step)}, one fewer ${said(made - step)}.`,
        `Each link with its joint adds ${said(step)}.`,
      ],
    });
  },
});
