import {
  type Attributes,
  type CreationAttributes,
  col,
  fn,
  type Model,
  type ModelStatic,
  type Transaction,
  type WhereOptions,
} from 'sequelize';
import { oddCharacter } from '../../core/text/oddCharacter';
import { within } from '../models/models';

/** So many rows or names go into one statement, which the driver takes no longer than a million signs. */
const MOST_AT_ONCE = 500;

/** A row as a value of its own. */
export const plain = <One extends Model>(row: One): Attributes<One> => row.get({ plain: true });

/** Whether a name from outside can be looked for: none that is stored has signs that nobody can see. */
export const canBeNamed = (name: string): boolean => oddCharacter(name) === null;

/** Those named by commands; all where so many are named that they can't all be said. */
export const among = (commands: readonly string[] | undefined) =>
  commands === undefined || commands.length > MOST_AT_ONCE ? {} : { command: [...commands] };

/** Does something for so many at once as one statement takes. */
export async function inParts<One>(
  all: readonly One[],
  work: (some: readonly One[]) => Promise<unknown>,
): Promise<void> {
  for (let i = 0; i < all.length; i += MOST_AT_ONCE) await work(all.slice(i, i + MOST_AT_ONCE));
}

/** Inserts many rows of one kind. */
export async function insertMany<One extends Model>(
  kind: ModelStatic<One>,
  rows: readonly CreationAttributes<One>[],
  transaction: Transaction,
): Promise<void> {
  await inParts(rows, (some) => kind.bulkCreate(some, { transaction }));
}

/**
 * Thousands of rows in the order of a number in them, as one text that the file makes in its own thread: read row by row,
 * they would keep everybody else waiting.
 * @param columns the number first. @returns the values of these columns, row by row.
 */
export async function readMany<Values extends readonly [number, ...unknown[]]>(
  kind: ModelStatic<Model>,
  columns: readonly string[],
  where: WhereOptions,
  transaction: Transaction | undefined,
): Promise<Values[]> {
  const each = fn('json_array', ...columns.map((one) => col(one)));
  const [found] = (await kind.findAll({
    attributes: [[fn('json_group_array', each), 'all']],
    where,
    raw: true,
    ...within(transaction),
  })) as unknown as { readonly all: string }[];
  return (JSON.parse(found?.all ?? '[]') as Values[]).sort((a, b) => a[0] - b[0]);
}
