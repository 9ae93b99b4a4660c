import { QueryTypes, type Transaction } from 'sequelize';
import { database, momentNow } from '../database';

type Value = string | number | null;
type Values = Readonly<Record<string, Value>>;
/** SQLite takes at most 32,766 values in one statement. */
const MOST_VALUES = 30_000;

/** Values go beside the statement, never into it: `:name` is the driver's `$name`. */
const bound = (sql: string, values: Values): readonly [sql: string, bind: Record<string, Value>] => [
  sql.replace(/:([a-z]\w*)/gi, '$$$1'),
  { ...values },
];

/** Reads rows of a known shape, of the moment that is being read where there is one. */
export async function select<Row extends object>(
  sql: string,
  values: Values = {},
  transaction?: Transaction,
): Promise<Row[]> {
  const sequelize = await database();
  const [text, bind] = bound(sql, values);
  return sequelize.query<Row>(text, { type: QueryTypes.SELECT, bind, transaction: transaction ?? momentNow() });
}

/** Changes rows; @returns how many. */
export async function change(sql: string, values: Values, transaction: Transaction): Promise<number> {
  const sequelize = await database();
  const [text, bind] = bound(sql, values);
  const [, changed] = await sequelize.query(text, { type: QueryTypes.UPDATE, bind, transaction });
  return changed;
}

/** Inserts one row; @returns its id. */
export async function insert(table: string, values: Values, transaction: Transaction): Promise<number> {
  const sequelize = await database();
  const names = Object.keys(values);
  const [text, bind] = bound(
    `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((name) => `:${name}`).join(', ')})`,
    values,
  );
  const [id] = await sequelize.query(text, { type: QueryTypes.INSERT, bind, transaction });
  return id;
}

/** Inserts many rows of one shape. */
export async function insertMany(table: string, rows: readonly Values[], transaction: Transaction): Promise<void> {
  const sequelize = await database();
  const names = Object.keys(rows[0] ?? {});
  const most = Math.floor(MOST_VALUES / Math.max(1, names.length));
  for (let i = 0; i < rows.length; i += most) {
    const some = rows.slice(i, i + most);
    const places = some.map((_, r) => `(${names.map((_name, c) => `$v${r * names.length + c}`).join(', ')})`);
    const values = some.flatMap((row) => names.map((name) => row[name] ?? null));
    await sequelize.query(`INSERT INTO ${table} (${names.join(', ')}) VALUES ${places.join(', ')}`, {
      type: QueryTypes.INSERT,
      bind: Object.fromEntries(values.map((value, n) => [`v${n}`, value])),
      transaction,
    });
  }
}
