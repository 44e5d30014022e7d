import type { CreationOptional, InferAttributes, InferCreationAttributes, Sequelize } from 'sequelize';
import type { CostUnits, MinorUnits } from '@/core/units/money';
import { fraction, keyDay, keyId, keyMoment, keyText, number, text, whole } from './columns';
import { StudioModel, tieTable } from './studioModel';

/** The last number that was given out in a series. */
export class Counter extends StudioModel<InferAttributes<Counter>, InferCreationAttributes<Counter>> {
  declare name: string;
  declare last: number;
}

/** What was there of an article at the end of a month: a cache of the movements. */
export class Closing extends StudioModel<InferAttributes<Closing>, InferCreationAttributes<Closing>> {
  /** The first day of the month, ISO. */
  declare month: string;
  declare articleId: string;
  declare quantity: number;
  declare costUnits: CostUnits;
}

/** What findings that were made cost beside their material. */
export class MadeLabour extends StudioModel<
  InferAttributes<MadeLabour>,
  InferCreationAttributes<MadeLabour>
> {
  declare postKey: string;
  declare minutes: number;
  declare hourlyRate: MinorUnits;
  declare overheadPerHour: MinorUnits;
  declare costUnits: CostUnits;
  /** What they bear of the waste of their batch. */
  declare wasteUnits: CreationOptional<CostUnits>;
}

/** What a check of the books found. */
export class BookCheckRow extends StudioModel<
  InferAttributes<BookCheckRow>,
  InferCreationAttributes<BookCheckRow>
> {
  declare checkedAt: Date;
  declare movements: number;
  declare differences: number;
  declare firstDifference: CreationOptional<string>;
}

export function initBookModels(sequelize: Sequelize): void {
  tieTable(sequelize, Counter, 'counters', { name: keyText(), last: number() });
  tieTable(sequelize, Closing, 'closings', {
    month: keyDay(),
    articleId: keyId(),
    quantity: whole(),
    costUnits: whole(),
  });
  tieTable(sequelize, MadeLabour, 'made_labour', {
    postKey: keyId(),
    minutes: fraction(),
    hourlyRate: whole(),
    overheadPerHour: whole(),
    costUnits: whole(),
    wasteUnits: { ...whole(), defaultValue: 0 },
  });
  tieTable(sequelize, BookCheckRow, 'book_checks', {
    checkedAt: keyMoment(),
    movements: whole(),
    differences: number(),
    firstDifference: { ...text(), defaultValue: '' },
  });
}
