/** What PostgreSQL calls the type of a column or a parameter; arrays end in []. */
export type SqlType =
  'uuid' | 'int4' | 'int8' | 'float8' | 'text' | 'bool' | 'date' | 'timestamptz' | 'jsonb' | 'numeric';

/** A column of a row, or a parameter. */
export interface Column<Value> {
  readonly type: SqlType | `${SqlType}[]`;
  /** The type of its values, for the compiler only. */
  readonly value?: Value;
}

export type Columns = Readonly<Record<string, Column<unknown>>>;

/** Values by the names of their columns. */
export type ValuesOf<Of extends Columns> = {
  readonly [Name in keyof Of]: Of[Name] extends Column<infer Value> ? Value : never;
};

const of = <Value>(type: Column<Value>['type']): Column<Value> => ({ type });

export const uuid = (): Column<string> => of('uuid');
export const int = <Value extends number = number>(): Column<Value> => of('int4');
/** A whole number of 64 bits: lengths, masses and money. */
export const big = <Value extends number = number>(): Column<Value> => of('int8');
export const float = (): Column<number> => of('float8');
export const text = <Value extends string = string>(): Column<Value> => of('text');
export const bool = (): Column<boolean> => of('bool');
/** A calendar day, ISO. */
export const date = (): Column<string> => of('date');
export const instant = (): Column<Date> => of('timestamptz');
export const json = <Value>(): Column<Value> => of('jsonb');
/** A column that may be null. */
export const maybe = <Value>({ type }: Column<Value>): Column<Value | null> => ({ type });
export const many = <Value>({ type }: Column<Value>): Column<readonly Value[]> => of(`${type as SqlType}[]`);

/**
 * A statement in SQL, where SQL says it better than a model would: what works on sets, what takes the first of each, what compares.
 * Parameters are written `$name`; `$studio` is the studio of the transaction.
 */
export interface Statement<Takes extends Columns = Columns, Gives extends Columns = Columns> {
  readonly text: string;
  readonly takes: Takes;
  /** The columns of its rows, in any order; none when it answers nothing. */
  readonly gives: Gives;
}

/** A row that a statement answers. */
export type RowOf<Of> = Of extends Statement<Columns, infer Gives> ? ValuesOf<Gives> : never;

export const statement = <const Takes extends Columns, const Gives extends Columns>(
  parts: Statement<Takes, Gives>,
): Statement<Takes, Gives> => parts;

/** Values as they are bound: what is JSON is written as text. The studio of the transaction goes along with what a statement takes. */
export function boundValues(
  takes: Columns,
  values: Readonly<Record<string, unknown>>,
): Record<string, unknown> {
  const bound = ([name, { type }]: [string, Column<unknown>]): [string, unknown] => {
    const value = values[name] ?? null;
    if (value === null || !type.startsWith('jsonb')) return [name, value];
    const written = (each: unknown) => JSON.stringify(each);
    return [name, type === 'jsonb' ? written(value) : (value as readonly unknown[]).map(written)];
  };
  const { studio } = values;
  return { ...(studio !== undefined && { studio }), ...Object.fromEntries(Object.entries(takes).map(bound)) };
}
