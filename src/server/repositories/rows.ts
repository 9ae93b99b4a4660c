import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '../database';

type Values = Readonly<Record<string, string | number | null>>;

/** Reads rows of a known shape. */
export async function select<Row extends object>(
  sql: string,
  replacements: Values = {},
  transaction?: Transaction,
): Promise<Row[]> {
  const sequelize = await database();
  return sequelize.query<Row>(sql, { type: QueryTypes.SELECT, replacements, transaction: transaction ?? null });
}

/** Changes rows; @returns how many. */
export async function change(sql: string, replacements: Values, transaction: Transaction): Promise<number> {
  const sequelize = await database();
  const [, changed] = await sequelize.query(sql, { type: QueryTypes.UPDATE, replacements, transaction });
  return changed;
}

/** Inserts one row; @returns its id. */
export async function insert(table: string, values: Values, transaction: Transaction): Promise<number> {
  const sequelize = await database();
  const names = Object.keys(values);
  const sql = `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((name) => `:${name}`).join(', ')})`;
  const [id] = await sequelize.query(sql, { type: QueryTypes.INSERT, replacements: values, transaction });
  return id;
}

/** Inserts many rows of one shape. */
export async function insertMany(table: string, rows: readonly Values[], transaction: Transaction): Promise<void> {
  const sequelize = await database();
  for (let i = 0; i < rows.length; i += 500) {
    await sequelize.getQueryInterface().bulkInsert(table, rows.slice(i, i + 500) as object[], { transaction });
  }
}
