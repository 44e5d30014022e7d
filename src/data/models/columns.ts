import { DataTypes, type ModelAttributeColumnOptions } from 'sequelize';

/** Column kinds of the studio's tables; the constraints live in the migrations. */
export const id = (): ModelAttributeColumnOptions => ({ type: DataTypes.UUID, allowNull: false });
export const keyId = (): ModelAttributeColumnOptions => ({ ...id(), primaryKey: true });
export const text = (): ModelAttributeColumnOptions => ({ type: DataTypes.TEXT, allowNull: false });
export const whole = (): ModelAttributeColumnOptions => ({ type: DataTypes.BIGINT, allowNull: false });
export const number = (): ModelAttributeColumnOptions => ({ type: DataTypes.INTEGER, allowNull: false });
export const fraction = (): ModelAttributeColumnOptions => ({ type: DataTypes.DOUBLE, allowNull: false });
export const flag = (): ModelAttributeColumnOptions => ({ type: DataTypes.BOOLEAN, allowNull: false });
export const moment = (): ModelAttributeColumnOptions => ({ type: DataTypes.DATE, allowNull: false });
export const day = (): ModelAttributeColumnOptions => ({ type: DataTypes.DATEONLY, allowNull: false });
export const json = (): ModelAttributeColumnOptions => ({ type: DataTypes.JSONB, allowNull: false });
export const keyText = (): ModelAttributeColumnOptions => ({ ...text(), primaryKey: true });
export const keyNumber = (): ModelAttributeColumnOptions => ({ ...number(), primaryKey: true });
export const keyDay = (): ModelAttributeColumnOptions => ({ ...day(), primaryKey: true });
export const keyMoment = (): ModelAttributeColumnOptions => ({ ...moment(), primaryKey: true });
export const numbers = (): ModelAttributeColumnOptions => ({
  type: DataTypes.ARRAY(DataTypes.INTEGER),
  allowNull: false,
});
export const days = (): ModelAttributeColumnOptions => ({
  type: DataTypes.ARRAY(DataTypes.DATEONLY),
  allowNull: false,
});
export const maybe = (column: ModelAttributeColumnOptions): ModelAttributeColumnOptions => ({
  ...column,
  allowNull: true,
});
/** A number that the database counts up. */
export const serial = () => ({
  type: DataTypes.BIGINT,
  primaryKey: true,
  autoIncrement: true,
  autoIncrementIdentity: true,
});
