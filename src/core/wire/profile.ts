import { UM_PER_MM, um, type Micrometres, UM_PER_METRE } from '../units/length';

/** The cross-sections wire is drawn in, as it is bought. */
export const DRAWN_PROFILES = ['round', 'square', 'half-round', 'flat'] as const;
export type DrawnProfile = (typeof DRAWN_PROFILES)[number];
/** What a studio twists itself: square wire on its axis, or two rounds together. */
export const TWISTED_PROFILES = ['twisted square', 'twisted pair'] as const;
export const PROFILES = [...DRAWN_PROFILES, ...TWISTED_PROFILES] as const;
export type Profile = (typeof PROFILES)[number];

/** @example isTwisted('twisted pair') // true */
export const isTwisted = (profile: Profile): boolean =>
  (TWISTED_PROFILES as readonly Profile[]).includes(profile);

/**
 * Width and height of a cross-section, µm. Both are kept, since half-round is sold by either. Of twisted stock they are
 * those of the wire it was twisted from.
 */
export interface CrossSection {
  readonly profile: Profile;
  readonly width: Micrometres;
  readonly height: Micrometres;
  /** Turns per metre of twisted stock. */
  readonly twist?: number;
}

/** Square wire has slightly rounded corners: this radius, as a part of the side, takes about 1 % off the area (common practice). */
export const SQUARE_CORNER_RADIUS = 0.108;

/**
 * Height that a profile has when only its width is told: half for half-round, the same for round and square.
 * @example usualHeight('half-round', um(2000)) // 1000
 */
export function usualHeight(profile: Profile, width: Micrometres): Micrometres {
  return profile === 'half-round' ? um(Math.round(width / 2)) : width;
}

/**
 * Whether a profile's height is its own measure rather than following from the width.
 * @example hasOwnHeight('flat') // true
 */
export const hasOwnHeight = (profile: Profile): boolean => profile === 'flat' || profile === 'half-round';

/**
 * Length of one strand in each length of two rounds twisted together: its centre runs on a helix of diameter d, so
 * √[1 + (πdT)²]. Source: handbook of the trade; plane geometry of the unrolled helix.
 * @param width diameter of one strand
 * @param twist turns per metre
 * @example twistTakeUp(um(1000), 0) // 1
 */
export const twistTakeUp = (width: Micrometres, twist: number): number =>
  Math.hypot(1, (Math.PI * width * twist) / UM_PER_METRE);

/**
 * Area in mm² that every length of the wire has as metal: round πd²/4; square s² less its rounded corners; half-round a
 * half ellipse πwh/4 (πw²/8 when h = w/2); flat w×t; a twisted pair two rounds that run obliquely; square twisted on its
 * axis keeps its length and so its area. Source: plane geometry.
 * @example areaMm2({ profile: 'round', width: um(2000), height: um(2000) }).toFixed(3) // '3.142'
 */
export function areaMm2({ profile, width, height, twist = 0 }: CrossSection): number {
  const w = width / UM_PER_MM;
  const h = height / UM_PER_MM;
  switch (profile) {
    case 'round':
      return (Math.PI * w * w) / 4;
    case 'twisted pair':
      return 2 * ((Math.PI * w * w) / 4) * twistTakeUp(width, twist);
    case 'square':
    case 'twisted square':
      return w * w * (1 - (4 - Math.PI) * SQUARE_CORNER_RADIUS ** 2);
    case 'half-round':
      return (Math.PI * w * h) / 4;
    case 'flat':
      return w * h;
  }
}
