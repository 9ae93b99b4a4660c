import type { Migration } from './migration';

const STATEMENTS = [
  // Which program is the next version of which, and what a person said of what became of its commands.
  `CREATE TABLE successions (
    program_id INTEGER PRIMARY KEY REFERENCES programs(id), from_id INTEGER NOT NULL REFERENCES programs(id),
    said TEXT NOT NULL DEFAULT '[]', created_at TEXT NOT NULL)`,
  'CREATE INDEX successions_by_origin ON successions (from_id)',
  // What was chosen where a keymap and the next version meet, and the keymap that was made there.
  `CREATE TABLE moves (
    keymap_id INTEGER NOT NULL REFERENCES keymaps(id), program_id INTEGER NOT NULL REFERENCES programs(id),
    answers TEXT NOT NULL DEFAULT '[]', made_id INTEGER REFERENCES keymaps(id), PRIMARY KEY (keymap_id, program_id))`,
];

/** Versions of programs, and keymaps that go along. */
export const successions: Migration = {
  name: '015-successions',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
