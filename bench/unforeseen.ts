/** What nobody foresaw: phrases and lists written before the finder and the counterparts learned to understand them. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import Papa from 'papaparse';
import { buildFinder } from '../src/core/finder/buildFinder';
import type { Command, Kind } from '../src/core/program/program';
import { askAndFind, type MarkedLists, measureCounterparts } from './counterparts';

const FOLDER = join(import.meta.dirname, 'unforeseen');
const KINDS: Readonly<Record<string, Kind>> = {
  menu: 'menu item',
  tool: 'tool',
  panel: 'panel',
  value: 'value',
  script: 'script',
  held: 'held action',
};

const readRows = (file: string, delimiter = ','): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(readFileSync(file, 'utf8').trim(), { header: true, delimiter, quoteChar: '"' })
    .data;

/** A pair of lists as they stand in a folder: left.csv, right.csv, truth.csv. */
export function readListPair(folder: string): MarkedLists {
  const side = (name: string): Command[] =>
    readRows(join(folder, `${name}.csv`)).map((row, i) => ({
      id: `${name}-${i}`,
      name: row.name as string,
      kind: KINDS[row.kind as string] as Kind,
      path: (row.path as string).split(' › '),
      context: 'everywhere',
    }));
  const [left, right] = [side('left'), side('right')];
  const find = (list: readonly Command[], path: string | undefined, name: string | undefined): string => {
    const found = list.find((one) => one.name === name && one.path.join(' › ') === path);
    if (!found) throw new Error(`There is no ${path} › ${name}.`);
    return found.id;
  };
  const truth = new Map(
    readRows(join(folder, 'truth.csv')).map((row) => [
      find(left, row.left_path, row.left_name),
      find(right, row.right_path, row.right_name),
    ]),
  );
  return { name: folder.split('/').at(-1) as string, left, right, truth };
}

export type Phrase = {
  readonly kind: string;
  readonly list: 'left' | 'right';
  readonly typed: string;
  readonly wanted: readonly string[];
};
export const readPhrases = (file = join(FOLDER, 'phrases.tsv')): Phrase[] =>
  readRows(file, '\t').map(({ kind = '', list, typed = '', wanted = '' }) => ({
    kind,
    list: list as 'left' | 'right',
    typed,
    wanted: wanted.split('|').filter((one) => one !== ''),
  }));

/** Finds commands in one of the two lists, best first. */
export type Search = (typed: string) => readonly Command[];

/** A name without the dots of what asks further. */
const plain = (name: string): string => name.replace(/…$/, '');

/** How a search does on the phrases: of each kind, and of all, how many are first, in the first three, not found at all; how many of those without answer are answered. */
export function measurePhrases(phrases: readonly Phrase[], searches: Readonly<Record<'left' | 'right', Search>>) {
  const kinds = new Map<string, { of: number; first: number; three: number; nothing: number }>();
  const missed: string[] = [];
  let invented = 0;
  let none = 0;
  for (const { kind, list, typed, wanted } of phrases) {
    const found = searches[list](typed);
    if (wanted.length === 0) {
      none++;
      if (found.length > 0) invented++;
      if (found.length > 0) missed.push(`invented: ${typed}: ${found.slice(0, 3).map((one) => one.name)}`);
      continue;
    }
    const at = found.findIndex((one) => wanted.some((name) => plain(name) === plain(one.name)));
    const count = kinds.get(kind) ?? { of: 0, first: 0, three: 0, nothing: 0 };
    kinds.set(kind, {
      of: count.of + 1,
      first: count.first + (at === 0 ? 1 : 0),
      three: count.three + (at >= 0 && at < 3 ? 1 : 0),
      nothing: count.nothing + (found.length === 0 ? 1 : 0),
    });
    if (at !== 0)
      missed.push(
        `${at < 0 ? 'missing' : at < 3 ? `at ${at + 1}` : `AT ${at + 1}`}: ${kind}: ${list} “${typed}” → ${wanted.join('|')}; got ${found.slice(0, 4).map((one) => one.name)}`,
      );
  }
  const sum = (what: 'of' | 'first' | 'three' | 'nothing'): number =>
    [...kinds.values()].reduce((all, one) => all + one[what], 0);
  return {
    kinds,
    of: sum('of'),
    first: sum('first'),
    three: sum('three'),
    nothing: sum('nothing'),
    none,
    invented,
    missed,
  };
}

if (process.argv[1]?.endsWith('unforeseen.ts')) {
  const rough = readListPair(join(FOLDER, process.argv[3] ?? 'rough'));
  const searchIn = (list: readonly Command[]): Search => {
    const find = buildFinder(list);
    return (typed) => find(typed).commands;
  };
  const said = measurePhrases(readPhrases(process.argv[2]?.endsWith('.tsv') ? process.argv[2] : undefined), {
    left: searchIn(rough.left),
    right: searchIn(rough.right),
  });
  for (const [kind, { of, first, three, nothing }] of said.kinds)
    console.log(`${kind}: ${first} first, ${three} in three, ${nothing} nothing, of ${of}`);
  console.log(
    `all: ${said.first} first, ${said.three} in three, ${said.nothing} nothing, of ${said.of}; ${said.invented} of ${said.none} invented`,
  );
  if (process.argv.includes('--show')) for (const one of said.missed) console.log(`  ${one}`);
  for (const name of ['rough', 'fourth']) {
    const lists = readListPair(join(FOLDER, name));
    const { sure, sureRight, found, surePart, false: invented, wrong, missed } = measureCounterparts(lists);
    const alone = lists.left.length - lists.truth.size;
    const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;
    console.log(
      `${name}: ${sure} sure, right ${percent(sureRight)}; found ${percent(found)} of ${lists.truth.size} (sure ${percent(surePart)}); ${invented} of ${alone} without a counterpart get a suggestion`,
    );
    const after = measureCounterparts(lists, askAndFind(lists, 12));
    console.log(`  after twelve answers: found ${percent(after.found)}, sure ones right ${percent(after.sureRight)}`);
    if (!process.argv.includes('--pairs')) continue;
    const nameOf = (list: readonly Command[], id: string | null | undefined): string =>
      list.find((one) => one.id === id)?.name ?? '-';
    for (const [what, list] of [
      ['WRONG', wrong],
      ['missed', missed],
    ] as const)
      for (const one of list)
        console.log(
          `  ${what} ${nameOf(lists.left, one.command)} = ${nameOf(lists.right, lists.truth.get(one.command))}; said ${one.candidates
            .slice(0, 3)
            .map(
              (c) =>
                `${nameOf(lists.right, c.command)} ${c.figure.toFixed(2)}${c.command === one.counterpart ? '*' : ''}`,
            )
            .join(', ')}`,
        );
  }
}
