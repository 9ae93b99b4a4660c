import { join } from 'node:path';

/** How many end-to-end workers there are, each with a server, a data folder and settings of its own. */
export const WORKERS = Number(process.env.E2E_WORKERS ?? 2);
const first = Number(process.env.E2E_PORT ?? 4179);

/** A server of the tests: where it answers, where its data is, and the file that its database begins as. */
export type TestServer = { readonly port: number; readonly address: string; readonly data: string };

/** The server of a worker, by the worker's place among those that run at a time. */
export function serverOf(worker: number): TestServer {
  const port = first + worker;
  return { port, address: `http://127.0.0.1:${port}`, data: join('.tmp', `e2e-${worker}`) };
}
