import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import { day, id, keyId, moment, text, whole, serial } from './columns';

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

export function initMetalModels(sequelize: Sequelize): void {
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
