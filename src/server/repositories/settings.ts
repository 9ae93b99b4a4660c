import type { Transaction } from 'sequelize';
import { models, within } from '../models/models';

/** The settings that were ever changed, by name. */
export async function loadStoredSettings(): Promise<Readonly<Record<string, string>>> {
  const { Setting } = await models();
  const rows = await Setting.findAll({ raw: true, ...within(undefined) });
  return Object.fromEntries(rows.map((row) => [row.name, row.value]));
}

/** Writes some of the settings. */
export async function writeSettings(values: Readonly<Record<string, string>>, transaction: Transaction): Promise<void> {
  const { Setting } = await models();
  for (const [name, value] of Object.entries(values)) await Setting.upsert({ name, value }, { transaction });
}
