import type { Attributes, CreationAttributes, Model, ModelStatic, Transaction } from 'sequelize';
import { oddCharacter } from '../../core/text/oddCharacter';

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
