import { IsOptional } from 'class-validator';
import { ok, refuse, type Result } from '@/core/result';
import { COST_IS } from '@/core/stock/costIs';
import { parseAmount } from '@/core/units/money';
import { ReadsBy, ReadsOneOf, ReadsPastDay, ReadsText } from '../kernel/rules';

/** What is said of anything that was bought. */
export interface PurchaseFields {
  /** In the studio's currency; empty for a gift. */
  price: string;
  /** Whether it was paid, is estimated, or was free; paid when it is left out. */
  costIs?: string;
  supplier: string;
  boughtOn: string;
  /** Where it is put; a place that is not known yet is made. */
  place: string;
  /** What stands on the invoice. */
  note: string;
  /** As it was paid, when that was in another currency; else empty. */
  paid: string;
}

/** A price that is more than nothing; of a gift it is not asked. */
function readPrice(text: string, isFree: boolean): Result<unknown> {
  if (isFree) return ok(null);
  const read = parseAmount(text);
  if (!read.ok) return read;
  return read.value.money > 0
    ? read
    : refuse(`“${text}” is nothing; say that it was free, or what it was worth.`);
}

/** An input class with the fields of a purchase besides its own. */
export function Purchased<Own extends object>(Base: new () => Own): new () => Own & PurchaseFields {
  class PurchaseInput extends (Base as new () => object) implements PurchaseFields {
    @ReadsBy<PurchaseInput>('readsPrice', (text, { costIs }) => readPrice(text, costIs === 'free'))
    price!: string;
    @IsOptional() @ReadsOneOf(COST_IS, 'how it was got') costIs?: string;
    @ReadsText(120) supplier!: string;
    @ReadsPastDay() boughtOn!: string;
    @ReadsText(120) place!: string;
    @ReadsText(400) note!: string;
    @ReadsBy('readsPaid', (text) => (text === '' ? ok(null) : parseAmount(text))) paid!: string;
  }
  return PurchaseInput as unknown as new () => Own & PurchaseFields;
}
