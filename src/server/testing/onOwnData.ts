import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll } from 'vitest';
import { closeDatabase } from '../database';

/**
 * Gives the tests of a file a data folder of their own, on disk, gone when they are done.
 * @param prepare puts something there first. @returns the folder.
 */
export function onOwnData(prepare: (folder: string) => unknown = () => undefined): string {
  const folder = mkdtempSync(join(tmpdir(), 'gray-pin-'));
  beforeAll(async () => {
    process.env.GRAY_PIN_DATA = folder;
    await prepare(folder);
  });
  afterAll(async () => {
    // What a page asked for last may still be writing there, and open the file once more.
    for (let left = 5; ; left--) {
      await closeDatabase();
      try {
        rmSync(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 100 });
        return;
      } catch (error) {
        if (left === 0) throw error;
      }
    }
  });
  return folder;
}
