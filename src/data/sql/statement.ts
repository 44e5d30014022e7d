import type { Column, Columns, ValuesOf } from '../columns';

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
