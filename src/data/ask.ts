import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { type Columns, type ValuesOf } from './columns';
import { boundValues, type Statement } from './sql/statement';

/**
 * The rows that a statement answers, whatever studio they are of.
 * @param transaction in which it is asked; by itself when it is left out
 */
export async function ask<Takes extends Columns, Gives extends Columns>(
  database: Sequelize,
  { text, takes }: Statement<Takes, Gives>,
  values: ValuesOf<Takes>,
  transaction: Transaction | null = null,
): Promise<ValuesOf<Gives>[]> {
  return database.query<ValuesOf<Gives>>(text, {
    bind: boundValues(takes, values),
    transaction,
    type: QueryTypes.SELECT,
  });
}
