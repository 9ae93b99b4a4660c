import type { Migration } from './migration';

const STATEMENTS = [
  // Forms of one's own in which keymaps of a program are written as files.
  `CREATE TABLE own_forms (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), form TEXT NOT NULL,
    put_away_at TEXT, created_at TEXT NOT NULL)`,
  'CREATE INDEX own_forms_by_program ON own_forms (program_id)',
];

/** Forms of one's own for the files that programs read. */
export const ownForms: Migration = {
  name: '014-own-forms',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
