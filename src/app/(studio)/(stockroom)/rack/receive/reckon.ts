import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import { cost, toCost, type CostUnits } from '@/core/units/money';
import { checkWeight, lengthOfMass, massOfLength, pricePerLength, type WeightCheck } from '@/core/wire/mass';
import type { WireSpec } from '@/core/wire/spec';
import { readSoFar } from '@/studio/kernel/readInput';
import type { Amount, Typed } from '@/studio/kernel/typed';
import { ReceiveWireInput, type WireFields } from '@/studio/wire/receiveWire.input';
import { specSoFar } from '@/studio/wire/specOf';

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
export function reckon(values: WireFields & { readonly price: Typed<Amount | null> }): Reckoned {
  const spec = specSoFar(values);
  const typed = readSoFar(ReceiveWireInput, values);
  const length = typed.length ?? (spec && typed.mass ? lengthOfMass(spec, typed.mass) : undefined);
  const mass = typed.mass ?? (spec && typed.length ? massOfLength(spec, typed.length) : undefined);
  const per = typed.price && length ? pricePerLength(toCost(typed.price.money), length) : undefined;
  return {
    spec,
    length,
    mass,
    lengthIsTyped: Boolean(typed.length),
    massIsTyped: Boolean(typed.mass),
    price: per && { perMetre: cost(Math.round(per.perMetre)), perFoot: cost(Math.round(per.perFoot)) },
    check: spec && typed.length && typed.mass ? checkWeight(spec, typed.length, typed.mass) : undefined,
  };
}
