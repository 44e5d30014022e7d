import { IsBoolean } from 'class-validator';
import { ReadsText, ReadsWhole } from '../kernel/rules';

/** A set that is the same on both sides. */
export class CountOutSetInput {
  @ReadsWhole(1, 10_000) aSide!: string;
  @IsBoolean({ message: 'Say whether a bead goes in the middle.' }) withCentre!: boolean;
  @ReadsText(120) place!: string;
}
