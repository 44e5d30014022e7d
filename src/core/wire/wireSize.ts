import type { DrawnProfile } from './profile';

/** The cross-section of a wire that a technique uses, mm; which metal and temper it is, is said elsewhere. */
export interface WireSize {
  readonly profile: DrawnProfile;
  readonly width: number;
  readonly height: number;
}
