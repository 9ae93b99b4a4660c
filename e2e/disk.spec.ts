import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { runScript, startServer, untilReady } from '../scripts/server.mjs';
import { open, stored } from './support/browser';
import type { TestServer } from './support/servers';
import { test as base, expect } from './support/test';

/** A server of this test's own, on demo data of its own, stopped at the end. */
const test = base.extend<{ own: TestServer & { readonly process: ChildProcess } }>({
  own: async ({ server }, use, info) => {
    const [port, data] = [server.port + 40, info.outputPath('data')];
    runScript('seed.ts', [], { GRAY_PIN_DATA: data });
    const process = startServer({ port, data, quiet: true });
    await untilReady(port, process);
    await use({ port, data, address: `http://127.0.0.1:${port}`, process });
    process.kill('SIGKILL');
  },
});

/** Runs one of the scripts. @returns how it ended and what it said. */
async function ran(script: readonly string[], extra: Readonly<Record<string, string>>) {
  const child = spawn(process.execPath, script, { env: { ...process.env, ...extra } });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (some) => {
      said += some;
    });
  const code = await new Promise((resolve) => child.once('exit', resolve));
  return { code, said };
}
/** What is stored, without opening it. */
const bytes = (data: string) => ['', '-wal'].map((end) => readFileSync(join(data, `gray-pin.sqlite${end}`), 'latin1'));

test('a full disk is said in the page, loses nothing, and the step goes through once there is room', async ({
  page,
  own,
}) => {
  await open(page, `${own.address}/board/tarnlight/sheet-retouching`);
  const pid = String(own.process.pid);
  // The log may not grow any more.
  execFileSync('prlimit', ['--pid', pid, `--fsize=${statSync(join(own.data, 'gray-pin.sqlite-wal')).size}:unlimited`]);
  const undo = page.getByRole('button', { name: /^Undo/ });
  await undo.click();
  await expect(
    page.getByText(/The disk would not take what was to be written to .*gray-pin\.sqlite; it may be full/),
  ).toBeVisible();
  // What could not be done is not shown as done.
  await expect(page.getByRole('button', { name: 'Redo', exact: true })).toHaveAttribute('aria-disabled', 'true');
  // Looking goes on, other screens too.
  await open(page, `${own.address}/shelf`);
  await open(page, `${own.address}/board/tarnlight/sheet-retouching`);
  execFileSync('prlimit', ['--pid', pid, '--fsize=unlimited:unlimited']);
  await stored(page, /tape/, () => undo.click());
  await expect(page.getByRole('button', { name: 'Redo', exact: true })).toBeEnabled();
});

test('a stop folds the log in; a second start and a reset beside a running server say so and do nothing', async ({
  own,
}) => {
  // Something is in the log.
  const lit = await fetch(`${own.address}/api/settings`, { method: 'PATCH', body: JSON.stringify({ lamp: 'dim' }) });
  expect(lit.ok).toBe(true);
  const before = bytes(own.data);
  const again = await ran(['scripts/start.mjs'], { PORT: String(own.port), GRAY_PIN_DATA: own.data });
  expect(again).toEqual({ code: 1, said: expect.stringMatching(/running already at http:.*Nothing was done/) });
  const demo = await ran(['scripts/demo.mjs', '--reset'], { PORT: String(own.port), GRAY_PIN_DATA: own.data });
  expect(demo).toEqual({ code: 1, said: expect.stringMatching(/running already at http:.*Nothing was done/) });
  // On another port, but with the same data.
  const reset = await ran(['--import', 'tsx', 'scripts/seed.ts', '--reset'], { GRAY_PIN_DATA: own.data });
  expect(reset).toEqual({
    code: 1,
    said: expect.stringMatching(/is running on .*Stop it first\. Nothing was changed/),
  });
  expect(bytes(own.data)).toEqual(before);
  expect(before[1]?.length).toBeGreaterThan(0);

  const ended = new Promise((resolve) => own.process.once('exit', resolve));
  own.process.kill('SIGTERM');
  expect(await ended).toBe(0);
  expect(existsSync(join(own.data, 'gray-pin.sqlite-wal'))).toBe(false);
});
