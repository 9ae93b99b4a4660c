import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll } from 'vitest';
import { closeDatabase } from '../database';
import { seedDemo } from '../demo/seedDemo';

/** Gives the tests of a file a database of their own with the demo data, on disk, gone when they are done. */
export function onDemoDatabase(): void {
  const folder = mkdtempSync(join(tmpdir(), 'gray-pin-'));
  beforeAll(async () => {
    process.env.GRAY_PIN_DATA = folder;
    await seedDemo('demo');
  });
  afterAll(async () => {
    await closeDatabase();
    rmSync(folder, { recursive: true, force: true });
  });
}
