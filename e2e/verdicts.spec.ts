import { expect, type Page, test } from '@playwright/test';
import { open } from './browser';
import { bringInWalk, US } from './walkProgram';

const bench = (page: Page) => page.getByRole('region', { name: 'Bench' });
const kindsSaid = (page: Page) =>
  bench(page)
    .locator('[data-kind]')
    .evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset.kind));
const choicesOffered = (page: Page) =>
  bench(page)
    .locator('[data-choice]')
    .evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset.choice));

async function type(page: Page, address: string, keys: string): Promise<void> {
  await open(page, address);
  await page.getByRole('button', { name: 'Type them' }).click();
  await page.keyboard.type(keys);
  await expect(bench(page).locator('[data-kind]').first()).toBeVisible();
}

type Step = {
  readonly command: string;
  readonly keys: string;
  readonly says: readonly string[];
  readonly offers: readonly string[];
  /** The kinds that the check list shows once the choice is taken, by choice; the same for all where a list. */
  readonly checks?: readonly string[];
  readonly where?: Partial<typeof US>;
  readonly rules?: 'strict';
};

/** Every verdict with all its choices. */
const STEPS: readonly Step[] = [
  { command: 'bare', keys: 'F2', says: ['free'], offers: ['use'] },
  { command: 'mend', keys: 'F9', says: ['already yours'], offers: [] },
  { command: 'mend', keys: 'Esc', says: ['fixed by the program'], offers: [] },
  { command: 'mend', keys: 'X', says: ['not allowed'], offers: [] },
  { command: 'mend', keys: 'Ctrl+J Ctrl+B', says: ['no sequences'], offers: [], rules: 'strict' },
  { command: 'mend', keys: 'Ctrl+J Ctrl+B', says: ['free'], offers: ['use'] },
  {
    command: 'mend',
    keys: 'Alt+W',
    says: ['held by'],
    offers: ['take and give', 'take', 'take and move', 'swap'],
  },
  { command: 'mend', keys: 'F7', says: ['held by'], offers: ['swap', 'take'] },
  {
    command: 'mend',
    keys: 'Ctrl+Z',
    says: ['held by'],
    offers: ['take and give', 'take', 'take and move', 'swap'],
    checks: ['keeper lost'],
  },
  { command: 'mend', keys: 'Alt+G', says: ['held by'], offers: ['take'] },
  { command: 'press', keys: 'S', says: ['takes turns with'], offers: ['turns', 'take'], checks: ['takes turns with'] },
  {
    command: 'dot',
    keys: 'Shift+F8',
    says: ['shadows'],
    offers: ['shadow', 'swap', 'take'],
    checks: ['shadows', 'shadowed by'],
  },
  { command: 'bare', keys: 'Q', says: ['shadowed by'], offers: ['shadow', 'take'], checks: ['shadows', 'shadowed by'] },
  { command: 'bare', keys: 'Space', says: ['free', 'also a hold key'], offers: ['use'], checks: ['also a hold key'] },
  { command: 'mend', keys: 'Ctrl+K', says: ['free', 'in a sequence'], offers: ['use'], checks: ['in a sequence'] },
  {
    command: 'mend',
    keys: 'Ctrl+Plus',
    says: ['free', 'from the number pad', 'needs Shift'],
    offers: ['use'],
    checks: ['from the number pad', 'needs Shift'],
  },
  {
    command: 'mend',
    keys: 'Alt+F4',
    says: ['free', 'taken by the desktop'],
    offers: ['use'],
    checks: ['taken by the desktop'],
  },
  { command: 'mend', keys: 'Alt+R', says: ['free', 'opens a menu'], offers: ['use'], checks: ['opens a menu'] },
  {
    command: 'mend',
    keys: 'F11',
    says: ['free', 'no such key'],
    offers: ['use'],
    checks: ['no such key'],
    where: { size: 'compact' },
  },
  {
    command: 'mend',
    keys: 'Ctrl+[',
    says: ['free', 'needs AltGr'],
    offers: ['use'],
    checks: ['needs AltGr'],
    where: { layout: 'fr', shape: 'iso' },
  },
  {
    command: 'mend',
    keys: 'Ctrl+Alt+0',
    says: ['free', 'needs Shift', 'types a character'],
    offers: ['use'],
    checks: ['needs Shift', 'types a character'],
    where: { layout: 'fr', shape: 'iso' },
  },
  {
    command: 'bare',
    keys: '^',
    says: ['free', 'dead key'],
    offers: ['use'],
    checks: ['dead key'],
    where: { layout: 'fr', shape: 'iso' },
  },
];

test('every verdict says so, offers its choices, and each leaves a keymap whose check list shows what was said', async ({
  page,
  request,
}) => {
  test.setTimeout(420_000);
  const seen = new Set<string>();
  const taken = new Set<string>();
  const slugs = {
    free: await bringInWalk(request, 'Walk'),
    strict: await bringInWalk(request, 'Strict', { sequences: false }),
  };
  for (const step of STEPS) {
    await request.patch('/api/settings', { data: { ...US, ...step.where } });
    const address = `/board/${slugs[step.rules ?? 'free']}/walk-keys/${step.command}`;
    await test.step(`${step.command} ${step.keys}`, async () => {
      await type(page, address, step.keys);
      expect([step.keys, await kindsSaid(page)]).toEqual([step.keys, step.says]);
      // They are painted one picture after the verdict.
      await expect.poll(() => choicesOffered(page).then((all) => [...all].sort())).toEqual([...step.offers].sort());
      for (const kind of step.says) seen.add(kind);
      for (const offer of step.offers) {
        taken.add(offer);
        if (offer !== step.offers[0]) await type(page, address, step.keys);
        await bench(page).locator(`[data-choice="${offer}"]`).click();
        const question = page.getByRole('dialog');
        if (step.checks?.includes('keeper lost')) {
          // A keeper is asked for twice.
          await expect(question).toContainText('marked so as not to lose');
          await question.getByRole('button', { name: /all the same/ }).click();
        }
        const tape = page.getByRole('region', { name: 'Change tape' });
        await expect(tape.locator('strong').first()).toHaveText('1 ticket');
        if (offer === 'take and give') {
          // The bench has gone on to the loser; leaving it goes back to where it began.
          await expect(bench(page)).toContainText('took the keys of');
          await page.getByRole('button', { name: /leave it and go back/ }).click();
          await expect(bench(page).getByRole('heading')).toHaveText('Mend');
        }
        await page.getByRole('button', { name: /^Check/ }).click();
        await expect(question).toBeVisible();
        for (const group of await question.locator('details:not([open]) summary').all()) await group.click();
        const listed = await question
          .locator('[data-kind]')
          .evaluateAll((all) => all.map((one) => (one as HTMLElement).dataset.kind));
        expect(listed).not.toContain('held by');
        // Taking it for one alone leaves nothing shared.
        const shared = ['takes turns with', 'shadows', 'shadowed by'];
        for (const kind of step.checks ?? []) {
          const expected = !(shared.includes(kind) && ['take', 'swap'].includes(offer));
          expect([step.keys, offer, kind, listed.includes(kind)]).toEqual([step.keys, offer, kind, expected]);
        }
        await question.getByRole('button', { name: 'Close' }).click();
        await page.getByRole('button', { name: 'Undo', exact: true }).click();
        await expect(tape.locator('strong').first()).toHaveText('0 tickets');
      }
    });
  }
  expect([...seen].sort()).toEqual(
    [
      ...[
        'already yours',
        'also a hold key',
        'dead key',
        'fixed by the program',
        'free',
        'from the number pad',
        'held by',
      ],
      ...['in a sequence', 'needs AltGr', 'needs Shift', 'no sequences', 'no such key', 'not allowed', 'opens a menu'],
      ...['shadowed by', 'shadows', 'takes turns with', 'taken by the desktop', 'types a character'],
    ].sort(),
  );
  expect([...taken].sort()).toEqual(['shadow', 'swap', 'take', 'take and give', 'take and move', 'turns', 'use']);
  await request.patch('/api/settings', { data: US });
});

test('a French keyboard is chosen and told about; German, Dvorak and Japanese presses give what is printed there', async ({
  page,
  request,
}) => {
  const slug = await bringInWalk(request, 'Keyboards');
  await open(page, `/board/${slug}/walk-keys/mend`);
  await page.getByRole('button', { name: /^Keyboard:/ }).click();
  await page.getByLabel('Language layout').selectOption('fr');
  await expect(page.getByRole('img', { name: 'French AZERTY keyboard, ISO, full' })).toBeVisible();
  await page.getByText('Keep where the fingers go').click();
  // Alt+W, Ctrl+Z and Q stand on keys that print Z, W and A there.
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('3 change');
  await page.getByText('Keep the letters').click();
  await page.getByRole('button', { name: 'Use this keyboard' }).click();
  const field = page.getByLabel(/Press the keys/);
  await field.press('Control+Alt+Digit0');
  await expect(bench(page)).toContainText('Ctrl and Alt together are AltGr: with the key à they type @ instead.');
  await page.getByRole('button', { name: 'Type them' }).click();
  await page.keyboard.type('Ctrl+]');
  await expect(bench(page)).toContainText('] stands behind AltGr');
  const presses: [string, string, string, string][] = [
    ['de', 'iso', 'Control+KeyY', 'Ctrl+Z'],
    ['dvorak', 'ansi', 'Control+KeyS', 'Ctrl+O'],
    ['jp', 'jis', 'Control+BracketLeft', 'Ctrl+@'],
    ['fr', 'iso', 'Control+KeyQ', 'Ctrl+A'],
  ];
  for (const [layout, shape, keys, chord] of presses) {
    await request.patch('/api/settings', { data: { ...US, layout, shape } });
    await open(page, `/board/${slug}/walk-keys/mend`);
    await page.getByLabel(/Press the keys/).press(keys);
    await expect(page.getByLabel(/Press the keys/)).toHaveValue(chord);
  }
  await request.patch('/api/settings', { data: US });
});
