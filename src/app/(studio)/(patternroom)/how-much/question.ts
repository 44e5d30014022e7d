import type { SaleRules } from '@/core/costing/expectedSale';
import type { PriceBook } from '@/core/costing/forecast';
import type { Texts } from '@/core/parameter/readTexts';
import type { AnyTechnique } from '@/core/technique/technique';
import type { MetalId } from '@/core/wire/metal';
import type { KnownSpec } from '@/studio/catalogue/wireSpecs';

/** What is asked. */
export interface Question {
  readonly technique: AnyTechnique;
  readonly texts: Texts;
  readonly metal: MetalId;
}

/** What everything costs; only the owner sees it. */
export interface Pricing {
  readonly book: PriceBook;
  readonly rules: SaleRules;
  readonly specs: readonly KnownSpec[];
}
