import type { Migration } from './migration';

const STATEMENTS = [
  'ALTER TABLE bindings ADD COLUMN keeper INTEGER NOT NULL DEFAULT 0',
  "ALTER TABLE bindings ADD COLUMN hook TEXT NOT NULL DEFAULT ''",
  `CREATE TABLE spares (
    id INTEGER PRIMARY KEY, keymap_id INTEGER NOT NULL REFERENCES keymaps(id), command TEXT NOT NULL,
    UNIQUE (keymap_id, command))`,
  'ALTER TABLE keymaps ADD COLUMN locked INTEGER NOT NULL DEFAULT 0',
  "ALTER TABLE revisions ADD COLUMN spares TEXT NOT NULL DEFAULT '[]'",
  'ALTER TABLE tickets ADD COLUMN pulled TEXT',
  'ALTER TABLE versions ADD COLUMN revision INTEGER NOT NULL DEFAULT 1',
  // What a program says of itself is edited in steps as well; each keeps what stood there before.
  `CREATE TABLE program_steps (
    id INTEGER PRIMARY KEY, version_id INTEGER NOT NULL REFERENCES versions(id), number INTEGER NOT NULL,
    title TEXT NOT NULL, before TEXT NOT NULL, after TEXT NOT NULL, undone INTEGER NOT NULL DEFAULT 0, made_at TEXT NOT NULL,
    UNIQUE (version_id, number))`,
];

/** Keepers, hooks and spares on keymaps, locks, pulled tickets, and steps in what a program allows. */
export const marksAndRules: Migration = {
  name: '002-marks-and-rules',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
