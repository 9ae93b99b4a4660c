// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadWishes } from '@/server/useCases/advice';
import { loadKeymapView } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import { button, click, clickIn, dialog, press, region, said, tick, until, untilIs, WAIT } from '../testing/touch';
import { bringInWalk } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(900);

const [PROGRAM, KEYMAP] = ['tarnlight', 'sheet-retouching'];
const wished = async (program = PROGRAM, keymap = KEYMAP) =>
  (await loadWishes(program, keymap)).list.value?.wishes ?? [];
const settled = () =>
  until(() => /Proven: no other|A good answer/.test(document.querySelector('[data-ms]')?.textContent ?? ''));
const plan = () => screen.getByRole('list', { name: 'Plan' });
const line = (name: string) =>
  within(plan())
    .queryAllByRole('listitem')
    .find((one) => one.textContent?.includes(name));
const keysAfter = (name: string) =>
  [...(line(name)?.querySelectorAll('[data-after] kbd') ?? [])].map((one) => one.textContent).join(' ');
const wish = async (name: string): Promise<void> => {
  await click(/^All \d+$/);
  fireEvent.change(screen.getByLabelText('Find commands to wish for'), { target: { value: name } });
  fireEvent.click((await screen.findAllByRole('checkbox', { name: new RegExp(`^${name}`) }, WAIT))[0] as HTMLElement);
};

describe('the wish list', () => {
  it('is planned, a line pinned, another’s keys ruled out; goes on the tape as one ticket and comes off', async () => {
    const slug = await bringInWalk('Wishing');
    await openPage(`/wishes/${slug}/walk-keys`);
    await click(/^Wished 0$/);
    await said(/^Nothing is wished for yet\./);
    for (const name of ['Bare', 'Dot', 'Gild', 'Mend']) await wish(name);
    await untilIs(async () => [...(await wished(slug, 'walk-keys'))].sort(), ['bare', 'dot', 'gild', 'mend']);
    await settled();
    const [bare, dot] = [keysAfter('Bare'), keysAfter('Dot')];
    expect([bare, dot]).not.toContain('');
    await click(/^Pin Bare/);
    await until(() => line('Bare')?.textContent?.includes('Pinned by you'));
    await click(/^Rule out .* for Dot/);
    await until(() => line('Dot')?.textContent?.includes('Ruled out:'));
    await settled();
    expect(keysAfter('Dot')).not.toBe(dot);
    expect(keysAfter('Bare')).toBe(bare);
    await click('What it brings');
    const brings = await region('What it brings');
    await until(() => /less with the plan|\d/.test(brings.textContent ?? ''));
    await click('The plan');
    await settled();
    const before = await loadKeymapView(slug, 'walk-keys');
    await click('Put it on the tape');
    await until(async () => (await loadKeymapView(slug, 'walk-keys')).draft.cursor === before.draft.cursor + 1);
    await until(() => screen.getByRole('region', { name: 'Change tape' }).textContent?.includes('1 ticket'));
    // What is on the tape is done: nothing more is offered, and it says so.
    await said('4 wishes: this plan is on the tape.');
    expect(await button('Put it on the tape')).toHaveProperty('disabled', true);
    await button('Plan them anew, too');
    await click('Undo');
    await untilIs(
      async () => [...(await loadKeymapView(slug, 'walk-keys')).bindings].sort(),
      [...before.bindings].sort(),
    );
    cleanup();
    // The pin is still there tomorrow.
    await openPage(`/wishes/${slug}/walk-keys`);
    await until(async () => (await button(/^Pin Bare/)).getAttribute('aria-pressed') === 'true');
  });

  it('is done once on the tape also where that begins a keymap of one’s own', async () => {
    const slug = await bringInWalk('Beginning');
    await openPage(`/wishes/${slug}/factory-keys`);
    for (const name of ['Bare', 'Mend', 'Far']) await wish(name);
    await settled();
    await click('Put it on the tape');
    await said('3 wishes: this plan is on the tape.');
    await until(async () => (await wished(slug, 'unnamed-keymap')).length === 3);
    cleanup();
    await openPage(`/wishes/${slug}/unnamed-keymap`);
    await said('3 wishes: this plan is on the tape.');
  });

  it('takes all that a menu has, or that is found, in one step', async () => {
    const slug = await bringInWalk('Families');
    await openPage(`/board/${slug}/walk-keys/mend`);
    fireEvent.click(await button(/^More for Mend/));
    const line = await screen.findByRole('menuitem', { name: 'Wish for better keys for all of Repair' }, WAIT);
    const ofMenu = line.getAttribute('href') ?? '';
    fireEvent.change(await screen.findByRole('combobox', { name: /^Find a command/ }, WAIT), {
      target: { value: 'press' },
    });
    const these = await screen.findByRole('link', { name: 'Wish for better keys for these 2' }, WAIT);
    cleanup();
    await openPage(these.getAttribute('href') ?? '');
    await untilIs(async () => [...(await wished(slug, 'walk-keys'))].sort(), ['press', 'press-flat']);
    cleanup();
    await openPage(ofMenu);
    await until(async () => (await wished(slug, 'walk-keys')).length > 5);
    await said(/^\d commands on the wish list\.$/);
  });

  it('begins with the ten that would bring most, shows what is hard to reach, and unticks all that is found', async () => {
    const slug = await bringInWalk('Ten');
    await openPage(`/wishes/${slug}/walk-keys`);
    const ten = await button('Add the ten that would bring most');
    await until(() => !(ten as HTMLButtonElement).disabled);
    fireEvent.click(ten);
    await until(async () => (await wished(slug, 'walk-keys')).length > 0);
    const first = await wished(slug, 'walk-keys');
    expect(first.length).toBeLessThanOrEqual(10);
    expect(new Set(first).size).toBe(first.length);
    // The list shows them, and offers to clear it.
    expect((await button(`Wished ${first.length}`)).getAttribute('aria-pressed')).toBe('true');
    await button('Clear the list');
    const { bindings, program } = await loadKeymapView(slug, 'walk-keys');
    const keyed = new Set(bindings.map(([id]) => id));
    const bare = program.commands.filter((one) => !keyed.has(one.id));
    await click(`No key ${bare.length}`);
    for (const one of bare) await screen.findByRole('checkbox', { name: new RegExp(`^${one.name}`) }, WAIT);
    await click(/^Hard to reach/);
    const find = screen.getByLabelText('Find commands to wish for');
    fireEvent.change(find, { target: { value: 'zzzz' } });
    await said('Nothing here is called “zzzz”.');
    fireEvent.change(find, { target: { value: '' } });
    await click(/^Wished \d+$/);
    await click('Untick these');
    await untilIs(() => wished(slug, 'walk-keys'), []);
    await said(/^Nothing is wished for yet\./);
    // Who looks for something means all there is.
    fireEvent.change(find, { target: { value: 'Mend' } });
    await until(async () => (await button(/^All \d+$/)).getAttribute('aria-pressed') === 'true');
    await click('Tick all of these');
    await until(async () => (await wished(slug, 'walk-keys')).includes('mend'));
  });

  it('is cleared and taken back, and a line taken off', async () => {
    await openPage(`/wishes/${PROGRAM}/${KEYMAP}`);
    const before = await wished();
    expect(before.length).toBeGreaterThan(1);
    await click('Clear the list');
    await untilIs(() => wished(), []);
    await said(/^Nothing is wished for yet\./);
    await click('Take it back');
    await untilIs(async () => [...(await wished())].sort(), [...before].sort());
    await click('Take Lift stain off the list');
    await until(async () => !(await wished()).includes('lift-stain'));
    await click(/^Wished \d+$/);
    await until(() => screen.queryAllByRole('checkbox', { checked: true }).length >= before.length - 1);
  });

  it('spends what it is told it may, keeps who must not move, and remembers both', async () => {
    await openPage(`/wishes/${PROGRAM}/${KEYMAP}`);
    await button('Clear the list');
    await until(async () => (await wished()).includes('straighten-sheet'));
    const uses = (await screen.findByLabelText('Uses a day of Straighten sheet', {}, WAIT)) as HTMLInputElement;
    fireEvent.change(uses, { target: { value: '80' } });
    press(uses, 'Enter');
    fireEvent.blur(uses);
    for (const layer of ['bare', 'Ctrl', 'Shift', 'Ctrl Alt', 'Ctrl Shift', 'Alt Shift', 'F keys']) await click(layer);
    await tick(/and of others used at most/);
    const most = screen.getByLabelText(/^Uses a day up to which/);
    fireEvent.change(most, { target: { value: '20' } });
    fireEvent.blur(most);
    await until(() => line('Straighten sheet')?.textContent?.includes('Taken from Sheet edge'));
    const pushed = () => plan().querySelector('[data-role="giver"][data-command="sheet-edge"]');
    expect(pushed()?.textContent).toContain('Gives its keys up to Straighten sheet');
    await click('Sheet edge must not move');
    await until(() => pushed() === null);
    expect(line('Straighten sheet')?.textContent).not.toContain('Sheet edge');
    await click('Sheet edge may move again');
    await until(() => pushed() !== null);
    cleanup();
    await openPage(`/wishes/${PROGRAM}/${KEYMAP}`);
    expect(((await screen.findByLabelText('Uses a day of Straighten sheet', {}, WAIT)) as HTMLInputElement).value).toBe(
      '80',
    );
    expect((screen.getByLabelText(/^Uses a day up to which/) as HTMLInputElement).value).toBe('20');
    expect((await button('Ctrl')).getAttribute('aria-pressed')).toBe('false');
  });

  it('takes counts from two columns, says what could not be read, and forgets them', async () => {
    const slug = await bringInWalk('Counts');
    await openPage(`/wishes/${slug}/walk-keys`);
    await click('uses a day…');
    const shown = await dialog('How often a day');
    const text = within(shown).getByLabelText(/paste it here/);
    fireEvent.change(text, { target: { value: 'Mend,1\nNobody,3' } });
    await until(() => shown.textContent?.includes('1 command found, 1 line left out'));
    fireEvent.change(text, { target: { value: '' } });
    await until(() => within(shown).getByRole('button', { name: 'Use these counts' }).hasAttribute('disabled'));
    fireEvent.change(text, { target: { value: 'command,times\nMend,40\n12,Wash\nNobody,3\n' } });
    await until(() => shown.textContent?.includes('2 commands found, 1 line left out'));
    expect(shown.textContent).toContain('No command is called that here.');
    await clickIn(shown, 'Use 2 counts');
    const told = async () => Object.fromEntries(Object.entries((await loadWishes(slug, 'walk-keys')).uses.value));
    await untilIs(told, { mend: 40, wash: 12 });
    await click('uses a day…');
    await clickIn(await dialog('How often a day'), 'Forget what was told (2)');
    await untilIs(told, {});
  });
});
