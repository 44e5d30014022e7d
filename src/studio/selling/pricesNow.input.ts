import { METAL_IDS, type MetalId } from '@/core/wire/metal';
import type { BasisPoints } from '@/core/units/percent';
import {
  Entries,
  ReadsMoney,
  ReadsMoneyOrNone,
  ReadsName,
  ReadsOneOf,
  ReadsPercent,
  ReadsTag,
  ReadsText,
} from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';

/** The most prices that are changed together. */
export const MOST_REPRICED = 500;

/** A piece, the price that its change was thought of at, and the price that it gets. */
export class RepricedPieceInput {
  @ReadsTag('piece') piece!: Typed<number>;
  /** Empty where it had none. */
  @ReadsMoneyOrNone({ zero: true }) from!: Typed<Amount | null>;
  @ReadsMoney() price!: Typed<Amount>;
}

/** Prices that are changed together. */
export class RepriceInput {
  @Entries(() => RepricedPieceInput, MOST_REPRICED, {
    most: `At most ${MOST_REPRICED} prices are changed together.`,
    least: 'Choose a piece first.',
  })
  pieces!: RepricedPieceInput[];
}

/** The most that something is supposed to become, as a part of what it is today. */
export const MOST_SUPPOSED = 1000;

/** A metal, and what its price is supposed to become. */
export class SupposedMetalInput {
  @ReadsOneOf(METAL_IDS, 'a metal') metal!: Typed<MetalId>;
  @ReadsPercent(MOST_SUPPOSED) part!: Typed<BasisPoints>;
}

/** What is supposed of prices and rates: parts of what is so today. */
export class ScenarioInput {
  @ReadsName('it a name') name!: string;
  @Entries(() => SupposedMetalInput, METAL_IDS.length, { most: 'Every metal is supposed once.' })
  metals!: SupposedMetalInput[];

  @ReadsPercent(MOST_SUPPOSED) stones!: Typed<BasisPoints>;
  @ReadsPercent(MOST_SUPPOSED) minutes!: Typed<BasisPoints>;
  /** A step of the work by its name, and what of its minutes it is supposed to take; empty where none is. */
  @ReadsText(200) step!: string;
  @ReadsPercent(MOST_SUPPOSED) stepPart!: Typed<BasisPoints>;
  @ReadsPercent(MOST_SUPPOSED) prices!: Typed<BasisPoints>;
  @ReadsMoney({ zero: true }) hourlyRate!: Typed<Amount>;
  @ReadsMoney({ zero: true }) overheadPerHour!: Typed<Amount>;
  @ReadsPercent(99) feePercent!: Typed<BasisPoints>;
}
