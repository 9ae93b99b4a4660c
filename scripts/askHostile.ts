/**
 * Generated inputs over every reader, route and page of a running server, as many as said (`npm run hostile -- 100000`;
 * `--files`: files alone),
 * always the same from a seed (`SEED=7`). Says what failed, what took long, what the server and the readers took in memory,
 * and whether a refused request wrote; then how soon another window's edits are confirmed while ten files are read.
 */
import { type ChildProcess, execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { performance } from 'node:perf_hooks';
import { setTimeout as wait } from 'node:timers/promises';
import { putBack } from '../e2e/support/putBack';
import { routeNames, takesFile } from '../src/app/testing/callRoute';
import {
  type HostileRequest,
  hostileAddress,
  hostileFile,
  hostileRequest,
  largestFiles,
  type Random,
  randomFrom,
} from '../src/app/testing/hostile';
import { prepareTakes, type Takes } from '../src/app/testing/prepareTakes';
import { type Choices, NO_CHOICES } from '../src/core/reading/choices';
import { guessMarks, withMark } from '../src/core/reading/shown/guessMarks';
import { LONGEST_SHOWN } from '../src/core/reading/shown/shownLine';
import { Problem } from '../src/schemas/problem';
import { closeDatabase } from '../src/server/database';
import { seedDemo } from '../src/server/demo/seedDemo';
import { MEMORY } from '../src/server/reading/readApart';
import { MOST_BYTES, understand } from '../src/server/reading/understand';
import { openPlainFile } from '../src/server/stored/plainFile';
import { startServer, untilReady } from './server.mjs';

const total = Number(process.argv[2] ?? 100_000);
const seed = Number(process.env.SEED ?? 1);
const PORT = Number(process.env.PORT ?? 4700);
const base = `http://127.0.0.1:${PORT}`;
/** Of a hundred inputs so many go to pages, to readers in threads, and to readers in this process; the rest to routes. */
const [PAGES, THREADS, READERS] = process.argv.includes('--files') ? [0, 1, 99] : [3, 1, 40];
const PAGE_ADDRESSES = [
  ...[
    '/shelf',
    '/shelf/bring-in',
    '/shelf/allows/tarnlight',
    '/shelf/compare/tarnlight',
    '/board/tarnlight/sheet-retouching',
  ],
  ...['/match/tarnlight/sheet-retouching', '/wishes/tarnlight/sheet-retouching', '/workspaces/tarnlight'],
  ...['/tryout/tarnlight/sheet-retouching', '/sheets/tarnlight/sheet-retouching', '/no/such/page'],
];
const data = mkdtempSync(join(tmpdir(), 'gray-pin-'));
process.env.GRAY_PIN_DATA = data;

type Took = { readonly what: string; readonly ms: number };
let running: ChildProcess | null = null;
const slowest: Took[] = [];
const failures: string[] = [];
const counts = {
  pages: 0,
  threads: 0,
  readers: 0,
  routes: 0,
  refused: 0,
  taken: 0,
  wrote: 0,
  overASecond: 0,
  filesOverASecond: 0,
};
const fail = (what: string): void => {
  failures.push(what.slice(0, 400));
  console.error(`Failed: ${what.slice(0, 400)}`);
};
function note(what: string, ms: number, file = false): void {
  if (ms > 1000) counts[file ? 'filesOverASecond' : 'overASecond']++;
  slowest.push({ what: what.slice(0, 160), ms });
  if (slowest.length > 2000) keepSlowest();
}
function keepSlowest(): void {
  slowest.sort((a, b) => b.ms - a.ms);
  slowest.length = Math.min(slowest.length, 10);
}

const memory = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

function send({ name, id, slug, body }: HostileRequest): Promise<Response> {
  const [method = '', pattern = ''] = name.split(' ');
  const part = (text: string) => encodeURIComponent(text.replace(/[\ud800-\udfff]/g, '')) || '%20';
  const path = pattern.replace('[id]', part(id)).replace('[slug]', part(slug));
  const query = body instanceof URLSearchParams ? `?${String(body).slice(0, 8000)}` : '';
  return fetch(`${base}/api/${path}${query}`, {
    method,
    ...(method === 'GET' ? {} : { body: body as FormData | string }),
    ...(typeof body === 'string' ? { headers: { 'content-type': 'application/json' } } : {}),
  });
}

async function main(): Promise<void> {
  await seedDemo('demo');
  const all = remembering(await prepareTakes());
  await closeDatabase();
  const file = join(data, 'gray-pin.sqlite');
  writeFileSync(join(data, 'seeded.sqlite'), readFileSync(file));
  const server = startServer({ port: PORT, data, quiet: true });
  running = server;
  await untilReady(PORT, server);
  const pid = server.pid ?? 0;
  const every = routeNames().filter((one) => one !== 'GET everything');
  const names = every.filter((one) => !takesFile(one));
  const stored = await openPlainFile(file, 'to read');
  const version = async () => (await stored.all<{ data_version: number }>('PRAGMA data_version'))[0]?.data_version;
  const random = randomFrom(seed);
  const rss: number[] = [];
  const begun = performance.now();
  for (let i = 0; i < total; i++) {
    if (i % 1000 === 0) {
      await putBack(data);
      rss.push(memory(pid));
      process.stdout.write(
        `\r${i} · ${((performance.now() - begun) / 1000).toFixed(0)} s · ${rss.at(-1)?.toFixed(0)} MB   `,
      );
    }
    const kind = random() * 100;
    if (kind < READERS) read(i, random);
    else if (kind < READERS + PAGES) await page(i, random);
    else await route(i, random, kind < READERS + PAGES + THREADS ? every.filter(takesFile) : names);
  }

  /** Waits for what the server writes after it has sent a page, so that the next request is not blamed for it. */
  async function untilWritten(): Promise<void> {
    for (let before = null as unknown, now = await version(); now !== before; now = await version()) {
      before = now;
      await wait(30);
    }
  }
  async function page(i: number, from: Random): Promise<void> {
    const address = hostileAddress(from, PAGE_ADDRESSES);
    const at = performance.now();
    const answer = await fetch(base + address, { redirect: 'manual' });
    await answer.arrayBuffer();
    note(`page ${address}`, performance.now() - at);
    await untilWritten();
    counts.pages++;
    if (answer.status >= 500) fail(`${i}: page ${address}: ${answer.status}`);
  }
  async function route(i: number, from: Random, of: readonly string[]): Promise<void> {
    const request = await hostileRequest(from, of, all);
    if (takesFile(request.name)) {
      (request.body as FormData).set('file', new Blob([hostileFile(from, 5_200_000) as Uint8Array<ArrayBuffer>]), 'a');
      counts.threads++;
    } else counts.routes++;
    const before = await version();
    const at = performance.now();
    const answer = await send(request);
    await answer.arrayBuffer();
    const said = `${i}: ${request.name} ${request.id} ${request.slug} ${String(request.body).slice(0, 250)}`;
    note(said, performance.now() - at, takesFile(request.name));
    if (answer.status >= 500) fail(`${said}: ${answer.status}`);
    if (answer.ok) counts.taken++;
    else {
      counts.refused++;
      if ((await version()) !== before) {
        counts.wrote++;
        fail(`${said}: refused, but something was written`);
      }
    }
  }
  /** A line of a file shown as it is guessed, or marked anyhow. */
  function shownIn(bytes: Uint8Array, from: Random): Choices {
    const lines = new TextDecoder().decode(bytes).split('\n');
    const text = (lines[Math.floor(from() * lines.length)] ?? '').slice(0, LONGEST_SHOWN);
    const guessed = guessMarks(text);
    const at = Math.floor(from() * text.length);
    const marked = from() < 0.5 || at === text.length ? guessed : withMark(guessed, 'keys', [at, text.length]);
    return { ...NO_CHOICES, shown: marked.name ? [marked] : [] };
  }
  function read(i: number, from: Random): void {
    const bytes = hostileFile(from, 30_000);
    const at = performance.now();
    try {
      understand(bytes, from() < 0.3 ? shownIn(bytes, from) : NO_CHOICES);
    } catch (error) {
      if (!(error instanceof Problem))
        fail(`${i}: reader: ${error} at ${Buffer.from(bytes).toString('utf8').slice(0, 200)}`);
    }
    counts.readers++;
    note(`${i}: reader of ${bytes.length} bytes`, performance.now() - at);
  }

  keepSlowest();
  const took = (performance.now() - begun) / 1000;
  console.log(`\n${total} inputs from SEED=${seed} in ${took.toFixed(0)} s`, counts);
  console.log('Slowest:', slowest.map(({ what, ms }) => `\n  ${ms.toFixed(0)} ms ${what}`).join(''));
  const half = rss.slice(Math.floor(rss.length / 2));
  const middle = Math.floor(half.length / 2);
  const mean = (of: readonly number[]) => (of.reduce((sum, one) => sum + one, 0) / Math.max(1, of.length)).toFixed(0);
  await stored.close();
  await putBack(data);
  const edited = await editsWhileReading();
  const rows: readonly (readonly [what: string, here: string, wanted: string])[] = [
    [
      `${total} generated inputs: ${counts.routes} to routes, ${counts.pages} to pages, ${counts.readers} and ${counts.threads} to readers; failed`,
      String(failures.length),
      'none',
    ],
    [`Refused: ${counts.refused}; of them wrote something`, String(counts.wrote), 'none'],
    [
      'Took over a second: requests that brought no file, and files of up to 5 MB read for whom they belong to',
      `${counts.overASecond}, ${counts.filesOverASecond}`,
      'none of anybody else’s time',
    ],
    [
      'Server, resident memory: at most; mean of the third quarter and of the last',
      `${Math.max(...rss).toFixed(0)} MB; ${mean(half.slice(0, middle))} and ${mean(half.slice(middle))} MB`,
      'under 700 MB, not growing',
    ],
    [
      'A reading thread, memory beyond that of an empty process: at most, of 5 MB files of every kind',
      `${readerMemory()} MB`,
      'under 192 MB',
    ],
    ...edited,
  ];
  const table = rows.map((row) => `| ${row.join(' | ')} |`).join('\n');
  console.log(table);
  if (total >= 100_000) {
    const path = 'docs/performance.md';
    const [before = ''] = readFileSync(path, 'utf8').split(/^(?=## Treated badly)/m);
    const text = `${before.trimEnd()}\n\n## Treated badly\n\nBy \`npm run hostile -- ${total}\`, against the production build.\n\n| What | Here | Wanted |\n| --- | --- | --- |\n${table}\n`;
    writeFileSync(path, text);
  }
  await stop(server);
}

/** How much memory the hungriest of many large files takes to read, in MB: each in a process with one reading thread. */
function readerMemory(): number {
  const script = `
    const { Worker } = require('node:worker_threads');
    const [reader, file, limits] = process.argv.slice(1);
    // Of this program alone; what getrusage tells begins with what its parent had.
    const status = () => require('node:fs').readFileSync('/proc/self/status', 'utf8');
    const said = () => process.stdout.write(/VmHWM:\\s+(\\d+)/.exec(status())[1]);
    if (file === '') said();
    else {
      // The file is the thread's alone: whoever hands it over keeps none of it here.
      const { size } = require('node:fs').statSync(file);
      const bytes = new Uint8Array(size);
      require('node:fs').readSync(require('node:fs').openSync(file), bytes);
      const workerData = { as: 'program', bytes, choices: null, corrections: {} };
      const transferList = [bytes.buffer];
      const worker = new Worker(reader, { workerData, transferList, resourceLimits: JSON.parse(limits) });
      worker.once('error', () => undefined);
      worker.once('exit', said);
    }`;
  const random = randomFrom(seed + 1);
  const measured = (file: string): number =>
    Number(
      execFileSync(process.execPath, ['-e', script, resolve('.next/reader.mjs'), file, JSON.stringify(MEMORY)], {
        encoding: 'utf8',
      }),
    );
  const empty = measured('');
  const file = join(data, 'large');
  let most = 0;
  for (const bytes of largestFiles(random, MOST_BYTES, 20)) {
    writeFileSync(file, bytes);
    most = Math.max(most, measured(file) - empty);
  }
  return Math.round(most / 1024);
}

/** What routes take, looked up anew for every eighth request only: looking takes longer than asking. */
function remembering({ takes, idFor }: Takes): Takes {
  const remembered = new Map<string, { readonly given: Promise<object>; uses: number }>();
  const own = Object.entries(takes).map(([name, take]) => {
    const again = (): Promise<object> => {
      const known = remembered.get(name);
      if (known && ++known.uses < 8) return known.given;
      const given = take();
      remembered.set(name, { given, uses: 0 });
      return given;
    };
    return [name, again] as const;
  });
  return { takes: Object.fromEntries(own), idFor };
}

/** How soon edits of one window are confirmed while ten files of others are read, and without. */
async function editsWhileReading(): Promise<[string, string, string][]> {
  const idle = await edits(() => false, 60);
  const random = randomFrom(99);
  const rows = Array.from({ length: 3500 }, (_, i) => `Command ${i},${'Ctrl+K or '.repeat(99)}F2`).join('\n');
  const large = largestFiles(random, MOST_BYTES, 5).slice(-5);
  const files = [...Array.from({ length: 5 }, () => new TextEncoder().encode(rows)), ...large];
  let reading = true;
  const all = Promise.all(
    files.map((bytes, i) => {
      const form = new FormData();
      form.set('file', new Blob([bytes as Uint8Array<ArrayBuffer>]), 'a.csv');
      return fetch(`${base}/api/reading`, { method: 'POST', body: form, headers: { 'x-window': String(i) } });
    }),
  ).finally(() => {
    reading = false;
  });
  const busy = await edits(() => reading, 60);
  await all;
  const at = (of: number[], share: number) => (of.sort((a, b) => a - b)[Math.floor(of.length * share)] ?? 0).toFixed(0);
  return [
    ['alone', idle, ''] as const,
    ['while ten files of others are read', busy, 'p95 at most 300 ms'] as const,
  ].map(([name, of, wanted]) => [
    `Edits ${name}, ${of.length} one after the other: median, p95, longest`,
    `${at(of, 0.5)}, ${at(of, 0.95)}, ${at(of, 0.9999)} ms`,
    wanted,
  ]);
}

/** Edits one after the other, as long as said and so many at least. @returns how long each took, in ms. */
async function edits(goOn: () => boolean, least: number): Promise<number[]> {
  const view = (await (await fetch(`${base}/api/keymaps/2/view`)).json()) as {
    draft: { id: number; revision: number };
    program: { commands: { id: string }[] };
    bindings: [string, string][];
  };
  const command = view.program.commands.find((one) => !view.bindings.some(([id]) => id === one.id))?.id ?? '';
  let { id, revision } = view.draft;
  let before: object[] = [];
  const times: number[] = [];
  while (goOn() || times.length < least) {
    const after = [{ chord: `Mod+Alt+Shift+F${(times.length % 24) + 1}` }];
    const at = performance.now();
    const answer = await fetch(`${base}/api/keymaps/${id}/edits`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ revision, ticket: { title: 'Edit', changes: [{ command, before, after }] } }),
    });
    times.push(performance.now() - at);
    if (!answer.ok) throw new Error(await answer.text());
    ({ id, revision } = ((await answer.json()) as { state: { id: number; revision: number } }).state);
    before = after;
    await wait(5);
  }
  return times;
}

async function stop(server: ChildProcess): Promise<void> {
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.kill();
  await ended;
  rmSync(data, { recursive: true, force: true });
}

await main().finally(() => running?.kill('SIGKILL'));
console.log(failures.length === 0 ? 'Nothing failed.' : `${failures.length} failed.`);
process.exit(failures.length === 0 ? 0 : 1);
