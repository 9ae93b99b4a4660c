import type { Migration } from './migration';

const STATEMENTS = [
  // Which commands of two programs do the same, as somebody said; without a counterpart: that there is none.
  `CREATE TABLE said_counterparts (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), command TEXT NOT NULL,
    other_id INTEGER NOT NULL REFERENCES programs(id), counterpart TEXT, said_at TEXT NOT NULL,
    UNIQUE (program_id, command, other_id))`,
  `CREATE TABLE match_plans (
    keymap_id INTEGER NOT NULL REFERENCES keymaps(id), source_id INTEGER NOT NULL REFERENCES keymaps(id),
    contents TEXT NOT NULL, changed_at TEXT NOT NULL, PRIMARY KEY (keymap_id, source_id))`,
  `CREATE TABLE derivations (
    keymap_id INTEGER PRIMARY KEY REFERENCES keymaps(id), source_id INTEGER NOT NULL REFERENCES keymaps(id),
    contents TEXT NOT NULL)`,
];

/** Counterparts as said, what was settled of making one keymap feel like another, and where derived keymaps came from. */
export const match: Migration = {
  name: '004-match',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
