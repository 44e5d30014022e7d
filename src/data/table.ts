import {
  DataTypes,
  Model,
  type ModelAttributeColumnOptions,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import { key, uuid, type Column, type Columns, type Defaulted, type ValuesOf } from './columns';

/** A row of a table of the studio: it carries its studio in its key. */
type Row<Of extends Columns> = { studioId: string } & { -readonly [Name in keyof Of]: ValuesOf<Of>[Name] };

type DefaultedIn<Of extends Columns> = {
  [Name in keyof Of]: Of[Name] extends Defaulted<unknown> ? Name : never;
}[keyof Of];

/** A new row: what has a default may be left out, and the studio is filled in. */
type NewRow<Of extends Columns> = Omit<ValuesOf<Of>, DefaultedIn<Of>> &
  Partial<Pick<ValuesOf<Of>, DefaultedIn<Of>>>;

/** A model of a table of the studio. */
export type Table<Of extends Columns> = ModelStatic<Model<Row<Of>, NewRow<Of>> & Row<Of>>;

/** A row of a table as a plain value. */
export type RowIn<Of> =
  Of extends ModelStatic<infer Kept extends Model> ? Readonly<Kept['_attributes']> : never;

/** A new row of a table. */
export type NewIn<Of> =
  Of extends ModelStatic<infer Kept extends Model> ? Kept['_creationAttributes'] : never;

interface Tied {
  readonly model: ModelStatic<Model>;
  readonly tableName: string;
  readonly columns: Columns;
}

const TABLES: Tied[] = [];

/**
 * A table of the studio, by its columns; the studio comes first in every key and is filled in. Where it has a column `version`, that counts
 * its changes: saving a row that was changed meanwhile throws Sequelize's OptimisticLockError.
 */
export function table<const Of extends Columns>(tableName: string, columns: Of): Table<Of> {
  const model = class extends Model {};
  TABLES.push({ model, tableName, columns });
  return model as unknown as Table<Of>;
}

const KINDS: Readonly<Record<string, ModelAttributeColumnOptions['type']>> = {
  uuid: DataTypes.UUID,
  int4: DataTypes.INTEGER,
  'int4[]': DataTypes.ARRAY(DataTypes.INTEGER),
  int8: DataTypes.BIGINT,
  float8: DataTypes.DOUBLE,
  text: DataTypes.TEXT,
  bool: DataTypes.BOOLEAN,
  date: DataTypes.DATEONLY,
  'date[]': DataTypes.ARRAY(DataTypes.DATEONLY),
  timestamptz: DataTypes.DATE,
  jsonb: DataTypes.JSONB,
  bytea: DataTypes.BLOB,
};

function attributeOf(column: Column<unknown> | Defaulted<unknown>): ModelAttributeColumnOptions {
  const { type: name, isNullable = false, isKey = false, isSerial = false } = column;
  const type = KINDS[name];
  if (!type) throw new Error(`no table has a column of type ${name}`);
  return {
    type,
    allowNull: isNullable,
    ...(isKey && { primaryKey: true }),
    ...(isSerial
      ? { autoIncrement: true, autoIncrementIdentity: true }
      : 'byDefault' in column && { defaultValue: column.byDefault }),
  };
}

/** Ties all tables to a database. */
export function tieTables(sequelize: Sequelize): void {
  for (const { model, tableName, columns } of TABLES) {
    const own = Object.entries({ studioId: key(uuid()), ...columns });
    const attributes: ModelAttributes = Object.fromEntries(
      own.map(([name, column]) => [name, attributeOf(column)]),
    );
    model.init(attributes, {
      sequelize,
      tableName,
      modelName: tableName,
      version: 'version' in columns,
    });
  }
}
