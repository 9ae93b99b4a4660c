import type { Page } from '@playwright/test';
import { toProgramFile } from '../src/core/file/programFile';
import { generate } from './generate';

const LINES = 1000;
/** Choices that change the page each time they are clicked, by their words. */
const CHOICES = [
  'Name',
  'Mac',
  'Task',
  'Key',
  'Windows',
  'Menu',
  'Upright',
  'Both',
  'Modifier',
  'Across',
  '⌘ ⌥',
  'A3',
  'A4',
  'Whole reference',
  'Windows',
  'Pocket cards',
  'Key',
  'Key poster',
  'Mac',
  'Sticky notes',
  'Desk sheet',
];
const WARM_UP = CHOICES.length;

/** Clicks choices of a sheet of 1,000 lines. @returns ms from each click until the new page is painted. */
export async function changeSheets(page: Page, base: string): Promise<number[]> {
  const generated = generate(LINES, LINES);
  const form = new FormData();
  const program = { ...generated.program, name: 'Sheet bench' };
  form.set('file', new Blob([JSON.stringify(toProgramFile({ ...generated, program }))]), 'bench.json');
  const brought = await fetch(`${base}/api/programs`, { method: 'POST', body: form });
  if (!brought.ok) throw new Error(await brought.text());
  await page.goto(`${base}/sheets/sheet-bench/factory-keys?contents=all&keyless=true`);
  await page.locator('html[data-ready]').waitFor();
  await page.getByText(`${LINES} commands on`).waitFor();
  const took: number[] = [];
  for (let i = 0; i < 6 * CHOICES.length; i++) {
    const words = CHOICES[i % CHOICES.length] as string;
    const ms = await page.evaluate(
      (choice) =>
        new Promise<number>((resolve) => {
          const all = '[aria-label="What the sheet shows"] :is(label:has(input), button[aria-pressed])';
          const controls = [...document.querySelectorAll<HTMLElement>(all)];
          const open = controls.find(
            (one) => one.textContent === choice && !one.querySelector('input')?.checked && one.ariaPressed !== 'true',
          );
          const start = performance.now();
          (open ?? controls[0])?.click();
          requestAnimationFrame(() => {
            const channel = new MessageChannel();
            channel.port1.onmessage = () => resolve(performance.now() - start);
            channel.port2.postMessage(null);
          });
        }),
      words,
    );
    if (i >= WARM_UP) took.push(ms);
    await page.waitForTimeout(200 + ((i * 137) % 900));
  }
  return took;
}

/** Asks for a sheet of all three programs of the demo. @returns ms from the click until its first page is seen. */
export async function showSeveral(page: Page, base: string): Promise<number[]> {
  const took: number[] = [];
  const programs = JSON.stringify(['nibshore/my-painting-hand', 'quillmoor/label-drawing']);
  const query = new URLSearchParams({ contents: 'yours', programs });
  for (let i = 0; i < 6; i++) {
    await page.goto(`${base}/sheets/tarnlight/sheet-retouching?${query}`);
    await page.locator('html[data-ready]').waitFor();
    await page.getByRole('img', { name: /^Page 1 of/ }).waitFor();
    const begun = performance.now();
    await page.getByRole('radio', { name: 'Several programs' }).click();
    await page.getByText(/^\d+ lines on/).waitFor();
    await page.getByRole('img', { name: /^Page 1 of/ }).waitFor();
    took.push(performance.now() - begun);
  }
  return took;
}
