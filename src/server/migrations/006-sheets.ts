import type { Migration } from './migration';

const STATEMENTS = [
  // Which steps of a change list are ticked off, by the keymap wanted and the one the program has.
  `CREATE TABLE entry_ticks (
    keymap_id INTEGER NOT NULL REFERENCES keymaps(id), from_id INTEGER NOT NULL REFERENCES keymaps(id),
    ticks TEXT NOT NULL, PRIMARY KEY (keymap_id, from_id))`,
  // Sheets under a name, each with its choices.
  `CREATE TABLE sheets (
    id INTEGER PRIMARY KEY, keymap_id INTEGER NOT NULL REFERENCES keymaps(id), slug TEXT NOT NULL, name TEXT NOT NULL,
    contents TEXT NOT NULL, put_away_at TEXT, created_at TEXT NOT NULL, UNIQUE (keymap_id, slug))`,
];

/** Ticked steps of change lists, and sheets kept under a name. */
export const sheets: Migration = {
  name: '006-sheets',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
