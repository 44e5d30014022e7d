import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { ShadeGroup } from '@/core/bead/symmetricalSet';
import type { CostIs } from '@/core/stock/costIs';
import type { SharedBy } from '@/core/stock/delivery';
import type { MovementKind } from '@/core/stock/movement';
import type { StockForm, Ware } from '@/core/stock/ware';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';
import { day, id, json, keyId, maybe, moment, number, text, whole } from './columns';

/** Where stock is bought. */
export class Supplier extends Model<InferAttributes<Supplier>, InferCreationAttributes<Supplier>> {
  declare studioId: string;
  declare supplierId: string;
  declare name: string;
}

/** Where in the studio something is kept: a drawer, a peg, a tin. */
export class Place extends Model<InferAttributes<Place>, InferCreationAttributes<Place>> {
  declare studioId: string;
  declare placeId: string;
  declare name: string;
  /** The order in which one goes round when counting. */
  declare position: number;
}

/** A kind of empty spool, with what it weighs. */
export class SpoolType extends Model<InferAttributes<SpoolType>, InferCreationAttributes<SpoolType>> {
  declare studioId: string;
  declare spoolTypeId: string;
  declare name: string;
  declare emptyMassUg: Micrograms;
}

/** What something in stock is: a wire, a kind of bead, a stone, a finding, a supply, a metal's scrap. */
export class Article extends Model<InferAttributes<Article>, InferCreationAttributes<Article>> {
  declare studioId: string;
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
export class WireSpecRow extends Model<InferAttributes<WireSpecRow>, InferCreationAttributes<WireSpecRow>> {
  declare studioId: string;
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

/** Several purchases that came together. */
export class Delivery extends Model<InferAttributes<Delivery>, InferCreationAttributes<Delivery>> {
  declare studioId: string;
  declare deliveryId: string;
  declare number: number;
  declare supplierId: string | null;
  declare boughtOn: string;
  declare note: string;
  /** Of the invoice, with postage and tax in its minor units. */
  declare currency: string;
  declare postage: MinorUnits;
  declare tax: MinorUnits;
  declare sharedBy: SharedBy;
  declare postKey: string;
  declare userId: string;
  declare receivedAt: Date;
}

/** One purchase. */
export class Lot extends Model<InferAttributes<Lot>, InferCreationAttributes<Lot>> {
  declare studioId: string;
  declare lotId: string;
  declare articleId: string;
  declare supplierId: string | null;
  /** Calendar day, ISO. */
  declare boughtOn: string;
  /** The label wire was bought under. */
  declare gaugeSystem: GaugeSystem | null;
  declare gaugeNumber: string | null;
  declare quantity: number;
  declare massUg: Micrograms | null;
  /** In the studio's currency. */
  declare price: MinorUnits;
  /** As it was paid, in the currency of the purchase. */
  declare paid: MinorUnits;
  declare paidCurrency: string;
  /** What stands on the invoice. */
  declare note: string;
  /** Whether the price was paid, is an estimate for old stock, or is nothing, for a gift. */
  declare costIs: CreationOptional<CostIs>;
  /** The delivery it came with, and as which line; null when it came by itself. */
  declare deliveryId: CreationOptional<string | null>;
  declare deliveryLine: CreationOptional<number | null>;
  /** What of the price is its share of the delivery's postage and tax, in the currency of the purchase. */
  declare postageShare: CreationOptional<MinorUnits>;
  declare taxShare: CreationOptional<MinorUnits>;
  declare createdAt: Date;
}

/** One physical thing in stock with what is left of it and of its cost. */
export class StockPiece extends Model<InferAttributes<StockPiece>, InferCreationAttributes<StockPiece>> {
  declare studioId: string;
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
export class Movement extends Model<InferAttributes<Movement>, InferCreationAttributes<Movement>> {
  declare studioId: string;
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
export class Weighing extends Model<InferAttributes<Weighing>, InferCreationAttributes<Weighing>> {
  declare studioId: string;
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

/** A price of a pure metal on a day, in minor units of the studio's currency for a kilogram. */
export class MetalPrice extends Model<InferAttributes<MetalPrice>, InferCreationAttributes<MetalPrice>> {
  declare studioId: string;
  declare metal: string;
  declare day: string;
  declare perKilogram: MinorUnits;
  declare fetchedAt: Date;
}

/** A replacement price that somebody typed. Never changed. */
export class TypedPrice extends Model<InferAttributes<TypedPrice>, InferCreationAttributes<TypedPrice>> {
  declare studioId: string;
  declare typedPriceId: CreationOptional<number>;
  declare articleId: string;
  declare typedAt: Date;
  declare userId: string;
  declare price: MinorUnits;
  declare quantity: number;
}

/** Scrap that went to a refiner, and what came back for it. Never changed. */
export class Refining extends Model<InferAttributes<Refining>, InferCreationAttributes<Refining>> {
  declare studioId: string;
  declare refiningId: string;
  declare postKey: string;
  declare stockPieceId: string;
  declare sentOn: string;
  declare refiner: string;
  declare massUg: Micrograms;
  declare proceeds: MinorUnits;
}

const serial = () => ({
  type: DataTypes.BIGINT,
  primaryKey: true,
  autoIncrement: true,
  autoIncrementIdentity: true,
});

export function initStockModels(sequelize: Sequelize): void {
  Supplier.init(
    { studioId: keyId(), supplierId: keyId(), name: text() },
    { sequelize, tableName: 'suppliers' },
  );
  Place.init(
    { studioId: keyId(), placeId: keyId(), name: text(), position: number() },
    { sequelize, tableName: 'places' },
  );
  SpoolType.init(
    { studioId: keyId(), spoolTypeId: keyId(), name: text(), emptyMassUg: whole() },
    { sequelize, tableName: 'spool_types' },
  );
  Article.init(
    {
      studioId: keyId(),
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
    },
    { sequelize, tableName: 'articles' },
  );
  WireSpecRow.init(
    {
      studioId: keyId(),
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
    },
    { sequelize, tableName: 'wire_specs' },
  );
  Delivery.init(
    {
      studioId: keyId(),
      deliveryId: keyId(),
      number: number(),
      supplierId: maybe(id()),
      boughtOn: day(),
      note: text(),
      currency: text(),
      postage: whole(),
      tax: whole(),
      sharedBy: text(),
      postKey: id(),
      userId: id(),
      receivedAt: moment(),
    },
    { sequelize, tableName: 'deliveries' },
  );
  Lot.init(
    {
      studioId: keyId(),
      lotId: keyId(),
      articleId: id(),
      supplierId: maybe(id()),
      boughtOn: day(),
      gaugeSystem: maybe(text()),
      gaugeNumber: maybe(text()),
      quantity: whole(),
      massUg: maybe(whole()),
      price: whole(),
      paid: whole(),
      paidCurrency: text(),
      note: text(),
      costIs: { ...text(), defaultValue: 'paid' },
      deliveryId: maybe(id()),
      deliveryLine: maybe(number()),
      postageShare: { ...whole(), defaultValue: 0 },
      taxShare: { ...whole(), defaultValue: 0 },
      createdAt: moment(),
    },
    { sequelize, tableName: 'lots' },
  );
  StockPiece.init(
    {
      studioId: keyId(),
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
    },
    { sequelize, tableName: 'stock_pieces' },
  );
  Movement.init(
    {
      studioId: keyId(),
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
    },
    { sequelize, tableName: 'movements' },
  );
  Weighing.init(
    {
      studioId: keyId(),
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
    },
    { sequelize, tableName: 'weighings' },
  );
  MetalPrice.init(
    {
      studioId: keyId(),
      metal: { ...text(), primaryKey: true },
      day: { ...day(), primaryKey: true },
      perKilogram: whole(),
      fetchedAt: moment(),
    },
    { sequelize, tableName: 'metal_prices' },
  );
  TypedPrice.init(
    {
      studioId: keyId(),
      typedPriceId: serial(),
      articleId: id(),
      typedAt: moment(),
      userId: id(),
      price: whole(),
      quantity: whole(),
    },
    { sequelize, tableName: 'typed_prices' },
  );
  Refining.init(
    {
      studioId: keyId(),
      refiningId: keyId(),
      postKey: id(),
      stockPieceId: id(),
      sentOn: day(),
      refiner: text(),
      massUg: whole(),
      proceeds: whole(),
    },
    { sequelize, tableName: 'refinings' },
  );
}
