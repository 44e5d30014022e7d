import { expectOk } from '@/core/result';
import { gaugeSize } from '@/core/wire/gauge';
import { lengthOfMass } from '@/core/wire/mass';
import { um } from '@/core/units/length';
import { grams } from '@/core/units/mass';
import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { specSoFar } from '@/studio/wire/specOf';
import type { Chance } from '@/core/chance';
import { DEMO_GRAM_PRICE, DEMO_PRICE_RISE, DEMO_SUPPLIERS, type DemoWire } from './wires';

/** How long the demonstration studio has been at work. */
export const DAYS = 730;

/** A wire as the patterns name it: metal, size, profile, temper and finish. */
export const nameOf = ({ metal, number, profile, temper, finishName }: DemoWire): string =>
  [metal, number, profile, temper, finishName].filter(Boolean).join(' ');

/** A purchase of a wire on a day of the two years, counted from their first. */
export function bought(wire: DemoWire, at: number, on: Date, chance: Chance): ReceiveWireInput {
  const described = {
    metal: wire.metal,
    profile: wire.profile,
    gaugeSystem: wire.system,
    gaugeNumber: wire.number,
    height: wire.height,
    temper: wire.temper,
    finish: wire.finish,
    finishName: wire.finishName,
  };
  const thin = expectOk(gaugeSize({ system: wire.system, number: wire.number })) < 600;
  const precious = DEMO_GRAM_PRICE[wire.metal] > 0.5;
  const spec = specSoFar(described);
  if (!spec) throw new Error(`${nameOf(wire)} is no wire`);
  // Precious wire by the troy ounce or less, base metal by the coil or spool.
  const mass = grams(precious ? chance.pick([7.8, 15.55, 31.1]) : chance.pick([40, 60, 113.4]));
  const full = lengthOfMass(spec, mass);
  const length = um(Math.max(900_000, Math.min(full, thin ? 30_000_000 : 12_000_000)));
  const feet = Math.max(3, Math.round(length / 304_800));
  const rise = 1 + ((DEMO_PRICE_RISE[wire.metal] ?? 0.08) * at) / DAYS;
  const gramsBought = (feet * 304_800 * mass) / full / 1_000_000;
  const dollars = Math.max(
    2.4,
    gramsBought * DEMO_GRAM_PRICE[wire.metal] * rise * chance.between(0.95, 1.08) + 1.2,
  );
  return {
    ...described,
    form: thin ? 'spool' : chance.pick(['coil', 'coil', 'spool']),
    length: `${feet} ft`,
    mass: '',
    price: `${dollars.toFixed(2)} USD`,
    supplier: chance.pick(DEMO_SUPPLIERS),
    boughtOn: on.toISOString().slice(0, 10),
    place: placeOf(wire),
    note: `invoice ${1000 + at}`,
    paid: '',
  };
}

/** Precious wire in the drawer, thick base metal on pegs, thin on the spool rail. */
function placeOf({ metal, system, number }: DemoWire): string {
  if (DEMO_GRAM_PRICE[metal] > 0.5) return 'Silver drawer';
  return expectOk(gaugeSize({ system, number })) < 600 ? 'Spool rail' : 'Pegboard';
}
