// @vitest-environment jsdom
import { fireEvent, screen, within } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Pack } from '@/core/pack/pack';
import { loadKeymapView } from '@/server/useCases/screens';
import { onScreens, openPage } from '../testing/openPage';
import { button, click, clickIn, field, region, said, type, until, untilIs, WAIT } from '../testing/touch';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(1200);

/** What was saved last as a file. */
let saved = '';
beforeAll(() => {
  URL.createObjectURL = (file) => {
    const reader = new FileReader();
    reader.onload = () => {
      saved = String(reader.result);
    };
    reader.readAsText(file as Blob);
    return '#';
  };
  URL.revokeObjectURL = () => undefined;
});

/** jsdom has files, but does not read them. */
const give = (text: string) =>
  fireEvent.change(screen.getByLabelText('A pack to put on'), {
    target: { files: [Object.assign(new File([text], 'five.pack.json'), { text: async () => text })] },
  });
const row = async (name: string): Promise<HTMLElement> => {
  const [first] = await within(await region('Lines of the pack')).findAllByText(name, {}, WAIT);
  return first?.closest('tr') as HTMLElement;
};
const keysOf = async (program: string, keymap: string) => {
  const { bindings } = await loadKeymapView(program, keymap);
  return (id: string) => bindings.filter(([one]) => one === id).map(([, chord]) => chord);
};
const HAND = ['nibshore', 'my-painting-hand'] as const;

describe('packs', () => {
  it('are made of what is chosen, named and saved; an unnamed one is not', async () => {
    await openPage('/shelf/packs/tarnlight/sheet-retouching');
    for (const name of ['Stain mask', 'Loupe', 'Full sheet'])
      fireEvent.click(await screen.findByRole('checkbox', { name }, WAIT));
    await click('Save the pack');
    await screen.findByText('Give the pack a name.', {}, WAIT);
    expect(saved).toBe('');
    await type('Name of the pack', 'Three');
    await type('What it is for', 'The left hand');
    await click('Save the pack');
    await until(() => saved !== '');
    const pack = JSON.parse(saved) as Pack;
    expect(pack).toMatchObject({
      name: 'Three',
      note: 'The left hand',
      owner: 'Plate retoucher',
      program: { name: 'Tarnlight', version: '4.2' },
    });
    expect(pack.lines.map((one) => one.command.name)).toEqual(['Stain mask', 'Full sheet', 'Loupe']);
  });

  it('say what they are before anything happens, go on line by line, and off again', async () => {
    const before = (await loadKeymapView('tarnlight', 'packet-pictures')).bindings;
    await openPage('/shelf/packs/tarnlight/packet-pictures');
    await button('Choose a pack…');
    give(saved);
    expect((await region('What the pack is')).textContent).toMatch(
      /Three.*The left hand.*3 commands by Plate retoucher, made in Tarnlight 4\.2/,
    );
    expect((await row('Full sheet')).textContent).toContain('Take its keys');
    expect((await loadKeymapView('tarnlight', 'packet-pictures')).bindings).toEqual(before);
    await clickIn(await row('Full sheet'), 'Keep mine');
    await until(async () => (await row('Full sheet')).textContent?.includes('settled by you'));
    await clickIn(await region('What the pack is'), 'Put it on');
    await said('“Three” is on, as one ticket of the tape.');
    const keys = await keysOf('tarnlight', 'packet-pictures');
    expect([keys('stain-mask'), keys('loupe'), keys('full-sheet')]).toEqual([['Alt+D'], ['Alt+Z'], ['Home']]);
    expect((await region('On this keymap')).textContent).toContain('Three');
    await click('Pull Three off');
    await untilIs(
      async () => [...(await loadKeymapView('tarnlight', 'packet-pictures')).bindings].sort(),
      [...before].sort(),
    );
    expect((await region('On this keymap')).textContent).toContain('No pack was put on it yet');
  });

  it('ask what is only likely in another program, and do nothing about what is not there', async () => {
    await openPage(`/shelf/packs/${HAND.join('/')}`);
    const pack = JSON.parse(saved) as Pack;
    const strange = { ...pack.lines[0], command: { name: 'Qwyx zzyt', kind: 'menu item', path: [] } };
    await button('Choose a pack…');
    give(JSON.stringify({ ...pack, lines: [...pack.lines, strange] }));
    expect((await row('Qwyx zzyt')).textContent).toContain('not here');
    const sheet = await row('Full sheet');
    expect(sheet.textContent).toContain('Whole page');
    if (sheet.textContent?.includes('That is it')) {
      expect(sheet.textContent).toContain('Nothing, until it is confirmed');
      await clickIn(sheet, 'Full sheet is Whole page');
    }
    await until(async () => (await row('Full sheet')).textContent?.includes('Take its keys'));
    await clickIn(await region('What the pack is'), 'Leave it');
    await field('Name of the pack');
  });

  it('are refused in a sentence where they are none', async () => {
    await openPage(`/shelf/packs/${HAND.join('/')}`);
    await button('Choose a pack…');
    for (const [text, words] of [
      ['{', /This is no pack/],
      ['{"format":"gray-pin-pack","formatVersion":1}', /can't be taken as it is/],
      [saved.replace('"Alt+W"', '"Frob+W"'), /“Frob\+W” is not keys/],
    ] as const) {
      give(text);
      await screen.findByText(words, {}, WAIT);
    }
  });
});
