import { IsOptional } from 'class-validator';
import { DAY_ORDERS, type DayOrder } from '@/core/calendar/day';
import { RING_SYSTEMS, type RingSystem } from '@/core/ring/ringSize';
import { SHEET_NAMES, type SheetName } from '@/core/paper/sheet';
import { NUMBER_WRITINGS, type NumberWriting } from '@/core/units/writing';
import { CURRENCIES } from '@/core/units/money';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsMoney, ReadsName, ReadsOneOf, ReadsSecret, ReadsZone } from '../kernel/rules';
import type { Amount, Typed } from '../kernel/typed';
import type { LengthSystem } from '@/core/units/length';

const MIN_PASSWORD = 10;
const MAX_PASSWORD = 200;

const ReadsPassword = () =>
  ReadsBy('readsPassword', (text) => {
    if (text.length < MIN_PASSWORD)
      return refuse(`A password has at least ${MIN_PASSWORD} characters; this has ${text.length}.`);
    return text.length <= MAX_PASSWORD
      ? ok(text)
      : refuse(`A password has at most ${MAX_PASSWORD} characters.`);
  });

const ReadsLogin = () =>
  ReadsBy('readsLogin', (text) =>
    /^[\p{L}\p{N}._@+-]{2,80}$/u.test(text.trim())
      ? ok(text.trim().toLowerCase())
      : refuse('A sign-in name has 2 to 80 letters, digits or . _ @ + - and no spaces.'),
  );

/** What the first visit asks. */
export class SetUpStudioInput {
  @ReadsName('the studio a name') studioName!: string;
  @ReadsName('your name') ownerName!: string;
  @ReadsLogin() login!: string;
  @ReadsPassword() password!: string;
  @ReadsOneOf(CURRENCIES.map(({ code }) => code), 'a currency') currency!: string;
  @ReadsOneOf(['in', 'mm'], 'inches or millimetres') lengthSystem!: Typed<LengthSystem>;
  /** As the browser says; universal time when it says none. */
  @IsOptional() @ReadsZone() timeZone?: string;
  /** How numbers, dates and ring sizes are written there, and what is printed on: as the browser says. */
  @IsOptional() @ReadsOneOf(NUMBER_WRITINGS, 'how numbers are written') numbers?: Typed<NumberWriting>;
  @IsOptional() @ReadsOneOf(DAY_ORDERS, 'what comes first in a date') days?: Typed<DayOrder>;
  @IsOptional() @ReadsOneOf(RING_SYSTEMS, 'how rings are sized') rings?: Typed<RingSystem>;
  @IsOptional() @ReadsOneOf(SHEET_NAMES, 'A4 or Letter') sheet?: Typed<SheetName>;
  @ReadsMoney({ zero: true }) hourlyRate!: Typed<Amount>;
  @ReadsMoney({ zero: true }) overheadPerHour!: Typed<Amount>;
}

export class SignInInput {
  @ReadsName('your sign-in name') login!: string;
  @ReadsSecret('your password', MAX_PASSWORD) password!: string;
}

export class ChangePasswordInput {
  @ReadsSecret('your present password', MAX_PASSWORD) present!: string;
  @ReadsPassword() next!: string;
}

export class AddHelperInput {
  @ReadsName('a name') name!: string;
  @ReadsLogin() login!: string;
  @ReadsPassword() password!: string;
}
