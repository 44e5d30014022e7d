import type { Micrometres } from '../units/length';
import { CALLIPER_RESOLUTION } from './gauge';
import { specKey, type WireSpec } from './spec';

/** Half a step of the American gauge, as a share of the diameter: 92^(1/78) − 1, from d = 0.127 × 92^((36−n)/39) (ASTM B258). */
const HALF_A_GAUGE = 92 ** (1 / 78) - 1;

/**
 * Which of some specs a measured size may be: those that are within half a gauge of it and what a calliper can tell, first those of the metal and
 * profile that are in hand, then the nearest.
 * @param measured diameter, or the width of half-round and flat wire
 * @example suggestSpecs(um(815), [sterling20], { profile: 'round', metal: 'sterling' }).length // 1
 */
export function suggestSpecs<Spec extends WireSpec>(
  measured: Micrometres,
  specs: readonly Spec[],
  inHand: Pick<WireSpec, 'metal' | 'profile'>,
): Spec[] {
  const off = ({ width }: Spec) => Math.abs(width - measured);
  const unlike = ({ metal, profile }: Spec) =>
    Number(metal !== inHand.metal) + Number(profile !== inHand.profile);
  return specs
    .filter((spec) => off(spec) <= measured * HALF_A_GAUGE + CALLIPER_RESOLUTION)
    .sort((a, b) => unlike(a) - unlike(b) || off(a) - off(b) || (specKey(a) < specKey(b) ? -1 : 1));
}
