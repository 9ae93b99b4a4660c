import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { lampVariables } from '../src/ui/shell/testing/lamps';
import { expectAccessible } from './support/axe';
import { open, still } from './support/browser';
import { test } from './support/lookAt';
import { misfits } from './support/misfits';
import { MAIN, SCREENS } from './support/screens';
import { expect, type Page } from './support/test';
import { textPairs } from './support/textPairs';

const PAIRS = 'src/ui/shell/testing/textPairs.tsv';
const recorded = new Set(existsSync(PAIRS) ? readFileSync(PAIRS, 'utf8').trim().split('\n') : []);
/** Where `npm run text-pairs` gathers what is found, instead of holding it against what is recorded. */
const gathered = process.env.GATHER_PAIRS;
const variables = [...lampVariables().get('studio')!.keys()];

/** The windows people have; the last two are a window of 1280x800 at 200 %, and one of 1280x1024 at 400 %. */
const WINDOWS = [
  [1024, 700],
  [1280, 800],
  [1920, 1080],
  [2560, 1440],
  [640, 400],
  [320, 256],
] as const;
/** What is wider than its box, of no size or unreadable in any of these windows. */
async function misfitsInWindows(page: Page): Promise<string[]> {
  const bad: string[] = [];
  for (const [width, height] of WINDOWS) {
    await page.setViewportSize({ width, height });
    await still(page);
    const found = [...(await misfits(page))];
    // Only a page of one column is scrolled as a whole.
    const high = await page.evaluate(() => document.documentElement.scrollHeight);
    if (width >= 1024 && high > height) found.push(`the page is ${high} high`);
    bad.push(...found.map((one) => `${width}x${height}: ${one}`));
  }
  return bad;
}

for (const [name, address, prepare] of SCREENS) {
  const main = MAIN.includes(name);
  test(`${name}: accessible, known pairs of words and ground, no page scrollbar at 1280x800${main ? ', and it fits every window, and 200 and 400 %' : ''}`, async ({
    page,
  }) => {
    const errors: string[] = [];
    page.on(
      'console',
      (message) => message.type() === 'error' && !message.text().includes('404') && errors.push(message.text()),
    );
    await open(page, address);
    await prepare?.(page);
    await still(page);
    // In further states of a screen contrasts are left to the pairs below, which are held in every lamp.
    await expectAccessible(page, 'studio', !name.includes(','));
    // The program and the keymap of the address, and which screen.
    // What is brought in leads to an address of its own.
    const at = address === '/shelf/bring-in' ? new URL(page.url()).pathname : address;
    const [, program, version = '', keymap] =
      /^\/(?:shelf\/\w+|[a-z]+)\/(tarnlight|nibshore|quillmoor)(-5-0)?(?:\/([\w-]+))?/.exec(at) ?? [];
    const named = [program && `${program}${version && ' 5.0'}`, keymap?.replaceAll('-', ' ')];
    const names = named.filter((one) => one && !one.startsWith('no '));
    expect((await page.title()).toLowerCase()).toMatch(
      new RegExp(`^${[...names, '[a-z ]+', 'gray pin'].join(' · ')}$`),
    );
    const [wide, high] = await page.evaluate(() => [
      document.documentElement.scrollWidth,
      document.documentElement.scrollHeight,
    ]);
    expect([wide, high]).toEqual([1280, 800]);
    expect(errors).toEqual([]);
    // That each pair can be read in every lamp is for contrast.test.ts; here, that it knows every pair there is.
    const pairs = await textPairs(page, variables);
    expect(pairs.length).toBeGreaterThan(2);
    if (gathered) {
      mkdirSync(gathered, { recursive: true });
      writeFileSync(join(gathered, name.replace(/\W+/g, '-')), pairs.map(([pair]) => `${pair}\n`).join(''));
    } else expect(pairs.filter(([pair]) => !recorded.has(pair))).toEqual([]);
    if (main) expect(await misfitsInWindows(page)).toEqual([]);
  });
}
