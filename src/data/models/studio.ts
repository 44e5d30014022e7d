import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { DayOrder } from '@/core/calendar/day';
import type { Rounding } from '@/core/costing/rounding';
import type { SheetName } from '@/core/paper/sheet';
import type { RingSystem } from '@/core/ring/ringSize';
import type { LengthSystem, Micrometres } from '@/core/units/length';
import type { MinorUnits } from '@/core/units/money';
import type { BasisPoints } from '@/core/units/percent';
import type { NumberWriting } from '@/core/units/writing';
import { flag, id, json, keyId, keyText, maybe, moment, number, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** A studio with its settings. */
export class Studio extends StudioModel<InferAttributes<Studio>, InferCreationAttributes<Studio>> {
  declare name: string;
  declare currency: string;
  declare lengthSystem: LengthSystem;
  /** Where it is, an IANA time zone. */
  declare timeZone: CreationOptional<string>;
  declare numbers: CreationOptional<NumberWriting>;
  /** What comes first in a date. */
  declare days: CreationOptional<DayOrder>;
  /** How a ring size is meant that does not say. */
  declare rings: CreationOptional<RingSystem>;
  /** What papers are printed on. */
  declare sheet: CreationOptional<SheetName>;
  declare hourlyRate: MinorUnits;
  declare overheadPerHour: MinorUnits;
  declare targetPerHour: MinorUnits;
  /** Hundredths: 400 is ×4. */
  declare materialsFactor: number;
  declare targetMargin: BasisPoints;
  declare feePercent: BasisPoints;
  declare feeFixed: MinorUnits;
  declare taxPercent: BasisPoints;
  declare taxIncluded: boolean;
  declare priceFrom: 'actual' | 'replacement';
  declare priceEndings: MinorUnits[];
  declare rounding: Rounding;
  declare usefulMinimumUm: Micrometres;
  declare version: CreationOptional<number>;
  declare createdAt: Date;
}

/** The useful minimum of one metal or spec, where it differs from the studio's. */
export class UsefulMinimum extends StudioModel<
  InferAttributes<UsefulMinimum>,
  InferCreationAttributes<UsefulMinimum>
> {
  declare scope: 'metal' | 'spec';
  declare of: string;
  declare lengthUm: Micrometres;
}

/** Somebody who signs in. */
export class User extends StudioModel<InferAttributes<User>, InferCreationAttributes<User>> {
  declare userId: string;
  declare login: string;
  declare name: string;
  declare role: 'owner' | 'helper';
  declare passwordHash: string;
  /** Raised when the password changes: sessions of an older epoch have ended. */
  declare sessionEpoch: CreationOptional<number>;
  declare active: CreationOptional<boolean>;
  declare createdAt: Date;
}

/** What a program signs in with; the token itself is shown once and never kept. */
export class Token extends StudioModel<InferAttributes<Token>, InferCreationAttributes<Token>> {
  declare tokenId: string;
  declare name: string;
  declare role: 'owner' | 'helper';
  declare hash: string;
  declare madeBy: string;
  declare madeAt: Date;
  declare revokedAt: CreationOptional<Date | null>;
}

/** A submitted form: posted at most once under its key. */
export class Post extends StudioModel<InferAttributes<Post>, InferCreationAttributes<Post>> {
  declare postKey: string;
  declare useCase: string;
  declare userId: string;
  declare postedAt: Date;
  declare outcome: unknown;
}

/** What the studio has of a device. */
export class DeviceRow extends StudioModel<InferAttributes<DeviceRow>, InferCreationAttributes<DeviceRow>> {
  declare device: string;
  declare kind: string;
  /** Where it answers; empty for the other kinds. */
  declare address: CreationOptional<string>;
}

export function initStudioModels(sequelize: Sequelize): void {
  tieTable(sequelize, Studio, 'studios', {
    name: text(),
    currency: text(),
    lengthSystem: text(),
    timeZone: { ...text(), defaultValue: 'UTC' },
    numbers: { ...text(), defaultValue: 'point' },
    days: { ...text(), defaultValue: 'day' },
    rings: { ...text(), defaultValue: 'US' },
    sheet: { ...text(), defaultValue: 'A4' },
    hourlyRate: whole(),
    overheadPerHour: whole(),
    targetPerHour: whole(),
    materialsFactor: number(),
    targetMargin: number(),
    feePercent: number(),
    feeFixed: whole(),
    taxPercent: number(),
    taxIncluded: flag(),
    priceFrom: text(),
    priceEndings: json(),
    rounding: text(),
    usefulMinimumUm: whole(),
    version: { ...number(), defaultValue: 1 },
    createdAt: moment(),
  });
  tieTable(sequelize, UsefulMinimum, 'useful_minimums', {
    scope: keyText(),
    of: keyText(),
    lengthUm: whole(),
  });
  tieTable(sequelize, User, 'users', {
    userId: keyId(),
    login: text(),
    name: text(),
    role: text(),
    passwordHash: text(),
    sessionEpoch: { ...number(), defaultValue: 1 },
    active: { ...flag(), defaultValue: true },
    createdAt: moment(),
  });
  tieTable(sequelize, Token, 'tokens', {
    tokenId: keyId(),
    name: text(),
    role: text(),
    hash: text(),
    madeBy: id(),
    madeAt: moment(),
    revokedAt: maybe(moment()),
  });
  tieTable(sequelize, Post, 'posts', {
    postKey: keyId(),
    useCase: text(),
    userId: id(),
    postedAt: moment(),
    outcome: json(),
  });
  tieTable(sequelize, DeviceRow, 'devices', {
    device: keyText(),
    kind: text(),
    address: { ...text(), defaultValue: '' },
  });
}
