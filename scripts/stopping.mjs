/**
 * Loaded into the server's process: on a normal stop what is being answered is answered, then the database is closed, which
 * folds its log in. Next by itself would end the process with the database open.
 */
import { servers } from './edge.mjs';

/** So long, in ms, what is being answered may still take. */
const LONGEST = 5000;
let stopping = false;

async function stop() {
  if (stopping) return;
  stopping = true;
  setTimeout(() => process.exit(1), LONGEST + 3000).unref();
  const answered = Promise.all(servers.map((server) => new Promise((resolve) => server.close(resolve))));
  for (const server of servers) server.closeIdleConnections();
  await Promise.race([answered, new Promise((resolve) => setTimeout(resolve, LONGEST).unref())]);
  await globalThis.grayPinQueue;
  await (await globalThis.grayPinDatabase)?.close();
  process.exit(0);
}
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    stop().catch((error) => {
      console.error(error);
      process.exit(1);
    });
  });
