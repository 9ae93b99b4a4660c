import { join, resolve } from 'node:path';

/** Where everything that a person made lives: `GRAY_PIN_DATA`, else `data/` beside the application. */
export function dataFolder(): string {
  return resolve(/*turbopackIgnore: true*/ process.env.GRAY_PIN_DATA ?? 'data');
}

export function databaseFile(): string {
  return join(dataFolder(), 'gray-pin.sqlite');
}
