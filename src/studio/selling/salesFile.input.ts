import { IsUUID } from 'class-validator';
import { PAID_BY, type PaidBy } from '@/core/selling/sale';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsOneOf } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

const column = (text: string, isNeeded: boolean) => {
  if (text === '') return isNeeded ? refuse('Choose the column that it stands in.') : ok(null);
  return /^\d{1,3}$/.test(text) ? ok(Number(text)) : refuse(`“${text.slice(0, 20)}” is not a column.`);
};

/** Which column of a file is which, by its place from 0; empty for what it does not have. */
export class SalesFileInput {
  /** The id of the channel. */
  @IsUUID('all', { message: 'Choose where it was sold.' }) channel!: string;
  @ReadsOneOf(PAID_BY, 'how it was paid') paidBy!: Typed<PaidBy>;
  @ReadsBy('readsDayColumn', (text) => column(text, true)) day!: Typed<number | null>;
  @ReadsBy('readsPieceColumn', (text) => column(text, true)) piece!: Typed<number | null>;
  @ReadsBy('readsPriceColumn', (text) => column(text, true)) price!: Typed<number | null>;
  @ReadsBy('readsOrderColumn', (text) => column(text, false)) order!: Typed<number | null>;
  @ReadsBy('readsBuyerColumn', (text) => column(text, false)) buyer!: Typed<number | null>;
}
