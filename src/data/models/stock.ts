import {
  DataTypes,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { MovementKind } from '@/core/stock/movement';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';
import { id, json, keyId, maybe, moment, number, serial, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** Where in the studio something is kept: a drawer, a peg, a tin. */
export class Place extends StudioModel<InferAttributes<Place>, InferCreationAttributes<Place>> {
  declare placeId: string;
  declare name: string;
  /** The order in which one goes round when counting. */
  declare position: number;
}

/** A kind of empty spool, with what it weighs. */
export class SpoolType extends StudioModel<InferAttributes<SpoolType>, InferCreationAttributes<SpoolType>> {
  declare spoolTypeId: string;
  declare name: string;
  declare emptyMassUg: Micrograms;
}

/** What something in stock is: a wire, a kind of bead, a stone, a finding, a supply, a metal's scrap. */
export class Article extends StudioModel<InferAttributes<Article>, InferCreationAttributes<Article>> {
  declare articleId: string;
  declare ware: Ware;
  declare name: string;
  /** How it is said, lower case, for finding it by words. */
  declare said: string;
  /** Equal for the same stock only, whatever order it is kept in. */
  declare identity: string;
  /** Sorts as the stock is kept. */
  declare sortKey: string;
  declare minimumBy: CreationOptional<'none' | 'typed' | 'use'>;
  declare minimum: CreationOptional<number>;
  declare soldBy: CreationOptional<number>;
  declare priceBy: CreationOptional<'paid' | 'typed' | 'spot'>;
  /** Basis points over the metal's price. */
  declare premium: CreationOptional<number>;
  declare fabricationPerMetre: CreationOptional<MinorUnits>;
  declare version: CreationOptional<number>;
  declare photoId: CreationOptional<string | null>;
}

/** One kind of wire: same metal, profile, size, temper and finish. Never changed once written. */
export class WireSpecRow extends StudioModel<
  InferAttributes<WireSpecRow>,
  InferCreationAttributes<WireSpecRow>
> {
  /** The same as its article's. */
  declare specId: string;
  declare metal: MetalId;
  declare profile: Profile;
  declare widthUm: Micrometres;
  declare heightUm: Micrometres;
  /** Turns per metre of twisted stock; 0 for the rest. */
  declare twist: number;
  declare temper: Temper;
  declare finish: Finish;
  declare finishName: string;
  declare gaugeSystem: GaugeSystem;
  declare gaugeNumber: string;
}

/** One physical thing in stock with what is left of it and of its cost. */
export class StockPiece extends StudioModel<
  InferAttributes<StockPiece>,
  InferCreationAttributes<StockPiece>
> {
  declare stockPieceId: string;
  declare ware: Ware;
  declare number: number;
  declare articleId: string;
  declare lotId: string | null;
  declare form: StockForm;
  /** In the ware's unit: µm of wire, single things, thousandths of a supply's unit, µg of scrap. */
  declare initialQuantity: number;
  declare quantity: number;
  declare costUnits: CostUnits;
  declare sortKey: string;
  declare placeId: string | null;
  declare spoolTypeId: CreationOptional<string | null>;
  declare emptyMassUg: CreationOptional<Micrograms | null>;
  declare note: CreationOptional<string>;
  declare version: CreationOptional<number>;
  /** Shade groups of a strand, light to dark. */
  declare shades: CreationOptional<readonly ShadeGroup[]>;
  declare createdAt: Date;
}

/** One change of one stock piece. Never changed, never taken away. */
export class Movement extends StudioModel<InferAttributes<Movement>, InferCreationAttributes<Movement>> {
  declare movementId: CreationOptional<number>;
  declare postKey: string;
  declare happenedAt: Date;
  declare userId: string;
  declare kind: MovementKind;
  declare stockPieceId: string;
  /** What the stock piece was at the time. */
  declare articleId: string;
  /** Signed: what the stock piece gained. */
  declare quantity: number;
  declare costUnits: CostUnits;
  declare reason: string;
  declare lotId: string | null;
  declare pieceId: string | null;
  /** The batch that it was done for. */
  declare batchId: string | null;
  /** The movement that this one undoes. */
  declare reverses: number | null;
}

/** One reading taken of a spool. Never changed. */
export class Weighing extends StudioModel<InferAttributes<Weighing>, InferCreationAttributes<Weighing>> {
  declare weighingId: CreationOptional<number>;
  declare postKey: string;
  declare stockPieceId: string;
  declare weighedAt: Date;
  declare userId: string;
  declare grossUg: Micrograms;
  declare emptyUg: Micrograms;
  declare resolutionUg: Micrograms;
  declare beforeUm: Micrometres;
  declare afterUm: Micrometres;
  declare uncertaintyUm: Micrometres;
  /** What spoke against the reading, and why it was taken nevertheless. */
  declare warning: string;
  declare overrideReason: string;
}

export function initStockModels(sequelize: Sequelize): void {
  tieTable(sequelize, Place, 'places', { placeId: keyId(), name: text(), position: number() });
  tieTable(sequelize, SpoolType, 'spool_types', { spoolTypeId: keyId(), name: text(), emptyMassUg: whole() });
  tieTable(sequelize, Article, 'articles', {
    articleId: keyId(),
    ware: text(),
    name: text(),
    said: text(),
    identity: text(),
    sortKey: text(),
    minimumBy: { ...text(), defaultValue: 'none' },
    minimum: { ...whole(), defaultValue: 0 },
    soldBy: { ...whole(), defaultValue: 0 },
    priceBy: { ...text(), defaultValue: 'paid' },
    premium: { ...number(), defaultValue: 0 },
    fabricationPerMetre: { ...whole(), defaultValue: 0 },
    version: { ...number(), defaultValue: 1 },
    photoId: maybe(id()),
  });
  tieTable(sequelize, WireSpecRow, 'wire_specs', {
    specId: keyId(),
    metal: text(),
    profile: text(),
    widthUm: number(),
    heightUm: number(),
    twist: number(),
    temper: text(),
    finish: text(),
    finishName: text(),
    gaugeSystem: text(),
    gaugeNumber: text(),
  });
  tieTable(sequelize, StockPiece, 'stock_pieces', {
    stockPieceId: keyId(),
    ware: text(),
    number: number(),
    articleId: id(),
    lotId: maybe(id()),
    form: text(),
    initialQuantity: whole(),
    quantity: whole(),
    costUnits: whole(),
    sortKey: text(),
    placeId: maybe(id()),
    spoolTypeId: maybe(id()),
    emptyMassUg: maybe(whole()),
    note: { ...text(), defaultValue: '' },
    version: { ...number(), defaultValue: 1 },
    shades: { ...json(), defaultValue: [] },
    createdAt: moment(),
  });
  tieTable(sequelize, Movement, 'movements', {
    movementId: serial(),
    postKey: id(),
    happenedAt: moment(),
    userId: id(),
    kind: text(),
    stockPieceId: id(),
    articleId: id(),
    quantity: whole(),
    costUnits: whole(),
    reason: text(),
    lotId: maybe(id()),
    pieceId: maybe(id()),
    batchId: maybe(id()),
    reverses: maybe({ type: DataTypes.BIGINT }),
  });
  tieTable(sequelize, Weighing, 'weighings', {
    weighingId: serial(),
    postKey: id(),
    stockPieceId: id(),
    weighedAt: moment(),
    userId: id(),
    grossUg: whole(),
    emptyUg: whole(),
    resolutionUg: whole(),
    beforeUm: whole(),
    afterUm: whole(),
    uncertaintyUm: whole(),
    warning: text(),
    overrideReason: text(),
  });
}
