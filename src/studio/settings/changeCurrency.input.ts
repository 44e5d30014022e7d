import { CURRENCIES } from '@/core/units/money';
import { ReadsOneOf, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** Another currency for books that hold no amount yet. */
export class ChangeCurrencyInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;

  @ReadsOneOf(CURRENCIES.map(({ code }) => code), 'a currency')
  currency!: string;
}
