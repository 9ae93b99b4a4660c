import { join } from 'node:path';
import Fuse from 'fuse.js';
import MiniSearch from 'minisearch';
import { buildFinder } from '../src/core/finder/buildFinder';
import type { Command } from '../src/core/program/program';
import { askAndFind, measureCounterparts } from './counterparts';
import { manyCommands } from './match';
import { median, ms, type Row, times } from './measure';
import { QUERIES } from './queries';
import { measurePhrases, readListPair, readPhrases, type Search } from './unforeseen';

/** A general fuzzy search, word by word. */
function fuzzily(commands: readonly Command[]): Search {
  const fuse = new Fuse(commands, {
    keys: [
      { name: 'name', weight: 2 },
      { name: 'path', weight: 1 },
    ],
    ignoreLocation: true,
    threshold: 0.4,
    useExtendedSearch: true,
  });
  return (typed) => fuse.search(typed.split(/\s+/).join(' | ')).map((one) => one.item);
}

/** A general search of whole texts: any of the words, their beginnings, with slips. */
function byText(commands: readonly Command[]): Search {
  const search = new MiniSearch<{ id: number; name: string; path: string }>({
    fields: ['name', 'path'],
    searchOptions: { prefix: true, fuzzy: 0.2, boost: { name: 2 } },
  });
  search.addAll(commands.map(({ name, path }, id) => ({ id, name, path: path.join(' ') })));
  return (typed) => search.search(typed).map((one) => commands[one.id as number] as Command);
}

const ours = (commands: readonly Command[]): Search => {
  const find = buildFinder(commands);
  return (typed) => find(typed).commands;
};

/** Measures what is made of phrases and lists that nobody foresaw, beside two general packages, and how long it takes. */
export async function benchWords(): Promise<{ rows: Row[]; kinds: string[]; failures: string[] }> {
  const failures: string[] = [];
  const rows: Row[] = [];
  const phrases = readPhrases();
  const folder = join(import.meta.dirname, 'unforeseen');
  const rough = readListPair(join(folder, 'rough'));
  const ways = [ours, fuzzily, byText].map((build) => ({ left: build(rough.left), right: build(rough.right) }));
  const [mine, ...others] = ways.map((searches) => measurePhrases(phrases, searches));
  if (!mine) throw new Error('Nothing was measured.');
  const kinds = [...mine.kinds].map(([kind, { of, first, three }]) => {
    const rest = others.map((one) => one.kinds.get(kind)).map((one) => `${one?.first} / ${one?.three}`);
    return `| ${kind} | ${of} | ${first} / ${three} | ${rest.join(' | ')} |`;
  });
  kinds.push(
    `| **all** | ${mine.of} | **${mine.first} / ${mine.three}** | ${others.map((one) => `${one.first} / ${one.three}`).join(' | ')} |`,
    `| nothing there: answered all the same | ${mine.none} | ${mine.invented} | ${others.map((one) => one.invented).join(' | ')} |`,
  );
  if (others.some((one) => one.three >= mine.three)) failures.push('a general package finds as many phrases');
  const all = (searches: Readonly<Record<'left' | 'right', Search>>) => () =>
    phrases.map((one) => searches[one.list](one.typed));
  const took: number[] = [];
  for (const way of ways) took.push((await median(all(way), 600)) / phrases.length);
  const [own = 0, ...general] = took;
  const slower = Math.max(...general);
  rows.push([
    'A phrase, in lists of 182 and 162 commands; beside the slower package',
    ms(own),
    general.map(ms).join(', '),
    times(own, slower),
  ]);
  if (own > slower / 5) failures.push('a phrase takes over a fifth of the slower package’s time');
  const typed = QUERIES.flatMap(([, query]) => Array.from({ length: query.length }, (_, i) => query.slice(0, i + 1)));
  for (const [size, most] of [
    [5000, 4],
    [20_000, 16],
  ] as const) {
    const find = ours(manyCommands('left', size, 0).program.commands);
    const one = (await median(() => typed.map(find), 1500)) / typed.length;
    rows.push([`A keystroke at ${size.toLocaleString('en')} commands`, ms(one), `wanted: within ${most} ms`, '']);
    if (one > most) failures.push(`a keystroke at ${size} commands takes over ${most} ms`);
  }
  const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;
  for (const [name, least] of [
    ['rough', 0.92],
    ['fourth', 0.85],
  ] as const) {
    const pair = name === 'rough' ? rough : readListPair(join(folder, name));
    const said = measureCounterparts(pair);
    const after = measureCounterparts(pair, askAndFind(pair, 12));
    const alone = pair.left.length - pair.truth.size;
    rows.push([
      `Counterparts of ${pair.left.length} and ${pair.right.length} commands (${name}, ${pair.truth.size} true ones): of the sure ones right; of the true ones, sure or suggested first; after twelve answers; of ${alone} without one, so many get a suggestion`,
      `${percent(said.sureRight)} of ${said.sure}; ${percent(said.found)}; ${percent(after.found)}; ${said.false}`,
      `wanted: 99 %; ${100 * least} %`,
      '',
    ]);
    if (said.sureRight < 0.99 || said.found < least) failures.push(`counterparts of ${name} are not found well`);
  }
  return { rows, kinds, failures };
}
