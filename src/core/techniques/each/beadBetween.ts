import { pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, AtEnd, Course, Side } from '../../piece/piece';
import { ok } from '../../result';
import { counted } from '../../units/counted';
import type { ActWire, GoesOn, TakenEnd } from '../../technique/act';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { windingEnd } from '../../techniqueKit/windingEnd';

const OTHER: Readonly<Record<Side, Side>> = { first: 'second', second: 'first' };
/** Between each of the wires and the bead lie a coil and the bend into its hole, in thicknesses of the thin wire. */
const ROOM = 1.5;
/** Wires that are there for nothing else are as long as to be seen beyond both coils, in their thicknesses. */
const SEEN = 2;

/** A bead between two wires that run side by side: some turns of a thin wire on one, across through the bead, as many on the other, mirrored. */
export const beadBetween = actTechnique({
  id: 'bead-between',
  title: 'Bead tied between two wires',
  group: 'beads',
  source: 'turns on both wires, each √[(π(D + d))² + p²], and straight through the bead',
  parameters: {
    held: wire('Wire on both sides', roundWire(0.812), 'frame'),
    wire: wire('Tying wire', roundWire(0.321), 'bundle binding'),
    bead: beadLength('Bead, across', 4, 1, 30),
    drilled: drilled(1),
    turns: count('Turns on each of both wires', 5, 1, 40),
    tail: length('Tail at each end', 30, 0, 200),
  },
  ports: {
    held: {
      label: 'The wire on the left of the bead, and the one on the right',
      does: 'hold a bead between them',
      takes: ['stretch'],
      from: 2,
      to: 2,
      wire: 'held',
      freshOnly: ['held'],
      fresh: ({ bead, wire: thin }) => ({
        count: 2,
        name: 'wire beside the bead',
        tail: 0,
        isGiven: true,
        start: (index, { width: D }) =>
          pose(vec3((index - 0.5) * (bead + 2 * ROOM * bendOf(thin).thick + D), 0), vec3(0, -1)),
      }),
    },
    tie: windingEnd('End that ties it, from above the bead', 'tie a bead between two wires', 'tying wire'),
  },
  act: ({ held: size, wire: thin, bead, drilled: hole, turns, tail }, { ends, own }) => {
    const [held, [tie]] = [ends('held'), ends('tie')];
    const { pitch, thick } = bendOf(thin);
    const long = turns * pitch;
    const seen = bead + 2 * (long + SEEN * size.width);
    const isAlone = ({ at }: TakenEnd) => typeof at === 'number';
    /** So far past the middle of the gap, along a wire beside it. */
    const past = ({ side, at }: TakenEnd, mm: number): AtEnd =>
      typeof at === 'number'
        ? { side, endOf: own('beside'), on: mm - seen / 2 }
        : { ...at, on: (at.on ?? 0) + mm - bead / 2 };
    const turned = counted(turns, 'turn');
    const [left, right] = held as [TakenEnd, TakenEnd];
    // A wire of its own begins below the bead; one that comes from above it stays there.
    const way = tie ? 1 : -1;
    const onto = ({ side }: TakenEnd): Side => (tie ? OTHER[side] : side);
    const coil = (on: Along, { begin, more = 0 }: { begin?: number; more?: number } = {}): Course => ({
      kind: 'bound',
      name: `${turned} on each wire`,
      on: [on],
      turns: way * -(turns + more),
      long,
      ...(begin === undefined ? {} : { begin }),
    });
    const courses: readonly Course[] = [
      // On the one to the middle of the gap, its last turn ending beside the hole, and as far on the other from there. What comes from above comes in front.
      tie
        ? coil({ wire: left.wire, from: past(left, long), towards: onto(left) }, { begin: 0, more: 1 / 4 })
        : coil({ wire: left.wire, from: past(left, -long), towards: onto(left) }, { begin: 90 }),
      { kind: 'bent', name: 'into the bead', about: thick, angle: way * -90 },
      { kind: 'threaded', name: 'through the bead', bead: own('bead') },
      coil({ wire: right.wire, from: past(right, 0), towards: OTHER[onto(right)] }),
    ];
    const tyingWire: ActWire = {
      id: own('tie'),
      name: 'tying wire',
      cutFrom: 'wire',
      size: thin,
      middle: 'begin to wind',
      first: courses,
      second: [],
      tails: { first: tail, second: tail },
    };
    return ok({
      bodies: [{ kind: 'bead', id: own('bead'), width: bead, length: bead, hole }],
      goesOn: [
        ...held.flatMap((end): readonly GoesOn[] =>
          isAlone(end)
            ? [{ end, courses: [{ kind: 'laid', name: 'beside the bead', id: own('beside'), length: seen }] }]
            : [],
        ),
        ...(tie ? [{ end: tie, courses, tail }] : []),
      ],
      wires: tie ? [] : [tyingWire],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      steps: [
        {
          id: 'tie',
          name: `wind ${turned} on one wire, thread the bead, draw it into the gap, and wind ${turned} on the other, mirrored`,
          minutes: 2 + 0.3 * turns,
          cautions: ['cut ends'],
        },
      ],
      notes: [`It takes a gap of ${said(bead + 2 * ROOM * thick)} between both wires.`],
    });
  },
});
