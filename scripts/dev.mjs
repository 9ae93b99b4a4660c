/** Serves while the code is being changed. */
import { buildThreads } from './buildThreads.mjs';
import { runScript, startServer } from './server.mjs';

runScript('seed.ts');
await buildThreads();
const server = startServer({ port: Number(process.env.PORT ?? 4170), mode: 'dev', nodeArgs: [] });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
