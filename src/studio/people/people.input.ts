import { IsOptional } from 'class-validator';
import { DAY_ORDERS } from '@/core/calendar/day';
import { RING_SYSTEMS } from '@/core/ring/ringSize';
import { SHEET_NAMES } from '@/core/paper/sheet';
import { NUMBER_WRITINGS } from '@/core/units/writing';
import { CURRENCIES } from '@/core/units/money';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsMoney, ReadsName, ReadsOneOf, ReadsZone } from '../kernel/rules';

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
      ? ok(text)
      : refuse('A sign-in name has 2 to 80 letters, digits or . _ @ + - and no spaces.'),
  );

/** What the first visit asks. */
export class SetUpStudioInput {
  @ReadsName('the studio a name') studioName!: string;
  @ReadsName('your name') ownerName!: string;
  @ReadsLogin() login!: string;
  @ReadsPassword() password!: string;
  @ReadsOneOf(CURRENCIES.map(({ code }) => code), 'a currency') currency!: string;
  @ReadsOneOf(['in', 'mm'], 'inches or millimetres') lengthSystem!: string;
  /** As the browser says; universal time when it says none. */
  @IsOptional() @ReadsZone() timeZone?: string;
  /** How numbers, dates and ring sizes are written there, and what is printed on: as the browser says. */
  @IsOptional() @ReadsOneOf(NUMBER_WRITINGS, 'how numbers are written') numbers?: string;
  @IsOptional() @ReadsOneOf(DAY_ORDERS, 'what comes first in a date') days?: string;
  @IsOptional() @ReadsOneOf(RING_SYSTEMS, 'how rings are sized') rings?: string;
  @IsOptional() @ReadsOneOf(SHEET_NAMES, 'A4 or Letter') sheet?: string;
  @ReadsMoney({ zero: true }) hourlyRate!: string;
  @ReadsMoney({ zero: true }) overheadPerHour!: string;
}

export class SignInInput {
  @ReadsName('your sign-in name') login!: string;
  @ReadsName('your password', MAX_PASSWORD) password!: string;
}

export class ChangePasswordInput {
  @ReadsName('your present password', MAX_PASSWORD) present!: string;
  @ReadsPassword() next!: string;
}

export class AddHelperInput {
  @ReadsName('a name') name!: string;
  @ReadsLogin() login!: string;
  @ReadsPassword() password!: string;
}
