import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { PricedMetal } from '@/core/metalPrice/metalPrice';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import { day, id, keyDay, keyId, keyText, moment, serial, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** A price of a pure metal on a day, in minor units of the studio's currency for a kilogram. */
export class MetalPrice extends StudioModel<
  InferAttributes<MetalPrice>,
  InferCreationAttributes<MetalPrice>
> {
  declare metal: PricedMetal;
  declare day: string;
  declare perKilogram: MinorUnits;
  declare fetchedAt: Date;
}

/** A replacement price that somebody typed. Never changed. */
export class TypedPrice extends StudioModel<
  InferAttributes<TypedPrice>,
  InferCreationAttributes<TypedPrice>
> {
  declare typedPriceId: CreationOptional<number>;
  declare articleId: string;
  declare typedAt: Date;
  declare userId: string;
  declare price: MinorUnits;
  declare quantity: number;
}

/** Scrap that went to a refiner, and what came back for it. Never changed. */
export class Refining extends StudioModel<InferAttributes<Refining>, InferCreationAttributes<Refining>> {
  declare refiningId: string;
  declare postKey: string;
  declare stockPieceId: string;
  declare sentOn: string;
  declare refiner: string;
  declare massUg: Micrograms;
  declare proceeds: MinorUnits;
}

export function initMetalModels(sequelize: Sequelize): void {
  tieTable(sequelize, MetalPrice, 'metal_prices', {
    metal: keyText(),
    day: keyDay(),
    perKilogram: whole(),
    fetchedAt: moment(),
  });
  tieTable(sequelize, TypedPrice, 'typed_prices', {
    typedPriceId: serial(),
    articleId: id(),
    typedAt: moment(),
    userId: id(),
    price: whole(),
    quantity: whole(),
  });
  tieTable(sequelize, Refining, 'refinings', {
    refiningId: keyId(),
    postKey: id(),
    stockPieceId: id(),
    sentOn: day(),
    refiner: text(),
    massUg: whole(),
    proceeds: whole(),
  });
}
