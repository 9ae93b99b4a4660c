/** What the scripts share: running a command, starting the server and waiting until it answers. */
import { spawn, spawnSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { createServer } from 'node:net';
import { join } from 'node:path';

export const root = join(import.meta.dirname, '..');
const require = createRequire(import.meta.url);
const environment = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Runs a command to its end; ends this script with it when it fails. */
export function run(command, args, extra = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...environment, ...extra } });
  if (status !== 0) process.exit(status ?? 1);
}

/** Runs one of our TypeScript scripts. */
export function runScript(name, args = [], extra = {}) {
  run(process.execPath, ['--import', 'tsx', join(root, 'scripts', name), ...args], extra);
}

/** Starts the server on this machine's own address only; the process is the server itself. */
export function startServer({ port, mode = 'start', data, quiet = false, nodeArgs = ['--max-old-space-size=384'] }) {
  const next = require.resolve('next/dist/bin/next');
  const around = mode === 'start' ? ['edge', 'stopping'] : ['edge'];
  const loaded = around.flatMap((name) => ['--import', join(root, `scripts/${name}.mjs`)]);
  return spawn(process.execPath, [...loaded, ...nodeArgs, next, mode, '-H', '127.0.0.1', '-p', String(port)], {
    cwd: root,
    stdio: quiet ? ['ignore', 'ignore', 'inherit'] : ['ignore', 'inherit', 'inherit'],
    env: {
      ...environment,
      // Threads that come and go would each leave an arena of memory behind.
      MALLOC_ARENA_MAX: '2',
      ...(mode === 'start' ? { NEXT_MANUAL_SIG_HANDLE: 'true' } : {}),
      ...(data ? { GRAY_PIN_DATA: data } : {}),
    },
  });
}

/** The exit code of a server that has said itself why it does not start. */
const SAID = 3;
/** Ends this script, saying so, when something answers at the port already. */
export async function mustBeFree(port) {
  const free = await new Promise((resolve) => {
    const trial = createServer();
    trial.once('error', () => resolve(false));
    trial.listen(port, '127.0.0.1', () => trial.close(() => resolve(true)));
  });
  if (free) return;
  const ours = await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(1000) }).then(
    async (answer) => 'ready' in (await answer.json()),
    () => false,
  );
  console.error(
    ours
      ? `Gray Pin is running already at http://127.0.0.1:${port}. Open it there, or stop it first. Nothing was done.`
      : `Another program uses port ${port}. Give Gray Pin another one, such as PORT=${port + 1}. Nothing was done.`,
  );
  process.exit(1);
}

/** Waits until the server answers and its database is open. */
export async function untilReady(port, server, seconds = 60) {
  for (let i = 0; i < seconds * 10; i++) {
    if (server.exitCode === SAID) process.exit(1);
    if (server.exitCode !== null) throw new Error(`The server stopped by itself. Is port ${port} already in use?`);
    const ready = await fetch(`http://127.0.0.1:${port}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (ready) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('The server did not answer in time.');
}
