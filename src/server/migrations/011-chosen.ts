import type { Migration } from './migration';

const STATEMENTS = [
  // What a person chose for words typed into the finder of a program.
  `CREATE TABLE chosen (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), person TEXT NOT NULL,
    words TEXT NOT NULL, command TEXT NOT NULL, chosen_at TEXT NOT NULL,
    UNIQUE (program_id, person, words))`,
];

/** What was chosen for which words. */
export const chosen: Migration = {
  name: '011-chosen',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
