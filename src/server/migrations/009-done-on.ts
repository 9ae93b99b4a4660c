import type { Migration } from './migration';

/** Of an edit of a keymap that was done, which keymap it was done on: one of the factory keymap makes a new one. */
export const doneOn: Migration = {
  name: '009-done-on',
  up: async (sequelize, transaction) => {
    await sequelize.query('ALTER TABLE done_edits ADD COLUMN done_on INTEGER', { transaction });
  },
};
