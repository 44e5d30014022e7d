import { IsBoolean } from 'class-validator';
import { ReadsText, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** A set that is the same on both sides. */
export class CountOutSetInput {
  @ReadsWhole(1, 10_000) aSide!: Typed<number>;
  @IsBoolean({ message: 'Say whether a bead goes in the middle.' }) withCentre!: boolean;
  @ReadsText(120) place!: string;
}
