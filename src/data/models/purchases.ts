import {
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize';
import type { CostIs } from '@/core/stock/costIs';
import type { SharedBy } from '@/core/stock/delivery';
import type { Micrograms } from '@/core/units/mass';
import type { MinorUnits } from '@/core/units/money';
import type { GaugeSystem } from '@/core/wire/gauge';
import { day, id, keyId, maybe, moment, number, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** Where stock is bought. */
export class Supplier extends StudioModel<InferAttributes<Supplier>, InferCreationAttributes<Supplier>> {
  declare supplierId: string;
  declare name: string;
}

/** Several purchases that came together. */
export class Delivery extends StudioModel<InferAttributes<Delivery>, InferCreationAttributes<Delivery>> {
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
export class Lot extends StudioModel<InferAttributes<Lot>, InferCreationAttributes<Lot>> {
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

export function initPurchaseModels(sequelize: Sequelize): void {
  tieTable(sequelize, Supplier, 'suppliers', { supplierId: keyId(), name: text() });
  tieTable(sequelize, Delivery, 'deliveries', {
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
  });
  tieTable(sequelize, Lot, 'lots', {
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
  });
}
