import { open, stored } from './support/browser';
import { nextVersion } from './support/screens';
import { expect, test } from './support/test';

test('a new version is brought in, said and chosen where it has to be, and a keymap moves there as one ticket', async ({
  page,
  request,
}) => {
  const before = await (await request.get('/api/programs/tarnlight/file')).json();
  await open(page, '/shelf/bring-in');
  await nextVersion(page);
  await expect(page).toHaveURL(/shelf\/version\/tarnlight-5-0$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tarnlight 4.2 → 5.0');
  const happens = page.getByRole('region', { name: 'What happens' });

  // What is only likely is said, by keyboard, and can be taken back.
  const unsure = page.getByRole('button', { name: /^Check the commands/ });
  const many = Number((await unsure.textContent())?.replace(/\D/g, ''));
  await unsure.press('Enter');
  const veil = happens.getByRole('row').filter({ hasText: 'Haze over' });
  await stored(page, /succession/, () => veil.getByRole('button', { name: 'That is so' }).press('Enter'));
  await expect(unsure).toHaveText(`Check the commands ${many - 1}`);
  await stored(page, /succession/, () => page.getByRole('button', { name: 'Undo' }).click());
  await expect(unsure).toHaveText(`Check the commands ${many}`);

  // Where both meet something else can be chosen.
  await page.getByRole('button', { name: /^Need your word/ }).click();
  const choices = page.getByRole('group', { name: 'What happens to Curves' });
  await expect(choices.getByRole('button', { name: 'Keep mine' })).toHaveAttribute('aria-pressed', 'true');
  await stored(page, /answers/, () => choices.getByRole('button', { name: 'Take theirs' }).click());
  await expect(choices.getByRole('button', { name: 'Take theirs' })).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await expect(choices.getByRole('button', { name: 'Take theirs' })).toHaveAttribute('aria-pressed', 'true');

  await page.getByRole('button', { name: 'Move to 5.0' }).click();
  await expect(page).toHaveURL(/board\/tarnlight-5-0\/sheet-retouching/);
  await expect(page.getByRole('region', { name: 'Tape' })).toContainText('What was yours in Tarnlight 4.2');
  const after = await (await request.get('/api/programs/tarnlight-5-0/file')).json();
  const [made] = after.keymaps;
  expect(made.bindings).toMatchObject({ 'dust-sweep': [{ keys: 'Alt+Q', keeper: true }], 'weave-thread': [] });
  expect(made.bindings.curves).toBeUndefined();
  expect(await (await request.get('/api/programs/tarnlight/file')).json()).toEqual(before);

  await open(page, '/shelf');
  await expect(page.getByRole('heading', { name: 'Tarnlight 5.0' })).toBeVisible();
  await page.getByRole('button', { name: 'Earlier versions 1' }).click();
  await expect(page.getByRole('heading', { name: 'Tarnlight 4.2' })).toBeVisible();
  await page.getByRole('link', { name: 'What becomes of keymaps of 4.2' }).click();
  await expect(page.getByRole('link', { name: 'Open it in 5.0' })).toBeVisible();
});
