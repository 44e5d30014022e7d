import type { Day } from '@/core/calendar/day';
import { PRICED_METALS, type PricedMetal } from '@/core/metalPrice/metalPrice';
import { ReadsMoney, ReadsOneOf, ReadsPastDay } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** A metal's price as somebody read it. */
export class TypeMetalPriceInput {
  @ReadsOneOf(PRICED_METALS, 'a metal') metal!: Typed<PricedMetal>;
  @ReadsPastDay() day!: Typed<Day>;
  @ReadsMoney() price!: Typed<Amount>;
  @ReadsOneOf(['troy ounce', 'kilogram'], 'what it is the price of') per!: Typed<'troy ounce' | 'kilogram'>;
}
