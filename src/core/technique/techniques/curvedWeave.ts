import { counted } from '../../units/counted';
import { ok, refuse } from '../../result';
import { extraWraps } from '../../weave/consume';
import { oneWrap, sectionRound } from '../../wrap/wrap';
import { turnsRound } from '../../geometry/path';
import { length, roundWire, weave, wire } from '../parameter';
import { allowance, net, said, technique } from '../technique';
import { bent, halvesSaid, inSteps, minutesToWeave, stripOf, THREE_AND_TWO } from '../woven';
import { frameRow } from '../winding';

/** A weave bent round a curve: its outer wires are longer, and the outermost gets a wrap more now and then. */
export const curvedWeave = technique({
  id: 'curved-weave',
  title: 'Weave round a curve',
  group: 'weaves',
  source:
    'as a straight weave along the inner wire; the outer wire is (r + w)/r as long and gets that many more wraps, spread evenly',
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
    const { covered, repeats, wires, term, across, step, frames } = strip.value;
    const innermost = inner + base.width / 2;
    const outermost = innermost + (wires - 1) * step;
    const angle = covered / inner;
    if (angle > 2 * Math.PI + 1e-9)
      return refuse(
        `${said(covered)} along an inner radius of ${said(inner)} goes ${Math.round((angle * 180) / Math.PI)}° round; 360°, ${said(2 * Math.PI * inner)}, is the most.`,
      );
    // A figure-eight covers its outer wire as far as two turns do.
    const onA =
      woven.repeat.reduce(
        (sum, each) =>
          each.kind === 'pass' || each.first > 0 ? sum : sum + (each.kind === 'eight' ? 2 : 1) * each.wraps,
        0,
      ) * repeats;
    // One wire alone has no outer side.
    const extra = wires > 1 && onA > 0 ? extraWraps(onA, across - base.width, innermost) : [];
    const row = frameRow(base, 1);
    const lone = oneWrap(row, weaving.width);
    const one = turnsRound(sectionRound(row, weaving.width), 1, weaving.width);
    const start = -Math.PI / 2 - angle / 2;
    return ok({
      cuts: [
        ...frames.map((path, index) => {
          const radius = outermost - index * step;
          const run = angle * radius;
          return {
            name: `frame wire ${'ABCDEFGH'[index] ?? ''}`,
            wire: 'base',
            count: 1,
            terms: [net('under the weave', run), allowance('tails', 2 * tail)],
            marks: [
              { at: tail, what: 'the weave begins' },
              { at: tail + run / 2, what: 'middle' },
              { at: tail + run, what: 'the weave ends' },
            ],
            drawn: bent([inSteps(path)], outermost, inner, start),
          };
        }),
        {
          name: 'weaving wire',
          wire: 'weaving',
          count: 1,
          terms: [
            term,
            ...(extra.length > 0
              ? [net(`${counted(extra.length, 'wrap')} more on A`, extra.length * lone)]
              : []),
            allowance('tails', 2 * weavingTail),
          ],
          marks: [{ at: weavingTail, what: 'begin to weave' }],
          drawn: [
            ...bent(strip.value.weaving, outermost, inner, start),
            ...extra.flatMap((after) =>
              bent(
                [one.map(({ x, y, z }) => ({ x: x + (covered * after) / onA, y, z }))],
                outermost,
                inner,
                start,
              ),
            ),
          ],
        },
      ],
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
