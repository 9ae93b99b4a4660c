// @vitest-environment jsdom
import { readFileSync } from 'node:fs';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadProgramView } from '@/server/useCases/editProgram';
import { loadKeymapView, loadShelf } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import { button, choose, click, clickIn, field, region, said, type, until, untilIs, WAIT } from '../testing/touch';
import { bringInWalk, giveKeys } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(600);

const keymapOf = async (name: string) =>
  (await loadShelf()).flatMap((one) => one.keymaps).find((one) => one.name === name);
const programOf = async (name: string) => (await loadShelf()).find((one) => one.name === name);
const heading = (name: string) => screen.queryByRole('heading', { name });
/** A native list of choices, by the words of a line. */
const select = (label: string | RegExp, line: string): void => {
  const list = screen.getByLabelText(label) as HTMLSelectElement;
  const option = [...list.options].find((one) => one.text === line);
  fireEvent.change(list, { target: { value: option?.value ?? line } });
};

describe('the Shelf', () => {
  it('duplicates, says what is wrong with a name at its field, renames, puts away and brings back', async () => {
    await openPage('/shelf/tarnlight');
    await choose('More for Sheet retouching of Tarnlight', 'Duplicate…');
    const name = await type(/^Name/, '  ');
    await click('Make the copy');
    await said('Give it a name.');
    fireEvent.change(name, { target: { value: 'x'.repeat(300) } });
    await click('Make the copy');
    await until(() => name.getAttribute('aria-invalid') === 'true');
    expect(await keymapOf('For the plate room')).toBeUndefined();
    fireEvent.change(name, { target: { value: 'For the plate room' } });
    await click('Make the copy');
    await until(() => heading('For the plate room'));
    await choose('More for For the plate room of Tarnlight', 'Rename…');
    fireEvent.change(await field(/^Name/), { target: { value: 'For the dark room' } });
    await click('Rename it');
    await until(() => heading('For the dark room'));
    await choose('More for For the dark room of Tarnlight', 'Put away');
    await until(() => heading('For the dark room') === null);
    expect((await keymapOf('For the dark room'))?.putAway).toBe(true);
    // The notice has the way back, and so has the list.
    await click('Bring it back');
    await until(() => heading('For the dark room'));
    expect((await keymapOf('For the dark room'))?.putAway).toBe(false);
    await choose('More for For the dark room of Tarnlight', 'Put away');
    await click('Bring back For the dark room');
    await until(async () => (await keymapOf('For the dark room'))?.putAway === false);
  });

  it('puts a whole program away and back, and renames it', async () => {
    await openPage('/shelf');
    await choose('More for Nibshore', 'Put away');
    await until(() => heading('Nibshore') === null);
    expect((await programOf('Nibshore'))?.putAway).toBe(true);
    await click('Bring it back');
    await until(() => heading('Nibshore'));
    await choose('More for Nibshore', 'Rename…');
    fireEvent.change(await field(/^Name/), { target: { value: 'Nibshore at home' } });
    await click('Rename it');
    await until(() => heading('Nibshore at home'));
    // Its address stays.
    expect((await programOf('Nibshore at home'))?.slug).toBe('nibshore');
  });

  it('says what is not there', async () => {
    await expect(openPage('/board/nowhere/at-all')).rejects.toThrow('nowhere');
    await expect(openPage('/no/such/page')).rejects.toThrow('nowhere');
    const { address } = await openPage('/board');
    await button('Undo');
    expect(address()).toMatch(/^\/board\/(?:tarnlight|nibshore|quillmoor)\//);
  });
});

describe('bringing a program in', () => {
  const status = (words: string) =>
    screen.queryAllByRole('status').find((one) => one.textContent?.includes(words))?.textContent ?? '';
  const give = async (name: string, content: string | Uint8Array<ArrayBuffer>): Promise<void> => {
    const input = document.querySelector('input[type=file]') as HTMLInputElement;
    fireEvent.change(input, { target: { files: [new File([content], name, { type: 'text/plain' })] } });
  };

  it('takes a pasted table, corrected columns, and a name; what can’t be named stays', async () => {
    await openPage('/shelf/bring-in');
    fireEvent.change(await field(/^Copy the table/), {
      target: { value: 'Lift stain\tF9\tRepair\nDust sweep\tF8\tRepair\nNone here\t\tRepair\n' },
    });
    await click('Read it');
    await until(() => status('3 commands').includes('2 of them with keys'));
    select('Column 2', 'Leave out');
    await until(() => status('3 commands').includes('0 of them with keys'));
    select('Column 2', 'Keys');
    await until(() => status('3 commands').includes('2 of them with keys'));
    await type('Name of the program', '');
    await click('Put it on the Shelf');
    await until(() => screen.getByLabelText('Name of the program').getAttribute('aria-invalid') === 'true');
    await type('Name of the program', 'Pasted lamp');
    await click('Put it on the Shelf');
    await until(() => window.location.pathname === '/shelf/pasted-lamp');
    await until(() => heading('Pasted lamp'));
    const { program, bindings } = await loadKeymapView('pasted-lamp', 'factory-keys');
    expect([program.commands.map((one) => one.name), bindings]).toEqual([
      ['Lift stain', 'Dust sweep', 'None here'],
      [
        ['lift-stain', 'F9'],
        ['dust-sweep', 'F8'],
      ],
    ]);
  });

  it('says that keys clash, and leads to where all of that is settled', async () => {
    await openPage('/shelf/bring-in');
    fireEvent.change(await field(/^Copy the table/), {
      target: { value: 'Lift stain\tF9\tRepair\nDust sweep\tF9\tRepair\nPress flat\tF9\tRepair\n' },
    });
    await click('Read it');
    await type('Name of the program', 'Clashing lamp');
    await click('Put it on the Shelf');
    await said(/^Clashing lamp stands on the Shelf\. On one chord its keys clash\.$/);
    await click('Settle them');
    await until(() => window.location.pathname === '/board/clashing-lamp/factory-keys');
    await within(await screen.findByRole('dialog', {}, WAIT)).findByText(/1 thing to look at/, {}, WAIT);
  });

  it('reads a page, says of each row what became of it and why, and shows only what is asked for', async () => {
    await openPage('/shelf/bring-in');
    await button('Read it');
    await give('headings.html', new Uint8Array(readFileSync('src/core/reading/fixtures/headings.html')));
    await until(() => status('web page').includes('13 commands'));
    const rows = () => screen.getByRole('table', { name: 'Rows as they were understood' }).textContent ?? '';
    await click(/^With a remark/);
    await until(() => rows().includes('needs the mouse or pen'));
    expect(rows()).not.toContain('Looks like a footnote');
    await click(/^Left out/);
    for (const reason of ['Looks like a footnote', 'There is no name in this row'])
      await until(() => rows().includes(reason));
    expect(rows()).not.toContain('Lift shadows');
    expect((screen.getByLabelText('Name of the program') as HTMLInputElement).value).toBe('Copperlamp 3');
    await click('Choose another file');
    await button('Read it');
  });

  it.each<[string, string | Uint8Array<ArrayBuffer>]>([
    ['larger than 5 MB', 'a'.repeat(5 * 1024 * 1024 + 10)],
    ['more than 20,000 rows', 'a,b\n'.repeat(20_010)],
    ["isn't a text file", Uint8Array.from({ length: 5000 }, (_, i) => (i * 7919) % 256)],
    ['not one that was exported here', '{"format": 3}'],
    ['nested too deeply', `<html>${'<div>'.repeat(50_000)}`],
    ['The file is empty', ''],
  ])('says that it is %s, and nothing is lost', async (words, content) => {
    const before = (await loadShelf()).length;
    await openPage('/shelf/bring-in');
    await button('Read it');
    await give('list.txt', content);
    await until(() => screen.queryAllByRole('alert').some((one) => one.textContent?.includes(words)));
    expect(screen.queryByRole('button', { name: 'Put it on the Shelf' })).toBeNull();
    expect((await loadShelf()).length).toBe(before);
  });
});

describe('what a program allows', () => {
  it('is said place by place, form by form, command by command; each step can be taken back', async () => {
    const slug = await bringInWalk('Allowing');
    const facts = async () => (await loadProgramView(slug)).program;
    const begun = await facts();
    await openPage(`/shelf/allows/${slug}`);
    const undo = (step: string) => button(`Undo: ${step}`);
    await type('Name of a new place', 'in the brush list');
    await click('Add a place');
    await undo('Place added: in the brush list');
    fireEvent.click(screen.getByLabelText('Menu items: A letter or sign alone, or with Shift'));
    await undo('Menu items: keys');
    await until(async () => (await facts()).rules.forms['menu item'].includes('bare'));
    fireEvent.click(screen.getAllByLabelText('Repair')[0] as HTMLElement);
    await undo('Turns');
    await type('Keys to fix', 'Ctrl+Frobnicate');
    await click('Add');
    await said(/Frobnicate/);
    await type('Keys to fix', 'Ctrl+Tab');
    await click('Add');
    await undo('Fixed keys');
    await until(async () => (await facts()).rules.fixed.some((one) => one.chord === 'Mod+Tab'));
    const form = await region('Add a command by hand');
    await clickIn(form, 'Add the command');
    await waitFor(() => expect(within(form).getByLabelText('Name').getAttribute('aria-invalid')).toBe('true'), WAIT);
    fireEvent.change(within(form).getByLabelText('Name'), { target: { value: 'Number the sheets' } });
    await clickIn(form, 'Add the command');
    await undo('Added: Number the sheets');
    select('Kind of Mend', 'tool');
    await undo('Mend: corrected');
    await until(async () => (await facts()).commands.some((one) => one.id === 'mend' && one.kind === 'tool'));
    const steps = [
      'Mend: corrected',
      'Added: Number the sheets',
      'Fixed keys',
      'Turns',
      'Menu items: keys',
      'Place added: in the brush list',
    ];
    for (const step of steps) fireEvent.click(await undo(step));
    await untilIs(facts, begun);
  });
});

describe('two keymaps side by side', () => {
  it('differ where they differ, and are said to be the same where they are one', async () => {
    const slug = await bringInWalk('Comparing');
    await giveKeys(slug, { wash: ['F2'], gild: [] });
    await openPage(`/shelf/compare/${slug}?left=walk-keys`);
    const table = () => screen.getByRole('region', { name: 'Differences' }).textContent ?? '';
    await until(() => table().includes('Wash'));
    expect([table().includes('Gild'), table().includes('Mend')]).toEqual([true, false]);
    select('Keymap at the left', 'Factory keys');
    // The second choice comes before the page of the first.
    select('Keymap at the right', 'Factory keys');
    await said(/the same keymap twice/);
  });
});
