import { PRICED_METALS } from '@/core/metalPrice/metalPrice';
import { ReadsMoney, ReadsOneOf, ReadsPastDay } from '../kernel/rules';

/** A metal's price as somebody read it. */
export class TypeMetalPriceInput {
  @ReadsOneOf(PRICED_METALS, 'a metal') metal!: string;
  @ReadsPastDay() day!: string;
  @ReadsMoney() price!: string;
  @ReadsOneOf(['troy ounce', 'kilogram'], 'what it is the price of') per!: string;
}
