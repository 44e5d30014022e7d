import { ReadsMass, ReadsName } from '../kernel/rules';
import type { Micrograms } from '@/core/units/mass';
import type { Typed } from '../kernel/typed';

/** Another name for a place. */
export class RenamePlaceInput {
  @ReadsName('the place a name') name!: string;
}

/** A kind of spool with its empty weight. */
export class KeepSpoolTypeInput {
  @ReadsName('the kind of spool a name') name!: string;
  @ReadsMass() emptyMass!: Typed<Micrograms>;
}
