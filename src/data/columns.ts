import type { Id, Identified } from '@/core/id';
import type { Day } from '@/core/calendar/day';
/** What PostgreSQL calls the type of a column or a parameter; arrays end in []. */
export type SqlType =
  'uuid' | 'int4' | 'int8' | 'float8' | 'text' | 'bool' | 'date' | 'timestamptz' | 'jsonb' | 'bytea';

/** A column of a table or of a statement's rows, or a parameter. Constraints of tables stand in the migrations. */
export interface Column<Value> {
  readonly type: SqlType | `${SqlType}[]`;
  /** The type of its values, for the compiler only. */
  readonly value?: Value;
  readonly isNullable?: boolean;
  /** Part of the key of its table. */
  readonly isKey?: boolean;
  /** Counted up by the database. */
  readonly isSerial?: boolean;
}

/** A column that a new row need not name. */
export interface Defaulted<Value> extends Column<Value> {
  readonly byDefault: unknown;
}

export type Columns = Readonly<Record<string, Column<unknown>>>;

/** Values by the names of their columns. */
export type ValuesOf<Of extends Columns> = {
  readonly [Name in keyof Of]: Of[Name] extends Column<infer Value> ? Value : never;
};

const of = <Value>(type: Column<Value>['type']): Column<Value> => ({ type });

/** An id; of what is said where it is known. */
export const uuid = <Of extends Identified = never>(): Column<[Of] extends [never] ? string : Id<Of>> =>
  of('uuid');
export const int = <Value extends number = number>(): Column<Value> => of('int4');
/** A whole number of 64 bits: lengths, masses and money. */
export const big = <Value extends number = number>(): Column<Value> => of('int8');
export const float = (): Column<number> => of('float8');
export const text = <Value extends string = string>(): Column<Value> => of('text');
export const bool = (): Column<boolean> => of('bool');
/** A calendar day, ISO. */
export const date = (): Column<Day> => of('date');
export const instant = (): Column<Date> => of('timestamptz');
export const json = <Value>(): Column<Value> => of('jsonb');
export const bytes = (): Column<Buffer> => of('bytea');
/** A column that may be null. */
export const maybe = <Value>(column: Column<Value>): Column<Value | null> => ({
  type: column.type,
  isNullable: true,
});
export const many = <Value>({ type }: Column<Value>): Column<readonly Value[]> => of(`${type as SqlType}[]`);

/** A part of its table's key, beside the studio. */
export const key = <Value>(column: Column<Value>): Column<Value> => ({ ...column, isKey: true });

/** What a new row has in a column that it does not name. */
export const byDefault = <Value>(column: Column<Value>, value: unknown): Defaulted<Value> => ({
  ...column,
  byDefault: value,
});

/** A number that the database counts up. */
export const serial = (): Defaulted<number> => ({
  type: 'int8',
  isKey: true,
  isSerial: true,
  byDefault: undefined,
});
