/** Makes, once for all unit tests, the thread in which files from outside are read. */
import { join } from 'node:path';
import { buildReader } from '../../scripts/buildReader.mjs';
import { root } from '../../scripts/server.mjs';

export default async function setup() {
  const file = join(root, '.tmp/reader.mjs');
  await buildReader(file);
  process.env.GRAY_PIN_READER = file;
}
