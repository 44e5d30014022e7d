import { ReadsLength, ReadsText, ReadsWhole } from '../kernel/rules';

/** Wire that was twisted. */
export class TwistWireInput {
  /** Length of every strand before. */
  @ReadsText(60) before!: string;
  @ReadsLength() after!: string;
  @ReadsWhole(1, 100_000) turns!: string;
  /** Tag of the wire the second strand is taken from; empty when both come from one. */
  @ReadsText(20) second!: string;
  @ReadsText(120) place!: string;
}
