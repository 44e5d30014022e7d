import { parseLength, type Micrometres } from '@/core/units/length';
import { parseMass, type Micrograms } from '@/core/units/mass';
import { cost, parseAmount, toCost, type CostUnits } from '@/core/units/money';
import { checkWeight, lengthOfMass, massOfLength, pricePerLength, type WeightCheck } from '@/core/wire/mass';
import type { WireSpec } from '@/core/wire/spec';
import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { specFromInput } from '@/studio/wire/specFromInput';

/** What can be said of a half-filled form. */
export interface Reckoned {
  readonly spec: WireSpec | undefined;
  readonly length: Micrometres | undefined;
  readonly mass: Micrograms | undefined;
  readonly lengthIsTyped: boolean;
  readonly massIsTyped: boolean;
  readonly price: { readonly perMetre: CostUnits; readonly perFoot: CostUnits } | undefined;
  readonly check: WeightCheck | undefined;
}

/** Works out the other quantity, prices per length and the check, as far as what is typed allows. */
export function reckon(values: ReceiveWireInput): Reckoned {
  const spec = specFromInput(values);
  const typedLength = parseLength(values.length);
  const typedMass = parseMass(values.mass);
  const lengthIsTyped = typedLength.ok && typedLength.value > 0;
  const massIsTyped = typedMass.ok && typedMass.value > 0;
  const length = lengthIsTyped
    ? typedLength.value
    : spec && massIsTyped
      ? lengthOfMass(spec, typedMass.value)
      : undefined;
  const mass = massIsTyped
    ? typedMass.value
    : spec && lengthIsTyped
      ? massOfLength(spec, typedLength.value)
      : undefined;
  const amount = parseAmount(values.price);
  const per = amount.ok && length ? pricePerLength(toCost(amount.value.money), length) : undefined;
  return {
    spec,
    length,
    mass,
    lengthIsTyped,
    massIsTyped,
    price: per && { perMetre: cost(Math.round(per.perMetre)), perFoot: cost(Math.round(per.perFoot)) },
    check:
      spec && lengthIsTyped && massIsTyped
        ? checkWeight(spec, typedLength.value, typedMass.value)
        : undefined,
  };
}
