import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { open } from './browser';
import { bringInWalk } from './walkProgram';

const tool = (name: string, ...args: string[]) => execFileSync(name, args, { encoding: 'utf8' });
const pdf = '.tmp/form.pdf';
const KEPT = 'program=tarnlight&keymap=sheet-retouching&date=May';

type Word = {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  text: string;
};

/** The words of a PDF with their places on each page, by software that isn't ours. */
function wordsOf(file: string): { wide: number; high: number; words: readonly Word[] }[] {
  return tool('pdftotext', '-bbox', file, '-')
    .split('<page ')
    .slice(1)
    .map((text) => {
      const [, wide, high] = /width="([\d.]+)" height="([\d.]+)"/.exec(text) ?? [];
      const words = [...text.matchAll(/xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">([^<]*)</g)]
        .map(([, left, top, right, bottom, word]): Word => {
          // A word's box reaches above and below its letters by the line's leading.
          const leading = 0.3 * (Number(bottom) - Number(top));
          return {
            left: Number(left),
            top: Number(top) + leading,
            right: Number(right),
            bottom: Number(bottom) - leading,
            text: (word ?? '').replace(/\u200B/g, ''),
          };
        })
        .filter((one) => one.text.trim() !== '');
      return { wide: Number(wide), high: Number(high), words };
    });
}

/** What lies outside its page or over another word. */
function misplaced({ wide, high, words }: ReturnType<typeof wordsOf>[number]): string[] {
  const outside = words.filter((one) => one.left < 0 || one.top < 0 || one.right > wide + 0.5 || one.bottom > high);
  const sorted = [...words].sort((a, b) => a.top - b.top);
  const over = sorted.flatMap((a, i) => {
    const found: Word[] = [];
    for (const b of sorted.slice(i + 1)) {
      if (b.top >= a.bottom) break;
      if (a.left < b.right - 0.5 && b.left < a.right - 0.5) found.push(b);
    }
    return found.map((b) => `${a.text} over ${b.text}`);
  });
  return [...outside.map((one) => `${one.text} outside`), ...over];
}

test('every form and paper comes out as a PDF with all its lines on its pages, as many as promised', async ({
  page,
}) => {
  test.setTimeout(240_000);
  mkdirSync('.tmp', { recursive: true });
  let files = 0;
  for (const form of ['desk', 'card', 'note', 'poster', 'difference', 'reference'])
    for (const paper of ['A4', 'Letter', 'A3'])
      for (const way of ['across', 'upright'])
        for (const notation of form === 'reference' ? ['windows'] : ['windows', 'symbols', 'both']) {
          const query = `form=${form}&contents=yours&paper=${paper}&way=${way}&notation=${notation}`;
          const answer = await page.request.get(`/api/sheets?${KEPT}&${query}`);
          expect(answer.ok()).toBe(true);
          writeFileSync(pdf, await answer.body());
          const pages = wordsOf(pdf);
          const [a, b] = { A4: [595.28, 841.89], Letter: [612, 792], A3: [841.89, 1190.55] }[paper] as [number, number];
          for (const one of pages) {
            expect([one.wide, one.high].map(Math.round)).toEqual((way === 'across' ? [b, a] : [a, b]).map(Math.round));
            expect([query, misplaced(one)]).toEqual([query, []]);
          }
          const text = pages.flatMap((one) => one.words.map((word) => word.text)).join(' ');
          for (const name of ['Dust sweep', 'Stain mask', 'Merge down', 'Swap colors', 'Levels']) {
            const words = name.split(' ').map((one) => text.includes(one));
            expect([query, name, words]).toEqual([query, name, words.map(() => true)]);
          }
          files++;
          // One of each form is held against its preview: as many pages as it promises.
          if (paper !== 'A4' || notation !== 'windows' || way !== 'across') continue;
          await open(page, `/sheets/tarnlight/sheet-retouching?${query}`);
          await expect(page.getByRole('img', { name: /^Page/ })).toHaveCount(pages.length);
        }
  expect(files).toBe(96);
});

test('other files hold the same lines: web page, fragment, Markdown, CSV, workbook, SVG, PNG', async ({ page }) => {
  const get = async (as: string) => page.request.get(`/api/sheets?${KEPT}&contents=yours&as=${as}`);
  const markdown = await (await get('markdown')).text();
  expect(markdown).toContain('# Tarnlight — Sheet retouching');
  expect(markdown).toMatch(/\| Dust sweep \| `Alt\+Q` \|/);
  const csv = await (await get('csv')).text();
  expect(csv).toContain('Repair,Dust sweep,Alt+Q,');
  // The web page opens by itself in a browser; the fragment has no style and no script.
  const html = await (await get('html')).text();
  await page.setContent(html);
  await expect(page.getByRole('heading', { name: 'Tarnlight — Sheet retouching' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Dust sweep/ }).locator('kbd')).toHaveText(['Alt', 'Q']);
  expect(await (await get('fragment')).text()).not.toMatch(/<(?:style|script|html)/);
  const svg = await (await get('svg')).body();
  writeFileSync('.tmp/sheet.svg', svg);
  await page.goto(`file://${process.cwd()}/.tmp/sheet.svg`);
  const texts = await page.locator('text').allTextContents();
  expect(texts).toContain('Dust sweep');
  expect(texts.length).toBeGreaterThan(80);
  const workbook = await (await get('xlsx')).body();
  expect(workbook.subarray(0, 2).toString()).toBe('PK');
  await open(page, '/sheets/tarnlight/sheet-retouching?contents=yours');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as another file' }).click();
  await page.getByRole('menuitem', { name: 'Picture (PNG)' }).click();
  const png = readFileSync(await (await download).path());
  expect(png.subarray(1, 4).toString()).toBe('PNG');
  expect(png.readUInt32BE(16)).toBe(Math.round(841.89 * 3));
});

test('several programs stand side by side, and only where their keys differ', async ({ page }) => {
  const others = encodeURIComponent('["nibshore/my-painting-hand","quillmoor/label-drawing"]');
  await open(page, `/sheets/tarnlight/sheet-retouching?contents=yours&programs=${others}`);
  await page.getByRole('radio', { name: 'Several programs' }).check();
  const sheet = page.getByRole('img', { name: /^Page 1/ });
  await expect(sheet).toContainText('Tarnlight, Nibshore, Quillmoor');
  await expect(sheet).toContainText('Nibshore · My painting hand');
  const all = Number(/(\d+) shortcuts/.exec((await page.getByRole('status').first().textContent()) ?? '')?.[1]);
  await page.getByRole('checkbox', { name: 'Only where keys differ' }).check();
  await expect(page.getByText('Only where keys differ').first()).toBeVisible();
  await expect
    .poll(async () => Number(/(\d+) shortcuts/.exec((await page.getByRole('status').first().textContent()) ?? '')?.[1]))
    .toBeLessThan(all);
  const query = new URL(page.url()).searchParams;
  const csv = await page.request.get(`/api/sheets?${KEPT}&${query}&as=csv`);
  expect((await csv.text()).split('\r\n')[0]).toContain('Nibshore · My painting hand,Quillmoor · Label drawing');
});

test('a sheet is picked by hand, named, kept with the keymap, and found again', async ({ page, request }) => {
  const slug = await bringInWalk(request, 'Kept sheets');
  await open(page, `/sheets/${slug}/walk-keys?contents=all`);
  await page.getByRole('radio', { name: /^Picked by hand/ }).check();
  await expect(page.getByText('No command is picked yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Pick commands…' }).click();
  await page.getByRole('searchbox', { name: 'Find a command' }).fill('wa');
  await page.getByRole('checkbox', { name: /^Wash/ }).check();
  await page.getByRole('searchbox', { name: 'Find a command' }).fill('gild');
  await page.getByRole('checkbox', { name: /^Gild/ }).check();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Name the groups…' }).click();
  await page.getByRole('textbox', { name: 'Repair' }).fill('Mending');
  await page.keyboard.press('Escape');
  const sheet = page.getByRole('img', { name: /^Page 1/ });
  await expect(sheet).toContainText('Mending');
  await expect(sheet).toContainText('Wash');
  await page.getByRole('button', { name: 'Keep this sheet…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Two that matter');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Two that matter is kept with/)).toBeVisible();
  await open(page, `/sheets/${slug}/walk-keys?contents=all`);
  await expect(page.getByRole('status').first()).toContainText('11 shortcuts');
  const mine = page.getByRole('button', { name: 'Two that matter', exact: true });
  await expect(mine).toHaveAttribute('aria-pressed', 'false');
  await mine.click();
  await expect(page.getByRole('status').first()).toContainText('2 shortcuts');
  await expect(mine).toHaveAttribute('aria-pressed', 'true');
  await expect(page).toHaveURL(/groupNames=/);
  // Kept over with other choices, which can be taken back; put away and brought back.
  await page.getByText('Mac', { exact: true }).click();
  const more = async (action: string) => {
    await page.getByRole('button', { name: 'More for Two that matter' }).click();
    await page.getByRole('menuitem', { name: action }).click();
  };
  await more('Keep what is shown over it');
  await expect(mine).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(mine).toHaveAttribute('aria-pressed', 'false');
  await more('Put away');
  await expect(mine).toHaveCount(0);
  await page.getByText('Put away: 1').click();
  await page.getByRole('button', { name: 'Bring back Two that matter' }).click();
  await mine.click();
  await expect(page.getByRole('radio', { name: 'Windows' })).toBeChecked();
});

test('a change list is ticked off and remembered, leads from any keymap, and breaks rings', async ({
  page,
  request,
}) => {
  const slug = await bringInWalk(request, 'Carried over');
  await open(page, `/board/${slug}/walk-keys/mend`);
  // Wash and Mend change keys: a ring.
  const view = await (await request.get(`/api/programs/${slug}/file`)).json();
  expect(view.keymaps).toHaveLength(1);
  const board = page.getByLabel(/Press the keys/);
  await board.press('Alt+KeyW');
  await page.locator('[data-choice]').first().click();
  await expect(board).toHaveValue('');
  await open(page, `/board/${slug}/walk-keys/wash`);
  await board.press('F9');
  await page.locator('[data-choice]').first().click();
  await expect(page.getByRole('region', { name: 'Change tape' })).toContainText('2 tickets');
  await open(page, `/sheets/${slug}/walk-keys`);
  await page.getByRole('link', { name: 'Change list' }).click();
  const list = page.getByRole('region', { name: 'Steps' });
  const lines = list.getByRole('listitem');
  await expect(lines.nth(1)).toBeVisible();
  const count = await lines.count();
  await expect(page.getByRole('status').first()).toContainText(`0 of ${count} steps`);
  await lines.first().getByRole('checkbox').focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').first()).toContainText(`1 of ${count} steps`);
  await page.waitForLoadState('networkidle');
  await page.reload();
  await page.locator('html[data-ready]').waitFor();
  await expect(lines.first().getByRole('checkbox')).toBeChecked();
  await page.getByRole('button', { name: 'Start over' }).click();
  await expect(lines.first().getByRole('checkbox')).not.toBeChecked();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lines.first().getByRole('checkbox')).toBeChecked();
  await open(page, '/sheets/tarnlight/factory-keys/changes?from=sheet-retouching');
  await expect(list.getByRole('heading')).toContainText('from Sheet retouching to Factory keys');
});
