import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { PatternBody, PatternKind } from '@/core/pattern/pattern';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { fraction, id, json, keyId, keyNumber, maybe, moment, number, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** A pattern as it is listed; what it says is in its revisions. */
export class Pattern extends StudioModel<InferAttributes<Pattern>, InferCreationAttributes<Pattern>> {
  declare patternId: string;
  declare number: number;
  /** The newest revision. */
  declare revision: number;
  declare name: string;
  declare kind: PatternKind;
  declare createdAt: Date;
}

/** What a pattern said at one time. A finished piece keeps the revision it was made from. */
export class PatternRevision extends StudioModel<
  InferAttributes<PatternRevision>,
  InferCreationAttributes<PatternRevision>
> {
  declare patternId: string;
  declare revision: number;
  declare body: PatternBody;
  declare userId: string;
  declare writtenAt: Date;
}

/** One finished, numbered object with what it took. */
export class Piece extends StudioModel<InferAttributes<Piece>, InferCreationAttributes<Piece>> {
  declare pieceId: string;
  declare number: number;
  declare patternId: string;
  declare revision: number;
  declare name: string;
  declare kind: PatternKind;
  /** The ring size that it was made in, as it is said; empty for what has none. */
  declare size: CreationOptional<string>;
  declare userId: string;
  declare madeAt: Date;
  declare wireCost: CostUnits;
  declare wireReplacement: CostUnits;
  declare scrapCost: CostUnits;
  declare scrapReplacement: CostUnits;
  declare spoilageCost: CostUnits;
  declare spoilageReplacement: CostUnits;
  declare partsCost: CostUnits;
  /** Of it, what was paid for beads, stones and findings that left the drawers. */
  declare partsTaken: CreationOptional<CostUnits>;
  declare minutes: number;
  declare setUpMinutes: number;
  declare sharedBy: number;
  /** Rates as they were when it was made. */
  declare hourlyRate: MinorUnits;
  declare overheadPerHour: MinorUnits;
  /** Wire that is in the piece, by computation. */
  declare wireMassUg: Micrograms;
  declare goingPrice: MinorUnits | null;
  declare school: string | null;
  declare price: MinorUnits | null;
  declare version: CreationOptional<number>;
  /** When its making was taken back: then it never was. */
  declare struckAt: CreationOptional<Date | null>;
  /** Supplies that every piece uses up, at what they cost and at today's price. */
  declare suppliesCost: CreationOptional<CostUnits>;
  declare suppliesReplacement: CreationOptional<CostUnits>;
  /** The findings it became, when it went into the drawers; null for what stands on the shelf. */
  declare drawerStockId: CreationOptional<string | null>;
}

export function initMakingModels(sequelize: Sequelize): void {
  tieTable(sequelize, Pattern, 'patterns', {
    patternId: keyId(),
    number: number(),
    revision: number(),
    name: text(),
    kind: text(),
    createdAt: moment(),
  });
  tieTable(sequelize, PatternRevision, 'pattern_revisions', {
    patternId: keyId(),
    revision: keyNumber(),
    body: json(),
    userId: id(),
    writtenAt: moment(),
  });
  tieTable(sequelize, Piece, 'pieces', {
    pieceId: keyId(),
    number: number(),
    patternId: id(),
    revision: number(),
    name: text(),
    kind: text(),
    size: { ...text(), defaultValue: '' },
    userId: id(),
    madeAt: moment(),
    wireCost: whole(),
    wireReplacement: whole(),
    scrapCost: whole(),
    scrapReplacement: whole(),
    spoilageCost: whole(),
    spoilageReplacement: whole(),
    partsCost: whole(),
    partsTaken: { ...whole(), defaultValue: 0 },
    minutes: fraction(),
    setUpMinutes: fraction(),
    sharedBy: number(),
    hourlyRate: whole(),
    overheadPerHour: whole(),
    wireMassUg: whole(),
    goingPrice: maybe(whole()),
    school: maybe(text()),
    price: maybe(whole()),
    version: { ...number(), defaultValue: 1 },
    drawerStockId: maybe(id()),
    struckAt: maybe(moment()),
    suppliesCost: { ...whole(), defaultValue: 0 },
    suppliesReplacement: { ...whole(), defaultValue: 0 },
  });
}
