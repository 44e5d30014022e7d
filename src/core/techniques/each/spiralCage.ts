import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course, Piece } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, wire } from '../../parameter/parameter';
import { said, saidBy, technique } from '../../technique/technique';

/**
 * How much wider and longer the cage is inside than its stone: two cones about an ellipsoid of half axes a and b hold it when
 * a²/R² + b²/H² = 1, as at √2 of both (plane geometry).
 */
const ROOM = Math.SQRT2;
/** How far the loop moves aside while it is turned, in thicknesses, so that its end lies beside its beginning. */
const ASIDE = 1.3;

/** Minutes that a turn takes to roll, evenly, with fingers and flat jaws. */
const MINUTES_A_TURN = 0.9;

/**
 * Both ends of one wire rolled inward to flat coils of one size until they meet, opened turn by turn to two springs about an undrilled stone;
 * the last turn of one end is lifted as a loop.
 */
export const spiralCage = technique({
  id: 'spiral-cage',
  title: 'Cage of two flat spirals',
  group: 'holding a stone',
  source:
    'two Archimedean spirals drawn out to cones that hold the stone, a²/R² + b²/H² = 1, measured along them; the last turn of one is lifted as a loop',
  parameters: {
    wire: wire('Cage wire', roundWire(1.024), 'cage'),
    long: length('Stone long', 16, 3, 120),
    wide: length('Stone wide, at its widest', 10, 3, 100),
    gap: length('Gap between turns as they are rolled', 0.4, 0, 5),
    start: length('Hole in the middle', 1, 0, 20),
    loop: length('Hanging loop, inside', 4, 1, 20),
    trim: length('Trim at each end', 1, 0, 20),
  },
  plan: ({ wire: size, long, wide, gap, start, loop, trim }) => {
    const D = size.width;
    const pitch = D + gap;
    // Wire that leans with the cone stands off the stone square to it.
    const inside = ROOM * wide + (Math.hypot(1, wide / long) - 1) * D;
    const turnsTo = (narrow: number) => (inside - narrow) / 2 / pitch;
    const [shut, lifted] = [turnsTo(start), turnsTo(loop)];
    if (lifted < 1)
      return refuse(
        `A coil of ${said(D)} wire for a stone ${said(wide)} wide has not a turn about a loop of ${said(loop)}; the stone is at least ${said((loop + 2 * pitch) / ROOM)} wide.`,
      );
    const rise = (pitch * long) / wide;
    if (rise < D)
      return refuse(
        `Opened over a stone ${said(long)} long and ${said(wide)} wide, its turns lie ${said(rise)} above one another, less than the wire is thick; roll it with a gap of ${said((D * wide) / long - D)}.`,
      );
    const coils = `two coils of ${counted(Number(shut.toFixed(1)), 'turn')}`;
    const half = (way: 1 | -1, narrow: number, turns: number): Course => ({
      kind: 'curled',
      name: coils,
      inside: narrow,
      turns: way * turns,
      pitch,
      rise: way * rise,
    });
    const piece: Piece = {
      bodies: [
        {
          kind: 'point',
          id: 'stone',
          length: long,
          width: wide,
          pose: pose(vec3(0, long / 2), vec3(0, -1)),
        },
      ],
      wires: [
        {
          id: 'wire',
          name: 'cage wire',
          cutFrom: 'wire',
          size,
          // The widest turn goes round the middle of the stone; behind it both hands part, one upward and one downward: it slopes there already.
          start: pose(vec3(0, 0, -(inside + D) / 2), vec3(Math.PI * (inside + D), -rise), vec3(0, -1)),
          first: [
            half(1, loop, lifted),
            {
              kind: 'coiled',
              name: 'last turn, lifted as the loop',
              about: loop,
              turns: 0.9,
              pitch: ASIDE * D,
              roll: 90,
            },
          ],
          second: [half(-1, start, shut)],
          tails: { first: trim, second: trim },
        },
      ],
    };
    const cut = cutsOfPiece(piece, {
      middle: 'middle: both coils meet here',
      marked: [
        {
          wire: 'wire',
          side: 'first',
          at: 'last turn, lifted as the loop',
          what: 'the last turn is lifted as the loop',
        },
      ],
      tails: 'trim',
    });
    if (!cut.ok) return cut;
    const open = Math.hypot(pitch, rise) - D;
    return ok({
      cuts: cut.value.cuts,
      run: cut.value.run,
      steps: [
        {
          id: 'spirals',
          makes: [coils],
          name: 'roll both ends inward to coils of one size until they meet',
          minutes: 2 + (shut + lifted) * MINUTES_A_TURN,
          cautions: ['gripping'],
        },
        { id: 'open', name: 'open both coils one turn at a time, to two springs', minutes: 3 },
        { id: 'stone', name: 'put the stone in from the middle and close the turns round it', minutes: 3 },
        {
          id: 'loop',
          makes: ['last turn, lifted as the loop'],
          name: 'lift the last turn of one end as a loop',
          minutes: 2,
          cautions: ['cut ends'],
        },
      ],
      order: [
        { first: 'stone', then: 'loop', why: 'the cage does not open any more when its loop is lifted' },
      ],
      parts: [{ name: `undrilled stone, ${saidBy(long, wide)}`, count: 1 }],
      notes: [
        `Rolled flat, each coil is ${said(inside + 2 * D)} across; opened, ${said(open)} lie between its turns: the stone must not pass there.`,
      ],
    });
  },
});
