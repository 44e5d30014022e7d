import { ValidateIf } from 'class-validator';
import { ReadsMoney, ReadsNumber, ReadsOneOf, ReadsText, ReadsWhole } from '../kernel/rules';

/** Where a replacement price comes from. */
export const PRICE_SOURCES = ['paid', 'typed', 'spot'] as const;
export type PriceSource = (typeof PRICE_SOURCES)[number];

/** How an article shall be priced from now on. */
export class SetPricingInput {
  @ReadsWhole(1, 1_000_000_000) version!: string;
  @ReadsOneOf(PRICE_SOURCES, 'where the price comes from') priceBy!: string;

  @ValidateIf(({ priceBy }: SetPricingInput) => priceBy === 'typed')
  @ReadsMoney()
  price!: string;

  /** What the typed price is for: "1 m", "1 dozen". */
  @ValidateIf(({ priceBy }: SetPricingInput) => priceBy === 'typed')
  @ReadsText(60)
  quantity!: string;

  @ValidateIf(({ priceBy }: SetPricingInput) => priceBy === 'spot')
  @ReadsNumber(0, 1000)
  premium!: string;

  @ValidateIf(({ priceBy }: SetPricingInput) => priceBy === 'spot')
  @ReadsMoney({ zero: true })
  fabricationPerMetre!: string;
}
