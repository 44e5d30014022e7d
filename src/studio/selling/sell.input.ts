import { IsBoolean, IsUUID } from 'class-validator';
import { ok, refuse, type Result } from '@/core/result';
import { PAID_BY, type PaidBy } from '@/core/selling/sale';
import type { Discount } from '@/core/selling/discount';
import type { MinorUnits } from '@/core/units/money';
import { parsePercent, type BasisPoints } from '@/core/units/percent';
import {
  Entries,
  onlyIf,
  readAmount,
  ReadsBy,
  ReadsMoney,
  ReadsMoneyOrNone,
  ReadsOneOf,
  ReadsPastDay,
  ReadsTag,
  ReadsText,
} from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** The most pieces of one sale. */
export const MOST_SOLD = 200;

/** What is let go of the prices on the tags. */
export const LET_GO = ['nothing', 'a part', 'an amount', 'one price'] as const;
export type LetGo = (typeof LET_GO)[number];

/** How much of them: a percentage, or an amount. */
export type Off = { readonly percent: BasisPoints } | { readonly amount: Amount };

const readOff = (text: string, letGo: string): Result<Off | null> => {
  if (letGo === 'a part') {
    const percent = parsePercent(text, 100);
    return percent.ok ? ok({ percent: percent.value }) : percent;
  }
  return onlyIf(letGo !== 'nothing', () => {
    if (text.trim() === '') return refuse('Give an amount.');
    const amount = readAmount(text, { zero: true });
    return amount.ok ? ok({ amount: amount.value }) : amount;
  });
};

/**
 * What is let go, as the arithmetic of sales has it.
 * @param inOurs an amount in the currency that the tags are in
 */
export function discountOf(
  { letGo, off }: { readonly letGo?: LetGo; readonly off?: Off | null },
  inOurs: (amount: Amount) => MinorUnits,
): Discount {
  if (!off) return { kind: 'none' };
  if ('percent' in off) return { kind: 'part', percent: off.percent };
  const amount = inOurs(off.amount);
  return letGo === 'an amount' ? { kind: 'amount', off: amount } : { kind: 'together', price: amount };
}

/** A piece that is sold, and the price on its tag. */
export class SoldPieceInput {
  @ReadsTag('piece') piece!: Typed<number>;
  @ReadsMoney({ zero: true }) asked!: Typed<Amount>;
}

/** Pieces that are sold together. */
export class SellInput {
  /** The id of the channel. */
  @IsUUID('all', { message: 'Choose where it is sold.' }) channel!: string;
  @ReadsPastDay() soldOn!: string;

  @Entries(() => SoldPieceInput, MOST_SOLD, {
    most: `At most ${MOST_SOLD} pieces are sold together.`,
    least: 'Choose a piece first.',
  })
  pieces!: SoldPieceInput[];

  @ReadsOneOf(LET_GO, 'what is let go') letGo!: Typed<LetGo>;
  @ReadsBy('readsOff', (text, { letGo }: SellInput) => readOff(text, letGo)) off!: Typed<Off | null>;
  @ReadsOneOf(PAID_BY, 'how it is paid') paidBy!: Typed<PaidBy>;
  /** Cash that was handed over. */
  @ReadsMoneyOrNone({ zero: true }) given!: Typed<Amount | null>;
  @ReadsText(120) buyer!: string;
  @ReadsText(500) note!: string;
}

/** A piece that comes back. */
export class ReturnedPieceInput {
  @ReadsTag('piece') piece!: Typed<number>;
}

/** What comes back of a sale, and is paid back. */
export class ReturnInput {
  @Entries(() => ReturnedPieceInput, MOST_SOLD, {
    most: `At most ${MOST_SOLD} pieces were sold together.`,
    least: 'Choose what comes back.',
  })
  pieces!: ReturnedPieceInput[];

  @ReadsPastDay() soldOn!: string;
  @ReadsOneOf(PAID_BY, 'how it is paid back') paidBy!: Typed<PaidBy>;
  /** Whether the channel keeps its fees all the same. */
  @IsBoolean() keepsFees!: boolean;
  @ReadsText(500) note!: string;
}
