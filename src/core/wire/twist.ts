import { refuse, ok, type Result } from '../result';
import { formatBothWays, um, UM_PER_METRE, type Micrometres } from '../units/length';
import { TEMPERS, type Temper } from './metal';
import { twistTakeUp } from './profile';
import type { WireSpec } from './spec';

/** A twisting as it was done. */
export interface Twisting {
  readonly spec: WireSpec;
  /** Length of every strand before: one square wire, or each of two rounds. */
  readonly before: Micrometres;
  /** Length of the twisted stock afterwards. */
  readonly after: Micrometres;
  /** Whole turns that were put in. */
  readonly turns: number;
}

/**
 * Square wire is twisted on its own axis, round wire two and two.
 * @example twistedProfile({ profile: 'round' }) // 'twisted pair'
 */
export const twistedProfile = ({ profile }: Pick<WireSpec, 'profile'>) =>
  profile === 'square'
    ? ('twisted square' as const)
    : profile === 'round'
      ? ('twisted pair' as const)
      : undefined;

/**
 * Twisting under tension hardens by about a temper (common practice).
 * @example hardened('dead soft') // 'quarter hard'
 */
export const hardened = (temper: Temper): Temper =>
  TEMPERS[Math.min(TEMPERS.indexOf(temper) + 1, TEMPERS.length - 1)] ?? temper;

/** How far what was measured may lie from the geometry: the ends are untwisted and the wire stretches (common practice). */
const LOOSE = 0.15;

/**
 * What wire becomes when it is twisted. A square wire keeps its length but for what the ends lose; of two rounds each strand is
 * longer than the stock by √[1 + (πdT)²], so `after` must be near before ÷ that.
 * @returns the spec of the twisted stock, or a sentence
 * @example twist({ spec: sterling20, before: mm(500), after: mm(600), turns: 40 }).ok // false
 */
export function twist({ spec, before, after, turns }: Twisting): Result<WireSpec> {
  const profile = twistedProfile(spec);
  if (!profile)
    return refuse(`A ${spec.profile} wire is not twisted; square wire is, or two rounds together.`);
  if (after > before)
    return refuse(
      `Twisted stock is never longer than what it was twisted from: ${formatBothWays(after)} is more than ${formatBothWays(before)}.`,
    );
  const perMetre = Math.round((turns * UM_PER_METRE) / after);
  if (perMetre < 1) return refuse('So few turns are no twist; give at least one turn a metre.');
  const geometric =
    profile === 'twisted pair' ? um(Math.round(before / twistTakeUp(spec.width, perMetre))) : before;
  if (Math.abs(after / geometric - 1) > LOOSE) {
    return refuse(
      `${turns} turns in ${formatBothWays(before)} should leave about ${formatBothWays(geometric)}, not ${formatBothWays(after)}. Count the turns again, or measure again.`,
    );
  }
  return ok({ ...spec, profile, twist: perMetre, temper: hardened(spec.temper) });
}
