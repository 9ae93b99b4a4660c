import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { NO_WISHES } from '../core/advice/wishList';
import { whereOf } from '../core/keyboard/where';
import { draftOf } from '../core/keymap/draft';
import { bindingsOf, keymapOf } from '../core/keymap/keymap';
import type { Ticket } from '../core/keymap/ticket';
import { DEFAULT_SETTINGS } from '../core/settings/settings';
import { DEFAULT_SHEET } from '../core/sheet/sheetSpec';
import { findLinks } from '../core/succession/findLinks';
import { mergeTicket } from '../core/succession/mergeKeymap';
import type { NewVersionView } from '../core/succession/newVersionView';
import { succeed } from '../core/succession/succeed';
import { versionPair } from '../core/testing/versionPair';
import { FACTORY_APPEARANCE } from '../core/workspace/appearance';
import { findProgram } from './repositories/programs';
import { findRoom } from './repositories/workspaces';
import { onDemoDatabase } from './testing/onDemoDatabase';
import { loadWishes, saveUses, saveWishList } from './useCases/advice';
import { bringInUpload, exportProgram, previewUpload } from './useCases/bringIn';
import { sayCounterpart } from './useCases/match';
import { loadNewVersion, moveKeymap, saveAnswers, sayLinks } from './useCases/newVersions';
import { loadKeymapView, loadShelf } from './useCases/screens';
import { keepSheet, loadSheets } from './useCases/sheets';
import { editRoom, loadRoom } from './useCases/workspaces';

onDemoDatabase();

const asker = { window: '', gone: new AbortController().signal };
const upload = (text: string, more: { follows?: string; version?: string; name?: string } = {}) => ({
  ...{ bytes: new TextEncoder().encode(text), choices: null, corrections: {}, fileName: 'list.csv', asker },
  ...{ name: '', version: '', follows: '', ...more },
});
const list = readFileSync('demo/tarnlight-5.0.csv', 'utf8');
/** What becomes of the keymap that a screen shows. */
function becomes({ before, after, said, answers }: NewVersionView) {
  const [old, next] = [draftOf(before), draftOf(after)];
  const sides = [
    { program: before.program, factory: old.factory },
    { program: after.program, factory: next.factory },
  ] as const;
  const judged = { where: whereOf(DEFAULT_SETTINGS, DEFAULT_SETTINGS.desktop), hand: DEFAULT_SETTINGS.hand };
  const links = findLinks(...sides, said.value);
  const done = succeed(...sides, links, old.keymap, answers.value, judged);
  return { ...done, links, ticket: mergeTicket(sides[0], next.factory, done.merge) };
}

/** Moves a keymap as its screen does. */
async function move(slug: string, keymap: string, key?: string) {
  const view = await loadNewVersion(slug, keymap);
  const { ticket, links } = becomes(view);
  const became = links.map((one) => [one.before, one.after] as const);
  return moveKeymap(view.before.draft.id, { to: slug, ticket, links: became }, key === undefined ? {} : { key });
}

describe('a list', () => {
  it('is known as another version of the program that has its commands, before anything happens', async () => {
    const before = await loadShelf();
    const followsOf = async (text: string) => (await previewUpload(upload(text))).preview.follows;
    expect(await followsOf(list)).toMatchObject({ slug: 'tarnlight', label: 'Tarnlight', version: '4.2', of: 433 });
    expect((await followsOf(list))?.shared).toBeGreaterThan(380);
    expect(await followsOf('Command,Keys\nMend,F5\nWash,F6\nDust,F7\nSalt,F8\nBlow,\nFold,\n')).toBeNull();
    const file = JSON.stringify(await exportProgram('nibshore'));
    expect(await followsOf(file)).toMatchObject({ slug: 'nibshore', shared: 306, of: 306 });
    expect(await loadShelf()).toEqual(before);
  });
});

describe('the next version of a program', () => {
  it('stands beside the one it came from, with what its list does not say; a keymap and all that belongs to it go along', async () => {
    const old = (await loadKeymapView('tarnlight', 'sheet-retouching')).draft;
    await saveUses(old.id, { 'lift-fiber': 40, 'drop-find': 3, 'lift-stain': 20 }, false);
    await saveWishList(old.id, { ...NO_WISHES, wishes: ['lift-fiber', 'drop-find'], pins: [['loupe', 'Alt+Z']] });
    await keepSheet(old.id, 'By the desk', {
      ...DEFAULT_SHEET,
      contents: 'picked',
      picked: ['loupe', 'drop-find', 'levels'],
    });
    await sayCounterpart('tarnlight', 'lift-fiber', 'nibshore', 'salt');
    const bright = { ...FACTORY_APPEARANCE, brightness: 77 };
    await editRoom('tarnlight', { person: 'Plate retoucher', revision: 0 }, 'Brighter', {
      appearance: bright,
      keymap: old.id,
    });
    const kept = await exportProgram('tarnlight');

    const slug = await bringInUpload(upload(list, { follows: 'tarnlight', version: '5.0' }));
    expect(slug).toBe('tarnlight-5-0');
    expect((await loadShelf()).find((one) => one.slug === slug)).toMatchObject({
      name: 'Tarnlight',
      version: '5.0',
      cameFrom: 'tarnlight',
    });
    const view = await loadNewVersion(slug, 'sheet-retouching');
    const { commands, rules, contexts } = view.after.program;
    expect(commands.find((one) => one.name === 'Root pen')).toMatchObject({ kind: 'tool', context: 'canvas' });
    expect(commands.find((one) => one.name === 'Lift fibers')).toMatchObject({
      kind: 'menu item',
      context: 'everywhere',
    });
    // The list that the demo ships is the one that is measured by.
    const changes = readFileSync('bench/versions/tarnlight.txt', 'utf8');
    const { after } = versionPair(changes, JSON.parse(readFileSync('demo/tarnlight.json', 'utf8')));
    expect(commands).toEqual(after.program.commands);
    for (const { id } of commands)
      expect(view.after.bindings.filter(([one]) => one === id).map(([, chord]) => chord)).toEqual(
        bindingsOf(after.factory, id).map((one) => one.chord),
      );
    expect(rules.turns).toEqual(kept.program.rules.turns);
    expect(contexts).toEqual(kept.program.contexts);

    // A person says what is unsure, and chooses once.
    const { links } = becomes(view);
    const unsure = links.filter((one) => one.confidence === 'check').map(({ before, after }) => ({ before, after }));
    await sayLinks(slug, [
      ...unsure,
      { before: 'close-tear', after: 'mend-tear' },
      { before: 'straighten-lens-bend', after: 'correct-lens-bend' },
      { before: 'full-sheet', after: 'whole-sheet' },
      { before: 'full-sheet', after: 'whole-mount' },
    ]);
    await saveAnswers(old.id, slug, [['levels', { take: 'theirs' }]]);
    const told = await loadNewVersion(slug, 'sheet-retouching');
    const wanted = becomes(told);
    const asked = wanted.merge.lines.filter((one) => one.meets.length > 0).map((one) => one.command);
    expect(asked).toHaveLength(17);
    expect(wanted.closest['weave-thread']).toBeTruthy();

    const made = await move(slug, 'sheet-retouching', 'the-first-move');
    // What was not answered and is sent again is not done again.
    expect((await move(slug, 'sheet-retouching', 'the-first-move')).id).toBe(made.id);
    const room = await findRoom((await findProgram(slug)).id, 'Plate retoucher');
    expect(room?.contents).toMatchObject({ appearance: bright, keymap: made.id });
    expect(made).toMatchObject({
      name: 'Sheet retouching',
      owner: 'Plate retoucher',
      slug: 'sheet-retouching',
      cursor: 1,
    });
    const there = await loadKeymapView(slug, made.slug);
    const keys = keymapOf(there.bindings, there.spares);
    expect(keys).toEqual({ ...wanted.merge.keymap, bindings: keys.bindings });
    for (const [command, text] of [
      ['levels', 'Mod+Shift+L'],
      ['curves', 'Mod+E'],
      ['magnifier', 'Alt+Z'],
      ['weave-thread', ''],
    ])
      expect(
        bindingsOf(keys, command ?? '')
          .map((one) => one.chord)
          .join(),
        command,
      ).toBe(text);
    expect(bindingsOf(keys, 'magnifier')[0]?.hook).toBe('Z, a lens drawn with one line');
    expect(bindingsOf(keys, 'dust-sweep')[0]?.keeper).toBe(true);
    expect(there.tape.map((one) => one.title)).toEqual(['What was yours in Tarnlight 4.2']);

    const wishes = await loadWishes(slug, made.slug);
    expect(wishes.list.value).toMatchObject({ wishes: ['lift-fibers'], pins: [['magnifier', 'Alt+Z']] });
    expect((await loadSheets(slug, made.slug)).sheets.value[0]?.spec.picked).toEqual(['magnifier', 'levels']);
    // A workspace goes along with its keymap.
    const names = async () => (await loadRoom(slug)).workspaces.map((one) => one.name);
    expect(await names()).toEqual(['Mending', 'Plain desk']);
    await move(slug, 'packet-pictures');
    expect(await names()).toEqual(['Mending', 'Plain desk', 'Packets']);

    // Nothing of the version before has changed.
    expect(await exportProgram('tarnlight')).toEqual(kept);
    expect(
      (await loadNewVersion(slug, 'sheet-retouching')).keymaps.find((one) => one.slug === 'sheet-retouching')?.moved,
    ).toBe(made.slug);
  });

  it('takes no keymap of another program, and no command it does not have', async () => {
    const moved = (program: string, ticket: Ticket | null) =>
      loadKeymapView(program, 'factory-keys').then(({ draft }) =>
        moveKeymap(draft.id, { to: 'tarnlight-5-0', ticket, links: [] }),
      );
    await expect(moved('nibshore', null)).rejects.toThrow(/of another program/);
    const strange = { title: 'Strange', changes: [{ command: 'nowhere', before: [], after: [{ chord: 'F5' }] }] };
    await expect(moved('tarnlight', strange)).rejects.toThrow(/no command “nowhere”/);
  });

  it('says which version it is, and comes from a program that is there', async () => {
    await expect(bringInUpload(upload(list, { follows: 'tarnlight', version: '4.2' }))).rejects.toThrow(
      /Say which version this is/,
    );
    await expect(bringInUpload(upload(list, { follows: 'nowhere', version: '5' }))).rejects.toThrow(
      /no program at this address/,
    );
    await expect(loadNewVersion('tarnlight', null)).rejects.toThrow(/not brought in as the next version/);
  });
});
