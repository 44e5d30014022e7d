import { PRICE_SCHOOL_IDS } from '@/core/costing/priceSchools';
import { onlyIf, readAmount, ReadsBy, ReadsOneOf, ReadsWhole } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** The price school chosen for a finished piece. */
export class PricePieceInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;
  @ReadsOneOf(PRICE_SCHOOL_IDS, 'a price school') school!: string;

  /** What such pieces sell for: needed for the going price, kept with any school. */
  @ReadsBy('readsGoingPrice', (text, { school }: PricePieceInput) =>
    onlyIf(school === 'market' || text !== '', () => readAmount(text)),
  )
  goingPrice!: Typed<Amount | null>;
}
