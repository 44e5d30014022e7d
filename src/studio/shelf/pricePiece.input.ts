import { ValidateIf } from 'class-validator';
import { PRICE_SCHOOL_IDS } from '@/core/costing/priceSchools';
import { ReadsMoney, ReadsOneOf, ReadsWhole } from '../kernel/rules';

/** The price school chosen for a finished piece. */
export class PricePieceInput {
  @ReadsWhole(1, 1_000_000_000) version!: string;
  @ReadsOneOf(PRICE_SCHOOL_IDS, 'a price school') school!: string;

  /** What such pieces sell for: needed for the going price, kept with any school. */
  @ValidateIf(({ school, goingPrice }: PricePieceInput) => school === 'market' || goingPrice !== '')
  @ReadsMoney()
  goingPrice!: string;
}
