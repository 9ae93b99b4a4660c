import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
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

/**
 * What was proven safe before, by this version of the checker: to prove all of it takes a minute of a core, each time the
 * same. `npm run expressions` writes it anew, and the whole matrix (`FULL=1`) proves all of it once more.
 */
const PROVEN = join(src, 'testing/safeExpressions.txt');
const { version } = JSON.parse(readFileSync(join(src, '../node_modules/recheck/package.json'), 'utf8'));
const idOf = ({ pattern, flags }: Omit<Found, 'file'>): string =>
  createHash('sha256').update(`${version} /${pattern}/${flags}`).digest('hex').slice(0, 20);
const anew = process.env.GATHER_EXPRESSIONS !== undefined || process.env.FULL !== undefined;
const proven = new Set(anew || !existsSync(PROVEN) ? [] : readFileSync(PROVEN, 'utf8').trim().split('\n'));

/** What the checker says; how far an attack gets is counted in steps alone, for a slow machine is no slow expression. */
const check = (pattern: string, flags: string, timeout: number) =>
  checkSync(pattern, flags, { timeout, attackTimeout: null, attackLimit: 200_000_000 });

describe('regular expressions', () => {
  it('take no longer than a text is long, whoever wrote the text', () => {
    expect(all.length).toBeGreaterThan(120);
    const seen = new Set(proven);
    const slow = all.flatMap(({ file, pattern, flags }) => {
      const id = idOf({ pattern, flags });
      if (seen.has(id)) return [];
      seen.add(id);
      const quick = check(pattern, flags, 20_000);
      // What it could not tell in time on a busy machine is looked at once more, with more of it.
      const said = quick.status === 'unknown' ? check(pattern, flags, 60_000) : quick;
      const why = said.status === 'vulnerable' ? said.complexity.summary : said.status;
      return said.status === 'safe' ? [] : [`${file}: /${pattern}/${flags} is ${why}`];
    });
    expect(slow).toEqual([]);
    // What is in the list is in the code, or it would grow with all that ever was.
    if (process.env.GATHER_EXPRESSIONS !== undefined) writeFileSync(PROVEN, `${[...seen].sort().join('\n')}\n`);
  }, 300_000);

  it('are proven anew wherever they change', () => {
    const [one] = all;
    expect(proven.has(idOf({ pattern: `${one?.pattern}x*`, flags: one?.flags ?? '' }))).toBe(false);
    expect(proven.has(idOf({ pattern: one?.pattern ?? '', flags: `${one?.flags}i` }))).toBe(false);
  });

  it('are known as slow where they are', () => {
    expect(check('\\s*(?:[*]+|x)+\\s*$', 'u', 20_000).status).toBe('vulnerable');
    expect(check('\\s*:$', '', 20_000).status).toBe('vulnerable');
    expect(check('(a*)\\1*b', '', 60_000).status).toBe('vulnerable');
  }, 100_000);
});
