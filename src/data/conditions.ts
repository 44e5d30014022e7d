import { col, fn, literal, Op, where, type WhereOptions } from 'sequelize';

/** Rows of a name, however it is spelled in capitals. @param but the rows that are not meant */
export const calledAlike = (name: string, but?: WhereOptions): WhereOptions => {
  const alike = where(fn('lower', col('name')), fn('lower', name.trim()));
  return { [Op.and]: but ? [alike, { [Op.not]: but }] : [alike] };
};

export const moreThan = <Value extends number | string | Date>(value: Value) => ({ [Op.gt]: value });
export const atLeast = <Value extends number | string | Date>(value: Value) => ({ [Op.gte]: value });
export const atMost = <Value extends number | string | Date>(value: Value) => ({ [Op.lte]: value });
export const otherThan = <Value extends number | string | Date>(value: Value) => ({ [Op.ne]: value });

export const otherThanNone = { [Op.ne]: null };

/** What equals a column of what a row belongs to, written `tie.column`. */
export const sameAs = (column: string) => ({ [Op.eq]: col(column) });

/** The time of the database itself, the same for every copy of the application. */
export const rightNow = () => fn('clock_timestamp');

/** Orders by a column; rows that have nothing in it come last. */
export const emptyLast = (column: string) => literal(`"${column}" ASC NULLS LAST`);
