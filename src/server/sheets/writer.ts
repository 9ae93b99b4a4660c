/** The thread in which sheets are written as files, one after the other; the fonts stay read. */
import { parentPort } from 'node:worker_threads';
import { type SheetFile, type SheetWanted, writeSheet } from './writeSheet';

export type Ask = { readonly number: number; readonly wanted: SheetWanted };
export type Answer = { readonly number: number } & ({ readonly file: SheetFile } | { readonly failed: unknown });

const port = parentPort;
port?.on('message', async ({ number, wanted }: Ask) => {
  try {
    const file = await writeSheet(wanted);
    port.postMessage({ number, file } satisfies Answer, [file.bytes.buffer]);
  } catch (failed) {
    port.postMessage({ number, failed } satisfies Answer);
  }
});
