import { ReadsMass, ReadsText, ReadsWhole } from '../kernel/rules';

/** A spool on the scale. */
export class WeighInInput {
  /** What the books said was left when the page was opened, µm. */
  @ReadsWhole(0, 1_000_000_000) expected!: string;
  @ReadsMass() gross!: string;
  @ReadsMass({ zero: true }) empty!: string;
  /** One division of the scale. */
  @ReadsMass() resolution!: string;
  @ReadsText(200) reason!: string;
  /** Why a reading that cannot be right is taken nevertheless; empty otherwise. */
  @ReadsText(200) override!: string;
}
