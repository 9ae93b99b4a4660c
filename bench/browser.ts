import { readFileSync, rmSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { chromiumPath, launchArgs } from '../e2e/support/browser';
import { runScript, startServer, untilReady } from '../scripts/server.mjs';
import { toProgramFile } from '../src/core/file/programFile';
import { DEFAULT_KEYBOARD } from '../src/core/keyboard/usKeyboard';
import { whereOf } from '../src/core/keyboard/where';
import { manyWishes } from './advice';
import { generate } from './generate';
import { manyCommands } from './match';
import type { Row } from './measure';
import { previewOften } from './preview';
import { changeSheets, showSeveral } from './sheets';

const PORT = 4183;
const DATA = '.tmp/bench-data';
const KEYS = 'QWERTASDFGZXCVB';
const HOLDS = ['Alt', 'Control', 'Shift', 'Alt+Shift', 'Control+Alt'];

/** Opens the Board of the 5,000-command program and presses keys on it, in Chromium on the production build. */
export async function benchBrowser(): Promise<{ rows: Row[]; failures: string[] }> {
  rmSync(DATA, { recursive: true, force: true });
  runScript('seed.ts', [], { GRAY_PIN_DATA: DATA });
  const server = startServer({ port: PORT, data: DATA, quiet: true });
  let most = 0;
  const watch = setInterval(() => {
    const pages = readFileSync(`/proc/${server.pid}/status`, 'utf8').match(/VmRSS:\s+(\d+)/)?.[1];
    most = Math.max(most, Number(pages ?? 0) / 1024);
  }, 100);
  const failures: string[] = [];
  try {
    await untilReady(PORT, server);
    const base = `http://127.0.0.1:${PORT}`;
    const generated = generate(5000, 8000);
    const form = new FormData();
    form.set('file', new Blob([JSON.stringify(toProgramFile(generated))]), 'bench.json');
    const brought = await fetch(`${base}/api/programs`, { method: 'POST', body: form });
    if (!brought.ok) throw new Error(await brought.text());
    const browser = await chromium.launch({ executablePath: chromiumPath(), args: launchArgs });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const address = `${base}/board/bench/factory-keys`;
    const opened: number[] = [];
    for (let i = 0; i < 25; i++) {
      await page.goto(`${address}/c${i * 100}`);
      await page.locator('html[data-ready] [role=option]').first().waitFor();
      opened.push(await page.evaluate(() => performance.now()));
      if (i < 3) opened.pop();
    }
    await watchLongTasks(page);
    const pressed = await pressKeys(page, 240);
    const pressLongest = await longestTask(page);
    const typed = await typeWords(page);
    const typeLongest = await longestTask(page);
    const filtered = await clickFilters(page);
    const longestOf = [pressLongest, typeLongest, await longestTask(page)];
    const suggested = await chooseCommands(page, 130);
    longestOf.push(await longestTask(page));
    const longest = Math.max(...longestOf);
    const plans = await makePlans(page, base, manyWishes(generated.program, whereOf(DEFAULT_KEYBOARD)));
    const matched = await findMatches(page, base);
    const tried = await tryOut(page, base);
    const sheets = await changeSheets(page, base);
    const several = await showSeveral(page, base);
    const mostBefore = most;
    const preview = await previewOften(page, base);
    // The rest of the server's work, so that its memory is seen under all of it.
    for (const program of ['tarnlight/sheet-retouching', 'bench/factory-keys']) {
      const [slug, keymap] = program.split('/');
      await fetch(`${base}/api/sheets?program=${slug}&keymap=${keymap}&contents=all`).then((answer) =>
        answer.arrayBuffer(),
      );
      await fetch(`${base}/shelf`).then((answer) => answer.text());
    }
    await browser.close();
    const [p50, p95] = [quantile(pressed, 0.5), quantile(pressed, 0.95)];
    if (p95 >= 50) failures.push('a key press takes 50 ms or more to its verdict at p95');
    for (const [what, times] of [
      ['a letter typed', typed],
      ['a filter', filtered],
    ] as const)
      if (quantile(times, 0.95) >= 50) failures.push(`${what} takes 50 ms or more to its list at p95`);
    if (quantile(suggested, 0.95) >= 50) failures.push('suggestions take 50 ms or more at p95');
    if (quantile(plans.later, 0.95) >= 150) failures.push('a plan takes 150 ms or more in the worker');
    if (quantile(matched, 0.95) >= 1000) failures.push('counterparts take 1 s or more in the worker');
    if (quantile(tried.menus, 0.95) >= 50) failures.push('a menu of the tryout takes 50 ms or more to open');
    if (quantile(tried.keys, 0.95) >= 16) failures.push('the tryout takes 16 ms or more to answer a key at p95');
    if (Math.max(...several) >= 1500) failures.push('a sheet of several programs takes 1.5 s or more');
    if (quantile(sheets, 0.95) >= 100) failures.push('a choice of a sheet takes 100 ms or more to its page at p95');
    if (preview.free === 0) failures.push('the machine was held up whenever a list of 20,000 was brought in');
    if (preview.first >= 500) failures.push('the first rows of a list of 20,000 take 500 ms or more');
    if (Math.max(preview.came, preview.worked) > 50) failures.push('a task on a list of 20,000 takes over 50 ms');
    if (longest > 100) failures.push(`a task took ${longest.toFixed(0)} ms`);
    if (most >= 400) failures.push('the server took 400 MB or more');
    return {
      failures,
      rows: [
        [
          'Board of 5,000 commands opened, p50 / p95',
          `${quantile(opened, 0.5).toFixed(0)} / ${quantile(opened, 0.95).toFixed(0)} ms`,
          '',
          '',
        ],
        [
          `List of 20,000 rows brought in: from the answer to its first rows; longest task while they come, and while it is worked on, of ${preview.free} visits in which the machine was not held up (${preview.visits} in all)`,
          `${preview.first.toFixed(0)} ms; ${told(preview.came)}, ${told(preview.worked)}`,
          'wanted: 500 ms; no task over 50',
          '',
        ],
        [
          'Key pressed to verdict painted, p50 / p95',
          `${p50.toFixed(1)} / ${p95.toFixed(1)} ms`,
          'wanted: p95 under 50 ms',
          '',
        ],
        [
          'Letter typed in the finder to list painted, p50 / p95',
          `${quantile(typed, 0.5).toFixed(1)} / ${quantile(typed, 0.95).toFixed(1)} ms`,
          'wanted: p95 under 50 ms',
          '',
        ],
        [
          'Filter switched to list painted, p50 / p95',
          `${quantile(filtered, 0.5).toFixed(1)} / ${quantile(filtered, 0.95).toFixed(1)} ms`,
          'wanted: p95 under 50 ms',
          '',
        ],
        [
          'Command chosen to its suggestions painted, p50 / p95',
          `${quantile(suggested, 0.5).toFixed(1)} / ${quantile(suggested, 0.95).toFixed(1)} ms`,
          'wanted: p95 under 50 ms',
          '',
        ],
        [
          'Plan of 200 wishes over 1,239 chords in the worker: the first, then p50 / p95',
          `${plans.first.toFixed(0)}, then ${quantile(plans.later, 0.5).toFixed(0)} / ${quantile(plans.later, 0.95).toFixed(0)} ms`,
          'wanted: under 150 ms',
          '',
        ],
        [
          'Counterparts of 1,500 by 1,500 commands in the worker, p50 / most',
          `${quantile(matched, 0.5).toFixed(0)} / ${Math.max(...matched).toFixed(0)} ms`,
          'wanted: within 1 s',
          '',
        ],
        [
          'Choice of a sheet of 1,000 lines clicked to the new page painted, p50 / p95',
          `${quantile(sheets, 0.5).toFixed(1)} / ${quantile(sheets, 0.95).toFixed(1)} ms`,
          'wanted: p95 within 100 ms',
          '',
        ],
        [
          'A sheet of the three programs of the demo, from the click to its page: first / most',
          `${several[0]?.toFixed(0)} / ${Math.max(...several).toFixed(0)} ms`,
          'wanted: within 1.5 s',
          '',
        ],
        [
          'Tryout of 5,000 commands: a menu of some 420 lines opened, painted, p50 / p95',
          `${quantile(tried.menus, 0.5).toFixed(1)} / ${quantile(tried.menus, 0.95).toFixed(1)} ms`,
          'wanted: within 50 ms',
          '',
        ],
        [
          'Tryout of 5,000 commands: key pressed to the answer on the page, p50 / p95',
          `${quantile(tried.keys, 0.5).toFixed(1)} / ${quantile(tried.keys, 0.95).toFixed(1)} ms`,
          'wanted: p95 within 16 ms',
          '',
        ],
        [
          'Longest task while pressing, typing, filtering, choosing (0: none over 50 ms)',
          longestOf.map((one) => `${one.toFixed(0)} ms`).join(', '),
          'wanted: at most 100 ms',
          '',
        ],
        [
          'Server, most resident memory through the bench',
          `${most.toFixed(0)} MB; ${mostBefore.toFixed(0)} MB before a list of 20,000 rows is read beside it`,
          'wanted: under 400 MB',
          '',
        ],
      ],
    };
  } finally {
    clearInterval(watch);
    server.kill();
  }
}

/** The rounds that a series of times is cut into. */
const ROUNDS = 3;

/**
 * A quantile of times as they followed one another: of each of three rounds, and the middle one of those, so that a moment
 * in which the machine was busy with something else does not decide.
 */
function quantile(values: readonly number[], q: number): number {
  const size = Math.ceil(values.length / ROUNDS);
  const rounds = Array.from({ length: ROUNDS }, (_, i) => values.slice(i * size, (i + 1) * size)).filter(
    (one) => one.length > 0,
  );
  return plainQuantile(
    rounds.map((one) => plainQuantile(one, q)),
    0.5,
  );
}

function plainQuantile(values: readonly number[], q: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? Number.NaN;
}

/** Times from the browser's own time stamp of a key event until after the paint that follows the change of an element. */
async function watchPaint(page: Page, selector: string): Promise<void> {
  await page.evaluate((what) => {
    const shared = window as unknown as { start: number; painted: Promise<number>; arm: () => void };
    const target = document.querySelector(what) as Element;
    for (const name of ['keydown', 'pointerdown'])
      document.addEventListener(
        name,
        (event) => {
          shared.start = event.timeStamp;
        },
        true,
      );
    shared.arm = () => {
      shared.painted = new Promise((resolve) => {
        const observer = new MutationObserver(() => {
          observer.disconnect();
          requestAnimationFrame(() => {
            const channel = new MessageChannel();
            channel.port1.onmessage = () => resolve(performance.now() - shared.start);
            channel.port2.postMessage(null);
          });
        });
        observer.observe(target, { childList: true, subtree: true, characterData: true, attributes: true });
      });
    };
  }, selector);
}
const arm = (page: Page) => page.evaluate(() => (window as unknown as { arm: () => void }).arm());
const painted = (page: Page) => page.evaluate(() => (window as unknown as { painted: Promise<number> }).painted);

async function pressKeys(page: Page, times: number): Promise<number[]> {
  await page.getByLabel(/Press the keys/).focus();
  await watchPaint(page, '[data-verdict]');
  const results: number[] = [];
  for (let i = 0; i < times; i++) {
    const hold = HOLDS[i % HOLDS.length] as string;
    await hold.split('+').reduce((before, key) => before.then(() => page.keyboard.down(key)), Promise.resolve());
    await arm(page);
    await page.keyboard.press(`Key${KEYS[i % KEYS.length]}`);
    results.push(await painted(page));
    await hold.split('+').reduce((before, key) => before.then(() => page.keyboard.up(key)), Promise.resolve());
  }
  return results.slice(20);
}

async function typeWords(page: Page): Promise<number[]> {
  await page.getByRole('combobox').focus();
  await watchPaint(page, '[role=listbox]');
  const results: number[] = [];
  // The first word is for warming up, as the first presses are.
  for (const word of [
    'fold up',
    'mend stain',
    'blend edge',
    'turn page',
    'soften co',
    'lift mark',
    'scale row',
    'paint line',
    'trim view',
    'mask',
  ]) {
    await page.getByRole('combobox').fill('');
    await page.waitForTimeout(100);
    for (const letter of word) {
      // As fast as a fast typist.
      await page.waitForTimeout(80);
      const before = await page.getByRole('listbox').textContent();
      await arm(page);
      await page.keyboard.press(letter === ' ' ? 'Space' : letter);
      const time = await Promise.race([painted(page), page.waitForTimeout(200).then(() => Number.NaN)]);
      // A letter that leaves the list as it was paints nothing.
      const same = before === (await page.getByRole('listbox').textContent());
      if (Number.isNaN(time) && !same) results.push(200);
      if (!Number.isNaN(time) && !same && word !== 'fold up') results.push(time);
    }
  }
  return results;
}

/** Notes the longest task of the page from here on; tasks under 50 ms are not told of. */
async function watchLongTasks(page: Page): Promise<void> {
  await page.evaluate(() => {
    const shared = window as unknown as { longest: number };
    shared.longest = 0;
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) shared.longest = Math.max(shared.longest, entry.duration);
    }).observe({ type: 'longtask' });
  });
}

/** The longest task since this was last asked, in ms; 0 where none was over 50. */
function longestTask(page: Page): Promise<number> {
  return page.evaluate(() => {
    const shared = window as unknown as { longest: number };
    const longest = shared.longest;
    shared.longest = 0;
    return longest;
  });
}

/** Goes down the list; times from each key to the suggestions for the command it brings onto the bench. */
async function chooseCommands(page: Page, times: number): Promise<number[]> {
  await page.getByRole('combobox').fill('');
  await page.waitForTimeout(600);
  const results: number[] = [];
  for (let i = 0; i < times; i++) {
    await page.evaluate(() => {
      const shared = window as unknown as { start: number; suggested: Promise<number> };
      const before = document.querySelector('[data-best-for]')?.getAttribute('data-best-for');
      shared.suggested = new Promise((resolve) => {
        const observer = new MutationObserver(() => {
          const now = document.querySelector('[data-best-for]')?.getAttribute('data-best-for');
          if (now === undefined || now === null || now === before) return;
          observer.disconnect();
          requestAnimationFrame(() => {
            const channel = new MessageChannel();
            channel.port1.onmessage = () => resolve(performance.now() - shared.start);
            channel.port2.postMessage(null);
          });
        });
        observer.observe(document.body, { childList: true, subtree: true, attributes: true });
      });
    });
    await page.keyboard.press('ArrowDown');
    const time = await Promise.race([
      page.evaluate(() => (window as unknown as { suggested: Promise<number> }).suggested),
      page.waitForTimeout(2000).then(() => Number.NaN),
    ]);
    if (i >= 10) results.push(Number.isNaN(time) ? 2000 : time);
    await page.waitForTimeout(80);
  }
  return results;
}

/** Has a long wish list planned in the worker: once as the page opens, then with one key after another ruled out. */
async function makePlans(page: Page, base: string, list: object): Promise<{ first: number; later: number[] }> {
  const id = await keymapId(base, 'bench');
  await fetch(`${base}/api/keymaps/${id}/wishes`, {
    method: 'PATCH',
    body: JSON.stringify(list),
    headers: { 'content-type': 'application/json' },
  });
  await page.goto(`${base}/wishes/bench/factory-keys`);
  const took = async (): Promise<number> => {
    await page.locator('[data-ms]').waitFor({ timeout: 60_000 });
    return Number(await page.locator('[data-ms]').getAttribute('data-ms'));
  };
  const first = await took();
  const later: number[] = [];
  for (let i = 0; i < 50; i++) {
    const before = await page.locator('[data-ms]').getAttribute('data-ms');
    await page
      .getByRole('button', { name: /^Rule out / })
      .nth(i)
      .click();
    // A click that comes as the lines move apart may miss its button; it is then left out.
    const planned = await page
      .waitForFunction(
        (old) => {
          const now = document.querySelector('[data-ms]')?.getAttribute('data-ms');
          return now !== undefined && now !== null && now !== old;
        },
        before,
        { timeout: 3000 },
      )
      .catch(() => null);
    if (!planned) continue;
    if (i >= 5) later.push(await took());
  }
  return { first, later };
}

/** The number of a program's factory keymap. */
async function keymapId(base: string, program: string): Promise<number> {
  for (let id = 1; id < 100; id++) {
    const answer = await fetch(`${base}/api/keymaps/${id}/view`);
    if (!answer.ok) continue;
    const view = (await answer.json()) as { programSlug: string; draft: { factory: boolean } };
    if (view.programSlug === program && view.draft.factory) return id;
  }
  throw new Error('The bench program has no keymap.');
}

async function clickFilters(page: Page): Promise<number[]> {
  await page.getByRole('combobox').fill('');
  await watchPaint(page, '[role=listbox]');
  const results: number[] = [];
  for (let round = 0; round < 12; round++) {
    for (const name of [/^No key/, /^Yours/, /^All \d/, /^No key/, /^All \d/]) {
      const chip = page.getByRole('button', { name }).first();
      await chip.hover();
      await page.waitForTimeout(30);
      await arm(page);
      await chip.click();
      const time = await Promise.race([painted(page), page.waitForTimeout(500).then(() => Number.NaN)]);
      if (!Number.isNaN(time) && round > 1) results.push(time);
    }
  }
  return results;
}

/** Opens the match of two programs of 1,500 commands, and reads how long the worker took for their counterparts. */
async function findMatches(page: Page, base: string): Promise<number[]> {
  for (const side of ['left', 'right'] as const) {
    const form = new FormData();
    form.set('file', new Blob([JSON.stringify(toProgramFile(manyCommands(side, 1500, 340)))]), `${side}.json`);
    const brought = await fetch(`${base}/api/programs`, { method: 'POST', body: form });
    if (!brought.ok) throw new Error(await brought.text());
  }
  const took: number[] = [];
  for (let i = 0; i < 9; i++) {
    await page.goto(`${base}/match/bench-left/factory-keys?like=bench-right%2Ffactory-keys`);
    await page.getByRole('progressbar', { name: 'Looking for counterparts' }).waitFor();
    const shown = page.locator('[data-match-ms]');
    await shown.waitFor();
    took.push(Number(await shown.getAttribute('data-match-ms')));
  }
  return took;
}

/** Opens menus in the tryout of 5,000 commands until they are painted, and presses keys until the answer is there. */
async function tryOut(page: Page, base: string): Promise<{ menus: number[]; keys: number[] }> {
  await page.goto(`${base}/tryout/bench/factory-keys`);
  await page.locator('html[data-ready]').waitFor();
  await page.waitForTimeout(500);
  const menus: number[] = [];
  for (let i = 0; i < 36; i++) {
    const took = await page.evaluate(
      (at) =>
        new Promise<number>((resolve) => {
          const item = document.querySelectorAll<HTMLElement>('[role=menubar] > [role=none] > [role=menuitem]')[
            at % 12
          ];
          const start = performance.now();
          item?.click();
          requestAnimationFrame(() => {
            const channel = new MessageChannel();
            channel.port1.onmessage = () => resolve(performance.now() - start);
            channel.port2.postMessage(null);
          });
        }),
      i,
    );
    if (i >= 4) menus.push(took);
    await page.keyboard.press('Escape');
    await page.waitForTimeout(60);
  }
  await page.getByRole('application').focus();
  const keys: number[] = [];
  for (let i = 0; i < 120; i++) {
    await page.evaluate(() => {
      const shared = window as unknown as { answered: Promise<number> };
      shared.answered = new Promise((resolve) => {
        let start = 0;
        window.addEventListener(
          'keydown',
          (event) => {
            if (!/^(?:Alt|Control|Shift)$/.test(event.key)) start = event.timeStamp;
          },
          { capture: true },
        );
        const ticker = document.querySelector('[aria-label="What fired"]');
        const observer = new MutationObserver(() => {
          if (start === 0) return;
          observer.disconnect();
          resolve(performance.now() - start);
        });
        if (ticker) observer.observe(ticker, { childList: true, subtree: true });
      });
    });
    await page.keyboard.press(`${HOLDS[i % HOLDS.length]}+Key${KEYS[i % KEYS.length]}`);
    const took = await page.evaluate(() => (window as unknown as { answered: Promise<number> }).answered);
    if (i >= 10) keys.push(took);
    await page.waitForTimeout(30);
    if (await page.getByRole('dialog').isVisible()) await page.keyboard.press('Escape');
  }
  return { menus, keys };
}

const told = (longest: number): string => (longest === 0 ? 'none over 50 ms' : `${longest.toFixed(0)} ms`);
