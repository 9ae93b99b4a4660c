import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';

/** Where everything that a person made lives: `GRAY_PIN_DATA`, else `data/` beside the application. Made if missing. */
export function dataFolder(): string {
  const folder = resolve(/*turbopackIgnore: true*/ process.env.GRAY_PIN_DATA ?? 'data');
  mkdirSync(folder, { recursive: true });
  return folder;
}

export function databaseFile(): string {
  return join(dataFolder(), 'gray-pin.sqlite');
}
