import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';
import { day, id, keyId, maybe, moment, number, text, whole } from './columns';

/** The states wire is kept in. */
export const STOCK_FORMS = ['spool', 'coil', 'bobbin', 'off-cut'] as const;
export type StockForm = (typeof STOCK_FORMS)[number];

/** Where wire is bought. */
export class Supplier extends Model<InferAttributes<Supplier>, InferCreationAttributes<Supplier>> {
  declare studioId: string;
  declare supplierId: string;
  declare name: string;
}

/** One kind of wire: same metal, profile, size, temper and finish. Never changed once written. */
export class WireSpecRow extends Model<InferAttributes<WireSpecRow>, InferCreationAttributes<WireSpecRow>> {
  declare studioId: string;
  declare specId: string;
  declare metal: MetalId;
  declare profile: Profile;
  declare widthUm: Micrometres;
  declare heightUm: Micrometres;
  declare temper: Temper;
  declare finish: Finish;
  declare finishName: string;
  declare gaugeSystem: GaugeSystem;
  declare gaugeNumber: string;
  /** Equal for the same stock only; sorts as the rack is hung. */
  declare sortKey: string;
  /** How it is said, lower case, for finding it by words. */
  declare said: string;
}

/** One purchase of wire. */
export class WireLot extends Model<InferAttributes<WireLot>, InferCreationAttributes<WireLot>> {
  declare studioId: string;
  declare lotId: string;
  declare specId: string;
  declare supplierId: string | null;
  /** Calendar day, ISO. */
  declare boughtOn: string;
  declare gaugeSystem: GaugeSystem;
  declare gaugeNumber: string;
  declare lengthUm: Micrometres;
  declare massUg: Micrograms | null;
  declare price: MinorUnits;
  declare createdAt: Date;
}

/** One physical length of wire with what is left of it and of its cost. */
export class StockPiece extends Model<InferAttributes<StockPiece>, InferCreationAttributes<StockPiece>> {
  declare studioId: string;
  declare stockPieceId: string;
  declare number: number;
  declare specId: string;
  declare lotId: string | null;
  declare form: StockForm;
  declare initialLengthUm: Micrometres;
  declare lengthUm: Micrometres;
  declare costUnits: CostUnits;
  declare sortKey: string;
  declare createdAt: Date;
}

export const MOVEMENT_KINDS = ['received', 'cut', 'returned', 'scrapped', 'spoiled'] as const;
export type MovementKind = (typeof MOVEMENT_KINDS)[number];

/** One change of one stock piece. Never changed, never taken away. */
export class Movement extends Model<InferAttributes<Movement>, InferCreationAttributes<Movement>> {
  declare studioId: string;
  declare movementId: CreationOptional<number>;
  declare postKey: string;
  declare happenedAt: Date;
  declare userId: string;
  declare kind: MovementKind;
  declare stockPieceId: string;
  /** Signed: what the stock piece gained. */
  declare lengthUm: Micrometres;
  declare costUnits: CostUnits;
  declare reason: string;
  declare lotId: string | null;
  declare pieceId: string | null;
}

export function initWireModels(sequelize: Sequelize): void {
  Supplier.init(
    { studioId: keyId(), supplierId: keyId(), name: text() },
    { sequelize, tableName: 'suppliers' },
  );
  const gauge = { gaugeSystem: text(), gaugeNumber: text() };
  WireSpecRow.init(
    {
      studioId: keyId(),
      specId: keyId(),
      metal: text(),
      profile: text(),
      widthUm: number(),
      heightUm: number(),
      temper: text(),
      finish: text(),
      finishName: text(),
      ...gauge,
      sortKey: text(),
      said: text(),
    },
    { sequelize, tableName: 'wire_specs' },
  );
  WireLot.init(
    {
      studioId: keyId(),
      lotId: keyId(),
      specId: id(),
      supplierId: maybe(id()),
      boughtOn: day(),
      ...gauge,
      lengthUm: whole(),
      massUg: maybe(whole()),
      price: whole(),
      createdAt: moment(),
    },
    { sequelize, tableName: 'wire_lots' },
  );
  StockPiece.init(
    {
      studioId: keyId(),
      stockPieceId: keyId(),
      number: number(),
      specId: id(),
      lotId: maybe(id()),
      form: text(),
      initialLengthUm: whole(),
      lengthUm: whole(),
      costUnits: whole(),
      sortKey: text(),
      createdAt: moment(),
    },
    { sequelize, tableName: 'stock_pieces' },
  );
  Movement.init(
    {
      studioId: keyId(),
      movementId: {
        type: DataTypes.BIGINT,
        primaryKey: true,
        autoIncrement: true,
        autoIncrementIdentity: true,
      },
      postKey: id(),
      happenedAt: moment(),
      userId: id(),
      kind: text(),
      stockPieceId: id(),
      lengthUm: whole(),
      costUnits: whole(),
      reason: text(),
      lotId: maybe(id()),
      pieceId: maybe(id()),
    },
    { sequelize, tableName: 'movements' },
  );
}
