import AxeBuilder from '@axe-core/playwright';
import { expect, type Page, test } from '@playwright/test';
import { open } from './browser';

const shown = async (page: Page): Promise<void> => {
  await page.getByRole('dialog').waitFor();
  await page.waitForTimeout(300);
};

const NIBSHORE = 'nibshore%2Fmy-painting-hand';
const matched = (page: Page): Promise<void> => page.locator('[data-ms]:not([data-stale])').waitFor();

const SCREENS: readonly (readonly [name: string, address: string, prepare?: (page: Page) => Promise<void>])[] = [
  ['Shelf', '/shelf'],
  ['Shelf, menu open', '/shelf', async (page) => page.getByRole('button', { name: /^More for Tarnlight/ }).click()],
  ['Bring in', '/shelf/bring-in'],
  [
    'Bring in, preview',
    '/shelf/bring-in',
    async (page) => {
      await page.setInputFiles('input[type=file]', 'src/core/reading/fixtures/headings.html');
      await page.getByText('What the columns hold').waitFor();
    },
  ],
  ['Board', '/board/tarnlight/sheet-retouching'],
  [
    'Board, keys held',
    '/board/tarnlight/factory-keys/lift-stain',
    async (page) => {
      await page.getByLabel(/Press the keys/).press('Alt+KeyW');
      await page.getByText('Taking it leaves').waitFor();
    },
  ],
  ['Board, check list', '/board/quillmoor/label-drawing/align-left?show=check', shown],
  ['Board, a key’s card', '/board/tarnlight/sheet-retouching/lift-stain?show=key%20KeyQ', shown],
  ['Board, keyboard and desktop', '/board/tarnlight/sheet-retouching/lift-stain?show=keyboard', shown],
  ['Board, kept versions', '/board/tarnlight/sheet-retouching?show=history', shown],
  [
    'Board, what is free, whole keyboard, a spare command',
    '/board/tarnlight/sheet-retouching/relief',
    async (page) => {
      await page.getByRole('button', { name: 'What is free' }).click();
      await page.getByRole('button', { name: 'Whole keyboard' }).click();
    },
  ],
  [
    'Board, filters',
    '/board/tarnlight/sheet-retouching',
    async (page) => {
      await page.getByRole('button', { name: /^More filters/ }).click();
      await page.waitForTimeout(300);
    },
  ],
  [
    'Board, reach',
    '/board/tarnlight/sheet-retouching/relief',
    (page) => page.getByRole('button', { name: 'Reach', exact: true }).click(),
  ],
  ['Wish list, empty', '/wishes/nibshore/factory-keys'],
  [
    'Wish list, a plan',
    '/wishes/nibshore/factory-keys',
    async (page) => {
      await page.getByRole('button', { name: /^Add the ten/ }).click();
      await page.getByText(/^10 wishes/).waitFor();
    },
  ],
  [
    'Wish list, what it brings',
    '/wishes/nibshore/factory-keys?show=gains',
    async (page) => {
      await page
        .getByText(/minutes a day/)
        .first()
        .waitFor();
      await page.waitForTimeout(500);
    },
  ],
  [
    'Wish list, counts',
    '/wishes/nibshore/factory-keys',
    async (page) => {
      await page.getByRole('button', { name: 'uses a day…' }).click();
      await page.waitForTimeout(300);
    },
  ],
  ['Compare', '/shelf/compare/tarnlight?left=factory-keys&right=sheet-retouching'],
  ['What the program allows', '/shelf/allows/quillmoor'],
  [
    'Board, naming',
    '/board/tarnlight/sheet-retouching',
    async (page) => {
      await page.getByRole('button', { name: 'Keep as new…' }).click();
      await page.getByRole('dialog').waitFor();
      await page.waitForTimeout(300);
    },
  ],
  [
    'Board, another keymap',
    '/board/tarnlight/sheet-retouching',
    async (page) => {
      await page.getByRole('button', { name: /^Keymap:/ }).click();
      await page.waitForTimeout(300);
    },
  ],
  [
    'Lamp',
    '/shelf',
    async (page) => {
      await page.getByRole('button', { name: 'Lamp' }).click();
      await page.waitForTimeout(300);
    },
  ],
  ['Match', `/match/tarnlight/sheet-retouching?like=${NIBSHORE}`, matched],
  ['Match, check', `/match/tarnlight/sheet-retouching?like=${NIBSHORE}&show=check`, matched],
  ['Match, same keys', `/match/tarnlight/sheet-retouching?like=${NIBSHORE}&show=other`, matched],
  [
    'Match, a counterpart',
    `/match/tarnlight/sheet-retouching?like=${NIBSHORE}&show=check`,
    async (page) => {
      await matched(page);
      await page
        .getByRole('button', { name: /^Choose the counterpart/ })
        .first()
        .click();
      await shown(page);
    },
  ],
  [
    'Match, other keys',
    `/match/tarnlight/sheet-retouching?like=${NIBSHORE}`,
    async (page) => {
      await matched(page);
      await page
        .getByRole('button', { name: /^Press other keys/ })
        .first()
        .click();
      await shown(page);
      await page.keyboard.press('Alt+KeyJ');
    },
  ],
  [
    'Match, compared',
    '/match/compare',
    (page) => page.getByRole('region', { name: 'How much carries over' }).waitFor(),
  ],
  ['Match, by concept', '/match/compare?show=concepts', (page) => page.getByRole('rowgroup').waitFor()],
  ['Tryout', '/tryout/tarnlight/sheet-retouching'],
  [
    'Tryout, a menu and what fired',
    '/tryout/nibshore/my-painting-hand',
    async (page) => {
      await page.keyboard.press('Control+KeyZ');
      await page.keyboard.press('KeyX');
      await page.getByRole('menuitem', { name: 'Layer', exact: true }).click();
      await page.getByRole('menu', { name: 'Layer' }).waitFor();
    },
  ],
  [
    'Workspaces, panels',
    '/workspaces/tarnlight',
    async (page) => {
      await page.getByRole('tab', { name: 'Layers' }).focus();
      await page.keyboard.press('Space');
      await page.keyboard.press('ArrowRight');
    },
  ],
  [
    'Workspaces, menus',
    '/workspaces/nibshore?show=menus',
    async (page) => {
      await page.getByRole('button', { name: 'Mark New in Woad' }).click();
      await page.getByRole('checkbox', { name: 'Open', exact: true }).click();
      await page.getByRole('button', { name: 'Hide it' }).click();
    },
  ],
  [
    'Workspaces, tools',
    '/workspaces/tarnlight?show=tools',
    async (page) => {
      await page.locator('[data-button="crop-tool"]').click();
      await page.getByRole('region', { name: 'Icon of Crop tool' }).getByRole('button', { name: 'crop' }).waitFor();
    },
  ],
  ['Workspaces, appearance', '/workspaces/tarnlight?show=appearance'],
  [
    'Workspaces, keymap and keeping',
    '/workspaces/tarnlight?show=keymap',
    async (page) => {
      await page.getByRole('button', { name: 'Keep as a workspace…' }).click();
      await shown(page);
    },
  ],
  ['Workspaces, one of them', '/workspaces/tarnlight?open=mending', shown],
  ['Sheets', '/sheets/tarnlight/sheet-retouching?contents=all'],
  ['Sheets, cards and what can be picked', '/sheets/tarnlight/sheet-retouching?form=card&contents=places&fold=true'],
  [
    'Sheets, picking',
    '/sheets/tarnlight/sheet-retouching?contents=picked',
    async (page) => {
      await page.getByRole('button', { name: 'Pick commands…' }).click();
      await shown(page);
    },
  ],
  [
    'Sheets, several programs',
    '/sheets/tarnlight/sheet-retouching?form=programs&programs=%5B%22nibshore%2Fmy-painting-hand%22%5D',
    (page) => page.getByRole('img', { name: /^Page 1/ }).waitFor(),
  ],
  ['Change list', '/sheets/tarnlight/sheet-retouching/changes'],
  ['Nothing here', '/board/tarnlight/no-such-keymap'],
];

for (const [name, address, prepare] of SCREENS) {
  test(`${name}: axe finds nothing, and 1280x800 needs no page scrollbar`, async ({ page }) => {
    // Four lamps over a screen full of lines take their time on a busy machine.
    test.setTimeout(150_000);
    const errors: string[] = [];
    page.on(
      'console',
      (message) => message.type() === 'error' && !message.text().includes('404') && errors.push(message.text()),
    );
    await open(page, address);
    await page.waitForLoadState('networkidle');
    await prepare?.(page);
    for (const lamp of ['studio', 'bright', 'dim', 'contrast']) {
      await page.evaluate((one) => {
        document.documentElement.dataset.lamp = one;
      }, lamp);
      // Colors on their way are nobody's to read.
      await page.evaluate(() => Promise.all(document.getAnimations().map((one) => one.finished.catch(() => null))));
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
        .analyze();
      expect(
        violations.map((one) => `${lamp}: ${one.id}: ${one.nodes[0]?.html} ${one.nodes[0]?.failureSummary}`),
      ).toEqual([]);
    }
    const [wide, high] = await page.evaluate(() => [
      document.documentElement.scrollWidth,
      document.documentElement.scrollHeight,
    ]);
    expect([wide, high]).toEqual([1280, 800]);
    expect(errors).toEqual([]);
  });
}

test('a keyboard alone: from the Shelf to a changed key, kept, and its sheet', async ({ page }) => {
  await open(page, '/shelf');
  const tabTo = async (matches: (text: string) => boolean): Promise<void> => {
    for (let i = 0; i < 120; i++) {
      await page.keyboard.press('Tab');
      const text = await page.evaluate(() => {
        const at = document.activeElement;
        return `${at?.getAttribute('data-code') ?? ''} ${at?.getAttribute('aria-label') ?? ''} ${at?.textContent ?? ''}`.trim();
      });
      if (matches(text)) return;
    }
    throw new Error('Never got there with Tab.');
  };
  await tabTo((text) => text === 'Packet pictures');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('option', { selected: true })).toHaveCount(1);
  await page.keyboard.type('scan lines');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Alt+Shift+Control+KeyL');
  await expect(page.getByRole('region', { name: 'Bench' })).toContainText(/is free|holds/);
  // The press field never catches a keyboard: Tab goes on, Esc goes back to the list.
  await tabTo((text) => /^(Use it|Take it)/.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Change tape' })).toContainText('Remove scan lines');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('combobox')).toBeFocused();
  // Going to the bench and back leaves the arrow keys with the list.
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/Press the keys/)).toBeFocused();
  await page.keyboard.press('Escape');
  await page.getByRole('combobox').fill('');
  const before = await page.getByRole('option', { selected: true }).textContent();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('option', { selected: true })).not.toHaveText(before ?? '');
  await expect(page.getByRole('combobox')).toBeFocused();
  await tabTo((text) => /^Key[A-Z] /.test(text));
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Bench' }).locator('[data-verdict]')).not.toHaveAttribute(
    'data-verdict',
    'none',
  );
  await page.keyboard.press('Shift+Tab');
  // The check list, the card of a key and what is free, by keyboard alone.
  await open(page, '/board');
  await tabTo((text) => /^Check/.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText(/to look at|Nothing is wrong/);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await tabTo((text) => text === 'What is free');
  await page.keyboard.press('Space');
  await tabTo((text) => /^All of /.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('What they do');
  await page.keyboard.press('Escape');
  await tabTo((text) => /^Keyboard:/.test(text));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Language layout');
  await page.keyboard.press('Escape');
  await open(page, '/board');
  await tabTo((text) => text === 'Keep changes');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('kept');
  await open(page, '/sheets');
  await tabTo((text) => text.startsWith('Save as PDF'));
  await tabTo((text) => text === 'Print');
});

test('lamp, text size and notation are kept', async ({ page }) => {
  await open(page, '/board/tarnlight/sheet-retouching/lift-stain');
  await page.getByRole('button', { name: 'Lamp' }).click();
  await page.getByText('Dim', { exact: true }).click();
  await page.getByText('Largest', { exact: true }).click();
  await page.getByText('Command', { exact: true }).click();
  await page.waitForLoadState('networkidle');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-lamp', 'dim');
  await expect(page.locator('html')).toHaveAttribute('data-text', 'largest');
  await expect(page.getByRole('region', { name: 'Bench' })).toContainText('Command');
  const [wide, high] = await page.evaluate(() => [
    document.documentElement.scrollWidth,
    document.documentElement.scrollHeight,
  ]);
  expect([wide, high]).toEqual([1280, 800]);
  await page.request.patch('/api/settings', { data: { lamp: 'studio', textSize: 'normal', notation: 'windows' } });
});
