// @vitest-environment jsdom
import { readFileSync } from 'node:fs';
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { NO_CHOICES } from '@/core/reading/choices';
import { bringInUpload } from '@/server/useCases/bringIn';
import { formsOf } from '@/server/useCases/ownForms';
import { loadKeymapView } from '@/server/useCases/screens';
import { sheetFile } from '@/server/useCases/sheets';
import { filesOfKeymap } from '@/server/useCases/writeBack';
import { onScreens, openPage } from '../testing/openPage';
import { button, choose, click, clickIn, field, region, said, type, until, untilIs, WAIT } from '../testing/touch';
import { giveKeys } from '../testing/walkPrograms';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(1200);

const PROGRAM = 'tarnlight';
const KEYMAP = 'sheet-retouching';
const told = () => region('What becomes of the file');
/** What is written in the lines of the file as they will be, where they change. */
const written = () => [...document.querySelectorAll('[data-changed] mark')].map((one) => one.textContent);
const give = (name: string, text: string) =>
  fireEvent.change(screen.getByLabelText(name), { target: { files: [new File([text], 'keys.conf')] } });

describe('a keymap written back', () => {
  it('asks for words that the file has nowhere, writes by what is said, and takes it back', async () => {
    await giveKeys(PROGRAM, { 'set-square': ['NumpadAdd', 'F4'] }, KEYMAP);
    const { id } = (await loadKeymapView(PROGRAM, KEYMAP)).draft;
    const kept = async () => (await filesOfKeymap(id)).spelling?.said.value;
    await openPage(`/sheets/${PROGRAM}/${KEYMAP}/write`);
    await within(await told()).findByText(/^Read back: 399 of 399/, {}, WAIT);
    expect((await told()).textContent).toContain("holds this keymap but for what can't be written");
    const cannot = await region("What can't be written");
    expect(cannot.textContent).toContain('Set square');
    expect(within(cannot).getByRole('link').getAttribute('href')).toBe(`/sheets/${PROGRAM}/${KEYMAP}/changes`);
    fireEvent.submit((await type('several keys', ', ')).closest('form') as HTMLFormElement);
    await within(await told()).findByText(/^Read back: 400 of 400/, {}, WAIT);
    expect((await told()).textContent).toContain('to the last key');
    expect(screen.queryByRole('region', { name: "What can't be written" })).toBeNull();
    expect(await kept()).toEqual({ 'several keys': ', ' });
    const word = screen.getByRole<HTMLInputElement>('textbox', { name: 'Num +' });
    expect(written().some((one) => one?.includes(word.value))).toBe(true);
    word.focus();
    fireEvent.submit((await type('Num +', 'keypad_plus')).closest('form') as HTMLFormElement);
    await until(() => written().some((one) => one?.includes('keypad_plus, f4')));
    expect(screen.queryByRole('textbox', { name: 'Num +' })).toBeNull();
    await untilIs(() => document.activeElement?.getAttribute('aria-label'), 'How this file writes keys');
    await said(/“keypad_plus”, as you said/);
    fireEvent.click(screen.getAllByRole('button', { name: 'Undo' }).at(-1) as HTMLElement);
    await field('Num +');
    await untilIs(kept, { 'several keys': ', ' });
    await untilIs(() => written().some((one) => one?.includes('keypad_plus')), false);
  });

  it('of what came from a PDF asks for another file, and leads to the other ways', async () => {
    const asker = { window: 'w', gone: new AbortController().signal };
    const query = {
      program: 'nibshore',
      keymap: 'my-painting-hand',
      date: 'May',
      notation: 'windows',
      contents: 'yours',
    };
    const bytes = new Uint8Array((await sheetFile(query)).bytes);
    const of = { choices: NO_CHOICES, corrections: {}, name: 'Fernpress', version: '1', follows: '' };
    const slug = await bringInUpload({ ...of, bytes, fileName: 'keys.pdf', asker });
    await openPage(`/sheets/${slug}/factory-keys/write`);
    await said(/^Fernpress was brought in from a PDF\. .*no program reads them from one\. Give the file/);
    expect(screen.queryByText('Give a newer copy…')).toBeNull();
    const leads = (name: string) => screen.getByRole('link', { name }).getAttribute('href');
    expect([leads('change list'), leads('a form of your own')]).toEqual([
      `/sheets/${slug}/factory-keys/changes`,
      `/sheets/${slug}/factory-keys/form`,
    ]);
    const { commands } = (await loadKeymapView(slug, 'factory-keys')).program;
    give('A file that the program reads', commands.map((one, i) => `${one.name} = ctrl-f${(i % 12) + 1}\n`).join(''));
    await within(await told()).findByText(/^Read back/, {}, WAIT);
    expect(commands.length).toBeGreaterThan(5);
  });

  it('goes into a newer copy that is given, and stays where it was when that is none of the program', async () => {
    const { address } = await openPage(`/sheets/${PROGRAM}/${KEYMAP}/write`);
    await within(await told()).findByText(/^Read back/, {}, WAIT);
    give('A newer copy of the file', 'Nothing but words here.');
    await said(/hardly any command of Tarnlight/);
    expect(screen.getByText('Save the file').getAttribute('href')).toMatch(/file=\d+$/);
    give('A newer copy of the file', readFileSync('demo/tarnlight-keys.conf', 'utf8').replace('4.2', '4.2.1'));
    await until(() => /write\?file=\d+$/.test(address()));
    await button(/^Into .*, given/);
    await clickIn(await told(), /^Whole file/);
    await screen.findAllByText(/# Keys of Tarnlight 4\.2\.1/, {}, WAIT);
    expect(screen.getByText('Save the file').getAttribute('href')).toContain(address().split('?')[1]);
    expect(screen.queryByText(/hardly any command/)).toBeNull();
  });
});

describe('a form of one’s own', () => {
  const FORM = '/sheets/nibshore/my-painting-hand/form';
  const forms = async () =>
    (await formsOf('nibshore')).value.map(({ form, putAway }) => [form.name, form.joint, putAway]);
  const out = async () => (await region('The file as it comes out')).textContent;

  it('is begun with another, kept, changed and put away, each with a way back', async () => {
    const { address } = await openPage(FORM);
    const name = async () => ((await field('Name of the form')) as HTMLInputElement).value;
    await type('Name of the form', 'Mine');
    await choose('Another form', /^Begin with: .*XML/);
    await until(async () => (await out())?.includes('<?xml'));
    await click('Undo');
    await untilIs(name, 'Mine');
    await click('Keep with Nibshore');
    await untilIs(forms, [['Mine', '+', false]]);
    await until(() => /form\?form=\d+$/.test(address()));
    await button('Keep changes');
    await type('Joined by', ' & ');
    await until(async () => (await out())?.includes('ctrl & '));
    await click('Keep changes');
    await untilIs(forms, [['Mine', ' & ', false]]);
    fireEvent.click((await screen.findAllByRole('button', { name: 'Undo' }, WAIT)).at(-1) as HTMLElement);
    await untilIs(forms, [['Mine', '+', false]]);
    await until(async () => (await out())?.includes('ctrl+'));
    await choose('Another form', 'Put this form away');
    await untilIs(address, FORM);
    await button('Keep with Nibshore');
    await choose('Another form', 'Bring back Mine');
    await untilIs(forms, [['Mine', '+', false]]);
  });

  it('says what in a template is wrong where it comes out', async () => {
    await openPage(FORM);
    await type('Template', '{{#commands}}{{name}}');
    await said(/is never closed/);
    expect((await button('Save the file')).hasAttribute('disabled')).toBe(true);
  });
});
