// @vitest-environment jsdom
import { readFileSync } from 'node:fs';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { loadProgramView } from '@/server/useCases/editProgram';
import { loadKeymapView, loadShelf } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import {
  button,
  choose,
  click,
  clickIn,
  dialog,
  field,
  region,
  said,
  take,
  tick,
  type,
  until,
  untilIs,
  WAIT,
} from '../testing/touch';
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
      target: { value: 'Lift stain\tF9\tRepair\nDust sweep\tF8\tRepair\nNone here\t-\tRepair\n' },
    });
    await click('Read it');
    await until(() => status('3 commands').includes('2 of them with keys'));
    select('Column 2', 'Leave out');
    await until(() => status('3 commands').includes('0 of them with keys'));
    select('Column 2', 'Keys');
    await until(() => status('3 commands').includes('2 of them with keys'));
    select('A sign alone: - or ?', 'Is the key itself');
    await until(() => status('3 commands').includes('3 of them with keys'));
    select('A sign alone: - or ?', 'Says that there are no keys');
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
    // Another file that can't be read leaves nothing of the first to be put on the Shelf under its name.
    const bad = new File([new Uint8Array(5000).map((_, i) => (i * 7919) % 256)], 'other.bin');
    fireEvent.drop(screen.getByRole('main'), { dataTransfer: { files: [bad] } });
    await until(() => screen.queryByRole('alert')?.textContent?.includes("isn't a text file"));
    expect(screen.queryByRole('button', { name: 'Put it on the Shelf' })).toBeNull();
    await button('Read it');
  });

  const ODD = [
    '-- repair',
    'when Ctrl+Shift+F9 is down : lift stain',
    'when F3 is down : sweep dust',
    'when Alt+Q is down : sweep again',
    '-- view',
    'when Ctrl+0 is down : whole sheet',
    'when F6 is up : never mind',
    'never : forget a mask',
  ].join('\n');
  const inForm = () => screen.getByRole('table', { name: 'Rows as they were understood' }).textContent ?? '';
  /** Waits until a button can be pressed: while a list is read, it can't. */
  const ready = (name: string | RegExp) =>
    until(() => screen.queryByRole('button', { name })?.hasAttribute('disabled') === false);
  /** Marks a part of the line that is shown, as a pen does. */
  const mark = async (part: string): Promise<void> => {
    const line = (await field(/^Draw over/)) as HTMLTextAreaElement;
    const from = line.value.indexOf(part);
    line.setSelectionRange(from, from + part.length);
    fireEvent.pointerUp(line);
  };

  it('is shown one line of a list and reads all like it; rows are corrected, one or all like it, and it is remembered', async () => {
    await openPage('/shelf/bring-in');
    fireEvent.change(await field(/^Copy the table/), { target: { value: ODD } });
    await click('Read it');
    await ready(/^Read wrongly\? Show one line/);
    await click(/^Read wrongly\? Show one line/);
    await click(/when Alt\+Q is down/);
    // What is guessed at is looked at, and marked once more.
    await until(() => status('5 lines are read as commands, 5 of them with keys'));
    await click('Name');
    await mark('sweep again');
    await click('Some lines are written otherwise: show one more');
    await click('All lines 8');
    await click(/-- repair/);
    await click('Menu or group');
    await mark('repair');
    await until(() => status('5 lines are read as commands'));
    await ready('Read it this way');
    await click('Read it this way');
    await until(() => status('Lines as you showed them').includes('5 commands'));
    await click(/^All rows/);
    await until(() => inForm().includes('view') && inForm().includes('whole sheet'));
    // One row is none, one has other keys, and all that were left out alike are commands.
    await click(/^Correct row 7/);
    await take('no command');
    await click('Correct it');
    await until(() => status('4 commands'));
    await click(/^Correct row 4/);
    fireEvent.change(await field('Keys'), { target: { value: 'Alt+Shfit+Q' } });
    await click('Correct it');
    await said(/know a key called “Shfit\+Q”/);
    fireEvent.change(await field('Keys'), { target: { value: 'Alt+Shift+Q or F12' } });
    await click('Correct it');
    await click(/^Correct row 8/);
    await click('Correct it');
    await until(() => status('5 commands'));
    await click('Undo the last correction');
    await until(() => status('4 commands'));
    await type('Name of the program', 'Odd lamp');
    await click('Put it on the Shelf');
    await until(() => window.location.pathname === '/shelf/odd-lamp');
    const { program, bindings } = await loadKeymapView('odd-lamp', 'factory-keys');
    expect(program.commands.map((one) => [...one.path, one.name].join(' › '))).toEqual([
      ...['repair › lift stain', 'repair › sweep dust', 'repair › sweep again', 'view › whole sheet'],
    ]);
    expect(bindings.map(([, chord]) => chord)).toEqual(['Mod+Shift+F9', 'F3', 'Alt+Shift+Q', 'F12', 'Mod+0']);
    // Its next list is read the same way, and can be read afresh.
    await openPage('/shelf/bring-in');
    fireEvent.change(await field(/^Copy the table/), { target: { value: `${ODD}\nwhen F7 is down : turn it` } });
    await click('Read it');
    await said('Read as you had the list of Odd lamp read before.');
    await until(() => status('Lines as you showed them').includes('6 commands'));
    await ready('Read it afresh');
    await click('Read it afresh');
    await until(() => status('Lines that bind keys'));
  }, 60_000);

  it('says the same of all rows that are alike', async () => {
    await openPage('/shelf/bring-in');
    fireEvent.change(await field(/^Copy the table/), {
      target: {
        value:
          'Menu,Command,Keys\nRepair,Lift,F9\nRepair,Dust,-\n* One note here,,\n* Other note here,,\nView,Star,*\n',
      },
    });
    await click('Read it');
    await until(() => status('3 commands'));
    select('A sign alone: - or ?', 'Is the key itself');
    await until(() => status('3 of them with keys'));
    await click(/^Left out 2/);
    await click(/^Correct row 4/);
    await tick(/^All 2 rows like this one are commands/);
    fireEvent.change(await field('Menu or group'), { target: { value: 'Notes › Old' } });
    await click('Correct 2 rows');
    await until(() => status('5 commands'));
    await click(/^Corrected by you 2/);
    await until(() => inForm().match(/Notes › Old/g)?.length === 2);
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
    const turns = async () => (await facts()).rules.turns.map((one) => one.join(' › '));
    fireEvent.click(screen.getAllByLabelText('Repair')[0] as HTMLElement);
    await undo('Turns');
    await until(async () => (await turns()).includes('Repair'));
    fireEvent.click(screen.getAllByLabelText('Repair')[0] as HTMLElement);
    await until(async () => !(await turns()).includes('Repair'));
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
    await undo('Mend is now a tool');
    await until(async () => (await facts()).commands.some((one) => one.id === 'mend' && one.kind === 'tool'));
    await click('Change… Mend');
    const frame = await dialog('Change Mend');
    const at = (name: string) => within(frame).getByLabelText(name);
    const menu = (at('Menu') as HTMLInputElement).value;
    const twin = begun.commands.find((one) => one.id !== 'mend' && one.path.join(' › ') === menu)?.name ?? '';
    fireEvent.change(at('Name'), { target: { value: twin } });
    await clickIn(frame, 'Change it');
    await said('Another command there is called so.');
    fireEvent.change(at('Name'), { target: { value: 'Patch up' } });
    fireEvent.change(at('Menu'), { target: { value: `${menu} › Fine` } });
    await clickIn(frame, 'Change it');
    await undo('Corrected: Mend, now Patch up');
    await until(async () => (await facts()).commands.some((one) => one.id === 'mend' && one.path.at(-1) === 'Fine'));
    const steps = [
      'Corrected: Mend, now Patch up',
      'Mend is now a tool',
      'Added: Number the sheets',
      'Fixed keys',
      'Turns',
      'Turns',
      'Menu items: keys',
      'Place added: in the brush list',
    ];
    for (const step of steps) fireEvent.click(await undo(step));
    await untilIs(facts, begun);
  });
});

describe('what a program says of itself', () => {
  it('has places renamed and removed, letters of menus, keys it keeps and ways of its own, each with a way back', async () => {
    const slug = await bringInWalk('Saying');
    const facts = async () => (await loadProgramView(slug)).program;
    const rules = async () => (await facts()).rules;
    const begun = await facts();
    await openPage(`/shelf/allows/${slug}`);
    const undo = (step: string) => button(`Undo: ${step}`);
    const leave = (one: HTMLElement, value: string): void => {
      fireEvent.change(one, { target: { value } });
      fireEvent.blur(one);
    };
    // A place that others lie in, or that commands are heard in, stays; one of one's own goes again.
    await type('Name of a new place', 'beside the sheet');
    await click('Add a place');
    await undo('Place added: beside the sheet');
    const place = screen.getByLabelText('Name of the place beside the sheet');
    leave(place, '  ');
    leave(place, 'beside the sheet');
    await undo('Place added: beside the sheet');
    leave(screen.getByLabelText('Name of the place beside the sheet'), 'below the sheet');
    await undo('Place renamed: below the sheet');
    await until(async () => (await facts()).contexts.some((one) => one.name === 'below the sheet'));
    await click(/^Remove.*below the sheet/);
    await undo('Place removed: below the sheet');
    await untilIs(async () => (await facts()).contexts, begun.contexts);
    // A letter opens its menu; the same once more, in small, is no change.
    const [menu = ''] = begun.commands.map((one) => one.path[0] ?? '');
    const letter = () => screen.getByRole('textbox', { name: menu });
    leave(letter(), 'x');
    await undo('Menu letters');
    await untilIs(async () => (await rules()).menuLetters[menu], 'X');
    await until(() => (letter() as HTMLInputElement).value === 'X');
    leave(letter(), 'x');
    leave(letter(), '');
    await until(async () => !((await rules()).menuLetters[menu] ?? ''));
    const before = (await rules()).sequences;
    fireEvent.click(screen.getByLabelText(/^Two strokes one after the other/));
    await undo('Two strokes');
    await untilIs(async () => (await rules()).sequences, !before);
    fireEvent.click(screen.getByLabelText(/a narrower place goes before a wider one/));
    await undo('Narrower places');
    // What it keeps already is said at the field; what it keeps can be given back.
    const [kept] = begun.rules.fixed;
    await type('Keys to fix', kept?.chord ?? '');
    await click('Add');
    await said('These keys stand here already.');
    await click(`Remove ${kept?.chord}`);
    await undo('Fixed keys');
    await untilIs(async () => (await rules()).fixed, begun.rules.fixed.slice(1));
    const form = await region('Add a command by hand');
    fireEvent.change(within(form).getByLabelText('Name'), { target: { value: 'Weigh the packet' } });
    await clickIn(form, 'Add the command');
    await undo('Added: Weigh the packet');
    await click(/^Remove.*Weigh the packet/);
    await undo('Removed: Weigh the packet');
    await untilIs(async () => (await facts()).commands, begun.commands);
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
    select('Keymap at the left', 'Walk keys');
    // The second choice comes before the page of the first.
    select('Keymap at the right', 'Factory keys');
    await until(() => window.location.search === '?left=walk-keys&right=factory-keys');
    await until(() => table().includes('Wash'));
    select('Keymap at the left', 'Factory keys');
    await said(/the same keymap twice/);
  });
});
