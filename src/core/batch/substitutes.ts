import type { Specs } from '../pattern/composition';
import { TEMPERS } from '../wire/metal';
import type { WireSpec } from '../wire/spec';

/** A wire that would do in place of another, and what comes of it. */
export interface Substitute {
  readonly specId: string;
  readonly consequence: string;
}

/** Sizes that differ by less than this part pass for one another under two labels: 0.8 mm and 20 ga are 1.5 % apart (common practice). */
const SAME_SIZE = 0.03;

/** Wires that differ from one in the next temper or in the label of nearly its size, and in nothing else. */
export function substitutesFor(spec: WireSpec, specs: Specs): Substitute[] {
  return Object.entries(specs).flatMap(([specId, other]): Substitute[] => {
    if (other === spec || other.metal !== spec.metal || other.profile !== spec.profile) return [];
    if (other.finish !== spec.finish || other.finishName !== spec.finishName || other.twist !== spec.twist)
      return [];
    const size = other.width / spec.width - 1;
    const harder = TEMPERS.indexOf(other.temper) - TEMPERS.indexOf(spec.temper);
    const sameSize = other.width === spec.width && other.height === spec.height;
    if (sameSize && Math.abs(harder) === 1)
      return [
        {
          specId,
          consequence:
            harder > 0
              ? `${other.temper} in place of ${spec.temper}: it springs back more and takes fewer bends`
              : `${other.temper} in place of ${spec.temper}: it bends more easily and holds less`,
        },
      ];
    if (!sameSize && harder === 0 && Math.abs(size) <= SAME_SIZE)
      return [
        {
          specId,
          consequence: `${Math.abs(100 * size).toFixed(1)} % ${size > 0 ? 'thicker' : 'thinner'}: the lengths change by less than a hand cuts`,
        },
      ];
    return [];
  });
}
