import type { Page } from '@playwright/test';
import { asOnLaptop } from '../../src/server/testing/asOnLaptop';

const shown = (page: Page): Promise<void> => page.getByRole('dialog').waitFor();

/** Waits for what is loaded only when it is called, so that how it comes into view can be brought to its end. */
const opened = (page: Page): Promise<void> =>
  page.locator('[role=dialog], [role=menu], .MuiPopover-root').first().waitFor();

const NIBSHORE = 'nibshore%2Fmy-painting-hand';
const matched = (page: Page): Promise<void> => page.locator('[data-ms]:not([data-stale])').waitFor();

/** Everything of the demo as it would be on another computer, to be taken in. */
export async function fromLaptop(page: Page): Promise<void> {
  const saved = await page.request.get(new URL('/api/everything', page.url()).href);
  const buffer = Buffer.from(await asOnLaptop(await saved.body()));
  await page.setInputFiles('input[type=file]', { name: 'laptop.sqlite', mimeType: 'application/vnd.sqlite3', buffer });
  await page.getByRole('region', { name: 'Programs of the file' }).waitFor();
}

/** A list in no form that is known, one line of which is shown. */
export async function showLine(page: Page): Promise<void> {
  await page.setInputFiles('input[type=file]', 'src/core/reading/fixtures/otherwise.txt');
  await page.getByRole('button', { name: /^Read wrongly/ }).click();
  await page.getByRole('button', { name: /when Alt\+Q is down/ }).click();
  await page.getByText(/lines are read as commands/).waitFor();
}

/** Brings the next version of the demo's program in, and waits for what becomes of a keymap there. */
export async function nextVersion(page: Page): Promise<void> {
  await page.setInputFiles('input[type=file]', 'demo/tarnlight-5.0.csv');
  await page.getByRole('button', { name: 'Bring the new version in' }).press('Enter');
  await page.getByText('stay as they are').waitFor();
}

/** A screen in some state: what it is called, where it is, and what is done there first. */
export type Screen = readonly [name: string, address: string, prepare?: (page: Page) => Promise<unknown>];

/** Every screen in every state worth looking at. */
export const SCREENS: readonly Screen[] = [
  ['Shelf', '/shelf'],
  [
    'Shelf, menu open',
    '/shelf',
    async (page) => {
      await page.getByRole('button', { name: /^More for Tarnlight/ }).click();
      await opened(page);
    },
  ],
  ['Bring in', '/shelf/bring-in'],
  [
    'Bring in, preview',
    '/shelf/bring-in',
    async (page) => {
      await page.setInputFiles('input[type=file]', 'src/core/reading/fixtures/headings.html');
      await page.getByText('What the columns hold').waitFor();
    },
  ],
  ['Bring in, one line shown', '/shelf/bring-in', showLine],
  [
    'Bring in, a row corrected',
    '/shelf/bring-in',
    async (page) => {
      await page.setInputFiles('input[type=file]', 'src/core/reading/fixtures/headings.html');
      await page.getByRole('button', { name: /^Correct row 3/ }).click();
      await opened(page);
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
      await opened(page);
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
    },
  ],
  [
    'Wish list, counts',
    '/wishes/nibshore/factory-keys',
    async (page) => {
      await page.getByRole('button', { name: 'uses a day…' }).click();
      await opened(page);
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
    },
  ],
  [
    'Board, another keymap',
    '/board/tarnlight/sheet-retouching',
    async (page) => {
      await page.getByRole('button', { name: /^Keymap:/ }).click();
      await opened(page);
    },
  ],
  [
    'Lamp',
    '/shelf',
    async (page) => {
      await page.getByRole('button', { name: 'Lamp' }).click();
      await opened(page);
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
  ['New version', '/shelf/bring-in', nextVersion],
  [
    'New version, to be checked',
    '/shelf/bring-in',
    async (page) => {
      await nextVersion(page);
      await page.getByRole('button', { name: /^Check the commands/ }).click();
      await page.getByRole('button', { name: 'That is so' }).first().waitFor();
    },
  ],
  ['Packs', '/shelf/packs/tarnlight/sheet-retouching', (page) => page.getByLabel('Name of the pack').waitFor()],
  [
    'Packs, one to be put on',
    '/shelf/packs/tarnlight/packet-pictures',
    async (page) => {
      await page.setInputFiles('input[type=file]', 'demo/packs/five-good-ones.json');
      await page.getByRole('region', { name: 'Lines of the pack' }).getByRole('row').nth(1).waitFor();
    },
  ],
  ['Take everything in', '/shelf/take-in', fromLaptop],
  ['Change list', '/sheets/tarnlight/sheet-retouching/changes'],
  ['Write it back', '/sheets/tarnlight/sheet-retouching/write', (page) => page.getByText(/^Read back/).waitFor()],
  ['Write it back, no file', '/sheets/nibshore/my-painting-hand/write'],
  ['A form of your own', '/sheets/tarnlight/sheet-retouching/form'],
  ['Nothing here', '/board/tarnlight/no-such-keymap'],
];

/** The main views, by name. */
export const MAIN = [
  'Shelf',
  'Bring in, preview',
  'Bring in, one line shown',
  'Board, keys held',
  'Wish list, a plan',
  'Compare',
  'What the program allows',
  'Match',
  'Match, compared',
  'Match, by concept',
  'Tryout',
  'Workspaces, panels',
  'Workspaces, menus',
  'Workspaces, tools',
  'Workspaces, appearance',
  'Sheets',
  'New version',
  'Packs',
  'Packs, one to be put on',
  'Take everything in',
  'Change list',
  'Write it back',
  'A form of your own',
];

export const MAIN_SCREENS = SCREENS.filter(([name]) => MAIN.includes(name));
