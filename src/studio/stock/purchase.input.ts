import { ok } from '@/core/result';
import { parseAmount } from '@/core/units/money';
import { ReadsBy, ReadsMoney, ReadsPastDay, ReadsText } from '../kernel/rules';

/** What is said of anything that was bought. */
export interface PurchaseFields {
  /** In the studio's currency. */
  price: string;
  supplier: string;
  boughtOn: string;
  /** Where it is put; a place that is not known yet is made. */
  place: string;
  /** What stands on the invoice. */
  note: string;
  /** As it was paid, when that was in another currency; else empty. */
  paid: string;
}

/** An input class with the fields of a purchase besides its own. */
export function Purchased<Own extends object>(Base: new () => Own): new () => Own & PurchaseFields {
  class PurchaseInput extends (Base as new () => object) implements PurchaseFields {
    @ReadsMoney() price!: string;
    @ReadsText(120) supplier!: string;
    @ReadsPastDay() boughtOn!: string;
    @ReadsText(120) place!: string;
    @ReadsText(400) note!: string;
    @ReadsBy('readsPaid', (text) => (text === '' ? ok(null) : parseAmount(text))) paid!: string;
  }
  return PurchaseInput as unknown as new () => Own & PurchaseFields;
}
