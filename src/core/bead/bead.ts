import { trimmedDecimal } from '../units/quantity';
import { UM_PER_MM, type Micrometres } from '../units/length';

export const BEAD_SHAPES = [
  'round',
  'rondelle',
  'faceted',
  'cube',
  'tube',
  'drop',
  'briolette',
  'chip',
  'seed',
  'coin',
] as const;
export type BeadShape = (typeof BEAD_SHAPES)[number];

/** A kind of bead: what it is made of, its shape, its size across (two sizes when graded) and its hole. */
export interface BeadKind {
  readonly material: string;
  readonly shape: BeadShape;
  readonly min: Micrometres;
  readonly max: Micrometres;
  readonly hole: Micrometres;
}

/** Smallest and largest bead that is worked by hand. */
export const BEAD_RANGE = { from: 500, to: 80_000 } as const;

export const isGraded = ({ min, max }: Pick<BeadKind, 'min' | 'max'>): boolean => max > min;

const size = (of: Micrometres) => trimmedDecimal(of / UM_PER_MM, 2);

/** "garnet round, 4 mm" or "iolite rondelle, 3–6 mm graded": how a bead is said everywhere. */
export function describeBead({ material, shape, min, max }: BeadKind): string {
  return `${material} ${shape}, ${isGraded({ min, max }) ? `${size(min)}–${size(max)} mm graded` : `${size(min)} mm`}`;
}

/** What makes two beads the same stock: equal for the same stock only, in whatever order they are kept. */
export const beadIdentity = ({ material, shape, min, max, hole }: BeadKind): string =>
  [material.trim().toLowerCase(), shape, min, max, hole].join('|');

/** Equal for the same kind of bead only; sorts by material, shape and size. */
export function beadKey({ material, shape, min, max, hole }: BeadKind): string {
  const five = (of: number) => String(of).padStart(5, '0');
  return [material.trim().toLowerCase(), BEAD_SHAPES.indexOf(shape), five(min), five(max), five(hole)].join(
    '|',
  );
}
