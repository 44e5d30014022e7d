import { ReadsLength, ReadsTagOrNone, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Micrometres } from '@/core/units/length';
import type { Typed } from '../kernel/typed';

/** Wire that was twisted. */
export class TwistWireInput {
  /** Length of every strand before. */
  @ReadsText(60) before!: string;
  @ReadsLength() after!: Typed<Micrometres>;
  @ReadsWhole(1, 100_000) turns!: Typed<number>;
  /** Tag of the wire the second strand is taken from; empty when both come from one. */
  @ReadsTagOrNone('wire') second!: Typed<number | null>;
  @ReadsText(120) place!: string;
}
