import type { MinorUnits } from '@/core/units/money';
import type { StallPiece } from '@/studio/selling/stall';

/** A piece with what it is asked for at this stall; null where it has no price. */
export interface AskedPiece extends StallPiece {
  readonly asked: MinorUnits | null;
}
