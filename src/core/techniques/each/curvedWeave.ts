import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, Course, PieceWire } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { extraWraps } from '../../weave/consume';
import { cutsOfPiece } from '../../technique/ofPiece';
import { length, roundWire, weave, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import {
  halvesSaid,
  minutesToWeave,
  roomOf,
  stripOf,
  THREE_AND_TWO,
  turnsOnA,
  withExtra,
} from '../../techniqueKit/woven';

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
