import { integrate } from '../geometry/integrate';
import type { Vec3 } from '../geometry/path';
import { distance3, minus3, plus3, scaled3, vec3 } from '../geometry/vec3';
import { areaOf, centroidOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { beadRadius, onBody, radiusAt, type PlacedBody } from './body';
import type { RunPiece, RunWire } from './run';

/** Something heavy: how heavy, and where its middle lies. */
export interface Mass {
  /** g */
  readonly grams: number;
  readonly at: Vec3;
}

/** Density of stones and beads of which nobody has said what they are: quartz, g/cm³ (Handbook of Mineralogy: 2.65 to 2.66). */
export const QUARTZ = 2.65;
const MM3_PER_CM3 = 1000;

/** Several masses as one. @throws RangeError when nothing of them is heavy */
export function together(masses: readonly Mass[]): Mass {
  const grams = masses.reduce((sum, each) => sum + each.grams, 0);
  if (!(grams > 0)) throw new RangeError('nothing has no middle');
  const sum = masses.reduce((all, each) => plus3(all, scaled3(each.at, each.grams)), vec3(0, 0));
  return { grams, at: scaled3(sum, 1 / grams) };
}

/** Volume of a body, mm³, and where its middle lies in its own pose. */
function volumeOf(body: PlacedBody): { readonly volume: number; readonly middle: Vec3 } {
  switch (body.kind) {
    case 'cab': {
      // A straight edge, and a dome like half an ellipsoid over it: ⅔ of a prism, its middle ⅜ of its height up.
      const outline = expectOk(outlineOf(body.size));
      const { edge, depth } = body.size;
      const area = areaOf(outline);
      const [below, above] = [area * edge, (2 / 3) * area * (depth - edge)];
      const height = (below * (edge / 2) + above * (edge + (3 / 8) * (depth - edge))) / (below + above);
      const { x, y } = centroidOf(outline);
      return { volume: below + above, middle: vec3(x, y, height) };
    }
    case 'bead': {
      const half = body.length / 2;
      const hole = body.hole / 2;
      const section = (along: number) => Math.PI * Math.max(0, beadRadius(body, along) ** 2 - hole ** 2);
      return { volume: integrate(section, -half, half), middle: vec3(0, 0) };
    }
    case 'point': {
      const section = (along: number) => Math.PI * radiusAt(body, along) ** 2;
      const volume = integrate(section, 0, body.length);
      return { volume, middle: vec3(integrate((x) => x * section(x), 0, body.length) / volume, 0) };
    }
  }
}

/** A stone or a bead as a mass. @param density g/cm³ */
export function massOfBody(body: PlacedBody, density = QUARTZ): Mass {
  const { volume, middle } = volumeOf(body);
  return { grams: (volume * density) / MM3_PER_CM3, at: onBody(body, middle.x, middle.y, middle.z) };
}

/** A wire as it lies as a mass, without what is trimmed off it. @param gramsPerMetre what it weighs */
export function massOfWire({ path }: Pick<RunWire, 'path'>, gramsPerMetre: number): Mass {
  const pieces = path.slice(1).map((to, index): Mass => {
    const from = path[index] as Vec3;
    return {
      grams: (distance3(from, to) * gramsPerMetre) / 1000,
      at: scaled3(plus3(from, to), 0.5),
    };
  });
  return together(pieces);
}

/** How a piece hangs from a place: it turns until its middle is straight below. */
export interface Hanging {
  /** Degrees that it turns clockwise, as one looks at its front. */
  readonly front: number;
  /** Degrees that its foot comes forward; negative when it swings back. */
  readonly side: number;
}

const degrees = (radians: number): number => (radians * 180) / Math.PI;

/** How something hangs whose middle lies at a place, from another above it. */
export function hangingFrom(hang: Vec3, middle: Vec3): Hanging {
  const { x, y, z } = minus3(middle, hang);
  // What lies to the right of where it hangs comes down, clockwise; what lies before it swings back.
  return { front: degrees(Math.atan2(x, y)), side: -degrees(Math.atan2(z, y)) };
}

/** The masses of a piece. @param gramsPerMetre of a wire @param densityOf a stone or a bead, g/cm³; undefined when nobody has said what it is */
export const massesOf = (
  { wires, bodies }: RunPiece,
  gramsPerMetre: (wire: RunWire) => number,
  densityOf: (body: PlacedBody) => number | undefined,
): { readonly wires: readonly Mass[]; readonly bodies: readonly Mass[] } => ({
  wires: wires.filter(({ path }) => path.length > 1).map((wire) => massOfWire(wire, gramsPerMetre(wire))),
  bodies: bodies.map((body) => massOfBody(body, densityOf(body))),
});
