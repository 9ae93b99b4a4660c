import type { Sequelize, Transaction } from 'sequelize';

/** One step of the database's shape. Never edited once released; a new step is added at the end instead. */
export type Migration = {
  readonly name: string;
  readonly up: (sequelize: Sequelize, transaction: Transaction) => Promise<void>;
};
