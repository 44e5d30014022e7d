import { methodOf, startSize, type RingMethodId } from '../ring/drift';
import { describeRing, ringOf, type RingSize } from '../ring/ringSize';
import { length, type LengthParameter } from '../parameter/parameter';

/** The inside diameter that a finished ring shall have. */
export const insideWanted: LengthParameter = {
  ...length('Inside diameter wanted', 17.3, 10, 30, 'Or a size, like US 7, UK N½, ISO 54'),
  as: 'ring',
};

/** The size that a ring is begun at, and a note that says why. */
export interface RingStart {
  readonly begun: RingSize;
  readonly note: string;
}

/**
 * Where to begin, so that a ring of a method ends at the wanted size.
 * @param inside wanted, mm
 * @param band its width, mm: wide bands feel tighter
 */
export function ringStart(method: RingMethodId, inside: number, band: number): RingStart {
  const { drift, why } = methodOf(method);
  const wanted = ringOf(inside);
  const begun = startSize(wanted, drift, band);
  const begin = `Begin at ${describeRing(begun)} for ${describeRing(wanted)}`;
  return { begun, note: `${begin}: ${why}.` };
}
