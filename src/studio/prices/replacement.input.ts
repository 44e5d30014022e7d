import { onlyIf, readAmount, readNumber, ReadsBy, ReadsOneOf, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** Where a replacement price comes from. */
export const PRICE_SOURCES = ['paid', 'typed', 'spot'] as const;
export type PriceSource = (typeof PRICE_SOURCES)[number];

/** How an article shall be priced from now on. */
export class SetPricingInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;
  @ReadsOneOf(PRICE_SOURCES, 'where the price comes from') priceBy!: Typed<PriceSource>;

  @ReadsBy('readsReplacement', (text, { priceBy }: SetPricingInput) =>
    onlyIf(priceBy === 'typed', () => readAmount(text)),
  )
  price!: Typed<Amount | null>;

  /** What the typed price is for: "1 m", "1 dozen". */
  @ReadsText(60) quantity!: string;

  /** On the metal's price, per cent. */
  @ReadsBy('readsPremium', (text, { priceBy }: SetPricingInput) =>
    onlyIf(priceBy === 'spot', () => readNumber(text, 0, 1000)),
  )
  premium!: Typed<number | null>;

  @ReadsBy('readsFabrication', (text, { priceBy }: SetPricingInput) =>
    onlyIf(priceBy === 'spot', () => readAmount(text, { zero: true })),
  )
  fabricationPerMetre!: Typed<Amount | null>;
}
