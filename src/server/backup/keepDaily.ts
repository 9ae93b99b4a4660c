import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { databaseFile, dataFolder } from '../dataFolder';
import { saveEverything } from './saveEverything';

const DAYS = 7;
const HOUR = 3_600_000;
const NAME = /^gray-pin daily \d{4}-\d{2}-\d{2}\.sqlite$/;

/** Keeps a copy of everything for today, unless there is one, and those of the last seven days that had any. */
export async function copyOfToday(now: Date): Promise<void> {
  if (!existsSync(databaseFile())) return;
  const folder = join(dataFolder(), 'copies');
  mkdirSync(folder, { recursive: true });
  const today = join(folder, `gray-pin daily ${now.toISOString().slice(0, 10)}.sqlite`);
  if (!existsSync(today)) await saveEverything(today);
  const kept = readdirSync(folder).filter((name) => NAME.test(name));
  for (const old of kept.sort().slice(0, -DAYS)) rmSync(join(folder, old));
}

/** Keeps a copy a day for as long as the server runs. That none can be kept stops nobody. */
export function keepDaily(): void {
  const keep = (): Promise<void> =>
    copyOfToday(new Date()).catch((error: unknown) => console.error('Today’s copy could not be kept.', error));
  void keep();
  setInterval(keep, HOUR).unref();
}
