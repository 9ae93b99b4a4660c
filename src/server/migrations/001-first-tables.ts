import type { Migration } from './migration';

const STATEMENTS = [
  `CREATE TABLE programs (
    id INTEGER PRIMARY KEY, slug TEXT NOT NULL UNIQUE, name TEXT NOT NULL, put_away_at TEXT, created_at TEXT NOT NULL)`,
  `CREATE TABLE versions (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id), label TEXT NOT NULL,
    contexts TEXT NOT NULL, rules TEXT NOT NULL, created_at TEXT NOT NULL, UNIQUE (program_id, label))`,
  `CREATE TABLE commands (
    id INTEGER PRIMARY KEY, version_id INTEGER NOT NULL REFERENCES versions(id), command TEXT NOT NULL, name TEXT NOT NULL,
    kind TEXT NOT NULL, path TEXT NOT NULL, context TEXT NOT NULL, position INTEGER NOT NULL, UNIQUE (version_id, command))`,
  `CREATE TABLE keymaps (
    id INTEGER PRIMARY KEY, program_id INTEGER NOT NULL REFERENCES programs(id),
    version_id INTEGER NOT NULL REFERENCES versions(id), slug TEXT NOT NULL, name TEXT NOT NULL, owner TEXT NOT NULL,
    factory INTEGER NOT NULL, unnamed INTEGER NOT NULL, revision INTEGER NOT NULL, cursor INTEGER NOT NULL,
    put_away_at TEXT, last_used_at TEXT, created_at TEXT NOT NULL, UNIQUE (program_id, slug))`,
  `CREATE TABLE bindings (
    id INTEGER PRIMARY KEY, keymap_id INTEGER NOT NULL REFERENCES keymaps(id), command TEXT NOT NULL, chord TEXT NOT NULL,
    position INTEGER NOT NULL, UNIQUE (keymap_id, command, chord))`,
  `CREATE TABLE tickets (
    id INTEGER PRIMARY KEY, keymap_id INTEGER NOT NULL REFERENCES keymaps(id), position INTEGER NOT NULL,
    title TEXT NOT NULL, changes TEXT NOT NULL, created_at TEXT NOT NULL, UNIQUE (keymap_id, position))`,
  `CREATE TABLE revisions (
    id INTEGER PRIMARY KEY, keymap_id INTEGER NOT NULL REFERENCES keymaps(id), number INTEGER NOT NULL,
    bindings TEXT NOT NULL, cursor INTEGER, kept_at TEXT NOT NULL, UNIQUE (keymap_id, number))`,
  'CREATE TABLE settings (name TEXT PRIMARY KEY, value TEXT NOT NULL)',
  'CREATE INDEX commands_by_version ON commands (version_id, position)',
  // The factory keymap can't be edited or deleted, not even by a mistake of ours: once kept, the file itself refuses.
  ...['INSERT', 'UPDATE', 'DELETE'].map(
    (event) => `CREATE TRIGGER factory_bindings_${event.toLowerCase()} BEFORE ${event} ON bindings
      WHEN (SELECT factory FROM keymaps WHERE id = ${event === 'INSERT' ? 'NEW' : 'OLD'}.keymap_id) = 1
        AND EXISTS (SELECT 1 FROM revisions WHERE keymap_id = ${event === 'INSERT' ? 'NEW' : 'OLD'}.keymap_id)
      BEGIN SELECT RAISE(ABORT, 'The factory keymap cannot be changed.'); END`,
  ),
  `CREATE TRIGGER factory_keymap_delete BEFORE DELETE ON keymaps WHEN OLD.factory = 1
    BEGIN SELECT RAISE(ABORT, 'The factory keymap cannot be deleted.'); END`,
  `CREATE TRIGGER kept_revision_update BEFORE UPDATE OF bindings ON revisions
    BEGIN SELECT RAISE(ABORT, 'A kept version cannot be changed.'); END`,
];

/** Programs with their versions and commands, keymaps with their bindings, tape and kept versions, settings. */
export const firstTables: Migration = {
  name: '001-first-tables',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
