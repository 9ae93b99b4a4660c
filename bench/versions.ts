/**
 * Measures how well it is found what became of the commands of a program in its next version, on pairs that were written by
 * hand (bench/versions/). `tsx bench/versions.ts [name] --show`.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { findLinks } from '../src/core/succession/findLinks';
import { type VersionPair, versionPair } from '../src/core/testing/versionPair';
import type { Row } from './measure';

const folder = join(import.meta.dirname, 'versions');

/** The pairs of versions there are, by the programs of the demo. */
export function versionPairs(): (readonly [name: string, pair: VersionPair])[] {
  return readdirSync(folder).map((file) => {
    const name = file.replace('.txt', '');
    const program = JSON.parse(readFileSync(join(import.meta.dirname, '../demo', `${name}.json`), 'utf8'));
    return [name, versionPair(readFileSync(join(folder, file), 'utf8'), program)];
  });
}

/** How many of the true links were found, and how many of those that are sure are true. */
export function measureLinks({ before, after, truth }: VersionPair) {
  const keyOf = (one: { before: string; after: string }): string => `${one.before} → ${one.after}`;
  const links = findLinks(before, after);
  const [wanted, found] = [new Set(truth.map(keyOf)), new Set(links.map(keyOf))];
  const sure = links.filter((one) => one.confidence === 'sure');
  return {
    commands: before.program.commands.length,
    sure: sure.length,
    wrong: sure.filter((one) => !wanted.has(keyOf(one))).map(keyOf),
    toCheck: links.filter((one) => one.confidence === 'check'),
    missed: [...wanted].filter((one) => !found.has(one)),
    invented: [...found].filter((one) => !wanted.has(one)),
    all: wanted.size,
  };
}

/** The measure as rows of a table. */
export function benchVersions(): { rows: Row[]; failures: string[] } {
  const measured = versionPairs().map(([, pair]) => measureLinks(pair));
  const sum = (of: (one: ReturnType<typeof measureLinks>) => number): number =>
    measured.reduce((all, one) => all + of(one), 0);
  const sure = sum((one) => one.sure);
  const right = (100 * (sure - sum((one) => one.wrong.length))) / sure;
  const found = (100 * (sum((one) => one.all) - sum((one) => one.missed.length))) / sum((one) => one.all);
  const asked = versionPairs().reduce(
    (all, [, pair]) => all + pair.merges.reduce((of, one) => of + one.asked.size, 0),
    0,
  );
  return {
    rows: [
      [
        `What became of ${sum((one) => one.commands)} commands in three next versions`,
        `${right.toFixed(1)} % of ${sure} sure ones right`,
        `${found.toFixed(1)} % of ${sum((one) => one.all)} found, ${sum((one) => one.toCheck.length)} of them to be checked`,
        `wanted: 99 %; 97 %. ${asked} places asked for in four keymaps, as written by hand (held by the tests)`,
      ],
    ],
    failures: [
      ...(right < 99 ? [`of the sure links ${right.toFixed(1)} % are right`] : []),
      ...(found < 97 ? [`${found.toFixed(1)} % of what became of commands is found`] : []),
    ],
  };
}

if (process.argv[1]?.endsWith('versions.ts'))
  for (const [name, pair] of versionPairs()) {
    const t = performance.now();
    const { commands, sure, wrong, toCheck, missed, invented, all } = measureLinks(pair);
    console.log(
      `${name.padEnd(12)} ${commands} commands: ${sure - wrong.length} of ${sure} sure ones right, ${all - missed.length} of ${all} found, ${toCheck.length} to be checked; ${Math.round(performance.now() - t)} ms`,
    );
    if (process.argv.includes('--show'))
      console.log({
        wrong,
        missed,
        invented,
        toCheck: toCheck.map((one) => `${one.before} → ${one.after} ${one.figure.toFixed(2)}`),
      });
  }
