import { createHash } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Migration } from './migration';

/** What has a mark of its own, by what tells one of them from another: copies of a file have to give the same marks. */
const TOLD = {
  programs: 'SELECT id, created_at AS at, slug AS called FROM programs',
  keymaps: `SELECT keymaps.id, keymaps.created_at AS at, programs.created_at || ' ' || programs.slug || ' ' || keymaps.slug AS called
    FROM keymaps JOIN programs ON programs.id = keymaps.program_id`,
  workspaces: `SELECT workspaces.id, workspaces.created_at AS at, programs.created_at || ' ' || programs.slug || ' ' || workspaces.slug AS called
    FROM workspaces JOIN programs ON programs.id = workspaces.program_id`,
};

/** What tells programs, keymaps and workspaces from all others on any computer, and whose second one is. */
export const toldApart: Migration = {
  name: '016-told-apart',
  up: async (sequelize, transaction) => {
    for (const [table, found] of Object.entries(TOLD)) {
      await sequelize.query(`ALTER TABLE ${table} ADD COLUMN uid TEXT NOT NULL DEFAULT ''`, { transaction });
      await sequelize.query(`ALTER TABLE ${table} ADD COLUMN kin TEXT`, { transaction });
      const rows = await sequelize.query<{ id: number; at: string; called: string }>(found, {
        type: QueryTypes.SELECT,
        transaction,
      });
      for (const { id, at, called } of rows) {
        const uid = createHash('sha256').update(`${table} ${at} ${called}`).digest('hex').slice(0, 32);
        await sequelize.query(`UPDATE ${table} SET uid = $uid WHERE id = $id`, { bind: { uid, id }, transaction });
      }
      await sequelize.query(`CREATE UNIQUE INDEX ${table}_by_uid ON ${table} (uid)`, { transaction });
    }
  },
};
