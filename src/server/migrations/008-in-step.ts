import type { Migration } from './migration';

const STATEMENTS = [
  // How often each thing was changed that has no revision of its own: wish lists, uses, plans, ticks, what was said, settings.
  'CREATE TABLE kept_revisions (thing TEXT PRIMARY KEY, revision INTEGER NOT NULL)',
  // Edits that were done, by the keys their windows gave them, so that one that is sent again is not done again.
  'CREATE TABLE done_edits (id INTEGER PRIMARY KEY, edit TEXT NOT NULL UNIQUE)',
];

/** What keeps windows in step: revisions of everything kept, and the edits done last. */
export const inStep: Migration = {
  name: '008-in-step',
  up: async (sequelize, transaction) => {
    for (const statement of STATEMENTS) await sequelize.query(statement, { transaction });
  },
};
