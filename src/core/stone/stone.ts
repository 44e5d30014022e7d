import type { Vec } from '../geometry/vector';
import { printPoints } from '../outline/points';
import { UM_PER_MM, type Micrometres } from '../units/length';
import { trimmedDecimal } from '../units/quantity';

/** The outlines of stones. */
export const OUTLINES = [
  'round',
  'oval',
  'teardrop',
  'marquise',
  'crescent',
  'heart',
  'square',
  'rectangle',
  'freeform',
] as const;
export type OutlineKind = (typeof OUTLINES)[number];

/** Where a stone is drilled, if it is. */
export const HOLE_AXES = ['none', 'through', 'side to side'] as const;
export type HoleAxis = (typeof HOLE_AXES)[number];

/** A stone by its calliper. */
export interface StoneMeasures {
  readonly material: string;
  readonly outline: OutlineKind;
  readonly length: Micrometres;
  readonly width: Micrometres;
  readonly depth: Micrometres;
  /** Height of the edge that the holds go round. */
  readonly edge: Micrometres;
  readonly holeAxis: HoleAxis;
  readonly hole: Micrometres;
  /** Places of the edge of a freeform stone, mm from the middle of its measures; none while it was not traced. */
  readonly traced?: readonly Vec[];
}

/** Its measures as they would be typed for a pattern that is bound to a stone. */
export function stoneTexts({
  outline,
  traced = [],
  ...sizes
}: Pick<StoneMeasures, 'outline' | 'length' | 'width' | 'edge' | 'depth' | 'traced'>): Readonly<
  Record<string, string>
> {
  const parts = (['length', 'width', 'edge', 'depth'] as const).map((part) => [
    `stone.${part}`,
    `${sizes[part] / UM_PER_MM} mm`,
  ]);
  return {
    'stone.outline': outline,
    ...(Object.fromEntries(parts) as Record<string, string>),
    // A freeform stone that was not traced must not take the outline of the one before it.
    ...(outline === 'freeform' ? { 'stone.points': printPoints(traced) } : {}),
  };
}

/** Smallest and largest stone that a wire holds. */
export const STONE_RANGE = { from: 1_000, to: 200_000 } as const;

const size = (of: Micrometres) => trimmedDecimal(of / UM_PER_MM, 2);

/** "carnelian teardrop, 18 × 13 × 5 mm": how a stone is said everywhere. */
export function describeStone({ material, outline, length, width, depth }: StoneMeasures): string {
  return `${material} ${outline}, ${size(length)} × ${size(width)} × ${size(depth)} mm`;
}
