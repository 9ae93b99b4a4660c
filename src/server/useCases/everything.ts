import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { saveEverything } from '../backup/saveEverything';
import { dataFolder } from '../dataFolder';

/** Everything that is stored as the bytes of one file, of one moment. */
export async function everythingAsFile(): Promise<Uint8Array<ArrayBuffer>> {
  const file = join(dataFolder(), `saving-${randomUUID()}.sqlite`);
  try {
    await saveEverything(file);
    return new Uint8Array(readFileSync(file));
  } finally {
    rmSync(file, { force: true });
  }
}
