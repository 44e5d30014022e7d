import { counted } from '../../units/counted';
import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, Side } from '../../piece/piece';
import { ok, refuse, type Result } from '../../result';
import { halvesOfWeave } from '../../weave/consume';
import { wiresOf, type Weave } from '../../weave/notation';
import type { Fresh, GoesOn, Leaving } from '../../technique/act';
import { choice, count, length, roundWire, weave, wire } from '../../parameter/parameter';
import type { WireSize } from '../../wire/wireSize';
import { actTechnique } from '../../technique/planActs';
import { sideBySide } from '../../techniqueKit/sideBySide';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import {
  halvesSaid,
  minutesToWeave,
  stripOf,
  THREE_AND_TWO,
  type Far,
  type Strip,
} from '../../techniqueKit/woven';

/** Ends come to lie side by side over so much, in thicknesses. */
const ASIDE = 4;
const SIDES = ['first', 'second'] as const;

/** How far it is woven, as it is told. */
const farOf = (far: { readonly told: string; readonly length: number; readonly repeats: number }): Far =>
  far.told === 'by repeats' ? { repeats: far.repeats } : far.length;

/**
 * From the middle of each wire of a row to the next one’s, mm: as far as the weave stands them apart, or with a wide gap in the middle. Beside a
 * gap those between which nothing passes touch one another.
 */
function stepsOf(woven: Weave, step: number, base: WireSize, gap: number): readonly number[] {
  const count = wiresOf(woven);
  const passed = new Set(halvesOfWeave(woven, 2).flatMap(({ from, to }) => [from, to]));
  return Array.from({ length: count - 1 }, (_, index) => {
    if (gap === 0) return step;
    if (index === count / 2 - 1) return base.width + gap;
    return passed.has(index + 1) ? step : base.width;
  });
}

/** The hand that a place of a whole wire is on, told from its middle. */
const sideAt = (place: number): Side => (place < 0 ? 'second' : 'first');

const sum = (all: readonly number[]): number => all.reduce((before, each) => before + each, 0);

/** Frame wires that a weave is laid on afresh: side by side, as far apart as it stands them. */
export function freshRow(woven: Weave, strip: Result<Strip>, base: WireSize, tail: number, gap = 0): Fresh {
  const steps = stepsOf(woven, strip.ok ? strip.value.step : base.width, base, gap);
  return {
    count: wiresOf(woven),
    name: 'frame wire',
    tail,
    start: (index) => pose(vec3(0, sum(steps.slice(0, index)) - sum(steps) / 2), vec3(-1, 0)),
  };
}

/** A weave over frame wires that lie side by side: about their middle, or on from where ends are. */
export const straightWeave = actTechnique({
  id: 'straight-weave',
  title: 'Weave over straight wires',
  group: 'weaves',
  source: 'the sum of its wraps, each √[(π(D + d) + 2(k − 1)(D + g))² + p²]: handbook of the trade',
  parameters: {
    weave: weave('Weave', THREE_AND_TWO),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.321), 'weaving'),
    told: choice('Woven', ['over a length', 'by repeats'], 'over a length'),
    length: length('Length of the weave', 40, 1, 600),
    repeats: count('Repeats', 12, 1, 400, 'Counted when it is woven by repeats'),
    lies: choice(
      'On whole wires it lies',
      ['about the middle', 'left of it', 'right of it'],
      'about the middle',
    ),
    off: length('Its middle lies off the middle of the wires by', 0, 0, 400),
    gap: length('Gap in the middle of the row, as of a ladder', 0, 0, 60),
    tail: length('Tail at each end of the frame wires', 60, 0, 200),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  ports: {
    frame: {
      label: 'Wires that it is woven on, A first',
      does: 'be woven on',
      takes: ['wire', 'end'],
      from: 1,
      to: 12,
      wire: 'base',
      freshOnly: ['base'],
      fresh: ({ weave: woven, base, weaving, tail, gap, ...far }) =>
        freshRow(woven, stripOf(woven, base, weaving, farOf(far)), base, tail, gap),
    },
  },
  act: (
    { weave: woven, base, weaving, tail, weavingTail, lies, off, gap, ...far },
    { wires, ends, own, isWhole },
  ) => {
    const strip = stripOf(woven, base, weaving, farOf(far));
    if (!strip.ok) return strip;
    const { covered, repeats, advance, step, term } = strip.value;
    const count = wiresOf(woven);
    if (gap > 0 && count % 2 === 1)
      return refuse(
        `A gap in the middle parts an even row; this weave goes over ${counted(count, 'wire')}. Take 0 for none, or a weave like AB2 CD2.`,
      );
    const whole = isWhole('frame');
    const taken = ends('frame');
    if (taken.length !== count)
      return refuse(
        `This weave goes over ${counted(count, 'wire')}; ${counted(taken.length, 'is', 'are')} chosen.`,
      );
    const name = 'under the weave';
    // The left end of a whole wire is that of its first hand; beside the middle it is woven on away from there.
    const middle = lies === 'about the middle' ? 0 : lies === 'left of it' ? off : -off;
    const [begins, stops] = [middle - covered / 2, middle + covered / 2];
    const lain = wires('frame')
      .flatMap(({ wound: { stretches } }) => stretches)
      .find(({ from, to }) => from < stops - 1e-6 && to > begins + 1e-6);
    if (whole && lain) {
      const far = middle < 0 ? -lain.from : lain.to;
      return refuse(
        `On these wires something is woven as far as ${said(far)} from the middle already; let the middle of this weave lie at least ${said(far + covered / 2)} off.`,
      );
    }
    const steps = stepsOf(woven, step, base, gap);
    const row = sideBySide(taken, { id: own('row'), step: steps, along: ASIDE * base.width + gap });
    const goesOn: readonly GoesOn[] = whole
      ? taken.flatMap(({ wire: id }) =>
          SIDES.map((side) => {
            const long = Math.max(0, side === 'first' ? stops : -begins);
            return {
              end: { wire: id, side },
              courses: [],
              ...(long > 0 ? { covered: { long, name } } : {}),
              tail,
            };
          }),
        )
      : taken.map((end, index) => ({
          end,
          courses: count > 1 ? row.slice(index, index + 1) : [],
          covered: { long: covered, name },
          tail,
        }));
    const on = taken.map(({ wire: id, side, places }): Along =>
      whole
        ? middle < 0
          ? { wire: id, from: stops, towards: 'second' }
          : { wire: id, from: begins, towards: 'first' }
        : { wire: id, from: count > 1 ? { side, endOf: own('row') } : places, towards: side },
    );
    const { repeat, close } = woven;
    const groups = [...Array.from({ length: repeats }, () => repeat).flat(), ...close];
    return ok({
      goesOn,
      wires: [
        {
          id: own('weaving'),
          name: 'weaving wire',
          cutFrom: 'weaving',
          size: weaving,
          first: [
            {
              kind: 'wound',
              name: term.name,
              on,
              groups,
              isCentred: whole && middle === 0,
              ...(gap > 0 ? { steps } : {}),
            },
          ],
          second: [],
          tails: { first: weavingTail, second: weavingTail },
          middle: 'begin to weave',
        },
      ],
      ...(whole
        ? {
            woven: {
              wires: taken.map(({ wire: id }) => id),
              apart: step - base.width,
              thick: bendOf(weaving).height,
              from: begins,
              to: stops,
            },
          }
        : {}),
      leaves: taken.flatMap(({ wire: id, label, side }, index): readonly Leaving[] =>
        whole
          ? [
              { id: `wire ${index + 1}`, label, takes: 'wire', wire: id, side },
              ...SIDES.map((each): Leaving => ({
                id: `wire ${index + 1} ${each}`,
                label: `${label}, ${each === 'first' ? 'left' : 'right'} end`,
                takes: 'end',
                wire: id,
                side: each,
              })),
            ]
          : [{ id: `end ${index + 1}`, label, takes: 'end', wire: id, side }],
      ),
      marked: whole
        ? wires('frame').flatMap(({ wire: id }) => [
            { wire: id, side: sideAt(begins), at: Math.abs(begins), what: 'the weave begins' },
            { wire: id, side: sideAt(stops), at: Math.abs(stops), what: 'the weave ends' },
          ])
        : [],
      steps: [
        { id: 'straighten', name: 'straighten the frame wires', minutes: 2 },
        {
          id: 'weave',
          makes: ['weaving wire'],
          name: 'weave',
          minutes: 3 + minutesToWeave(strip.value),
          cautions: ['gripping'],
        },
        { id: 'tuck', name: 'trim and tuck the weaving wire', minutes: 1, cautions: ['cut ends'] },
      ],
      notes: [
        `${counted(repeats, 'repeat')} over ${said(covered)}; each moves on by ${said(advance)}.`,
        halvesSaid(repeats),
      ],
    });
  },
});
