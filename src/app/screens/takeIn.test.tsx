// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { asOnLaptop } from '@/server/testing/asOnLaptop';
import { editProgram, loadProgramView } from '@/server/useCases/editProgram';
import { everythingAsFile } from '@/server/useCases/everything';
import { loadKeymapView, loadShelf } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import { button, click, clickIn, field, region, said, until, WAIT } from '../testing/touch';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
onScreens();

const give = (bytes: Uint8Array<ArrayBuffer>): void => {
  const input = screen.getByLabelText('A file with everything');
  fireEvent.change(input, { target: { files: [new File([bytes], 'laptop.sqlite')] } });
};
const row = async (name: string): Promise<HTMLElement> => {
  const cell = await screen.findByRole('rowheader', { name: new RegExp(`^${name}`) }, WAIT);
  return cell.closest('tr') as HTMLElement;
};
const names = async () => (await loadShelf()).flatMap((one) => one.keymaps.map(({ name }) => name)).sort();
let file: Uint8Array<ArrayBuffer>;

describe('taking everything in', () => {
  it('says what happens before anything does, under a name of its own, and goes on where that is chosen', async () => {
    file = await asOnLaptop(await everythingAsFile());
    const before = await names();
    await openPage('/shelf/take-in');
    await button('Choose the file…');
    give(file);
    expect((await row('Sheet retouching')).textContent).toContain('as “Sheet retouching (other computer)”');
    expect((await row('Packets, left hand')).textContent).toContain('Comes in.');
    const label = await field('What the other computer is called');
    fireEvent.change(label, { target: { value: 'bad (name)' } });
    await said('What it is called has no brackets.');
    fireEvent.change(label, { target: { value: 'laptop' } });
    fireEvent.blur(label);
    await until(async () => (await row('Sheet retouching')).textContent?.includes('as “Sheet retouching (laptop)”'));
    await clickIn(await row('Label drawing'), 'Go on here as there');
    const goesOn = async () => (await row('Label drawing')).textContent?.includes('Goes on here as there');
    await until(goesOn);
    // What was chosen was chosen of that file.
    give(file);
    await until(async () => !(await goesOn()));
    await clickIn(await row('Label drawing'), 'Go on here as there');
    await until(goesOn);
    // What is here changes meanwhile, so that something else would happen than was shown.
    const { revision, program } = await loadProgramView('quillmoor');
    const { contexts, rules, commands } = program;
    const facts = { contexts, rules: { ...rules, shadow: !rules.shadow }, commands };
    await editProgram('quillmoor', { revision }, 'Shadows', facts);
    await click('Take it in');
    await said(/changed since you looked at this file, so nothing was taken in/);
    expect((await region('Quillmoor')).textContent).toContain('what it allows has gone further here');
    expect(await names()).toEqual(before);
    await click('Take it in');
    await until(() => window.location.pathname === '/shelf');
    await said(/All of it is on the Shelf/);
    expect(await names()).toEqual([...before, 'Packets, left hand', 'Sheet retouching (laptop)'].sort());
    expect((await loadKeymapView('quillmoor', 'label-drawing')).tape.at(-1)?.title).toBe('Further on the laptop');
  });

  it('says that all is here', async () => {
    await openPage('/shelf/take-in');
    give(file);
    await said(/All that is in this file is here already/);
    expect(((await button('Take it in')) as HTMLButtonElement).disabled).toBe(true);
    await click('Leave it');
    await button('Choose the file…');
  });

  it('refuses what is none of ours in a sentence, and another can be chosen', async () => {
    await openPage('/shelf/take-in');
    give(new TextEncoder().encode('Command,Keys\nLift,F2\n'));
    expect((await screen.findByRole('alert', {}, WAIT)).textContent).toMatch(/no file that Gray Pin saved/);
    give(file);
    await said(/All that is in this file is here already/);
    expect(screen.queryByText(/no file that Gray Pin saved/)).toBeNull();
  });
});
