import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';

const src = import.meta.dirname;
const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
  (name) => /\.tsx?$/.test(name) && !name.includes('.test.'),
);
const known = new Set(files);
const textOf = (file: string): string => readFileSync(join(src, file), 'utf8');

/** The files of ours that a file takes from, types included. */
function takenBy(file: string): string[] {
  return [...textOf(file).matchAll(/(?:from|import)\s*\(?\s*'([^'\s]+)'/g)].flatMap(([, wanted = '']) => {
    if (!/^(?:@\/|\.)/.test(wanted)) return [];
    const path = wanted.startsWith('@/') ? wanted.slice(2) : relative(src, resolve(join(src, dirname(file)), wanted));
    return [`${path}.ts`, `${path}.tsx`, join(path, 'index.ts')].filter((one) => known.has(one));
  });
}

/** Each circle of a graph once, as a way from one of its places back to it. */
function circles(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const found: string[][] = [];
  const done = new Set<string>();
  const walk = (at: string, way: readonly string[]): void => {
    const back = way.indexOf(at);
    if (back >= 0) found.push([...way.slice(back), at]);
    if (back >= 0 || done.has(at)) return;
    for (const next of graph.get(at) ?? []) walk(next, [...way, at]);
    done.add(at);
  };
  for (const at of graph.keys()) walk(at, []);
  return found;
}

describe('the house', () => {
  const graph = new Map(files.map((file) => [file, takenBy(file)]));

  it('has no circle of files, types included', () => {
    expect([...graph.values()].flat().length).toBeGreaterThan(1000);
    expect(
      circles(
        new Map([
          ['a', ['b']],
          ['b', ['c', 'a']],
          ['c', []],
        ]),
      ),
    ).toEqual([['a', 'b', 'a']]);
    expect(circles(graph)).toEqual([]);
  });

  it('has core folders that lean on each other one way alone', () => {
    const folder = (file: string): string => file.split('/')[1] ?? '';
    const leans = new Map<string, Set<string>>();
    for (const [file, taken] of graph) {
      if (!file.startsWith('core/')) continue;
      const from = leans.get(folder(file)) ?? new Set();
      leans.set(folder(file), from);
      for (const one of taken) if (folder(one) !== folder(file)) from.add(folder(one));
    }
    // What tests are made of may take from anywhere.
    leans.delete('testing');
    expect(leans.size).toBeGreaterThan(20);
    expect(circles(new Map([...leans].map(([from, to]) => [from, [...to]])))).toEqual([]);
  });

  it('has files of the interface of 300 lines at most, and functions of 120', () => {
    const long: string[] = [];
    for (const file of files.filter((one) => one.startsWith('ui/'))) {
      const lines = textOf(file).split('\n');
      if (lines.length - 1 > 300) long.push(`${file}: ${lines.length - 1} lines`);
      let begun = -1;
      lines.forEach((line, i) => {
        if (
          begun < 0 &&
          /^(?:export )?(?:default )?(?:async )?(?:function\b|const \w+ = .*(?:=>|function)).*[({]$/.test(line)
        )
          begun = i;
        // A list of arguments that ends alone in its line is not the end.
        if (begun < 0 || !/^[})]/.test(line) || /^[})][^;]*[{(]$/.test(line)) return;
        if (i - begun + 1 > 120) long.push(`${file}:${begun + 1}: ${i - begun + 1} lines`);
        begun = -1;
      });
    }
    expect(long).toEqual([]);
  });
});
