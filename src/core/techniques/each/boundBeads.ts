import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Bead } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import type { ActWire } from '../../technique/act';
import { boundBeads as boundOn, through } from '../../techniqueKit/boundBead';
import { beadLength, choice, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { windingEnd } from '../../techniqueKit/windingEnd';

/** Small beads bound along a frame wire, with wraps between them, by a wire of their own or by one that comes from somewhere else. */
export const boundBeads = actTechnique({
  id: 'bound-beads',
  title: 'Beads bound along a frame',
  group: 'beads',
  source:
    'n = ⌊(P − w·d)/(b + w·d)⌋, wire = (n + 1)·w wraps + n·b and the rise to each hole, 2(√(h² − r²) − r·acos(r/h)): handbook of the trade; twice through: n·b and n·π(b + d)/2 more',
  parameters: {
    base: wire('Frame wire', roundWire(1.024), 'frame'),
    wire: wire('Binding wire', roundWire(0.321), 'weaving'),
    along: length('Length of frame to cover', 40, 1, 600),
    bead: beadLength('Bead, along its hole', 2, 0.5, 40),
    drilled: drilled(0.8),
    through,
    wraps: count('Wraps between beads', 3, 1, 30),
    lie: choice('The beads lie, as the frame goes on', ['to the left', 'to the right'], 'to the left'),
    tail: length('Tail at each end', 60, 0, 200),
  },
  ports: {
    frame: {
      label: 'End that they are bound on',
      does: 'carry beads bound along it',
      takes: ['end'],
      from: 1,
      to: 1,
      wire: 'base',
      freshOnly: ['base'],
      fresh: ({ along }) => ({
        count: 1,
        name: 'frame wire',
        tail: 0,
        isGiven: true,
        start: () => pose(vec3(-along / 2, 0), vec3(1, 0)),
      }),
    },
    binder: windingEnd('End that binds them', 'bind beads on', 'binding wire'),
  },
  act: (
    { base, wire: thin, along, bead, drilled: hole, wraps, lie, tail, through: times },
    { ends, own },
  ) => {
    const bound = wraps * bendOf(thin).pitch;
    const step = bead + bound;
    const beads = Math.floor((along - bound) / step + 1e-9);
    if (beads < 1)
      return refuse(
        `${said(along)} of frame hold no bead of ${said(bead)} between wraps; ${said(step + bound)} hold one.`,
      );
    const [[frame], [binder]] = [ends('frame'), ends('binder')];
    if (!frame) return refuse('Beads are bound on an end of a wire; choose one.');
    const bodies = Array.from({ length: beads }, (_, index): Bead => ({
      kind: 'bead',
      id: own(`bead ${index + 1}`),
      width: bead,
      length: bead,
      hole,
    }));
    const courses = boundOn({
      on: { wire: frame.wire, from: frame.places, towards: frame.side },
      frame: base,
      thin,
      wraps: { first: wraps, between: wraps, last: wraps },
      beads: bodies,
      times,
      side: lie === 'to the left' ? 'left' : 'right',
    });
    const bindingWire: ActWire = {
      id: own('wire'),
      name: 'binding wire',
      cutFrom: 'wire',
      size: thin,
      first: courses,
      second: [],
      tails: { first: tail, second: tail },
      middle: 'begin to wrap',
    };
    return ok({
      bodies,
      wires: binder ? [] : [bindingWire],
      goesOn: [
        ...(binder ? [{ end: binder, courses, tail }] : []),
        { end: frame, courses: [], covered: { long: beads * step + bound, name: 'under the beads' } },
      ],
      leaves: [
        { id: 'frame', label: frame.label, takes: 'end', wire: frame.wire, side: frame.side },
        {
          id: 'binder',
          label: binder?.label ?? 'binding wire, its end',
          takes: 'end',
          wire: binder?.wire ?? own('wire'),
          side: binder?.side ?? 'first',
        },
      ],
      steps: [
        { id: 'count-out', name: 'count out the beads, alike on both sides', minutes: 1 + beads * 0.05 },
        {
          id: 'bind',
          makes: ['binding wire', 'bead'],
          name: 'bind them on, one after another',
          minutes: 1 + beads * 0.8,
        },
        { id: 'tuck', name: 'trim and tuck', minutes: 1, cautions: ['cut ends'] },
      ],
      order: [{ first: 'count-out', then: 'bind', why: 'a strand that runs out leaves the sides unlike' }],
      parts: [{ name: `bead, ${said(bead)}`, count: beads }],
      notes: [`Room for ${counted(beads, 'bead')} on ${said(along)}.`],
    });
  },
});
