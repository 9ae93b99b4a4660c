/** Makes, once for all unit tests, the threads in which files from outside are read and sheets are written. */
import { join } from 'node:path';
import { buildThreads } from '../../scripts/buildThreads.mjs';
import { root } from '../../scripts/server.mjs';

export default async function setup() {
  const folder = join(root, '.tmp');
  await buildThreads(folder);
  process.env.GRAY_PIN_READER = join(folder, 'reader.mjs');
  process.env.GRAY_PIN_WRITER = join(folder, 'writer.mjs');
}
