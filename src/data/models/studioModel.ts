import {
  Model,
  type CreationOptional,
  type ModelAttributeColumnOptions,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import { keyId } from './columns';

/** A row of a table of the studio: it carries its studio in its key, which {@link addStudio} fills in. */
export abstract class StudioModel<Attributes extends object, Creation extends object> extends Model<
  Attributes,
  Creation
> {
  declare studioId: CreationOptional<string>;
}

/** A model of a table of the studio, and its row. */
export type StudioTable<Row extends Model> = ModelStatic<Row>;

type ColumnsOf<Row extends Model> = Readonly<
  Record<Exclude<keyof Row['_attributes'] & string, 'studioId'>, ModelAttributeColumnOptions>
>;

/**
 * Ties a model to its table. Where it has a column `version`, that counts its changes: saving a row that was changed meanwhile throws
 * Sequelize's OptimisticLockError.
 * @param columns all but the studio, which is the first part of every key
 */
export function tieTable<Row extends Model>(
  sequelize: Sequelize,
  model: StudioTable<Row>,
  tableName: string,
  columns: ColumnsOf<Row>,
): void {
  const attributes: ModelAttributes = { studioId: keyId(), ...columns };
  (model as ModelStatic<Model>).init(attributes, { sequelize, tableName, version: 'version' in columns });
}
