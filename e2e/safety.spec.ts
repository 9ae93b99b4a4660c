import type { ChildProcess } from 'node:child_process';
import { request as httpRequest } from 'node:http';
import { gzipSync } from 'node:zlib';
import sqlite3 from 'sqlite3';
import { runScript, startServer, untilReady } from '../scripts/server.mjs';
import { open } from './support/browser';
import { FULL } from './support/full';
import { expect, test } from './support/test';

test('only this machine’s own pages are let in', async ({ request, baseURL }) => {
  const port = Number(new URL(baseURL ?? '').port);
  const ask = (headers: Record<string, string>, method = 'GET', path = '/shelf') =>
    new Promise<number>((resolve, reject) => {
      const one = httpRequest({ host: '127.0.0.1', port, path, method, headers }, (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      });
      one.on('error', reject);
      one.end();
    });
  expect(await ask({ host: `127.0.0.1:${port}` })).toBe(200);
  expect(await ask({ host: 'example.com' })).toBe(403);
  expect(await ask({ host: `127.0.0.1.example.com:${port}` })).toBe(403);
  expect(await ask({ host: `127.0.0.1:${port}`, origin: 'http://example.com' }, 'PATCH', '/api/settings')).toBe(403);
  expect(await ask({ host: `127.0.0.1:${port}`, 'sec-fetch-site': 'cross-site' }, 'POST', '/api/programs')).toBe(403);
  expect(await ask({ host: 'example.com' }, 'GET', '/api/health')).toBe(403);
  // Files and addresses of nothing are no exception, and every answer carries the headers.
  const [, file = ''] = /src="(\/_next\/static\/[^"]+\.js)"/.exec(await (await request.get('/shelf')).text()) ?? [];
  for (const path of ['/favicon.ico', file, '/no/such/address', '/api/no-such-route', '/board/%00/x']) {
    expect([path, await ask({ host: 'example.com' }, 'GET', path)]).toEqual([path, 403]);
    const answer = await request.get(path);
    expect([path, answer.status() < 500]).toEqual([path, true]);
    expect([path, answer.headers()['x-content-type-options'], answer.headers()['x-frame-options']]).toEqual([
      path,
      'nosniff',
      'DENY',
    ]);
  }
  for (const path of ['/board/%E0%A4%A/x', '/shelf/%', '/api/keymaps/%ff/view']) {
    const answer = await request.get(path);
    expect([path, answer.status(), answer.headers()['x-frame-options']]).toEqual([path, 400, 'DENY']);
    expect(await answer.text()).toContain('written wrongly');
  }
  for (const method of ['TRACE', 'DELETE', 'PUT'])
    expect([method, await ask({ host: `127.0.0.1:${port}` }, method)]).toEqual([method, 405]);
  const page = await request.get('/shelf');
  const policy = page.headers()['content-security-policy'];
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic';/);
  expect(policy).not.toContain('unsafe-eval');
  expect(page.headers()['set-cookie']).toBeUndefined();
  expect((await request.post('/api/keymaps/1/edits', { data: { revision: 'x', ticket: {} } })).status()).toBe(400);
  expect((await request.post('/api/keymaps/1/edits', { data: '{' })).status()).toBe(400);
});

/** So many edits, one in seven of them cut off; `KILLS=200` for as many kills. */
const EDITS = process.env.KILLS ? 7 * Number(process.env.KILLS) : FULL ? 100 : 28;

test(`kill -9 at any moment of ${EDITS} edits loses none that was confirmed, and the database opens`, async ({
  server: { port: beside },
}, info) => {
  test.setTimeout(240_000 + EDITS * 1000);
  // Far enough from the workers, and none that a browser refuses, as 4190.
  const port = beside + 20;
  const data = info.outputPath('data');
  runScript('seed.ts', [], { GRAY_PIN_DATA: data });
  const base = `http://127.0.0.1:${port}`;
  let server: ChildProcess = startServer({ port, data, quiet: true });
  await untilReady(port, server);
  const load = async () => (await fetch(`${base}/api/keymaps/2/view`)).json();
  const first = await load();
  const command = first.program.commands.find(
    (one: { id: string }) => !first.bindings.some(([id]: [string]) => id === one.id),
  ).id;
  let state = first.draft;
  const start = state.cursor;
  let held: string[] = [];
  let confirmed = 0;
  let kills = 0;
  while (confirmed < EDITS) {
    // A title each, so that the tape says which edits arrived.
    const next = [`Mod+Alt+Shift+F${(confirmed % 24) + 1}`];
    const edit = fetch(`${base}/api/keymaps/${state.id}/edits`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        revision: state.revision,
        ticket: {
          title: `Edit ${confirmed + 1}`,
          changes: [{ command, before: held.map((chord) => ({ chord })), after: next.map((chord) => ({ chord })) }],
        },
      }),
    }).then((answer) => (answer.ok ? answer.json() : Promise.reject(new Error(String(answer.status)))));
    const deadly = confirmed % 7 === 3 && kills <= confirmed / 7;
    if (deadly) setTimeout(() => server.kill('SIGKILL'), (confirmed * 13) % 30);
    const answer = await edit.catch(() => null);
    if (answer) {
      state = answer.state;
      held = next;
      confirmed++;
    }
    if (!deadly) continue;
    kills++;
    if (server.exitCode === null && server.signalCode === null)
      await new Promise((resolve) => server.once('exit', resolve));
    server = startServer({ port, data, quiet: true });
    await untilReady(port, server);
    const now = await load();
    const titles = now.tape.slice(start).map((one: { title: string }) => one.title);
    expect(titles.slice(0, confirmed)).toEqual(Array.from({ length: confirmed }, (_, i) => `Edit ${i + 1}`));
    // An edit cut off before it was confirmed is either wholly there or not at all.
    expect(titles.length - confirmed).toBeLessThanOrEqual(1);
    confirmed = titles.length;
    state = now.draft;
    held = now.bindings.filter(([id]: [string]) => id === command).map(([, chord]: [string, string]) => chord);
    expect(held).toEqual(confirmed === 0 ? [] : [`Mod+Alt+Shift+F${((confirmed - 1) % 24) + 1}`]);
  }
  server.kill('SIGKILL');
  expect(kills).toBeGreaterThanOrEqual(EDITS / 10);
  const file = new sqlite3.Database(`${data}/gray-pin.sqlite`);
  const check = await new Promise((resolve, reject) =>
    file.get('PRAGMA integrity_check', (error, row) => (error ? reject(error) : resolve(row))),
  );
  expect(check).toEqual({ integrity_check: 'ok' });
  await new Promise((resolve) => file.close(resolve));
});

/** What stands in the lexicon, in the purposes, and in what is near them. */
const WORDS = /straightening|wideangle|anchors/;
test('the Board ships at most 300 KB of gzipped script, and words when it has nothing else to do', async ({ page }) => {
  const answers: Promise<{ size: number; words: boolean }>[] = [];
  page.on('response', (response) => {
    const request = response.request();
    if (request.resourceType() === 'script')
      answers.push(response.body().then((one) => ({ size: gzipSync(one).length, words: WORDS.test(one.toString()) })));
  });
  await open(page, '/board/tarnlight/sheet-retouching');
  await page.waitForLoadState('load');
  // What is worked out in idle time comes last.
  await expect(page.getByRole('button', { name: /^Check.*\d/ })).toBeVisible();
  const sizes = await Promise.all(answers);
  const kilobytes = (words: boolean): number =>
    sizes.filter((one) => one.words === words).reduce((sum, { size }) => sum + size, 0) / 1024;
  console.log(`Board script: ${kilobytes(false).toFixed(0)} KB gzipped, words ${kilobytes(true).toFixed(0)} KB`);
  expect(kilobytes(false)).toBeGreaterThan(50);
  expect(kilobytes(false)).toBeLessThanOrEqual(300);
  await expect.poll(async () => (await Promise.all(answers)).filter((one) => one.words).length).toBeGreaterThan(0);
});
