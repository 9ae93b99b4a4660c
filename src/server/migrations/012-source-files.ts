import type { Migration } from './migration';

const STATEMENTS = [
  // What a version of a program was brought in from: the file as it came, and what a person said of it.
  `CREATE TABLE source_files (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id),
    version_id INTEGER NOT NULL REFERENCES versions(id), bytes BLOB NOT NULL,
    choices TEXT NOT NULL, corrections TEXT NOT NULL, made_at TEXT NOT NULL)`,
  'CREATE INDEX source_files_by_program ON source_files (program_id)',
];

/** What programs were brought in from. */
export const sourceFiles: Migration = {
  name: '012-source-files',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
