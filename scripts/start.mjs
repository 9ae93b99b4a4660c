/** Serves what has been built, and says where. */
import { mustBeFree, startServer, untilReady } from './server.mjs';

const port = Number(process.env.PORT ?? 4170);
await mustBeFree(port);
const server = startServer({ port, quiet: true });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
try {
  await untilReady(port, server);
  console.log(`Gray Pin is at http://127.0.0.1:${port}`);
} catch (error) {
  console.error(error.message);
  server.kill();
  process.exit(1);
}
