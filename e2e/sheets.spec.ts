import { execFileSync } from 'node:child_process';
import { open, reload } from './support/browser';
import { expect, test } from './support/test';

const tool = (name: string, ...args: string[]) => execFileSync(name, args, { encoding: 'utf8' });

test('the PDF has the keys of the preview, in its places and order, in embedded fonts', async ({ page }, info) => {
  const pdfFile = info.outputPath('sheet.pdf');
  await open(page, '/sheets/tarnlight/sheet-retouching?contents=all');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save as PDF' }).click();
  await (await download).saveAs(pdfFile);

  const fonts = tool('pdffonts', pdfFile).split('\n').slice(2).filter(Boolean);
  expect(fonts.length).toBeGreaterThanOrEqual(3);
  for (const font of fonts) expect(font, font).toMatch(/ yes yes yes /);
  const facts = tool('pdfinfo', pdfFile);
  expect(facts).toMatch(/Tagged:\s+yes/);
  await expect(page.getByRole('status').filter({ hasText: 'commands on' })).toContainText(
    `${/Pages:\s+(\d+)/.exec(facts)?.[1]} pages`,
  );

  // Every command with keys is there as text, in the program's order, with its keys.
  const file = await (await page.request.get('/api/programs/tarnlight/file')).json();
  const mine = file.keymaps.find((one: { name: string }) => one.name === 'Sheet retouching').bindings;
  const wanted = file.program.commands
    .map((one: { id: string; name: string; keys?: (string | { keys: string })[]; path: string[] }) => ({
      ...one,
      keys: (mine[one.id] ?? one.keys ?? []).map((key: string | { keys: string }) =>
        typeof key === 'string' ? key : key.keys,
      ),
    }))
    .filter((one: { keys: string[]; path: string[] }) => one.keys.length > 0 && one.path[0] !== 'Tool rail');
  const text = tool('pdftotext', pdfFile, '-').replace(/\s+/g, ' ');
  let from = text.indexOf('File New ');
  for (const { name, keys } of wanted) {
    const at = text.indexOf(`${name} `, from);
    expect(at, `${name} after character ${from}`).toBeGreaterThanOrEqual(from);
    const caps = keys[0].replace('hold:', '').replace('Mod', 'Ctrl').split('+');
    const shown = text.slice(at + name.length, at + name.length + 60);
    if (!/Arrow|Page|Delete|Enter|Backspace/.test(keys[0])) expect(shown, name).toContain(caps.at(-1));
    from = at + name.length;
  }

  // Words stand in the PDF where the preview has them, to half a point.
  const words = [
    ...tool('pdftotext', '-bbox', '-l', '1', pdfFile, '-').matchAll(
      /<word xMin="([\d.]+)" yMin="[\d.]+" xMax="[\d.]+" yMax="([\d.]+)">([^<]+)</g,
    ),
  ];
  const drawn = await page
    .getByRole('img', { name: 'Page 1 of' })
    .locator('tspan')
    .evaluateAll((nodes) =>
      nodes.map((node) => ({
        x: Number(node.getAttribute('x')),
        text: node.textContent ?? '',
        wide: (node as SVGTSpanElement).getComputedTextLength(),
      })),
    );
  expect(drawn.length).toBeGreaterThan(100);
  for (const { x, text: label } of drawn.filter((one) => one.text.length > 1 && !one.text.includes('&'))) {
    const first = label.split(' ')[0];
    expect(
      words.some(([, left, , word]) => word === first && Math.abs(Number(left) - x) < 0.5),
      `${label} at ${x}`,
    ).toBe(true);
  }
  // And the browser sets each text as wide as the core measured it.
  const caps = drawn.filter((one) => one.text === 'Ctrl');
  expect(Math.max(...caps.map((one) => one.wide)) - Math.min(...caps.map((one) => one.wide))).toBeLessThan(0.1);
});

test('choices change the page and the address; printing takes the pages alone', async ({ page }, info) => {
  await open(page, '/sheets/nibshore/my-painting-hand');
  await expect(page.getByRole('radio', { name: /^Yours/ })).toBeChecked();
  await page.getByText('⌘ ⌥', { exact: true }).click();
  await page.getByText('Letter', { exact: true }).click();
  await page.getByText('Upright', { exact: true }).click();
  await expect(page).toHaveURL(/notation=symbols.*paper=Letter.*way=upright/);
  await reload(page);
  await expect(page.getByRole('button', { name: 'Letter', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('img', { name: 'Page 1 of' }).locator('svg')).toHaveAttribute('viewBox', '0 0 612 792');
  const printed = info.outputPath('printed.pdf');
  await page.pdf({ path: printed, preferCSSPageSize: true });
  expect(tool('pdfinfo', printed)).toMatch(/Pages:\s+1\n[\s\S]*Page size:\s+612 x 792/);
  const text = tool('pdftotext', printed, '-');
  expect(text).toContain('Turn page');
  expect(text).not.toContain('Put on it');
  await open(page, '/sheets/nibshore/factory-keys?contents=yours');
  await expect(page.getByText('nothing of yours to print')).toBeVisible();
});

test('the page looked at answers before the others are drawn; printing draws them all first', async ({
  page,
}, info) => {
  // No time is ever free, so that only what is wanted at once is drawn.
  await page.addInitScript(() => {
    window.requestIdleCallback = () => 0;
  });
  await open(page, '/sheets/tarnlight/sheet-retouching?contents=all');
  const pages = page.getByRole('region', { name: 'The page as it will print' });
  await expect(pages.getByRole('img', { name: 'Page 1 of 4' })).toBeVisible();
  await pages.evaluate((one) => one.scrollTo(0, one.scrollHeight));
  await expect(pages.getByRole('img', { name: 'Page 4 of 4' }).locator('canvas')).toBeVisible();
  await page.getByText('Mac', { exact: true }).click();
  await expect(pages.locator('canvas')).toHaveCount(1);
  await expect(pages.locator('tspan', { hasText: /^Command$/ })).toHaveCount(0);
  const printed = info.outputPath('printed.pdf');
  await page.pdf({ path: printed, preferCSSPageSize: true });
  const text = tool('pdftotext', printed, '-');
  expect(text).toContain('Command');
  expect(text).not.toContain('Ctrl');
  expect(text.split('\f').filter((one) => one.includes('Command'))).toHaveLength(
    Number(/Pages:\s+(\d+)/.exec(tool('pdfinfo', printed))?.[1]),
  );
});
