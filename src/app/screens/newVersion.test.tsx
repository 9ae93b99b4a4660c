// @vitest-environment jsdom
import { readFileSync } from 'node:fs';
import { fireEvent, screen, within } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { bringInUpload } from '@/server/useCases/bringIn';
import { loadNewVersion } from '@/server/useCases/newVersions';
import { onScreens, openPage } from '../testing/openPage';
import { button, click, clickIn, field, region, said, type, until, untilIs, WAIT } from '../testing/touch';

vi.mock('next/navigation', () => import('../testing/navigation'));
vi.mock('next/server', () => import('../testing/navigation'));
vi.mock('comlink', () => import('../testing/workersHere'));
onScreens(1200);

const LIST = readFileSync('demo/tarnlight-5.0.csv');
const ADDRESS = '/shelf/version/tarnlight-5-0';
beforeAll(async () => {
  const asker = { window: '', gone: new AbortController().signal };
  const given = { bytes: new Uint8Array(LIST), choices: null, corrections: {}, name: '', fileName: 'list.csv', asker };
  await bringInUpload({ ...given, follows: 'tarnlight', version: '5.0' });
}, 60_000);

const happens = () => region('What happens');
const row = async (name: string): Promise<HTMLElement> =>
  (await within(await happens()).findByText(name, {}, WAIT)).closest('tr') as HTMLElement;
const kept = async () => {
  const { said: links, answers } = await loadNewVersion('tarnlight-5-0', 'sheet-retouching');
  return { said: links.value, answers: answers.value };
};

describe('a new version', () => {
  it('says of every kind of line what meets and what happens, and keeps what is chosen', async () => {
    await openPage(ADDRESS);
    for (const [name, words] of [
      ['Levels', /Both of you moved it.*Keep mine.*Take theirs.*Both keys/],
      ['Weave thread', /new in 5\.0.*not there.*Dust sweep, a keeper.*Mine stays, it comes without.*Give it/],
      ['Protect bright paper', /was Hold bright paper.*Step out.*Stay as it is/],
      ['Turn a quarter', /was Turn quarter right and Turn quarter left.*only likely/],
    ] as const)
      expect((await row(name)).textContent).toMatch(words);
    expect((await row('Weave thread')).textContent).not.toContain('Let it have them');
    await clickIn(await row('Weave thread'), /^Give it/);
    await until(async () => (await kept()).answers.length === 1);
    const [[command, choice] = ['', null]] = (await kept()).answers;
    expect([command, choice]).toEqual(['weave-thread', { take: 'keys', chord: expect.stringMatching(/^\S+$/) }]);
    await until(async () =>
      (await row('Weave thread')).querySelector('[aria-pressed=true]')?.textContent?.startsWith('Give it'),
    );
    await click(/^Yours stay/);
    expect((await row('Magnifier')).textContent).toMatch(/was Loupe/);
    await click(/^New from the maker/);
    expect((await row('Rulers')).textContent).toMatch(/Ctrl\+Alt\+Shift\+H/);
    await click(/^Yours, but gone/);
    expect((await happens()).textContent).toContain('Fill pinhole is gone in 5.0');
    fireEvent.click(await button('What becomes of Sheet retouching'));
    const other = await screen.findByRole('menuitem', { name: /^Packet pictures/ }, WAIT);
    expect(other.getAttribute('href')).toBe(`${ADDRESS}?keymap=packet-pictures`);
  });

  it('takes what is said of commands, and another word for it, each with a way back', async () => {
    await openPage(ADDRESS);
    await click(/^Check the commands/);
    await clickIn(await row('Lift mold'), 'It is not');
    await said('Noted: these are different commands.');
    await untilIs(
      async () => (await kept()).said,
      [
        { before: 'lift-moire', after: null },
        { before: null, after: 'lift-mold' },
      ],
    );
    await click(/^Commands: renamed/);
    expect((await row('Lift moiré')).textContent).toContain('gone');
    fireEvent.change(screen.getByRole('combobox', { name: 'What Lift moiré became' }), {
      target: { value: 'lift-mold' },
    });
    await said('Noted: it became Lift mold.');
    await untilIs(async () => (await kept()).said, [{ before: 'lift-moire', after: 'lift-mold' }]);
    expect((await row('Lift mold')).textContent).toContain('as you said');
    fireEvent.click(screen.getAllByRole('button', { name: 'Undo' }).at(-1) as HTMLElement);
    await untilIs(
      async () => (await kept()).said,
      [
        { before: 'lift-moire', after: null },
        { before: null, after: 'lift-mold' },
      ],
    );
  });

  it('moves a keymap, leads to it, and shows another', async () => {
    const { address } = await openPage(`${ADDRESS}?keymap=packet-pictures`);
    await row('Pick color');
    await click('Move to 5.0');
    await until(() => address().startsWith('/board/tarnlight-5-0/packet-pictures'));
    await openPage(`${ADDRESS}?keymap=packet-pictures`);
    expect((await button('Move it again')).textContent).toBe('Move it again');
    expect(screen.getByText('Open it in 5.0').getAttribute('href')).toBe('/board/tarnlight-5-0/packet-pictures');
  });
});

describe('a list that is brought in', () => {
  const give = (text: string, name: string) =>
    fireEvent.change(document.querySelector('input[type=file]') as HTMLElement, {
      target: { files: [new File([text], name)] },
    });

  it('is the next version of what it is of, or another program at a click', async () => {
    const { address } = await openPage('/shelf/bring-in');
    await button(/Choose/);
    give(String(LIST), 'tarnlight-5.1.csv');
    await screen.findByText(/commands of/, {}, WAIT);
    expect(((await field('Version')) as HTMLInputElement).value).toBe('5.1');
    expect(screen.queryByLabelText('Name of the program')).toBeNull();
    await click('Another program');
    await type('Name of the program', 'Tarnlight at home');
    await click('Put it on the Shelf');
    await until(() => address() === '/shelf/tarnlight-at-home');
  });
});
