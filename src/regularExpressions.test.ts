import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseSync } from 'oxc-parser';
import { checkSync } from 'recheck';
import { describe, expect, it } from 'vitest';

const src = import.meta.dirname;
type Found = { readonly file: string; readonly pattern: string; readonly flags: string };

/** Every regular expression that is written in a file. */
function expressionsIn(file: string): Found[] {
  const found: Found[] = [];
  const visit = (node: unknown): void => {
    if (node === null || typeof node !== 'object') return;
    const { regex } = node as { regex?: { pattern: string; flags: string } };
    if (regex) found.push({ file, ...regex });
    for (const inside of Object.values(node)) visit(inside);
  };
  visit(parseSync(file, readFileSync(join(src, file), 'utf8')).program);
  return found;
}
const files = readdirSync(src, { recursive: true, encoding: 'utf8' }).filter(
  (name) => /\.tsx?$/.test(name) && !/\.test\.|\/testing\//.test(name),
);
const all = files.flatMap(expressionsIn);

/** What the checker says; how far an attack gets is counted in steps alone, for a slow machine is no slow expression. */
const check = (pattern: string, flags: string, timeout: number) =>
  checkSync(pattern, flags, { timeout, attackTimeout: null, attackLimit: 200_000_000 });

describe('regular expressions', () => {
  it('take no longer than a text is long, whoever wrote the text', () => {
    expect(all.length).toBeGreaterThan(120);
    const slow = all.flatMap(({ file, pattern, flags }) => {
      const quick = check(pattern, flags, 20_000);
      // What it could not tell in time on a busy machine is looked at once more, with more of it.
      const said = quick.status === 'unknown' ? check(pattern, flags, 60_000) : quick;
      const why = said.status === 'vulnerable' ? said.complexity.summary : said.status;
      return said.status === 'safe' ? [] : [`${file}: /${pattern}/${flags} is ${why}`];
    });
    expect(slow).toEqual([]);
  }, 300_000);

  it('are known as slow where they are', () => {
    expect(check('\\s*(?:[*]+|x)+\\s*$', 'u', 20_000).status).toBe('vulnerable');
    expect(check('\\s*:$', '', 20_000).status).toBe('vulnerable');
    expect(check('(a*)\\1*b', '', 60_000).status).toBe('vulnerable');
  }, 100_000);
});
