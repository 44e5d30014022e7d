import type { Checks } from '@/core/bench/checks';
import type { Round } from '@/core/bench/rounds';
import type { DayOrder } from '@/core/calendar/day';
import type { Rounding } from '@/core/costing/rounding';
import type { SheetName } from '@/core/paper/sheet';
import type { RingSystem } from '@/core/ring/ringSize';
import type { LengthSystem, Micrometres } from '@/core/units/length';
import type { MinorUnits } from '@/core/units/money';
import type { BasisPoints } from '@/core/units/percent';
import type { NumberWriting } from '@/core/units/writing';
import { big, bool, byDefault, instant, int, json, key, maybe, text, uuid } from '../columns';
import { belongsTo, table } from '../table';

/** A studio with its settings. */
export const Studio = table('studios', {
  name: text(),
  currency: text(),
  lengthSystem: text<LengthSystem>(),
  /** Where it is, an IANA time zone. */
  timeZone: byDefault(text(), 'UTC'),
  numbers: byDefault(text<NumberWriting>(), 'point'),
  /** What comes first in a date. */
  days: byDefault(text<DayOrder>(), 'day'),
  /** How a ring size is meant that does not say. */
  rings: byDefault(text<RingSystem>(), 'US'),
  /** Under its name on papers that go out: where it is, its tax number. */
  letterhead: byDefault(text(), ''),
  /** Where it is paid, at the foot of invoices. */
  payTo: byDefault(text(), ''),
  /** What papers are printed on. */
  sheet: byDefault(text<SheetName>(), 'A4'),
  hourlyRate: big<MinorUnits>(),
  overheadPerHour: big<MinorUnits>(),
  targetPerHour: big<MinorUnits>(),
  /** Hundredths: 400 is ×4. */
  materialsFactor: int(),
  targetMargin: int<BasisPoints>(),
  feePercent: int<BasisPoints>(),
  feeFixed: big<MinorUnits>(),
  taxPercent: int<BasisPoints>(),
  taxIncluded: bool(),
  priceFrom: text<'actual' | 'replacement'>(),
  priceEndings: json<MinorUnits[]>(),
  rounding: text<Rounding>(),
  usefulMinimumUm: big<Micrometres>(),
  /** What finished pieces of each kind are looked at for, where the studio has written it. */
  checks: byDefault(json<Checks>(), {}),
  /** What it bends wire round. */
  rounds: byDefault(json<readonly Round[]>(), []),
  version: byDefault(int(), 1),
  createdAt: instant(),
});

/** The useful minimum of one metal or spec, where it differs from the studio's. */
export const UsefulMinimum = table('useful_minimums', {
  scope: key(text<'metal' | 'spec'>()),
  of: key(text()),
  lengthUm: big<Micrometres>(),
});

/** Somebody who signs in. */
export const User = table('users', {
  userId: key(uuid<'user'>()),
  login: text(),
  name: text(),
  role: text<'owner' | 'helper'>(),
  passwordHash: text(),
  /** Raised when the password changes: sessions of an older epoch have ended. */
  sessionEpoch: byDefault(int(), 1),
  active: byDefault(bool(), true),
  createdAt: instant(),
});

/** What a program signs in with; the token itself is shown once and never kept. */
export const Token = table(
  'tokens',
  {
    tokenId: key(uuid<'token'>()),
    name: text(),
    role: text<'owner' | 'helper'>(),
    hash: text(),
    madeBy: uuid<'user'>(),
    madeAt: instant(),
    revokedAt: byDefault(maybe(instant()), null),
  },
  {
    maker: belongsTo(User, 'madeBy'),
  },
);

/** A submitted form: posted at most once under its key. */
export const Post = table(
  'posts',
  {
    postKey: key(uuid<'post'>()),
    useCase: text(),
    userId: uuid<'user'>(),
    postedAt: instant(),
    outcome: json<unknown>(),
  },
  {
    user: belongsTo(User, 'userId'),
  },
);

/** What the studio has of a device. */
export const DeviceRow = table('devices', {
  device: key(text()),
  kind: text(),
  /** Where it answers; empty for the other kinds. */
  address: byDefault(text(), ''),
});
