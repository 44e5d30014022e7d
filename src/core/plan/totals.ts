import { um, mm, type Micrometres } from '../units/length';
import { identifyGauge, type GaugeLabel } from '../wire/gauge';
import type { MetalId } from '../wire/metal';
import { gramsPerMetre } from '../wire/mass';
import type { WireSpec } from '../wire/spec';
import type { WireSize } from '../wire/wireSize';
import type { Values } from '../parameter/readValues';
import { cutOf, netOf, type Plan, type PlannedCut } from '../technique/technique';

/** A label for a size: the AWG number that it is, else its millimetres. */
export function labelOf(size: Micrometres): GaugeLabel {
  const awg = identifyGauge(size).candidates.find(({ system }) => system === 'AWG');
  if (!awg || Math.abs(awg.deviation) > 1) return { system: 'mm', number: String(size / 1000) };
  return { system: 'AWG', number: awg.number };
}

/** A bare, soft wire of a size in a metal: what a plan is drawn and weighed in until it is bound to wire of the studio. */
export function plainSpec({ profile, width, height }: WireSize, metal: MetalId): WireSpec {
  const across = mm(width);
  return {
    metal,
    profile,
    width: across,
    height: profile === 'round' || profile === 'square' ? across : mm(height),
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    label: labelOf(across),
  };
}

/** A cut as it is cut: to the micrometre, as stock is kept. */
export const cutLengthOf = (cut: Pick<PlannedCut, 'terms'>): Micrometres => um(Math.round(cutOf(cut) * 1000));

/** Mass of what stays in the piece, g: net lengths times what each wire weighs. */
export function massOfPlan({ cuts }: Plan, values: Values, metalOfWire: (wire: string) => MetalId): number {
  return cuts.reduce((sum, cut) => {
    const spec = plainSpec(values[cut.wire] as WireSize, metalOfWire(cut.wire));
    return sum + (cut.count * netOf(cut) * gramsPerMetre(spec)) / 1000;
  }, 0);
}
