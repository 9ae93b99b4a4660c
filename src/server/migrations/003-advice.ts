import type { Migration } from './migration';

const STATEMENTS = [
  // How often a day somebody uses a command, as told; each person has their own, whatever keymap they are on.
  `CREATE TABLE uses (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), owner TEXT NOT NULL,
    command TEXT NOT NULL, per_day REAL NOT NULL, UNIQUE (program_id, owner, command))`,
  'CREATE TABLE wish_lists (keymap_id INTEGER PRIMARY KEY REFERENCES keymaps(id), contents TEXT NOT NULL)',
];

/** Uses a day as told, and wish lists. */
export const advice: Migration = {
  name: '003-advice',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
