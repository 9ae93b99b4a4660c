import type { Sequelize, Transaction } from 'sequelize';
import { database, momentNow } from '../database';
import { defineAdvice } from './advice';
import { defineFinder } from './finder';
import { defineInStep } from './inStep';
import { defineKeymaps } from './keymaps';
import { defineMatch } from './match';
import { defineOwnForms } from './ownForms';
import { definePrograms } from './programs';
import { defineSettings } from './settings';
import { defineSheets } from './sheets';
import { defineSourceFiles } from './sourceFiles';
import { defineSuccessions } from './successions';
import { defineWorkspaces } from './workspaces';

function define(sequelize: Sequelize) {
  const models = {
    ...definePrograms(sequelize),
    ...defineKeymaps(sequelize),
    ...defineAdvice(sequelize),
    ...defineMatch(sequelize),
    ...defineWorkspaces(sequelize),
    ...defineSheets(sequelize),
    ...defineSettings(sequelize),
    ...defineInStep(sequelize),
    ...defineFinder(sequelize),
    ...defineSourceFiles(sequelize),
    ...defineOwnForms(sequelize),
    ...defineSuccessions(sequelize),
  };
  models.Program.hasMany(models.Keymap, { foreignKey: 'programId', as: 'keymaps' });
  models.Keymap.belongsTo(models.Program, { foreignKey: 'programId', as: 'program' });
  models.SaidCounterpart.belongsTo(models.Program, { foreignKey: 'programId', as: 'program' });
  models.SaidCounterpart.belongsTo(models.Program, { foreignKey: 'otherId', as: 'other' });
  return models;
}

export type Models = ReturnType<typeof define>;
const defined = new WeakMap<Sequelize, Models>();

/** Everything that is stored, as models of the application's database. */
export async function models(): Promise<Models> {
  return modelsOf(await database());
}

/** Everything that is stored in a database file. */
export function modelsOf(sequelize: Sequelize): Models {
  const before = defined.get(sequelize);
  if (before) return before;
  const made = define(sequelize);
  defined.set(sequelize, made);
  return made;
}

/** Where a query belongs: the transaction given, else the moment that is being read, if there is one. */
export const within = (transaction: Transaction | undefined) => ({ transaction: transaction ?? momentNow() });
