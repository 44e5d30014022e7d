import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Course } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { count, length, roundWire, wire } from '../../parameter/parameter';
import { said, technique } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';

/** The part of a turn in which it comes from one pitch to another. */
const ON = 0.06;

/** Turns of each layer. */
const layersOf = (long: number, layers: number, shorter: number, pitch: number): readonly number[] =>
  Array.from({ length: layers }, (_, layer) => (long - 2 * shorter * layer) / pitch);

/** Where a wire has come to on a mandrel that lies across the paper; the angle from its top towards the eye, radians. */
interface Place {
  readonly x: number;
  readonly angle: number;
}

/** A place on a coil, on the slope of its turns. @param climb how far a turn moves to the left, mm */
const poseOn = ({ x, angle }: Place, radius: number, climb: number): Pose => {
  const [sine, cosine] = [radius * Math.sin(angle), radius * Math.cos(angle)];
  return pose(vec3(x, -cosine, sine), vec3(-climb / (2 * Math.PI), sine, cosine), vec3(-1, 0));
};

/** A bead of wire alone: coiled on a mandrel, back over itself in layers that grow shorter. */
export const coilBead = technique({
  id: 'coil-bead',
  title: 'Coil bead',
  group: 'coils and spirals',
  source:
    'each layer is a close coil on the one beneath, its core two thicknesses more: helices unrolled; half a turn up to each, and one back over its end',
  parameters: {
    wire: wire('Wire', roundWire(0.644), 'coiling'),
    hole: length('Hole', 2, 0.4, 30),
    length: length('Length of the bead', 12, 1, 100),
    layers: count('Layers', 2, 1, 6),
    shorter: length('Each layer begins so far in, at both ends', 2, 0, 30),
    tail: length('Held at each end', 15, 0, 100),
  },
  plan: ({ wire: size, hole, length: long, layers, shorter, tail }) => {
    const { thick, height, pitch } = bendOf(size);
    const top = long - 2 * shorter * (layers - 1);
    if (top < pitch)
      return refuse(
        `The last layer would be ${said(Math.max(0, top))} long; ${said(pitch)}, one turn, is the least.`,
      );
    const radiusOf = (layer: number) => (hole + thick) / 2 + height * layer;
    // Its mandrel lies across the paper: from the right end to the left and back, each layer from where the one below ended.
    let place: Place = { x: long / 2, angle: 0 };
    const courses: Course[] = [];
    const coiled = (name: string, layer: number, turns: number, climb: number) => {
      courses.push({ kind: 'coiled', name, about: hole + 2 * height * layer, turns, pitch: climb });
      place = { x: place.x - climb * turns, angle: place.angle + 2 * Math.PI * turns };
    };
    const ledOnto = (name: string, layer: number, climb: number) => {
      place = { x: place.x - climb * ON, angle: place.angle + 2 * Math.PI * ON };
      courses.push({ kind: 'led', name, to: poseOn(place, radiusOf(layer), climb) });
    };
    for (const [layer, turns] of layersOf(long, layers, shorter, pitch).entries()) {
      const name = `layer ${layer + 1}: ${counted(turns.toFixed(1), 'turn')}`;
      const way = layer % 2 === 0 ? 1 : -1;
      if (layer > 0) {
        // Half round about a middle between both layers it comes up from the one to the other.
        courses.push({ kind: 'bent', name, about: hole + 2 * height * layer - height, angle: 180 });
        place = { ...place, angle: place.angle + Math.PI };
        const back = way * Math.max(pitch, shorter);
        ledOnto(name, layer, back);
        coiled(name, layer, 1 - ON, back);
        ledOnto(name, layer, way * pitch);
      }
      coiled(name, layer, turns, way * pitch);
    }
    const cut = cutsOfPiece(
      {
        bodies: [],
        wires: [
          {
            id: 'wire',
            name: 'coiled wire',
            cutFrom: 'wire',
            size,
            start: poseOn({ x: long / 2, angle: 0 }, radiusOf(0), pitch),
            first: courses,
            second: [],
            tails: { first: tail, second: tail },
          },
        ],
      },
      { middle: 'begin to coil', tails: 'held at the ends' },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'coil',
          name: 'coil it on its mandrel, and back over itself',
          minutes: 1 + layersOf(long, layers, shorter, pitch).reduce((sum, turns) => sum + turns, 0) * 0.04,
        },
        { id: 'tuck', name: 'trim and tuck the ends inside', minutes: 1.5, cautions: ['cut ends'] },
      ],
      notes: [`It is ${said(hole + 2 * height * layers)} thick in the middle.`],
    });
  },
});
