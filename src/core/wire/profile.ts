import { UM_PER_MM, um, type Micrometres } from '../units/length';

/** The cross-sections wire is drawn in. */
export const PROFILES = ['round', 'square', 'half-round', 'flat'] as const;
export type Profile = (typeof PROFILES)[number];

/** Width and height of a cross-section, µm. Both are kept, since half-round is sold by either. */
export interface CrossSection {
  readonly profile: Profile;
  readonly width: Micrometres;
  readonly height: Micrometres;
}

/** Square wire has slightly rounded corners: this radius, as a part of the side, takes about 1 % off the area (common practice). */
export const SQUARE_CORNER_RADIUS = 0.108;

/** Height that a profile has when only its width is told: half for half-round, the same for round and square. */
export function usualHeight(profile: Profile, width: Micrometres): Micrometres {
  return profile === 'half-round' ? um(Math.round(width / 2)) : width;
}

/** Whether a profile's height is its own measure rather than following from the width. */
export const hasOwnHeight = (profile: Profile): boolean => profile === 'flat' || profile === 'half-round';

/**
 * Area in mm²: round πd²/4; square s² less its rounded corners; half-round a half ellipse πwh/4 (πw²/8 when h = w/2);
 * flat w×t. Source: plane geometry.
 */
export function areaMm2({ profile, width, height }: CrossSection): number {
  const w = width / UM_PER_MM;
  const h = height / UM_PER_MM;
  switch (profile) {
    case 'round':
      return (Math.PI * w * w) / 4;
    case 'square':
      return w * w * (1 - (4 - Math.PI) * SQUARE_CORNER_RADIUS ** 2);
    case 'half-round':
      return (Math.PI * w * h) / 4;
    case 'flat':
      return w * h;
  }
}
