import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildClashIndex, programFacts, relation } from '../clash/clashIndex';
import { buildKeyboard } from '../keyboard/buildKeyboard';
import { placeOf } from '../keyboard/placeOf';
import { type Binding, bindingsOf, EMPTY_KEYMAP, type Keymap } from '../keymap/keymap';
import { applyTicket } from '../keymap/ticket';
import { type Command, type CommandId, DEFAULT_RULES, EVERYWHERE, type Program } from '../program/program';
import { versionPair } from '../testing/versionPair';
import { findLinks } from './findLinks';
import { fateOf, type Link, linksBySide } from './link';
import { type MergeChoice, mergeKeymap, mergeTicket } from './mergeKeymap';

const place = placeOf(buildKeyboard({ shape: 'ansi', size: 'full', layout: 'us' }));
const root = join(import.meta.dirname, '../../..');
const read = (file: string): string => readFileSync(join(root, file), 'utf8');
const pairOf = (name: string) => versionPair(read(`bench/versions/${name}.txt`), JSON.parse(read(`demo/${name}.json`)));
const keysOf = (list: readonly Binding[]): string[] => list.map((one) => one.chord);

describe.each(['tarnlight', 'nibshore', 'quillmoor'])('the next version of %s', (name) => {
  const { before, after, truth, merges } = pairOf(name);
  const facts = programFacts(after.program);

  it('is known by its commands: what is sure is right, and nearly all is found', () => {
    const keyOf = (one: Link): string => `${one.before} → ${one.after}`;
    const wanted = new Set(truth.map(keyOf));
    const links = findLinks(before, after);
    const found = links.filter((one) => wanted.has(keyOf(one))).length;
    expect(links.filter((one) => one.confidence === 'sure' && !wanted.has(keyOf(one))).map(keyOf)).toEqual([]);
    expect(found / wanted.size).toBeGreaterThan(0.985);
    // Only what differs is to be checked.
    expect(links.filter((one) => one.confidence === 'check').length).toBeLessThan(0.08 * links.length);
  });

  it.each(merges.map((one) => [one.keymap, one] as const))(
    'makes of “%s” what was written by hand, asking where it was said',
    (own, wanted) => {
      const mine = before.keymaps.find((one) => one.name === own)?.keymap ?? EMPTY_KEYMAP;
      const merge = mergeKeymap({ before, after, facts, place, links: truth, mine });
      const nameOf = (id: CommandId): string => facts.commands.get(id)?.name ?? '';
      const differ = merge.lines.filter((one) => keysOf(one.after).join() !== keysOf(one.factoryNow).join());
      const told = [...differ, ...merge.lines.filter((one) => wanted.keys.has(nameOf(one.command)))];
      expect(new Map(told.map((one) => [nameOf(one.command), keysOf(one.after)]))).toEqual(wanted.keys);
      const asked = merge.lines.filter((one) => one.meets.length > 0).map((one) => nameOf(one.command));
      expect(new Set(asked)).toEqual(wanted.asked);
      const ticket = mergeTicket(before, after.factory, merge);
      expect(ticket && applyTicket(after.factory, ticket)).toEqual(merge.keymap);
    },
  );
});

describe('what became of a command', () => {
  const program = (names: readonly string[]): Program => ({
    ...{ name: 'Walk', version: '1', contexts: [EVERYWHERE], rules: DEFAULT_RULES },
    commands: names.map((one): Command => {
      const [name = '', ...menus] = one.split('@');
      const path = menus.length > 0 ? menus : ['Mend'];
      return { id: one.toLowerCase().replaceAll(' ', '-'), name, kind: 'menu item', path, context: 'everywhere' };
    }),
  });
  const side = (...names: string[]) => ({ program: program(names), factory: EMPTY_KEYMAP });

  it('is told: renamed, moved, split, joined, gone, new', () => {
    const [one, two] = [
      side('Mend tear', 'Wash', 'Turn left', 'Turn right', 'Fade paper', 'Old'),
      side('Mend tear@Paper', 'Wash plate', 'Turn by quarters', 'Fade paper evenly', 'Fade paper by depth'),
    ];
    const said = [
      { before: 'turn-left', after: 'turn-by-quarters' },
      { before: 'turn-right', after: 'turn-by-quarters' },
      { before: 'fade-paper', after: 'fade-paper-evenly' },
      { before: 'fade-paper', after: 'fade-paper-by-depth' },
      { before: 'old', after: null },
    ];
    const links = findLinks(one, two, said);
    const sides = linksBySide(links);
    const commandOf = (list: Program, id: string): Command => list.commands.find((own) => own.id === id) as Command;
    const fates = links.map((link) => [
      link.before,
      fateOf(link, sides, commandOf(one.program, link.before), commandOf(two.program, link.after)),
    ]);
    expect(Object.fromEntries(fates)).toEqual({
      'mend-tear': 'moved',
      wash: 'renamed',
      'turn-left': 'joined',
      'turn-right': 'joined',
      'fade-paper': 'split',
    });
  });

  it('is what a person said, whatever it is called, and what they said is gone or new has no link', () => {
    const [one, two] = [side('Mend', 'Wash', 'Dot'), side('Mend', 'Dust', 'Wash')];
    expect(
      findLinks(one, two, [
        { before: 'mend', after: 'dust' },
        { before: null, after: 'mend' },
        { before: 'wash', after: null },
      ]),
    ).toEqual([{ before: 'mend', after: 'dust', confidence: 'said', figure: 1 }]);
  });
});

describe('a merge of three keymaps', () => {
  const COMMANDS = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map(
    (id, i): Command => ({
      id,
      name: id,
      kind: 'tool',
      path: [i < 3 ? 'Rail' : 'Menu'],
      context: i % 3 === 0 ? 'canvas' : 'everywhere',
    }),
  );
  const version = (shadow: boolean): Program => ({
    ...{ name: 'Walk', version: '1', commands: COMMANDS },
    contexts: [EVERYWHERE, { id: 'canvas', name: 'canvas', parent: 'everywhere' }],
    rules: { ...DEFAULT_RULES, turns: [['Rail']], shadow },
  });
  const links = COMMANDS.map(({ id }): Link => ({ before: id, after: id, confidence: 'sure', figure: 1 }));
  const chords = fc.uniqueArray(fc.constantFrom('A', 'B', 'Alt+C', 'Alt+D', 'Alt+E', 'F6'), { maxLength: 2 });
  const bindings = (marks: boolean) =>
    chords.chain((list) =>
      fc.tuple(
        ...list.map((chord) =>
          (marks ? fc.boolean() : fc.constant(false)).map(
            (keeper): Binding => (keeper ? { chord, keeper: true } : { chord }),
          ),
        ),
      ),
    );
  const keymap = (some: Readonly<Record<string, readonly Binding[]>>): Keymap => ({
    bindings: new Map(Object.entries(some).filter(([, list]) => list.length > 0)),
    spares: new Set(),
  });
  const ids = COMMANDS.map((one) => one.id);
  const keysForAll = (marks: boolean) =>
    fc.record(
      Object.fromEntries(ids.map((id) => [id, bindings(marks)])) as Record<string, fc.Arbitrary<readonly Binding[]>>,
    );
  const some = fc.record(Object.fromEntries(ids.map((id) => [id, fc.boolean()])));
  /** Keys in which some commands have others than before. */
  const changed = (from: Readonly<Record<string, readonly Binding[]>>, marks = false) =>
    fc
      .tuple(some, keysForAll(marks))
      .map(([which, keys]) => Object.fromEntries(ids.map((id) => [id, (which[id] ? keys[id] : from[id]) ?? []])));
  const three = keysForAll(false).chain((then) =>
    fc.tuple(fc.constant(then), changed(then), changed(then, true), fc.boolean()),
  );
  const merged = (
    then: Keymap,
    now: Keymap,
    mine: Keymap,
    shadow = false,
    answers?: ReadonlyMap<CommandId, MergeChoice>,
  ) => {
    const program = version(shadow);
    const sides = { before: { program, factory: then }, after: { program, factory: now } };
    return mergeKeymap({ ...sides, facts: programFacts(program), place, links, mine }, answers);
  };
  const asMap = ({ bindings: all }: Keymap) => Object.fromEntries(ids.map((id) => [id, all.get(id) ?? []]));

  it('is the new factory keys where I changed nothing, mine where the maker changed nothing, and what both made alike', () => {
    fc.assert(
      fc.property(three, ([then, now, mine, shadow]) => {
        const [a, b, c] = [keymap(then), keymap(now), keymap(mine)];
        const quiet = [merged(a, b, a, shadow), merged(a, a, c, shadow), merged(a, c, c, shadow)];
        expect(quiet.map((one) => asMap(one.keymap))).toEqual([asMap(b), asMap(c), asMap(c)]);
        expect(quiet.flatMap((one) => one.lines.flatMap((line) => line.meets))).toEqual([]);
      }),
    );
  });

  it('makes no clash that was in neither, moves no keeper of mine, and tells every key of mine that is lost', () => {
    const clashesIn = (of: Keymap, shadow: boolean): string[] => {
      const facts = programFacts(version(shadow));
      return [...buildClashIndex(facts, of, place).holders].flatMap(([chord, holders]) =>
        holders.flatMap((one) =>
          holders
            .filter((other) => one !== other && relation(facts, one.command, other.command) === 'clash')
            .map((other) => `${chord} ${one.command.id} ${other.command.id}`),
        ),
      );
    };
    fc.assert(
      fc.property(three, ([then, now, mine, shadow]) => {
        const [a, b, c] = [keymap(then), keymap(now), keymap(mine)];
        const { keymap: result, lines } = merged(a, b, c, shadow);
        const known = new Set([...clashesIn(b, shadow), ...clashesIn(c, shadow)]);
        expect(clashesIn(result, shadow).filter((one) => !known.has(one))).toEqual([]);
        for (const id of ids) {
          const [own, here] = [bindingsOf(c, id), bindingsOf(result, id)];
          expect(here).toEqual(expect.arrayContaining(own.filter((one) => one.keeper)));
          // What I gave myself, I have.
          const given = own.filter((one) => !bindingsOf(a, id).some(({ chord }) => chord === one.chord));
          const asked = (lines.find((one) => one.command === id)?.meets.length ?? 0) > 0;
          if (!asked) expect(keysOf(here)).toEqual(expect.arrayContaining(keysOf(given)));
        }
      }),
      { numRuns: 300 },
    );
  });

  it('loses no keeper of mine whatever is answered elsewhere', () => {
    const answer = fc.constantFrom<MergeChoice>(
      { take: 'mine' },
      { take: 'theirs' },
      { take: 'both' },
      { take: 'keys', chord: 'F6' },
    );
    const answers = fc.array(fc.tuple(fc.constantFrom(...ids), answer), { maxLength: 6 });
    fc.assert(
      fc.property(three, answers, ([then, now, mine, shadow], chosen) => {
        const told = new Map(chosen);
        const { keymap: result } = merged(keymap(then), keymap(now), keymap(mine), shadow, told);
        for (const id of ids.filter((one) => (told.get(one)?.take ?? 'mine') === 'mine'))
          expect(bindingsOf(result, id)).toEqual(expect.arrayContaining((mine[id] ?? []).filter((one) => one.keeper)));
      }),
      { numRuns: 300 },
    );
  });

  it('comes to the same whether a key of mine that meets nothing is given before or after it', () => {
    const free = { chord: 'Mod+Alt+F9' };
    fc.assert(
      fc.property(three, fc.constantFrom(...ids), ([then, now, mine, shadow], id) => {
        const given = (of: Readonly<Record<string, readonly Binding[]>>) =>
          keymap({ ...of, [id]: [...(of[id] ?? []), free] });
        const first = merged(keymap(then), keymap(now), given(mine), shadow);
        const then_ = merged(keymap(then), keymap(now), keymap(mine), shadow);
        const line = first.lines.find((one) => one.command === id);
        // Where both moved a person is asked, and one answer is not the other.
        fc.pre(line !== undefined && line.meets.length === 0);
        const after = asMap(given(asMap(then_.keymap)));
        expect(
          Object.fromEntries(Object.entries(asMap(first.keymap)).map(([one, list]) => [one, new Set(keysOf(list))])),
        ).toEqual(Object.fromEntries(Object.entries(after).map(([one, list]) => [one, new Set(keysOf(list))])));
      }),
    );
  });

  it('does what is answered', () => {
    const then = keymap({ a: [{ chord: 'A' }], d: [{ chord: 'Alt+C' }] });
    const now = keymap({ a: [{ chord: 'B' }], d: [{ chord: 'Alt+C' }], e: [{ chord: 'Alt+D' }] });
    const mine = keymap({ a: [{ chord: 'F6' }], d: [{ chord: 'Alt+D' }] });
    const answered = (command: string, chosen: MergeChoice) =>
      asMap(merged(then, now, mine, false, new Map([[command, chosen]])).keymap);
    expect(merged(then, now, mine).lines.filter((one) => one.meets.length > 0)).toMatchObject([
      { command: 'a', meets: [{ kind: 'both moved' }], choices: ['mine', 'theirs', 'both'], after: [{ chord: 'F6' }] },
      { command: 'e', meets: [{ kind: 'is mine', whose: 'd' }], choices: ['mine', 'keys', 'theirs'], after: [] },
    ]);
    expect(answered('a', { take: 'theirs' }).a).toEqual([{ chord: 'B' }]);
    expect(answered('a', { take: 'both' }).a).toEqual([{ chord: 'F6' }, { chord: 'B' }]);
    expect(answered('e', { take: 'theirs' })).toMatchObject({ d: [], e: [{ chord: 'Alt+D' }] });
    expect(answered('e', { take: 'keys', chord: 'Alt+E' })).toMatchObject({
      d: [{ chord: 'Alt+D' }],
      e: [{ chord: 'Alt+E' }],
    });
  });
});
