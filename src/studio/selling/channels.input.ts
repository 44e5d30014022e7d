import { IsBoolean } from 'class-validator';
import { CHANNEL_KINDS, FEE_BASES, type ChannelKind, type FeeBasis } from '@/core/selling/channel';
import { TAX_KINDS, TAX_ROUNDINGS, type TaxKind, type TaxRounding } from '@/core/selling/tax';
import type { BasisPoints } from '@/core/units/percent';
import { AFew, ReadsAmounts, ReadsMoney, ReadsName, ReadsOneOf, ReadsPercent } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** A way that pieces leave the studio for money, and what selling there costs. */
export class ChannelInput {
  @ReadsOneOf(CHANNEL_KINDS, 'what kind it is') kind!: Typed<ChannelKind>;
  @ReadsName('it a name') name!: string;
  @ReadsPercent(99) feePercent!: Typed<BasisPoints>;
  @ReadsOneOf(FEE_BASES, 'what the percentage is taken of') feeOn!: Typed<FeeBasis>;
  @ReadsMoney({ zero: true }) feeFixed!: Typed<Amount>;
  @ReadsMoney({ zero: true }) postageAsked!: Typed<Amount>;
  @ReadsMoney({ zero: true }) postage!: Typed<Amount>;
  @ReadsMoney({ zero: true }) packing!: Typed<Amount>;
  @ReadsOneOf(TAX_KINDS, 'how prices are taxed') taxKind!: Typed<TaxKind>;
  @ReadsPercent(100) taxPercent!: Typed<BasisPoints>;
  @ReadsOneOf(TAX_ROUNDINGS, 'where tax is rounded') taxRounding!: Typed<TaxRounding>;
  /** So much of the price on a tag is asked there. */
  @ReadsPercent(1000) pricePercent!: Typed<BasisPoints>;

  /** What prices there end in; none leaves them as they come. */
  @AFew(20, 'Give at most 20 endings.')
  @ReadsAmounts({ zero: true })
  endings!: Typed<Amount>[];

  /** Whether anything is sold there any more. */
  @IsBoolean() isOpen!: boolean;
}
