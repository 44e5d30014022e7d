import { ReadsMass, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Micrograms } from '@/core/units/mass';
import type { Typed } from '../kernel/typed';

/** A spool on the scale. */
export class WeighInInput {
  /** What the books said was left when the page was opened, µm. */
  @ReadsWhole(0, 1_000_000_000) expected!: Typed<number>;
  @ReadsMass() gross!: Typed<Micrograms>;
  @ReadsMass({ zero: true }) empty!: Typed<Micrograms>;
  /** One division of the scale. */
  @ReadsMass() resolution!: Typed<Micrograms>;
  @ReadsText(200) reason!: string;
  /** Why a reading that cannot be right is taken nevertheless; empty otherwise. */
  @ReadsText(200) override!: string;
}
