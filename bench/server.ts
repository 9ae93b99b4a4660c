import type { ChildProcess } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import sqlite3 from 'sqlite3';
import { chromiumPath, launchArgs } from '../e2e/support/browser';
import { startServer, untilReady } from '../scripts/server.mjs';
import type { ProgramWithKeymaps } from '../src/core/file/programFile';
import type { KeymapView } from '../src/core/keymap/keymapView';
import { closeDatabase } from '../src/server/database';
import { bringIn } from '../src/server/useCases/bringIn';
import { duplicateKeymap, editKeymap } from '../src/server/useCases/editKeymap';
import { loadKeymapView, loadShelf } from '../src/server/useCases/screens';
import { loadSheets } from '../src/server/useCases/sheets';
import { generate, randomFrom } from './generate';
import { ms, type Row } from './measure';

const at = (sorted: readonly number[], part: number): number =>
  sorted[Math.floor((sorted.length - 1) * part)] ?? Number.NaN;
const spread = (times: readonly number[]): string => {
  const sorted = [...times].sort((a, b) => a - b);
  return `p50 ${ms(at(sorted, 0.5))}, p95 ${ms(at(sorted, 0.95))}`;
};
const quantile = (times: readonly number[], part: number): number =>
  at(
    [...times].sort((a, b) => a - b),
    part,
  );
async function timed(work: () => Promise<unknown>, times: number): Promise<number[]> {
  const found: number[] = [];
  for (let i = 0; i < times; i++) {
    const begun = performance.now();
    await work();
    found.push(performance.now() - begun);
  }
  return found;
}
const named = (program: ProgramWithKeymaps, name: string): ProgramWithKeymaps => ({
  ...program,
  program: { ...program.program, name },
});
const PORT = 4187;
const rows: Row[] = [];
const failures: string[] = [];
const note = (what: string, found: string, wanted: string, good: boolean): void => {
  console.log(what, found);
  rows.push([what, found, wanted, good ? 'yes' : 'no']);
  if (!good) failures.push(what);
};

/** What the server takes for its work, and what it bears. */
export async function benchServer(
  parts: readonly string[] = ['work', 'large', 'load'],
): Promise<{ readonly rows: readonly Row[]; readonly failures: readonly string[] }> {
  const folder = join(process.cwd(), '.tmp/bench-server');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  if (parts.includes('work')) {
    process.env.GRAY_PIN_DATA = join(folder, 'work');
    await withoutDisk(benchWork);
  }
  if (parts.includes('large')) await benchLarge(join(folder, 'large'));
  if (parts.includes('load')) await benchLoad(join(folder, 'load'));
  return { rows, failures };
}

/** Does some work on files that are not waited for to be on the disk, which is not what is measured. */
async function withoutDisk(work: () => Promise<void>): Promise<void> {
  const { exec } = sqlite3.Database.prototype;
  sqlite3.Database.prototype.exec = function unwaited(sql, ...done) {
    return exec.call(this, sql.replace('synchronous = FULL', 'synchronous = OFF'), ...done);
  };
  await work();
  await closeDatabase();
  sqlite3.Database.prototype.exec = exec;
}

async function benchWork(): Promise<void> {
  const slug = await bringIn(generate(5000, 8000));
  const factory = await loadKeymapView(slug, 'factory-keys');
  const { id } = await duplicateKeymap(factory.draft.id, 'Mine', '');
  let revision = (await loadKeymapView(slug, 'mine')).draft.revision;
  let before: { readonly chord: string }[] = factory.bindings
    .filter(([one]) => one === 'c7')
    .map(([, chord]) => ({ chord }));
  let made = 0;
  const edit = async (): Promise<void> => {
    const after = [{ chord: `Mod+Alt+Shift+F${(made++ % 24) + 1}` }];
    const answer = await editKeymap(id, { revision }, { title: 'Edit', changes: [{ command: 'c7', before, after }] });
    if ('doneOn' in answer) throw new Error('Done before.');
    ({ revision } = answer.state);
    before = after;
  };
  // As in a server that has been up for a while.
  await timed(edit, 300);
  const edits = await timed(edit, 300);
  note('An edit at 5,000 commands, `synchronous=OFF`', spread(edits), 'p95 at most 15 ms', quantile(edits, 0.95) <= 15);

  const sheets = async (): Promise<number> => quantile(await timed(() => loadSheets(slug, 'mine'), 60), 0.5);
  const two = await sheets();
  for (let i = 0; i < 8; i++) await duplicateKeymap(factory.draft.id, `Other ${i}`, '');
  const ten = await sheets();
  note(
    'A sheet’s data with 10 keymaps, beside 2',
    `${ms(ten)}, ${ms(two)}: ${(ten / two).toFixed(2)} times`,
    'at most 1.2 times',
    ten / two <= 1.2,
  );

  for (let p = 0; p < 10; p++) {
    const one = await bringIn(named(generate(300, 400, p), `Program ${p}`));
    const { draft } = await loadKeymapView(one, 'factory-keys');
    for (let k = 0; k < 9; k++) await duplicateKeymap(draft.id, `Keymap ${k}`, '');
  }
  await loadShelf();
  const shelf = await timed(loadShelf, 30);
  note('The Shelf’s data, 11 programs of 10 keymaps', spread(shelf), 'at most 40 ms', quantile(shelf, 0.5) <= 40);
}

/** Serves a data folder while some work is done. */
async function serving<T>(data: string, work: (base: string) => Promise<T>): Promise<T> {
  const server: ChildProcess = startServer({ port: PORT, data, quiet: true });
  await untilReady(PORT, server);
  try {
    return await work(`http://127.0.0.1:${PORT}`);
  } finally {
    const ended = new Promise((done) => server.once('exit', done));
    server.kill();
    await ended;
  }
}

/** 20,000 commands, as they may be and all on one chord; a hundred programs on the Shelf. */
async function benchLarge(data: string): Promise<void> {
  process.env.GRAY_PIN_DATA = data;
  const large = generate(20_000, 12_000);
  await bringIn(named(large, 'Large'));
  const areas = large.program.contexts.length - 1;
  const commands = large.program.commands.map((one, i) => ({ ...one, context: `area-${i % areas}` }));
  const factory = { ...large.factory, bindings: new Map(commands.map((one) => [one.id, [{ chord: 'Mod+K' }]])) };
  await bringIn(named({ ...large, program: { ...large.program, commands }, factory }, 'One chord'));
  for (let i = 0; i < 98; i++) await bringIn(named(generate(60, 80, i), `Program ${i}`));
  await closeDatabase();
  await serving(data, async (base) => {
    const browser = await chromium.launch({ executablePath: chromiumPath(), args: launchArgs });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const open = async (address: string, ready: string): Promise<number> => {
      const times: number[] = [];
      for (let i = 0; i < 5; i++) {
        await page.goto(`${base}${address}`);
        await page.locator(ready).first().waitFor();
        times.push(await page.evaluate(() => performance.now()));
      }
      return quantile(times.slice(1), 0.5);
    };
    for (const [name, slug] of [
      ['20,000 commands', 'large'],
      ['20,000 commands on one chord', 'one-chord'],
    ] as const) {
      const opened = await open(`/board/${slug}/factory-keys/c100`, 'html[data-ready] [role=option]');
      note(`The Board of ${name} opened`, ms(opened), 'at most 3.5 s', opened <= 3500);
      await page.locator('[data-capture], input[aria-label^="Press the keys"]').first().focus();
      const pressed = await timed(async () => {
        await page.keyboard.press('Alt+Shift+F9');
        await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
      }, 10);
      note(`A press there, ${name}`, spread(pressed), 'p50 at most 100 ms', quantile(pressed, 0.5) <= 100);
      const pdf = await timed(async () => {
        const query = new URLSearchParams({ program: slug, keymap: 'factory-keys', as: 'pdf', date: '2026-11-27' });
        const answer = await fetch(`${base}/api/sheets?${query}`);
        if (!answer.ok) throw new Error(await answer.text());
        await answer.arrayBuffer();
      }, 3);
      note(`The PDF of ${name}`, ms(quantile(pdf, 0.5)), 'at most 3 s', quantile(pdf, 0.5) <= 3000);
    }
    const shelf = await open('/shelf', 'html[data-ready]');
    note('The Shelf page with 100 programs', ms(shelf), 'at most 600 ms', shelf <= 600);
    await browser.close();
  });
}

const CLIENTS = 20;
const SECONDS = Number(process.env.SECONDS ?? 60);

/** Twenty clients at once, each doing one thing after the other. */
async function benchLoad(data: string): Promise<void> {
  process.env.GRAY_PIN_DATA = data;
  const slug = await bringIn(generate(5000, 8000));
  const factory = await loadKeymapView(slug, 'factory-keys');
  for (let i = 0; i < CLIENTS; i++) await duplicateKeymap(factory.draft.id, `Client ${i}`, '');
  await closeDatabase();
  const times = new Map<string, number[]>();
  let errors = 0;
  await serving(data, async (base) => {
    const until = performance.now() + SECONDS * 1000;
    const client = async (number: number): Promise<void> => {
      const random = randomFrom(number + 1);
      const view = (await (
        await fetch(`${base}/api/keymaps/${factory.draft.id + 1 + number}/view`)
      ).json()) as KeymapView;
      const command = `c${number}`;
      let { revision } = view.draft;
      let before = view.bindings.filter(([one]) => one === command).map(([, chord]) => ({ chord: chord as string }));
      const post = { 'content-type': 'application/json' };
      while (performance.now() < until) {
        const dice = random() * 100;
        const after = [{ chord: `Mod+Alt+Shift+F${Math.floor(random() * 24) + 1}` }];
        const [what, ask] =
          dice < 50
            ? ([
                'an edit',
                () =>
                  fetch(`${base}/api/keymaps/${view.draft.id}/edits`, {
                    method: 'POST',
                    headers: post,
                    body: JSON.stringify({
                      revision,
                      ticket: { title: 'Edit', changes: [{ command, before, after }] },
                    }),
                  }),
              ] as const)
            : dice < 65
              ? (['a Board', () => fetch(`${base}/board/${slug}/client-${number}`)] as const)
              : dice < 75
                ? (['the Shelf', () => fetch(`${base}/shelf`)] as const)
                : dice < 85
                  ? ([
                      'a setting',
                      () =>
                        fetch(`${base}/api/settings`, {
                          method: 'PATCH',
                          headers: post,
                          body: JSON.stringify({ lamp: dice < 80 ? 'dim' : 'studio' }),
                        }),
                    ] as const)
                  : dice < 95
                    ? (['icons', () => fetch(`${base}/api/icons?find=brush`)] as const)
                    : ([
                        'a PDF',
                        () =>
                          fetch(`${base}/api/sheets?program=${slug}&keymap=client-${number}&as=pdf&date=2026-11-27`),
                      ] as const);
        const begun = performance.now();
        const answer = await ask();
        const said = await answer.arrayBuffer();
        times.set(what, [...(times.get(what) ?? []), performance.now() - begun]);
        if (!answer.ok) {
          errors++;
          console.error(what, answer.status, Buffer.from(said).toString('utf8').slice(0, 200));
        } else if (what === 'an edit') {
          ({ revision } = (JSON.parse(Buffer.from(said).toString('utf8')) as { state: { revision: number } }).state);
          before = after;
        }
        await wait(0);
      }
    };
    await Promise.all(Array.from({ length: CLIENTS }, (_, number) => client(number)));
  });
  const all = [...times.values()].flat();
  const rate = all.length / SECONDS;
  note(
    `${CLIENTS} clients for ${SECONDS} s, they included`,
    `${rate.toFixed(1)} requests a second, ${errors} errors, ${spread(all)}`,
    'at least 30 a second, no errors, p95 under 2.5 s',
    rate >= 30 && errors === 0 && quantile(all, 0.95) < 2500,
  );
  for (const [what, some] of times) rows.push([`– ${what} among them`, `${some.length}: ${spread(some)}`, '', '']);
}

if (process.argv[1] === import.meta.filename) {
  const parts = process.argv.slice(2);
  const { rows: found } = await benchServer(parts.length > 0 ? parts : undefined);
  for (const row of found) console.log(row.join(' | '));
  process.exit(0);
}
