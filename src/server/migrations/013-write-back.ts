import type { Migration } from './migration';

const STATEMENTS = [
  // What a file was called, what a person said of how it writes keys, and whether it was given after the program was there.
  `ALTER TABLE source_files ADD COLUMN name TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE source_files ADD COLUMN said TEXT NOT NULL DEFAULT '{}'`,
  'ALTER TABLE source_files ADD COLUMN given INTEGER NOT NULL DEFAULT 0',
];

/** What it takes to write keys back into files. */
export const writeBackFiles: Migration = {
  name: '013-write-back',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
