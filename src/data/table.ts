import type { Id } from '@/core/id';
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
type Row<Of extends Columns> = { studioId: Id<'studio'> } & {
  -readonly [Name in keyof Of]: ValuesOf<Of>[Name];
};

type DefaultedIn<Of extends Columns> = {
  [Name in keyof Of]: Of[Name] extends Defaulted<unknown> ? Name : never;
}[keyof Of];

/** A new row: what has a default may be left out, and the studio is filled in. */
type NewRow<Of extends Columns> = Omit<ValuesOf<Of>, DefaultedIn<Of>> &
  Partial<Pick<ValuesOf<Of>, DefaultedIn<Of>>>;

/** A tie of a row to the row of another table that it belongs to. */
export interface Tie<
  Target = ModelStatic<Model>,
  By extends string = string,
  IsOptional extends boolean = boolean,
> {
  readonly target: Target;
  /** The columns that hold its key, in the order of that. */
  readonly by: readonly By[];
  /** Whether there may be none. */
  readonly isOptional: IsOptional;
}

export type Ties<By extends string = string> = Readonly<Record<string, Tie<ModelStatic<Model>, By>>>;

/** A row belongs to one of another table, whose key stands in the named columns. */
export const belongsTo = <Target extends ModelStatic<Model>, By extends string>(
  target: Target,
  ...by: readonly By[]
): Tie<Target, By, false> => ({ target, by, isOptional: false });

/** A row belongs to one of another table, or to none: then there is nothing in the named columns. */
export const mayBelongTo = <Target extends ModelStatic<Model>, By extends string>(
  target: Target,
  ...by: readonly By[]
): Tie<Target, By, true> => ({ target, by, isOptional: true });

/** A model of a table of the studio, with what its rows belong to. */
export type Table<Of extends Columns, To = Record<never, never>> = ModelStatic<
  Model<Row<Of>, NewRow<Of>> & Row<Of>
> & { readonly ties: To };

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
  readonly ties: Ties;
}

const TABLES: Tied[] = [];

/**
 * A table of the studio, by its columns; the studio comes first in every key and is filled in. Where it has a column `version`, that counts
 * its changes: saving a row that was changed meanwhile throws Sequelize's OptimisticLockError.
 */
export function table<const Of extends Columns, const To extends Ties<keyof Of & string>>(
  tableName: string,
  columns: Of,
  ties: To = {} as To,
): Table<Of, To> {
  const model = class extends Model {};
  TABLES.push({ model, tableName, columns, ties });
  return Object.assign(model, { ties }) as unknown as Table<Of, To>;
}

function tied(model: ModelStatic<Model>): Tied {
  const found = TABLES.find((each) => each.model === model);
  if (!found) throw new Error(`${model.name} is no table of the studio`);
  return found;
}

/** What rows of a table belong to, by name. */
export const tiesOf = (model: ModelStatic<Model>): Ties => tied(model).ties;

/** The columns of a table's key, beside the studio. */
export const keysOf = (model: ModelStatic<Model>): string[] =>
  Object.entries(tied(model).columns).flatMap(([name, { isKey }]) => (isKey ? [name] : []));

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
    const own = Object.entries({ studioId: key(uuid<'studio'>()), ...columns });
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
  for (const { model, ties } of TABLES)
    for (const [as, { target, by }] of Object.entries(ties)) {
      // Sequelize ties by one column; the others of a key are named where it is joined.
      const [foreignKey, targetKey] = [by.at(-1) ?? '', keysOf(target).at(-1) ?? ''];
      model.belongsTo(target, { as, foreignKey, targetKey, constraints: false });
    }
}
