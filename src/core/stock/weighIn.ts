import { formatBothWays, um, type Micrometres } from '../units/length';
import { formatMass, type Micrograms } from '../units/mass';
import { gramsPerMetre, lengthOfMass } from '../wire/mass';
import type { WireSpec } from '../wire/spec';

/** A spool as it stood on the scale. */
export interface SpoolReading {
  readonly spec: WireSpec;
  /** Spool and wire together. */
  readonly gross: Micrograms;
  /** The spool alone; nought for a coil or an off-cut. */
  readonly empty: Micrograms;
  /** One division of the scale. */
  readonly resolution: Micrograms;
  /** What the books say is left. */
  readonly expected: Micrometres;
  /** What there was when it came. */
  readonly initial: Micrometres;
}

/** What a weighing tells. */
export interface WeighIn {
  /** Wire that is left, by weight; nought when the scale shows less than the empty spool. */
  readonly length: Micrometres;
  /** Plus or minus, at about the width a maker may rely on. */
  readonly uncertainty: Micrometres;
  /** Length by weight less length by the books. */
  readonly difference: Micrometres;
  /** Whether the difference is more than the weighing itself is uncertain by. */
  readonly differs: boolean;
  /** Why the reading is not to be believed as it stands; empty when it is. */
  readonly warning: string;
}

/**
 * Drawn wire keeps its diameter within about 1 %, so its weight per length within about 2 % (common practice; the same
 * bound that a purchase's length and weight are held to).
 */
const WIRE_TOLERANCE = 0.02;

/**
 * What is left on a spool by its weight: (gross − empty) ÷ mass per length. The uncertainty joins what the scale cannot
 * tell (half a division for each of the two weighings) and what the wire may deviate, as independent errors do: by the
 * root of the sum of squares (JCGM 100:2008, law of propagation of uncertainty).
 */
export function weighSpool({ spec, gross, empty, resolution, expected, initial }: SpoolReading): WeighIn {
  const net = gross - empty;
  const length = net > 0 ? lengthOfMass(spec, net as Micrograms) : um(0);
  const perLength = gramsPerMetre(spec);
  const readings = empty > 0 ? Math.SQRT2 : 1;
  const byScale = ((resolution / 2) * readings) / perLength;
  const uncertainty = um(Math.ceil(Math.hypot(byScale, length * WIRE_TOLERANCE)));
  const difference = um(length - expected);
  return {
    length,
    uncertainty,
    difference,
    differs: Math.abs(difference) > uncertainty,
    warning: warningOf(net, length, uncertainty, { gross, empty, initial }),
  };
}

function warningOf(
  net: number,
  length: Micrometres,
  uncertainty: Micrometres,
  { gross, empty, initial }: Pick<SpoolReading, 'gross' | 'empty' | 'initial'>,
): string {
  if (net < 0) {
    return `The scale shows ${formatMass(gross)}, which is less than the empty spool (${formatMass(empty)}). Is it the right spool, and the right empty weight?`;
  }
  if (length - uncertainty > initial) {
    return `This weight is ${formatBothWays(length)} of wire, more than there was when it came (${formatBothWays(initial)}). Is it the right spool, and the right empty weight?`;
  }
  return '';
}
