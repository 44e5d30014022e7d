import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, Course, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import type { Port, TakenEnd } from '../../technique/act';
import { choice, count, length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

const OTHER: Readonly<Record<Side, Side>> = { first: 'second', second: 'first' };
/** Wires that are there for nothing else are as long as to be seen beyond the tie, in their thicknesses. */
const SEEN = 4;
/**
 * Between both sides pass turns of each side and the way from one to the other, three abreast and the lean of that way where their coils lie side by side, and one where
 * they are staggered: half of it on each side, in thicknesses.
 */
const ROOM = { 'side by side': 1.75, staggered: 0.5 };
/** Beside the way that leans turns stand so much farther apart. */
const APART = { 'side by side': 1.1, staggered: 1 };
/** Of more turns on each side the way from one to the other would climb back over its own. */
const MOST_ABREAST = 2;
/** It leaves the innermost place of a side by so much at least, degrees: on a flat it is not told where. */
const AWAY = 6;

const parameters = {
  held: wire('Wire that is tied', roundWire(0.812), 'frame'),
  wires: count('Wires on each side', 2, 2, 6),
  wire: wire('Tying wire', roundWire(0.321), 'bundle binding'),
  turns: count('Turns on each side', 2, 2, 12),
  lie: choice('Coils of both sides lie', ['side by side', 'staggered'], 'staggered'),
  times: count('That so many times', 6, 1, 60),
  tail: length('Tail at each end', 30, 0, 200),
};

/** The wires on one side, one behind the other where they are cut afresh; between both sides the tying wire has room to pass. */
const sidePort = (which: 'left' | 'right'): Port<typeof parameters> => ({
  label: `The wires on the ${which}`,
  does: `be tied, on the ${which}`,
  takes: ['stretch'],
  from: 2,
  to: 6,
  wire: 'held',
  freshOnly: ['held', 'wires'],
  fresh: ({ wires, wire: thin, lie }) => ({
    count: wires,
    name: `wire on the ${which}`,
    tail: 0,
    isGiven: true,
    start: (index, { width: D }) =>
      pose(
        vec3(
          (which === 'left' ? -1 : 1) * (D / 2 + ROOM[lie] * bendOf(thin).thick),
          0,
          ((wires - 1) / 2 - index) * D,
        ),
        vec3(0, -1),
      ),
  }),
});

/**
 * Two sides that run beside one another joined by one thin wire, from where they end on back: some turns on this side, over between both from the
 * front to the back, as many on that one, again and again. Where the coils lie side by side the tie is as long as those
 * of one side.
 */
export const sideTie = actTechnique({
  id: 'side-tie',
  title: 'Tie between two sides',
  group: 'holding a stone',
  source: 'turns on both sides, each √[(hull of the middles + π(D + d))² + p²], and what passes between them',
  parameters,
  ports: { left: sidePort('left'), right: sidePort('right') },
  act: ({ held: size, wire: thin, turns, lie, times, tail }, { ends, own }) => {
    if (lie === 'side by side' && turns > MOST_ABREAST)
      return refuse(
        `Coils of ${counted(turns, 'turn')} do not lie side by side: the way from one to the other would climb back over them; ${MOST_ABREAST} do, or let them be staggered.`,
      );
    const sides = [ends('left'), ends('right')] as const;
    const { pitch: close, thick } = bendOf(thin);
    const pitch = APART[lie] * close;
    // How far on along the tie the coil on this side lies of the same time on that side, and the next on this one.
    const [half, step] =
      lie === 'staggered' ? [turns * pitch, 2 * turns * pitch] : [(turns * pitch) / 2, turns * pitch];
    const long = times * step;
    const seen = long + SEEN * size.width;
    const isAlone = ({ at }: TakenEnd) => typeof at === 'number';
    /** So far back from where a wire ends, on back along it. */
    const back = (end: TakenEnd, mm: number): Along => ({
      wire: end.wire,
      from:
        typeof end.at === 'number'
          ? { side: end.side, endOf: own('tied'), on: -(seen - long) / 2 - mm }
          : { ...end.at, on: (end.at.on ?? 0) - thick - mm },
      towards: OTHER[end.side],
    });
    // Between both sides it goes straight, from the foremost of one to the rearmost of the other: it leaves a side as far before its innermost place
    // as the line leans that touches both, and comes onto one as far behind it.
    const leans = (
      side: readonly TakenEnd[],
    ): { readonly degrees: number; readonly part: number; readonly quarter: number } => {
      const D = side[0]?.size.width ?? 0;
      const [flat, about] = [(side.length - 1) * D, D + thick];
      const across = D + 2 * ROOM[lie] * thick;
      const touching = Math.atan2(across, flat) - Math.asin(about / Math.hypot(across, flat));
      const degrees = Math.max(AWAY, (touching * 180) / Math.PI);
      const whole = 2 * flat + Math.PI * about;
      const arc = (angle: number) => ((about / 2) * angle * Math.PI) / 180 / whole;
      return { degrees, part: flat / whole + arc(2 * degrees), quarter: arc(90 - degrees) };
    };
    const coil = (index: 0 | 1, at: number, isLast = false): Course => {
      const { degrees, part, quarter } = leans(sides[index]);
      // It ends in front, where it can go on to what is below.
      const wound = turns - part - (isLast ? quarter : 0);
      const name = `${counted(turns, 'turn')} on each side, ${counted(times, 'time')}`;
      return {
        kind: 'bound',
        name,
        taut: name,
        on: sides[index].map((end) => back(end, at)),
        // Seen the way it goes, back along its wires, the right side lies to the left: both are come onto from behind, and left in front.
        begin: index === 0 ? 270 - degrees : 90 + degrees,
        turns: index === 0 ? -wound : wound,
        long: wound * pitch,
      };
    };
    const rows = Array.from({ length: times }, (_, row) => row * step);
    return ok({
      goesOn: sides
        .flat()
        .flatMap((end) =>
          isAlone(end)
            ? [{ end, courses: [{ kind: 'laid', name: 'tied', id: own('tied'), length: seen }] }]
            : [],
        ),
      wires: [
        {
          id: own('tie'),
          name: 'tying wire',
          cutFrom: 'wire',
          size: thin,
          middle: 'begin to tie',
          // Begun on the right it ends on the left, where a bead below it begins.
          first: rows.flatMap((at, row) => [coil(1, at), coil(0, at + half, row === times - 1)]),
          second: [],
          tails: { first: tail, second: tail },
        },
      ],
      leaves: [{ id: 'tie', label: 'tying wire, its end', takes: 'end', wire: own('tie'), side: 'first' }],
      steps: [
        {
          id: 'tie',
          name: `wind ${counted(turns, 'turn')} on this side and ${turns} on that, ${counted(times, 'time')}, pressed close`,
          minutes: 1.5 + 0.15 * turns * times,
          cautions: ['cut ends'],
        },
      ],
      notes: [`It takes ${said(2 * ROOM[lie] * thick)} between both sides, for the tying wire to pass.`],
    });
  },
});
