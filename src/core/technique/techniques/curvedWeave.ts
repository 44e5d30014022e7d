import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, Course, PieceWire } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { extraWraps } from '../../weave/consume';
import type { WeaveGroup } from '../../weave/notation';
import { cutsOfPiece } from '../ofPiece';
import { length, roundWire, weave, wire } from '../parameter';
import { said, technique } from '../technique';
import { bendOf } from '../winding';
import { halvesSaid, minutesToWeave, stripOf, THREE_AND_TWO } from '../woven';

/** Where wraps more are laid among others, these stand so much farther apart. */
const ROOMY = 1.03;

/** How many turns a group has on wire A; a figure-eight covers its outer wire as far as two turns do. */
const turnsOnA = (group: WeaveGroup): number =>
  group.kind === 'pass' || group.first > 0 ? 0 : (group.kind === 'eight' ? 2 : 1) * group.wraps;

/** In the room of how many turns a group is laid. */
const roomOf = (group: WeaveGroup): number => {
  if (group.kind === 'pass') return 0;
  return group.kind === 'eight' ? 2 * group.wraps : (group.fits ?? group.wraps);
};

const isOnAAlone = (group: WeaveGroup): group is WeaveGroup & { readonly kind: 'wrap' } =>
  group.kind === 'wrap' && group.first === 0 && group.last === 0;

/**
 * Groups with wraps more on A among them. Those on A alone take them up and share the room that they would have had without: outside of a curve
 * there is more of it. Where there are none, each stands by itself.
 * @param after which turns on A a wrap more is laid, counted from 1
 */
function withExtra(groups: readonly WeaveGroup[], after: readonly number[]): readonly WeaveGroup[] {
  const alone = groups.filter(isOnAAlone).reduce((sum, { wraps }) => sum + wraps, 0);
  const room = (ROOMY * alone) / (alone + after.length);
  const last = groups.findLastIndex(isOnAAlone);
  let [onA, laid] = [0, 0];
  return groups.flatMap((group, index): WeaveGroup[] => {
    onA += turnsOnA(group);
    const due = (index === last ? after.length : after.filter((each) => each <= onA).length) - laid;
    if (alone === 0) {
      laid += due;
      return due > 0 ? [group, { kind: 'wrap', first: 0, last: 0, wraps: due }] : [group];
    }
    if (!isOnAAlone(group)) return [group];
    laid += due;
    return [{ ...group, wraps: group.wraps + due, fits: (group.wraps + due) * room }];
  });
}

/** A weave bent round a curve: its outer wires are longer, and the outermost gets a wrap more now and then. */
export const curvedWeave = technique({
  id: 'curved-weave',
  title: 'Weave round a curve',
  group: 'weaves',
  source:
    'as a straight weave that touches itself inside of the curve; the outer wire is (r + w)/r as long and gets that many more wraps, spread evenly',
  parameters: {
    weave: weave('Weave', THREE_AND_TWO),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.321), 'weaving'),
    inner: length('Inner radius', 10, 1, 300),
    length: length('Length along the inner edge', 40, 1, 600),
    tail: length('Tail at each end of the frame wires', 60, 0, 200),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  plan: ({ weave: woven, base, weaving, inner, length: long, tail, weavingTail }) => {
    const strip = stripOf(woven, base, weaving, long);
    if (!strip.ok) return strip;
    const { repeats, wires, term, across, step } = strip.value;
    const innermost = inner + base.width / 2;
    const outermost = innermost + (wires - 1) * step;
    const plain = [...Array.from({ length: repeats }, () => woven.repeat).flat(), ...woven.close];
    const onA = plain.reduce((sum, group) => sum + turnsOnA(group), 0);
    // One wire alone has no outer side.
    const extra = wires > 1 && onA > 0 ? extraWraps(onA, across - base.width, innermost) : [];
    const groups = withExtra(plain, extra);
    const { height: thin, pitch } = bendOf(weaving);
    const covered = groups.reduce((sum, group) => sum + roomOf(group), 0) * pitch;
    // Turns touch one another where their middles lie inside of the innermost wire.
    const angle = covered / (inner - thin / 2);
    if (angle > 2 * Math.PI + 1e-9)
      return refuse(
        `${said(covered)} along an inner radius of ${said(inner)} goes ${Math.round((angle * 180) / Math.PI)}° round; 360°, ${said(2 * Math.PI * inner)}, is the most.`,
      );
    const half = (angle * 90) / Math.PI;
    const name = extra.length > 0 ? `${term.name}, ${counted(extra.length, 'wrap')} more on A` : term.name;
    const frames = Array.from({ length: wires }, (_, index): PieceWire => {
      const radius = outermost - index * step;
      const bent = { kind: 'bent', name: 'under the weave', about: 2 * radius - bendOf(base).thick } as const;
      const hand = (way: 1 | -1): readonly Course[] => [{ ...bent, angle: way * half }];
      return {
        id: `frame ${index}`,
        name: `frame wire ${'ABCDEFGH'[index] ?? ''}`,
        cutFrom: 'base',
        size: base,
        start: pose(vec3(0, -radius), vec3(1, 0)),
        first: hand(1),
        second: hand(-1),
        tails: { first: tail, second: tail },
      };
    });
    const made = cutsOfPiece(
      {
        bodies: [],
        wires: [
          ...frames,
          {
            id: 'weaving',
            name: 'weaving wire',
            cutFrom: 'weaving',
            size: weaving,
            first: [
              {
                kind: 'wound',
                name,
                on: frames.map(({ id }): Along => ({
                  wire: id,
                  from: { side: 'second', endOf: 'under the weave' },
                  towards: 'first',
                })),
                groups,
              },
            ],
            second: [],
            tails: { first: weavingTail, second: weavingTail },
          },
        ],
      },
      {
        middle: Object.fromEntries([
          ...frames.map(({ id }) => [id, 'middle'] as const),
          ['weaving', 'begin to weave'],
        ]),
        tails: 'tails',
        marked: frames.flatMap(({ id }, index) => {
          const along = (angle / 2) * (outermost - index * step);
          return [
            { wire: id, side: 'second', at: along, what: 'the weave begins' } as const,
            { wire: id, side: 'first', at: along, what: 'the weave ends' } as const,
          ];
        }),
      },
    );
    if (!made.ok) return made;
    return ok({
      ...made.value,
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 2 },
        {
          id: 'weave',
          name: 'weave, bending as it grows',
          minutes: 3 + minutesToWeave(strip.value) + extra.length * 0.2,
          cautions: ['gripping'],
        },
        { id: 'tuck', name: 'trim and tuck the weaving wire', minutes: 1, cautions: ['cut ends'] },
      ],
      notes: [
        extra.length > 0
          ? `The outside is ${(outermost / innermost).toFixed(2)} times the inside: one wrap more on A after every ${Math.max(1, Math.round(onA / extra.length))}.`
          : 'The curve is too wide to want wraps more on its outside.',
        halvesSaid(repeats),
        `It goes ${Math.round((angle * 180) / Math.PI)}° round, ${said(across)} wide.`,
      ],
    });
  },
});
