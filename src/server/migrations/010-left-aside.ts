import type { Migration } from './migration';

const STATEMENTS = [
  // What was undone and then passed over by a new edit, until the keymap is kept.
  `CREATE TABLE left_aside (
    id INTEGER PRIMARY KEY, keymap_id INTEGER NOT NULL REFERENCES keymaps(id),
    tickets TEXT NOT NULL, left_at TEXT NOT NULL)`,
  'CREATE INDEX left_aside_by_keymap ON left_aside (keymap_id)',
  // How many tickets these are, so that an edit need not count them.
  'ALTER TABLE keymaps ADD COLUMN left_aside INTEGER NOT NULL DEFAULT 0',
];

/** Tickets that fell off a tape. */
export const leftAside: Migration = {
  name: '010-left-aside',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
