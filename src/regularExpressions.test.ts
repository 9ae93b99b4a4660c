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

describe('regular expressions', () => {
  it('take no longer than a text is long, whoever wrote the text', () => {
    expect(all.length).toBeGreaterThan(120);
    const slow = all.flatMap(({ file, pattern, flags }) => {
      const said = checkSync(pattern, flags, { timeout: 10_000 });
      const why = said.status === 'vulnerable' ? said.complexity.summary : said.status;
      return said.status === 'safe' ? [] : [`${file}: /${pattern}/${flags} is ${why}`];
    });
    expect(slow).toEqual([]);
  }, 180_000);

  it('are known as slow where they are', () => {
    expect(checkSync('\\s*(?:[*]+|x)+\\s*$', 'u').status).toBe('vulnerable');
    expect(checkSync('\\s*:$', '').status).toBe('vulnerable');
  });
});
