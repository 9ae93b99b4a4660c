import { randomUUID } from 'node:crypto';
import {
  type Attributes,
  DataTypes,
  type Model,
  type ModelAttributeColumnOptions,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/**
 * A model of a table as it is in the file: its columns named with underscores, and no times but our own. Each model has
 * attributes of its own, since Sequelize notes in them what they belong to.
 */
export function table<One extends Model>(
  sequelize: Sequelize,
  name: string,
  tableName: string,
  columns: Readonly<Record<string, ModelAttributeColumnOptions>>,
): ModelStatic<One> {
  const own = Object.fromEntries(Object.entries(columns).map(([column, what]) => [column, { ...what }]));
  return sequelize.define<One>(name, own as ModelAttributes<One, Attributes<One>>, {
    tableName,
    timestamps: false,
    underscored: true,
  });
}

export const id = { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true } as const;
export const text = { type: DataTypes.TEXT, allowNull: false } as const;
export const textOrNot = { type: DataTypes.TEXT, allowNull: true } as const;
export const number = { type: DataTypes.INTEGER, allowNull: false } as const;
export const numberOrNot = { type: DataTypes.INTEGER, allowNull: true } as const;

/** What tells one from all others on any computer, and whose second it is; null where it is nobody's. */
export const told = {
  uid: { type: DataTypes.TEXT, allowNull: false, defaultValue: () => randomUUID() },
  kin: textOrNot,
} as const;

/** A yes or no, which the file keeps as 1 or 0. */
export const yesOrNo = (name: string, defaultValue = false): ModelAttributeColumnOptions => ({
  type: DataTypes.BOOLEAN,
  allowNull: false,
  defaultValue,
  get(this: Model) {
    return Boolean(this.getDataValue(name));
  },
});

/** Part of a key. */
export const keyed = (column: ModelAttributeColumnOptions): ModelAttributeColumnOptions => ({
  ...column,
  primaryKey: true,
});

/**
 * Something of more parts than a column holds, kept as JSON.
 * @param opened what reads it: the schema of what is stored and its defaults, so that what an older version wrote opens.
 */
export const json = <T>(
  name: string,
  opened: (stored: unknown) => T = (stored) => stored as T,
  allowNull = false,
): ModelAttributeColumnOptions => ({
  type: DataTypes.JSON,
  allowNull,
  get(this: Model) {
    const stored: unknown = this.getDataValue(name);
    // What was just made is not text yet.
    return typeof stored === 'string' ? opened(JSON.parse(stored)) : stored;
  },
});
