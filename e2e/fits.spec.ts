import { open, still } from './support/browser';
import { test } from './support/lookAt';
import { misfits } from './support/misfits';
import { MAIN, MAIN_SCREENS } from './support/screens';
import { expect } from './support/test';

test('every screen named here is there, and what does not fit would be told', async ({ page }) => {
  expect(MAIN_SCREENS.map(([name]) => name)).toEqual(MAIN);
  await open(page, '/shelf');
  expect(await misfits(page)).toEqual([]);
  await page.evaluate(() => {
    const [wide, none] = [document.createElement('p'), document.createElement('button')];
    wide.textContent = 'Aword'.repeat(40);
    Object.assign(wide.style, { width: '40px', position: 'fixed', top: '0' });
    Object.assign(none.style, { width: '0', height: '0', padding: '0', border: '0', minWidth: '0', minHeight: '0' });
    const [field, style] = [document.createElement('input'), new CSSStyleSheet()];
    field.placeholder = 'in the brush list';
    style.replaceSync('[placeholder="in the brush list"]::placeholder { opacity: 0 }');
    document.adoptedStyleSheets.push(style);
    document.body.append(wide, none, field);
  });
  const found = await misfits(page);
  expect(found.some((one) => one.includes('wide in 40'))).toBe(true);
  expect(found.some((one) => one.includes('has no size'))).toBe(true);
  expect(found).toContain("“in the brush list” can't be seen");
});

test('bench, keyboard, pool and legend stand whole on the Board at 1280x800, also with what is free', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await open(page, '/board/tarnlight/sheet-retouching/relief');
  const parts = [
    page.getByRole('region', { name: 'Bench' }),
    page.locator('[data-code="Space"]'),
    page.getByText('Yours to spend:'),
    page.getByRole('list', { name: 'What the pins mean' }),
  ];
  const tape = page.getByRole('region', { name: 'Change tape' });
  for (const free of [false, true]) {
    if (free) await page.getByRole('button', { name: 'What is free' }).click();
    await still(page);
    const top = (await tape.boundingBox())?.y ?? 0;
    for (const part of parts) {
      const box = await part.boundingBox();
      expect((box?.y ?? 0) + (box?.height ?? 999)).toBeLessThanOrEqual(top);
    }
    const { scrollHeight, clientHeight } = await parts[0]!.evaluate((bench) => {
      const { scrollHeight = 0, clientHeight = 0 } = bench.parentElement ?? {};
      return { scrollHeight, clientHeight };
    });
    expect(scrollHeight).toBeLessThanOrEqual(clientHeight);
  }
});
