import { DEFAULT_SETTINGS, type Settings } from '../../core/settings/settings';
import type { EditMark, Versioned } from '../../core/sync/versioned';
import { loadStoredSettings, writeSettings } from '../repositories/settings';
import { editInStep, versioned } from './inStep';

/** The settings of this installation. */
export async function loadSettings(): Promise<Settings> {
  return { ...DEFAULT_SETTINGS, ...(await loadStoredSettings()) };
}

const SETTINGS = { thing: 'settings', what: 'The settings were', read: loadSettings };

/** The settings and their revision. */
export const loadVersionedSettings = (): Promise<Versioned<Settings>> => versioned(SETTINGS);

/** Changes some of the settings. */
export function saveSettings(values: Partial<Settings>, mark: EditMark = {}): Promise<Versioned<Settings>> {
  return editInStep(SETTINGS, mark, (transaction) => writeSettings(values, transaction));
}
