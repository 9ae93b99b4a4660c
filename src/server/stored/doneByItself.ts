import { openPlainFile } from './plainFile';

/** The statements that a file runs by itself, or that only look like a table of it: such could do anything. */
export async function doneByItself(path: string): Promise<readonly string[]> {
  const file = await openPlainFile(path, 'to read');
  try {
    const found = await file.all<{ sql: string }>("SELECT sql FROM sqlite_master WHERE type IN ('trigger', 'view')");
    return found.map((one) => one.sql);
  } finally {
    await file.close();
  }
}
