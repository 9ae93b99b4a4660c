import type { ChoiceKind } from '../../src/core/clash/choices';
import { isListedAfter, type VerdictStep } from '../../src/core/testing/verdictSteps';
import { open } from './browser';
import { type APIRequestContext, expect, type Page } from './test';
import { bringInWalk, US } from './walkProgram';

const bench = (page: Page) => page.getByRole('region', { name: 'Bench' });
const all = (page: Page, name: 'kind' | 'choice'): Promise<(string | undefined)[]> =>
  bench(page)
    .locator(`[data-${name}]`)
    .evaluateAll((found, what) => found.map((one) => (one as HTMLElement).dataset[what]), name);

/** Types the keys of a step, reads what is said and offered, and makes some of the choices, each undone again. */
export async function walkVerdict(
  page: Page,
  request: APIRequestContext,
  step: VerdictStep,
  made: readonly ChoiceKind[] = step.offers,
): Promise<void> {
  await request.patch('/api/settings', { data: { ...US, ...step.where } });
  const slug = await bringInWalk(request, 'Walk', { sequences: step.rules !== 'strict' });
  const type = async (): Promise<void> => {
    await open(page, `/board/${slug}/walk-keys/${step.command}`);
    await page.getByRole('button', { name: 'Type them' }).click();
    await page.keyboard.type(step.keys);
    await expect.poll(() => all(page, 'kind')).toEqual(step.says);
  };
  await type();
  // They are painted one picture after the verdict.
  await expect.poll(async () => (await all(page, 'choice')).sort()).toEqual([...step.offers].sort());
  for (const [i, choice] of made.entries()) {
    if (i > 0) await type();
    await bench(page).locator(`[data-choice="${choice}"]`).click();
    const dialog = page.getByRole('dialog');
    if (step.checks?.includes('keeper lost')) {
      await expect(dialog).toContainText('marked so as not to lose');
      await dialog.getByRole('button', { name: /all the same/ }).click();
    }
    const tape = page.getByRole('region', { name: 'Change tape' });
    await expect(tape.locator('strong').first()).toHaveText('1 ticket');
    if (choice === 'take and give') {
      // The bench has gone on to the loser; leaving it goes back to where it began.
      await expect(bench(page)).toContainText('took the keys of');
      await page.getByRole('button', { name: /leave it and go back/ }).click();
      await expect(bench(page).getByRole('heading')).toHaveText('Mend');
    }
    await page.getByRole('button', { name: /^Check/ }).click();
    await expect(dialog).toBeVisible();
    const folded = dialog.locator('[data-gravity] button[aria-expanded="false"]');
    while ((await folded.count()) > 0) await folded.first().click();
    const listed = await dialog
      .locator('[data-kind]')
      .evaluateAll((found) => found.map((one) => (one as HTMLElement).dataset.kind));
    expect(listed).not.toContain('held by');
    for (const kind of step.checks ?? [])
      expect([step.keys, choice, kind, listed.includes(kind)]).toEqual([
        step.keys,
        choice,
        kind,
        isListedAfter(kind, choice),
      ]);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(tape.locator('strong').first()).toHaveText('0 tickets');
  }
}
