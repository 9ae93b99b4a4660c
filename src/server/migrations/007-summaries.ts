import type { Migration } from './migration';

const STATEMENTS = [
  // What the Shelf tells of a keymap, as of one revision of its draft; worked out again where the draft has moved on.
  `CREATE TABLE keymap_summaries (
    keymap_id INTEGER PRIMARY KEY REFERENCES keymaps(id), revision INTEGER NOT NULL, contents TEXT NOT NULL)`,
  'CREATE INDEX keymaps_by_version ON keymaps (version_id, factory)',
];

/** What the Shelf tells of keymaps, so that it need not read them. */
export const summaries: Migration = {
  name: '007-summaries',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
