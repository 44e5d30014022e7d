import { IsBoolean } from 'class-validator';
import { ROUNDINGS, type Rounding } from '@/core/costing/rounding';
import { DAY_ORDERS, type DayOrder } from '@/core/calendar/day';
import { RING_SYSTEMS, type RingSystem } from '@/core/ring/ringSize';
import { SHEET_NAMES, type SheetName } from '@/core/paper/sheet';
import { NUMBER_WRITINGS, type NumberWriting } from '@/core/units/writing';
import { METAL_IDS } from '@/core/wire/metal';
import { refuse, ok } from '@/core/result';
import {
  Entries,
  ReadsBy,
  AFew,
  ReadsAmounts,
  ReadsLength,
  ReadsMoney,
  ReadsName,
  ReadsNumber,
  ReadsOneOf,
  ReadsPercent,
  ReadsText,
  ReadsWhole,
  ReadsZone,
} from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';
import type { BasisPoints } from '@/core/units/percent';
import type { LengthSystem, Micrometres } from '@/core/units/length';

/** The useful minimum off-cut of one metal or one wire. */
export class UsefulMinimumInput {
  @ReadsOneOf(['metal', 'spec'], 'a metal or a wire') scope!: Typed<'metal' | 'spec'>;

  @ReadsBy('readsScope', (text, { scope }: UsefulMinimumInput) =>
    scope === 'metal' && !METAL_IDS.some((id) => id === text)
      ? refuse(`Choose a metal: ${METAL_IDS.join(', ')}.`)
      : ok(text),
  )
  of!: string;

  @ReadsLength({ zero: true }) length!: Typed<Micrometres>;
}

/** The studio's rules. */
export class ChangeSettingsInput {
  @ReadsWhole(1, 1_000_000_000) version!: Typed<number>;
  @ReadsName('the studio a name') name!: string;
  @ReadsOneOf(['in', 'mm'], 'inches or millimetres') lengthSystem!: Typed<LengthSystem>;
  @ReadsZone() timeZone!: string;
  @ReadsOneOf(NUMBER_WRITINGS, 'how numbers are written') numbers!: Typed<NumberWriting>;
  @ReadsOneOf(DAY_ORDERS, 'what comes first in a date') days!: Typed<DayOrder>;
  @ReadsOneOf(RING_SYSTEMS, 'how rings are sized') rings!: Typed<RingSystem>;
  @ReadsOneOf(SHEET_NAMES, 'A4 or Letter') sheet!: Typed<SheetName>;
  /** Where the studio is, its tax number, line by line. */
  @ReadsText(400) letterhead!: string;
  /** Where it is paid. */
  @ReadsText(400) payTo!: string;
  @ReadsMoney({ zero: true }) hourlyRate!: Typed<Amount>;
  @ReadsMoney({ zero: true }) overheadPerHour!: Typed<Amount>;
  @ReadsMoney({ zero: true }) targetPerHour!: Typed<Amount>;
  @ReadsNumber(1, 50) materialsFactor!: Typed<number>;
  @ReadsPercent(99) targetMargin!: Typed<BasisPoints>;
  @ReadsPercent(99) feePercent!: Typed<BasisPoints>;
  @ReadsMoney({ zero: true }) feeFixed!: Typed<Amount>;
  @ReadsPercent(100) taxPercent!: Typed<BasisPoints>;
  @IsBoolean() taxIncluded!: boolean;
  @ReadsOneOf(['actual', 'replacement'], 'what prices are set on') priceFrom!: Typed<
    'actual' | 'replacement'
  >;
  @ReadsOneOf(ROUNDINGS, 'which way prices round') rounding!: Typed<Rounding>;

  @AFew(20, 'Give at most 20 endings.')
  @ReadsAmounts({ zero: true })
  priceEndings!: Typed<Amount>[];

  @ReadsLength({ zero: true }) usefulMinimum!: Typed<Micrometres>;

  @Entries(() => UsefulMinimumInput, 200, { most: 'Give at most 200 minimums.' })
  minimums!: UsefulMinimumInput[];
}
