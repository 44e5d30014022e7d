import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, ValidateNested } from 'class-validator';
import { ROUNDINGS } from '@/core/costing/rounding';
import { DAY_ORDERS } from '@/core/calendar/day';
import { RING_SYSTEMS } from '@/core/ring/ringSize';
import { SHEET_NAMES } from '@/core/paper/sheet';
import { NUMBER_WRITINGS } from '@/core/units/writing';
import { METAL_IDS } from '@/core/wire/metal';
import { refuse, ok } from '@/core/result';
import {
  ReadsBy,
  ReadsLength,
  ReadsMoney,
  ReadsName,
  ReadsNumber,
  ReadsOneOf,
  ReadsPercent,
  ReadsWhole,
  ReadsZone,
} from '../kernel/rules';

/** The useful minimum off-cut of one metal or one wire. */
export class UsefulMinimumInput {
  @ReadsOneOf(['metal', 'spec'], 'a metal or a wire') scope!: string;

  @ReadsBy<UsefulMinimumInput>('readsScope', (text, { scope }) =>
    scope === 'metal' && !METAL_IDS.some((id) => id === text)
      ? refuse(`Choose a metal: ${METAL_IDS.join(', ')}.`)
      : ok(text),
  )
  of!: string;

  @ReadsLength({ zero: true }) length!: string;
}

/** The studio's rules. */
export class ChangeSettingsInput {
  @ReadsWhole(1, 1_000_000_000) version!: string;
  @ReadsName('the studio a name') name!: string;
  @ReadsOneOf(['in', 'mm'], 'inches or millimetres') lengthSystem!: string;
  @ReadsZone() timeZone!: string;
  @ReadsOneOf(NUMBER_WRITINGS, 'how numbers are written') numbers!: string;
  @ReadsOneOf(DAY_ORDERS, 'what comes first in a date') days!: string;
  @ReadsOneOf(RING_SYSTEMS, 'how rings are sized') rings!: string;
  @ReadsOneOf(SHEET_NAMES, 'A4 or Letter') sheet!: string;
  @ReadsMoney({ zero: true }) hourlyRate!: string;
  @ReadsMoney({ zero: true }) overheadPerHour!: string;
  @ReadsMoney({ zero: true }) targetPerHour!: string;
  @ReadsNumber(1, 50) materialsFactor!: string;
  @ReadsPercent(99) targetMargin!: string;
  @ReadsPercent(99) feePercent!: string;
  @ReadsMoney({ zero: true }) feeFixed!: string;
  @ReadsPercent(100) taxPercent!: string;
  @IsBoolean() taxIncluded!: boolean;
  @ReadsOneOf(['actual', 'replacement'], 'what prices are set on') priceFrom!: string;
  @ReadsOneOf(ROUNDINGS, 'which way prices round') rounding!: string;

  @IsArray()
  @ArrayMaxSize(20, { message: 'Give at most 20 endings.' })
  @ReadsMoney({ zero: true, each: true })
  priceEndings!: string[];

  @ReadsLength({ zero: true }) usefulMinimum!: string;

  @IsArray()
  @ArrayMaxSize(200, { message: 'Give at most 200 minimums.' })
  @ValidateNested({ each: true })
  @Type(() => UsefulMinimumInput)
  minimums!: UsefulMinimumInput[];
}
