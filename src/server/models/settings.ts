import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize';
import { keyed, table, text } from './columns';

export interface SettingModel extends Model<InferAttributes<SettingModel>, InferCreationAttributes<SettingModel>> {
  name: string;
  value: string;
}

/** The settings of this installation, one a row. */
export function defineSettings(sequelize: Sequelize) {
  return {
    Setting: table<SettingModel>(sequelize, 'setting', 'settings', { name: keyed(text), value: text }),
  };
}
