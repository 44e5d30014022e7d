import type { Day } from '@/core/calendar/day';
import { IsOptional } from 'class-validator';
import { refuse, type Result } from '@/core/result';
import { COST_IS, type CostIs } from '@/core/stock/costIs';
import { parseAmount } from '@/core/units/money';
import { onlyIf, ReadsBy, ReadsMoneyOrNone, ReadsOneOf, ReadsPastDay, ReadsText } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** What is said of anything that was bought. */
export interface PurchaseFields {
  /** In the studio's currency; empty for a gift. */
  price: Typed<Amount | null>;
  /** Whether it was paid, is estimated, or was free; paid when it is left out. */
  costIs?: Typed<CostIs>;
  supplier: string;
  boughtOn: Typed<Day>;
  /** Where it is put; a place that is not known yet is made. */
  place: string;
  /** What stands on the invoice. */
  note: string;
  /** As it was paid, when that was in another currency; else empty. */
  paid: Typed<Amount | null>;
}

/** A price that is more than nothing. */
function readPrice(text: string): Result<Amount> {
  const read = parseAmount(text);
  if (!read.ok) return read;
  return read.value.money > 0
    ? read
    : refuse(`“${text}” is nothing; say that it was free, or what it was worth.`);
}

/** An input class with the fields of a purchase besides its own. */
export function Purchased<Own extends object>(Base: new () => Own): new () => Own & PurchaseFields {
  class PurchaseInput extends (Base as new () => object) implements PurchaseFields {
    @ReadsBy('readsPrice', (text, { costIs }: PurchaseInput) =>
      onlyIf(costIs !== 'free', () => readPrice(text)),
    )
    price!: Typed<Amount | null>;
    @IsOptional() @ReadsOneOf(COST_IS, 'how it was got') costIs?: Typed<CostIs>;
    @ReadsText(120) supplier!: string;
    @ReadsPastDay() boughtOn!: Typed<Day>;
    @ReadsText(120) place!: string;
    @ReadsText(400) note!: string;
    @ReadsMoneyOrNone({ zero: true }) paid!: Typed<Amount | null>;
  }
  return PurchaseInput as unknown as new () => Own & PurchaseFields;
}
