import type { Micrograms } from '@/core/units/mass';
import { ReadsMassOrNone, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** Where a stock piece is kept, and what it is wound on. */
export class ChangeStockInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;
  @ReadsText(120) place!: string;
  @ReadsText(400) note!: string;
  /** Kind of spool, by name; empty for none. */
  @ReadsText(120) spoolType!: string;
  /** The empty spool; kept for its kind too. Empty when it is not known. */
  @ReadsMassOrNone() emptyMass!: Typed<Micrograms | null>;
}
