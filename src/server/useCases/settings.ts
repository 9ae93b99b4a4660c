import { DEFAULT_SETTINGS, type Settings } from '../../core/settings/settings';
import { inTransaction } from '../database';
import { change, select } from '../repositories/rows';

/** The settings of this installation. */
export async function loadSettings(): Promise<Settings> {
  const rows = await select<{ name: string; value: string }>('SELECT name, value FROM settings');
  return { ...DEFAULT_SETTINGS, ...Object.fromEntries(rows.map((row) => [row.name, row.value])) };
}

/** Changes some of the settings. */
export async function saveSettings(values: Partial<Settings>): Promise<void> {
  await inTransaction(async (transaction) => {
    for (const [name, value] of Object.entries(values)) {
      await change(
        'INSERT INTO settings (name, value) VALUES (:name, :value) ON CONFLICT (name) DO UPDATE SET value = excluded.value',
        { name, value },
        transaction,
      );
    }
  });
}
